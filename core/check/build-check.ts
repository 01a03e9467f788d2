import type { Finding, FindingCode } from '../finding/index.ts';
import { exactly } from '../units/index.ts';
import { rigGraph, type RigGraph, type Setup } from '../rig/index.ts';
import type { CheckItem } from './check-item.ts';
import { withConsequences } from './consequences.ts';
import { functionTests, hitch } from './hitch-items.ts';
import { item } from './item.ts';

/** Findings whose question a regular item asks anyway, so that nobody is asked twice. */
const ASKED_ANYWAY: ReadonlySet<FindingCode> = new Set<FindingCode>([
  'connector.gate-unknown',
  'connector.seat-unknown',
  'geometry.ends-unknown',
  'rig.strands-in-device',
  'hitch.strands',
  'hitch.eyes',
  'rig.anchor-unknown',
  // What is in doubt about a single point is asked where the doubt is.
  'hold.single-point',
]);

/**
 * The check before use, made from this set-up: one item per part that is there, in the order of what goes wrong most (harness,
 * anchor, device), then the hitch, the function tests, and what the assessment left open. Nothing is asked about parts that the
 * set-up does not have. Stops are not check items: they are put right before a check begins. What follows from nodding an item through
 * comes from `sequence` and `hold`.
 */
export function buildCheck(setup: Setup, findings: readonly Finding[]): CheckItem[] {
  const graph = rigGraph(setup);
  const has = (part: CheckItem['part']) => graph.nodes.some((node) => node.part === part);
  const items = [
    ...(has('harness') ? harness(setup) : []),
    ...anchor(setup, graph),
    ...(has('ropeA') ? ropeEnds(setup) : []),
    ...(has('device') && has('ropeA') ? device(setup) : []),
    ...(has('extension') ? extension(setup) : []),
    ...(has('hitch') ? hitch(setup) : []),
    ...(has('device') ? functionTests(setup, has('hitch')) : []),
    ...findings
      .filter((f) => (f.severity === 'mind' || f.severity === 'untested') && !ASKED_ANYWAY.has(f.code))
      .map(openFinding),
  ];
  return withConsequences(items, setup, findings);
}

function harness({ gear, people }: Setup): CheckItem[] {
  const hand = people.climber?.brakeHand ?? 'right';
  return [
    item({
      id: 'harness',
      part: 'harness',
      title: gear.harness!.name,
      look: 'Waist belt above the hips; every buckle closed as its maker shows.',
      touch: 'Pull on the belt and on both leg loops.',
      question: 'What did the buckles do?',
      expected: 'All stay closed, none slips',
      others: ['One slips or is not closed', 'Belt sits on the hips or turns'],
      why: 'The harness is one of the three things that go wrong most.',
      sources: ['practice-hook-up'],
    }),
    item({
      id: 'loose-things',
      part: 'brakeHand',
      title: 'Hand, hair, clothing',
      look: 'Hair, straps, jacket and gloves near the device.',
      touch: `Lay the ${hand} hand on both brake strands below the device.`,
      question: 'Which hand brakes, and what can be pulled in?',
      expected: `${hand === 'right' ? 'Right' : 'Left'} hand brakes; nothing can be pulled in`,
      others: [
        `${hand === 'right' ? 'Left' : 'Right'} hand brakes; nothing can be pulled in`,
        'Something hangs near the device',
      ],
      why: 'A device pulls in what lies on the rope.',
      sources: ['practice-clear-of-device'],
    }),
  ];
}

function anchor({ situation, rig, gear }: Setup, graph: RigGraph): CheckItem[] {
  const textile = situation.anchorRope === 'textile';
  const items = [
    item({
      id: 'anchor',
      part: 'anchor',
      title: 'Anchor, with the rope through it',
      look: `Follow the rope through the ${textile ? 'sling' : 'rings or links'}; look at every point behind.`,
      touch: 'Pull one strand and see the other one move.',
      question: 'What does the rope run through?',
      expected: textile
        ? 'The sling; it is sound, and no other rope runs in it'
        : 'Metal only; the points behind are sound',
      others: textile ? ['Worn or burnt sling'] : ['A sling or cord', 'Metal, but a point is doubtful'],
      why: 'The anchor with the rope through it is one of the three things that go wrong most.',
      sources: ['practice-hook-up', 'practice-metal-on-metal'],
    }),
  ];
  if (graph.nodes.some((n) => n.part === 'joiningKnot')) {
    const knot = rig.joiningKnot === 'double-fisherman' ? 'Double fisherman’s' : 'Flat overhand';
    items.push(
      item({
        id: 'joining-knot',
        part: 'joiningKnot',
        title: 'Knot between the ropes',
        look: 'Shape of the knot and length of both tails.',
        touch: 'Pull all four strands tight, one after the other.',
        question: 'What joins the ropes, and on which side of the anchor is it?',
        expected: `${knot}, dressed, long tails; side known`,
        others: ['Another knot, or not dressed', 'Side not agreed'],
        why: 'The knot must hold, must not catch, and decides which strand is pulled.',
        sources: ['practice-hook-up'],
      }),
    );
  } else if (rig.ropeUse === 'folded' && gear.ropeA) {
    const marked = gear.ropeA.middle === 'marked' || gear.ropeA.middle === 'bicolour';
    items.push(
      item({
        id: 'middle',
        part: 'rope',
        title: 'Middle of the rope',
        look: marked ? 'Where the middle mark lies.' : 'Both ends together, flaked side by side up to the anchor.',
        touch: 'Hold the place in the hand.',
        question: 'How far is the middle from the anchor?',
        expected: 'At the anchor, within {miss}',
        others: ['Further away than {miss}', marked ? 'The mark was not found' : 'It was guessed'],
        numbers: [
          {
            key: 'miss',
            label: 'Miss allowed for',
            quantity: 'lengthM',
            value: exactly(Math.max(0.1, rig.middleMissM)),
          },
        ],
        why: 'A middle missed makes the ends unequal by twice as much.',
        sources: ['practice-middle'],
      }),
    );
  }
  return items;
}

function ropeEnds({ situation }: Setup): CheckItem[] {
  const place = situation.stanceHeightM > 0 ? 'at the ledge' : 'on the ground';
  return [
    item({
      id: 'rope-ends',
      part: 'ropeEnds',
      title: 'Rope ends',
      look: `Both ends ${place}; where they cannot be seen, both knots before they were thrown.`,
      touch: 'Each knot, or the hand of the one who tied it.',
      question: 'Which ends carry a stopper knot?',
      expected: 'Both are knotted',
      others: ['Only one is knotted', 'Neither is knotted'],
      why: 'A knot keeps the device from running off a rope that is too short.',
      sources: ['practice-ends-closed'],
    }),
  ];
}

function device({ gear, rig }: Setup): CheckItem[] {
  const connector = gear.deviceConnector?.name ?? 'the connector';
  const items = [
    item({
      id: 'device-strands',
      part: 'device',
      title: gear.device!.name,
      look: 'Each strand in its own slot, both bights on the connector, brake strands on the brake side.',
      touch: 'Run a finger along each strand, in and out.',
      question: `How many strands go through the device and around ${connector}?`,
      expected: 'Two through the device, two around the connector',
      others: ['Two through the device, one around the connector', 'One through the device'],
      why: 'The device is one of the three things that go wrong most; on one strand the rope pulls through.',
      sources: ['practice-hook-up'],
    }),
  ];
  if (gear.deviceConnector) {
    items.push(
      item({
        id: 'device-connector',
        part: 'deviceConnector',
        title: connector,
        look: `The rope on the ${gear.deviceConnector.shape === 'oval' ? 'bar' : 'broad end'}, the gate away from the brake strands and the rock.`,
        touch: 'Press the gate hard.',
        question: 'What did the gate do when pressed?',
        expected: 'Locked, did not give, faces away',
        others: ['It gave way', 'Locked, but rope or rock runs over it'],
        why: 'Running rope or shaking can open a gate.',
        sources: ['practice-gate', 'practice-broad-end'],
      }),
    );
  }
  if (gear.extraConnector) {
    items.push(
      item({
        id: 'extra-connector',
        part: 'extraConnector',
        title: `${gear.extraConnector.name} beside it`,
        look: 'Both bights run over both connectors.',
        touch: 'Press this gate too.',
        question: 'How do the two gates stand?',
        expected: 'Opposed, both locked',
        others: ['On the same side', 'One is not locked'],
        why: 'It adds friction only when both bights run over it.',
        sources: ['practice-more-friction'],
      }),
    );
  }
  if (rig.ropeUse === 'joined' && gear.ropeA && gear.ropeB) {
    items.push(
      item({
        id: 'two-ropes',
        part: 'rope',
        title: 'Two ropes',
        look: `${gear.ropeA.name} and ${gear.ropeB.name}, one in each slot.`,
        touch: 'Pull each brake strand a little.',
        question: 'Which ropes are in the device?',
        expected: 'One strand of each rope',
        others: ['Two strands of one rope'],
        why: 'Both strands of one rope and none of the other is an easy slip where two ropes hang.',
        sources: ['practice-hook-up'],
      }),
    );
  }
  return items;
}

function extension({ gear, rig }: Setup): CheckItem[] {
  const place = gear.harness?.attachment === 'two-points' ? 'Both tie-in points' : 'The belay loop';
  return [
    item({
      id: 'extension',
      part: 'extension',
      title: `Extension: ${gear.extension!.name}`,
      look:
        rig.extensionMethod === 'girth'
          ? 'The girth hitch, flat and tight.'
          : 'Both ends of the sling in the connector.',
      touch: 'Pull the device up hard against the harness.',
      question: 'Where is the extension attached?',
      expected: place,
      others: ['A gear loop', place === 'The belay loop' ? 'Only one tie-in point' : 'The belay loop'],
      why: 'A gear loop does not carry a person.',
      sources: ['practice-extension', 'practice-hook-up'],
    }),
  ];
}

function openFinding(finding: Finding): CheckItem {
  const open = finding.severity === 'untested';
  return item({
    id: `finding:${finding.code}:${finding.subject[0] ?? ''}`,
    part: finding.subject[0] ?? 'climber',
    kind: 'open-finding',
    title: open ? 'Not tested' : 'Mind',
    look: finding.says,
    touch: finding.remedy,
    question: open ? 'What did you find out?' : 'What was done about it?',
    expected: open ? 'Looked at and tested here; it will do' : 'Talked over; done as it says',
    others: [open ? 'Still not known' : 'Nothing yet'],
    why: finding.because,
    numbers: [...finding.numbers],
    sources: [...finding.sources],
  });
}
