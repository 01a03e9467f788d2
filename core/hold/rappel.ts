import type { Finding, FindingCode, Ref, Severity } from '../finding/index.ts';
import type { Setup } from '../rig/index.ts';
import { FAULTS, type FaultId } from './parts.ts';
import type { CommonCause, Consequence, Fault, HoldModel, NoStop, Stop } from './model.ts';

/** Everything of a rappel that carries body weight, from the anchor to the person. */
export function mainChain({ gear, rig }: Setup): FaultId[] {
  return [
    'anchor',
    'rope',
    ...(rig.ropeUse === 'joined' ? (['joiningKnot'] as const) : []),
    'device',
    'deviceConnector',
    ...(gear.extension ? (['extension'] as const) : []),
    'harness',
    'offTheEnd',
  ];
}

/** What brings the person off the rope's end: going past it, and no knot there. */
export function endOfRope({ rig }: Setup): { faults: FaultId[]; consequence: Consequence } {
  const closed = rig.ends === 'both-knotted';
  return {
    faults: ['offTheEnd', 'pastEnd', ...(closed ? (['endKnot'] as const) : [])],
    consequence: {
      when: closed ? ['pastEnd', 'endKnot'] : ['pastEnd'],
      then: 'offTheEnd',
      because: closed ? 'A knot that is there stops at the device.' : 'No knot closes every end.',
    },
  };
}

const at = (finding: Finding, part: Ref) => finding.subject.includes(part);
const worst = (findings: readonly Finding[]): Finding | undefined =>
  (['stop', 'mind', 'untested'] as const satisfies readonly Severity[])
    .map((severity) => findings.find((f) => f.severity === severity))
    .find(Boolean);

/** Findings that leave the brake hand, or the hitch, no way to hold by themselves. */
const HAND_FAILS: ReadonlySet<FindingCode> = new Set<FindingCode>(['friction.hand-too-weak', 'friction.not-modelled']);
const HITCH_MAY_SLIP: ReadonlySet<FindingCode> = new Set<FindingCode>(['hitch.grip-doubtful']);

/** Why the hitch is no Stop; undefined when it is one. A hitch of which something is not known is none: unknown never becomes a pass. */
function whyNoHitch(findings: readonly Finding[]): Finding | undefined {
  return worst(
    findings.filter((f) => {
      if (f.severity === 'clear' || f.code === 'geometry.hitch-reaches-device') return false;
      const about =
        f.code.startsWith('hitch.') ||
        f.code === 'geometry.cord-too-short' ||
        f.code === 'geometry.hitch-unknown' ||
        (f.code.startsWith('connector.') && at(f, 'hitchConnector'));
      return about && (f.severity !== 'mind' || HITCH_MAY_SLIP.has(f.code));
    }),
  );
}

const noStop = (id: string, label: string, finding: Finding): NoStop => ({
  id,
  label,
  severity: finding.severity,
  because: finding.says,
});

export const HAND_STOP = 'Brake hand on the device';
export const HITCH_STOP = 'Hitch below the device';

/**
 * What holds on this rappel, from the rig and from what the assessment found: never from a tick box. Needs a set-up in which every part is
 * chosen.
 */
export function rappelHolds(setup: Setup, findings: readonly Finding[]): HoldModel {
  const { gear, rig } = setup;
  const chain = mainChain(setup);
  const end = endOfRope(setup);
  const ids: FaultId[] = [...chain, ...end.faults, 'hand'];
  const stops: Stop[] = [];
  const noStops: NoStop[] = [];
  const consequences: Consequence[] = [end.consequence];
  const causes: CommonCause[] = [];

  const weak = worst(findings.filter((f) => HAND_FAILS.has(f.code)));
  if (weak) noStops.push(noStop('hand', HAND_STOP, weak));
  else stops.push({ id: 'hand', label: HAND_STOP, hand: true, needs: [...chain, 'hand'] });

  if (gear.hitchCord) {
    const hitchParts: FaultId[] = [
      'hitch',
      'hitchConnector',
      ...(rig.hitchAt === 'leg-loop' ? (['legLoop'] as const) : []),
      'hitchHeld',
      'hitchReleased',
    ];
    ids.push(...hitchParts);
    const against = whyNoHitch(findings);
    if (against) noStops.push(noStop('hitch', HITCH_STOP, against));
    else stops.push({ id: 'hitch', label: HITCH_STOP, hand: false, needs: [...chain, ...hitchParts] });
    const reaches = findings.find((f) => f.code === 'geometry.hitch-reaches-device');
    if (reaches) consequences.push({ when: ['hand'], then: 'hitchReleased', because: reaches.says });
    causes.push({
      id: 'same-hand',
      says: 'fright: the brake hand slips while it grips the hitch',
      brings: ['hand', 'hitchHeld'],
      because: 'The hand that brakes is the hand that tends the hitch.',
    });
    if (gear.hitchConnector && gear.hitchConnector.id === gear.deviceConnector?.id) {
      causes.push({
        id: 'same-connector',
        says: 'the one connector of device and hitch opens',
        brings: ['deviceConnector', 'hitchConnector'],
        because: 'Device and hitch hang on the same connector.',
      });
    }
  }
  if (gear.hitchCord && rig.hitchAt === 'belay-loop') {
    causes.push({
      id: 'same-harness',
      says: 'the one belay loop fails',
      brings: ['harness'],
      because: 'Device and hitch hang on the same loop.',
    });
  }
  causes.push({
    id: 'distracted',
    says: 'you look away: the hand slips, or the end goes by',
    brings: ['hand', 'pastEnd'],
    because: 'One person minds both.',
  });
  causes.push({
    id: 'stone',
    says: 'a stone hits you',
    brings: ['hand'],
    because: 'Whoever is hit lets go.',
  });
  if (setup.situation.edge === 'sharp' || setup.situation.edge === 'unknown') {
    causes.push({
      id: 'edge',
      says: 'the edge cuts what runs over it',
      brings: ['rope'],
      because: 'Both strands run over the same edge.',
    });
  }
  return { faults: faultsOf(ids), consequences, stops, noStops, causes };
}

/** The faults of these ids, each once, in this order. */
export const faultsOf = (ids: readonly FaultId[]): Fault[] => [...new Set(ids)].map((id) => FAULTS[id]);
