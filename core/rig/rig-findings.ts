import { finding, type Finding, type Ref } from '../finding/index.ts';
import { threshold } from '../sources/index.ts';
import { exactly } from '../units/index.ts';
import { descentM, GEAR_ROLES, type GearRole, type Setup } from './setup.ts';

const PART_OF_ROLE: Readonly<Record<GearRole, Ref>> = {
  harness: 'harness',
  ropeA: 'ropeA',
  ropeB: 'ropeB',
  device: 'device',
  deviceConnector: 'deviceConnector',
  extraConnector: 'extraConnector',
  extension: 'extension',
  hitchCord: 'hitch',
  hitchConnector: 'hitchConnector',
};

/** What is not chosen, and what was entered about anchor, edge, strands and the knot between two ropes. */
export function rigFindings(setup: Setup): Finding[] {
  return [
    ...missing(setup),
    ...twice(setup),
    ...heights(setup),
    ...anchor(setup),
    ...edge(setup),
    ...strands(setup),
    ...joint(setup),
  ];
}

function missing(setup: Setup): Finding[] {
  const optional = new Set<GearRole>([
    'extraConnector',
    ...(setup.rig.ropeUse === 'folded' ? (['ropeB'] as const) : []),
  ]);
  const roles = (Object.keys(GEAR_ROLES) as GearRole[]).filter(
    (role) => !optional.has(role) && setup.gear[role] === null,
  );
  const missed = roles.map((role) => ({ part: PART_OF_ROLE[role], label: GEAR_ROLES[role].label }));
  if (setup.people.climber === null) missed.unshift({ part: 'climber', label: 'Person who goes down' });
  return missed.map(({ part, label }) =>
    finding({
      code: 'rig.part-missing',
      severity: 'untested',
      subject: [part],
      says: `Not chosen: ${label.toLowerCase()}.`,
      because: 'What depends on it could not be judged.',
      remedy: 'Choose it, or put it into the locker first.',
    }),
  );
}

function twice({ gear, rig }: Setup): Finding[] {
  const roles = (Object.keys(GEAR_ROLES) as GearRole[]).filter((role) => role !== 'ropeB' || rig.ropeUse === 'joined');
  return roles.flatMap((role, i) => {
    const first = roles.slice(0, i).find((other) => gear[role] !== null && gear[other]?.id === gear[role].id);
    if (first === undefined) return [];
    return [
      finding({
        code: 'rig.part-twice',
        severity: 'mind',
        subject: [PART_OF_ROLE[role], PART_OF_ROLE[first]],
        says: `${gear[role]!.name} is chosen for two places.`,
        because: `It stands as ${GEAR_ROLES[first].label.toLowerCase()} and as ${GEAR_ROLES[role].label.toLowerCase()}.`,
        remedy: 'Take another one for one of them; where you own two alike, enter both in the locker.',
      }),
    ];
  });
}

function heights({ situation }: Setup): Finding[] {
  if (descentM(situation) > 0) return [];
  return [
    finding({
      code: 'rig.part-missing',
      severity: 'untested',
      subject: ['ground'],
      says: 'The next stance is not below the anchor.',
      because: 'Without a descent neither rope length nor brake force can be judged.',
      remedy: 'Correct the heights.',
    }),
  ];
}

function anchor({ situation }: Setup): Finding[] {
  const subject = ['anchor'] as const;
  const findings: Finding[] = [];
  if (situation.anchorRope === 'textile') {
    findings.push(
      finding({
        code: 'rig.anchor-textile',
        severity: 'mind',
        subject,
        says: 'The rope runs through a textile sling at the anchor.',
        because: 'Pulling the rope down burns the sling; whoever trusts that sling next hangs on the burn.',
        remedy: 'Pass the rope through metal, or leave a ring behind. Do not lower anybody through textile.',
      }),
    );
  }
  if (situation.anchorRope === 'unknown' || situation.anchorPoints === 'unknown') {
    findings.push(
      finding({
        code: 'rig.anchor-unknown',
        severity: 'untested',
        subject,
        says: 'The anchor is not described.',
        because: 'Zevrin cannot see an anchor: what the rope runs through and how many points hold it must be said.',
        remedy: 'Look at it and enter it.',
      }),
    );
  }
  if (situation.anchorPoints === 'one') {
    findings.push(
      finding({
        code: 'rig.anchor-one-point',
        severity: 'mind',
        subject,
        says: 'Everything hangs on one anchor point.',
        because: 'When it lets go nothing else holds.',
        remedy: 'Join a second point, or be as sure of this one as you would be of two.',
      }),
    );
  }
  if (findings.length === 0) {
    findings.push(
      finding({
        code: 'rig.anchor-as-entered',
        severity: 'clear',
        subject,
        says: 'Anchor as entered: metal, and more than one point.',
        because: 'How well the points hold is not judged here.',
        remedy:
          'Look at every point and at the rope through it. Whoever unties to thread it first pulls up about {kept} of rope, ties and clips it.',
        numbers: [
          {
            key: 'kept',
            label: 'Rope pulled up and clipped before untying',
            quantity: 'lengthM',
            value: exactly(threshold('ropeKeptAtAnchorM')),
          },
        ],
        sources: ['practice-rope-through-rings'],
      }),
    );
  }
  return findings;
}

function edge({ situation }: Setup): Finding[] {
  const subject = ['edge', 'rope'] as const;
  if (situation.edge === 'unknown') {
    return [
      finding({
        code: 'rig.edge-unknown',
        severity: 'untested',
        subject,
        says: 'It is not said whether the rope runs over an edge.',
        because: 'A loaded rope over a sharp edge is cut easily.',
        remedy: 'Look over the edge and enter it.',
      }),
    ];
  }
  if (situation.edge !== 'sharp' && situation.edge !== 'padded') return [];
  const bare = situation.edge === 'sharp';
  return [
    finding({
      code: 'rig.edge-sharp',
      severity: bare ? 'stop' : 'mind',
      subject,
      says: bare ? 'The loaded rope runs over a sharp edge.' : 'The rope runs over a padded sharp edge.',
      because: bare
        ? 'It is cut easily, most of all when you swing.'
        : 'Padding wanders while the rope moves, and stays up when you pull the rope.',
      remedy: bare
        ? 'Move the line or pad the edge.'
        : 'Fix the padding, go without swinging, and plan how it comes off.',
    }),
  ];
}

function strands({ rig }: Setup): Finding[] {
  if (rig.deviceStrands === 'both') return [];
  const one = rig.deviceStrands === 'one';
  return [
    finding({
      code: 'rig.strands-in-device',
      severity: one ? 'stop' : 'untested',
      subject: ['device', 'rope'],
      says: one
        ? 'Only one strand runs through the device.'
        : 'It is not said whether both strands run through the device.',
      because: 'On one strand the rope pulls through the anchor and drops you with it.',
      remedy: 'Thread both strands, each in its own slot, and clip both.',
    }),
  ];
}

function joint({ rig }: Setup): Finding[] {
  if (rig.ropeUse === 'folded' || rig.joiningKnot === 'flat-overhand' || rig.joiningKnot === 'double-fisherman')
    return [];
  return [
    finding({
      code: 'rig.joining-knot-unknown',
      severity: 'untested',
      subject: ['joiningKnot'],
      says: 'The knot that joins the two ropes is not judged.',
      because:
        rig.joiningKnot === 'other'
          ? 'Zevrin has no facts about the knot you use.'
          : 'It is not said which knot is used.',
      remedy: 'Say which, and look at its shape and tails at the check.',
    }),
  ];
}
