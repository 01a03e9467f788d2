import type { CallId } from '../rig/index.ts';

export interface CallWord {
  /** What is called where nobody has agreed on something else. */
  readonly word: string;
  readonly from: 'climber' | 'belayer';
  readonly meaning: string;
  /** Tugs on the rope that stand for it; null: it has none, and must be heard or seen. */
  readonly tugs: number | null;
  readonly sign: string;
}

/**
 * The calls between who climbs and who belays, in the order of a pitch: common practice, and to be agreed anew by every
 * two people.
 */
export const CALL_WORDS: Readonly<Record<CallId, CallWord>> = {
  'on-belay': {
    word: 'On belay',
    from: 'belayer',
    meaning: 'The rope is in the device, the gate is locked, the hand is on.',
    tugs: 3,
    sign: 'One arm straight up',
  },
  climbing: {
    word: 'Climbing',
    from: 'climber',
    meaning: 'The next thing is the first move.',
    tugs: null,
    sign: 'A nod, looking at each other',
  },
  slack: {
    word: 'Slack',
    from: 'climber',
    meaning: 'Pay out rope.',
    tugs: null,
    sign: 'Hand drawn down the thigh',
  },
  take: {
    word: 'Take',
    from: 'climber',
    meaning: 'Take in until the rope is tight, and hold.',
    tugs: null,
    sign: 'Hand pointing up, turning',
  },
  lower: {
    word: 'Lower',
    from: 'climber',
    meaning: 'Lower me. I lean back only when you have answered.',
    tugs: null,
    sign: 'Flat hand pressed down, twice',
  },
  'off-belay': {
    word: 'Off belay',
    from: 'climber',
    meaning: 'I am secured to something else and it holds my weight. Only now may you take me off.',
    tugs: 5,
    sign: 'Both arms crossed above the head',
  },
  'rope-free': {
    word: 'Rope is free',
    from: 'climber',
    meaning: 'I am off the rope, it is the next one’s.',
    tugs: null,
    sign: 'Both arms opened wide',
  },
  rock: {
    word: 'Rock',
    from: 'climber',
    meaning: 'Something is falling! Get against the wall, head down; belayers keep the brake hand on the rope.',
    tugs: null,
    sign: 'None: it is shouted',
  },
};

/** The word for a call: the own one where two have agreed on it. */
export const wordFor = (words: Readonly<Record<CallId, string>>, id: CallId): string =>
  words[id] === '' ? CALL_WORDS[id].word : words[id];
