import type { Finding } from '../finding/index.ts';
import type { Setup } from '../rig/index.ts';
import { endOfRope, faultsOf, HAND_STOP, mainChain } from './rappel.ts';
import { minimalCutSets, type CutSet } from './cut-sets.ts';
import type { CommonCause, Consequence, HoldModel, Stop } from './model.ts';
import type { FaultId } from './parts.ts';
import { standing } from './closure.ts';
import { rappelHolds } from './rappel.ts';

/** One way of backing up a rappel, on this set-up: what it survives comes from the engine, the reasons from practice. */
export interface SchoolOfHolding {
  readonly id: string;
  readonly label: string;
  readonly model: HoldModel;
  readonly needs: readonly string[];
  readonly defeats: readonly string[];
  readonly reasons: readonly string[];
  readonly against: readonly string[];
  readonly cuts: readonly CutSet[];
}

/** Events that the schools are compared by; each is a set of faults that happen together. */
export const SCHOOL_ROWS: readonly {
  readonly id: string;
  readonly says: string;
  readonly faults: readonly FaultId[];
}[] = [
  { id: 'hand', says: 'The brake hand lets go', faults: ['hand'] },
  { id: 'fright', says: 'The hand lets go and clutches the hitch', faults: ['hand', 'hitchHeld'] },
  { id: 'stones', says: 'Stones hit you and whoever stands below', faults: ['hand', 'watcher'] },
  { id: 'partner', says: 'The hand lets go while the partner looks away', faults: ['hand', 'belayer', 'watcher'] },
  { id: 'device', says: 'The device lets go, or its connector opens', faults: ['device'] },
  { id: 'hitch', says: 'The hand lets go and the hitch slips', faults: ['hand', 'hitch'] },
  { id: 'end', says: 'You go past an end without a knot', faults: ['pastEnd', 'endKnot'] },
  { id: 'rope', says: 'The rope you go down on is cut', faults: ['rope'] },
  { id: 'edge', says: 'One edge cuts every rope over it', faults: ['rope', 'rope2'] },
  { id: 'anchor', says: 'The anchor of that rope lets go', faults: ['anchor'] },
  { id: 'anchors', says: 'Every rope hangs on the anchor that lets go', faults: ['anchor', 'anchor2'] },
  { id: 'harness', says: 'The harness lets go', faults: ['harness'] },
];

interface Draft {
  readonly id: string;
  readonly label: string;
  readonly faults: readonly FaultId[];
  readonly stops: readonly (Omit<Stop, 'needs'> & { readonly needs: readonly FaultId[] })[];
  readonly consequences?: readonly Consequence[];
  readonly causes?: readonly CommonCause[];
  readonly texts: Pick<SchoolOfHolding, 'needs' | 'defeats' | 'reasons' | 'against'>;
}

/**
 * The ways of backing up this rappel side by side: belayed from above, from below, a hitch below or above the device, on a second rope, in a
 * tree, and nothing at all. The hitch below is judged as this set-up has it. Source of needs, reasons and objections: common practice.
 */
export function schools(setup: Setup, findings: readonly Finding[]): SchoolOfHolding[] {
  const chain = mainChain(setup);
  const end = endOfRope(setup);
  const hand = {
    id: 'hand',
    label: HAND_STOP,
    hand: true,
    needs: [...chain, 'hand'],
  } as const satisfies Draft['stops'][number];
  const own = rappelHolds(setup, findings);
  const drafts: Draft[] = [
    {
      id: 'above',
      label: 'Belayed from above',
      faults: ['rope2', 'anchor2', 'tieIn', 'belayer', 'belayHitch', 'belayConnector', 'belayLost'],
      stops: [
        {
          id: 'belay',
          label: 'Second rope, held from above',
          hand: false,
          needs: ['rope2', 'anchor2', 'belayConnector', 'belayLost', 'tieIn', 'harness'],
        },
      ],
      consequences: [
        {
          when: ['belayer', 'belayHitch'],
          then: 'belayLost',
          because: 'The hitch on the brake strand catches what the hand lets go.',
        },
      ],
      causes: [
        { id: 'edge', says: 'one edge cuts both ropes', brings: ['rope', 'rope2'], because: 'Both ropes run over it.' },
      ],
      texts: {
        needs: [
          'a second rope, long enough, on points of its own',
          'a Munter hitch with a hitch on its brake strand',
          'somebody at the edge who watches the slack',
        ],
        defeats: [
          'slack that nobody sees',
          'both ropes over the same edge or on the same points',
          'calls that are not heard',
        ],
        reasons: ['survives the loss of rope, device and hand', 'the beginner can be let down'],
        against: [
          'a second rope and a person who stays above',
          'ropes twist around each other',
          'the last one goes without it',
        ],
      },
    },
    {
      id: 'below',
      label: 'Held from below',
      faults: ['watcher'],
      stops: [{ id: 'watcher', label: 'Partner below pulls the rope', hand: true, needs: [...chain, 'watcher'] }],
      causes: [
        {
          id: 'stones',
          says: 'stones that you loosen hit the partner',
          brings: ['watcher'],
          because: 'Whoever pulls stands below.',
        },
      ],
      texts: {
        needs: ['a partner who sees you all the way and holds both strands', 'a stand out of the fall of stones'],
        defeats: [
          'a partner who looks away or cannot see you',
          'stonefall',
          'much rope, an edge or a bend between: the pull arrives late',
        ],
        reasons: ['nothing to rig', 'holds whatever your hand does'],
        against: [
          'somebody has to be down already',
          'hangs on the same device and rope as you',
          'useless when out of sight',
        ],
      },
    },
    {
      id: 'hitch-above',
      label: 'Hitch above the device',
      faults: ['hitch', 'hitchConnector', 'tether', 'hitchHeld'],
      stops: [
        {
          id: 'hitch',
          label: 'Hitch above the device',
          hand: false,
          needs: ['anchor', 'rope', 'hitch', 'hitchConnector', 'tether', 'hitchHeld', 'harness', 'offTheEnd'],
        },
      ],
      texts: {
        needs: [
          'a tether of its own, short enough to reach the hitch when it is loaded',
          'a way to unload it again: foot loop or second hitch',
        ],
        defeats: ['a hand that pushes it down and does not let go', 'a tether too long: it hangs out of reach'],
        reasons: ['holds when the device or its connector fails', 'clear of the device'],
        against: [
          'takes your whole weight, so that it bites hard and is hard to release',
          'a frightened hand holds it open',
        ],
      },
    },
    {
      id: 'own-hitch',
      label: 'Own hitch on a second rope',
      faults: ['hitch', 'hitchConnector', 'tether', 'hitchHeld', 'rope2', 'anchor2'],
      stops: [
        {
          id: 'hitch',
          label: 'Hitch on a second rope',
          hand: false,
          needs: ['anchor2', 'rope2', 'hitch', 'hitchConnector', 'tether', 'hitchHeld', 'harness'],
        },
      ],
      texts: {
        needs: ['a second fixed rope on points of its own', 'pushed along: push, let go, push; never held'],
        defeats: ['a hand that stays on it', 'both ropes over the same edge'],
        reasons: ['survives the loss of rope, device and hand without a second person'],
        against: ['one hand is busy with it', 'a fall with slack runs some way before it holds'],
      },
    },
    {
      id: 'tree',
      label: 'Climbing hitch kept above, in a tree',
      faults: ['hitch', 'hitchConnector', 'tether', 'hitchHeld'],
      stops: [
        {
          id: 'hitch',
          label: 'Climbing hitch on the bridge',
          hand: false,
          needs: ['anchor', 'rope', 'hitch', 'hitchConnector', 'tether', 'hitchHeld', 'harness', 'offTheEnd'],
        },
      ],
      texts: {
        needs: [
          'the hitch stays on the line above the device, on the bridge',
          'a hitch that runs when pushed and bites when let go',
        ],
        defeats: ['a hand that keeps it down', 'pushed into the device from above'],
        reasons: ['is there already, tested all day', 'going up again needs no re-rigging'],
        against: ['both hang on one line and one fork', 'glazes when the device is fast'],
      },
    },
    {
      id: 'nothing',
      label: 'Nothing behind the hand',
      faults: [],
      stops: [],
      texts: {
        needs: ['a hand that never lets go'],
        defeats: ['a stone, a cramp, a knot in the rope that wants two hands'],
        reasons: ['nothing to rig wrongly', 'quick on short easy ground'],
        against: ['one slip of the hand is the end'],
      },
    },
  ];
  const built = drafts.map(({ id, label, faults, stops, consequences = [], causes = [], texts }): SchoolOfHolding => {
    const model: HoldModel = {
      faults: faultsOf([...chain, ...end.faults, 'hand', ...faults]),
      consequences: [end.consequence, ...consequences],
      stops: own.stops.some((s) => s.id === 'hand') ? [hand, ...stops] : stops,
      noStops: [],
      causes,
    };
    return { id, label, model, ...texts, cuts: minimalCutSets(model, 2) };
  });
  const below: SchoolOfHolding = {
    id: 'hitch-below',
    label: 'Hitch below the device',
    model: own,
    needs: [
      'an extension, so that the hitch cannot reach the device',
      'a hitch that grips these strands, tested with weight',
      'an attachment that takes load',
    ],
    defeats: ['reaching the device', 'a hand that clutches it', 'wet, icy or thin rope'],
    reasons: ['holds at once where you are', 'loaded lightly, so it lets go again easily'],
    against: ['needs the device: it only holds the brake strands', 'one more thing to rig and to test'],
    cuts: minimalCutSets(own, 2),
  };
  return [below, ...built];
}

/** What holds in a school after the faults of a row; faults that this school has not do nothing. */
export const standingIn = ({ model }: SchoolOfHolding, faults: readonly FaultId[]): Stop[] => {
  const there = new Set(model.faults.map((f) => f.id));
  return standing(
    model,
    faults.filter((id) => there.has(id)),
  );
};
