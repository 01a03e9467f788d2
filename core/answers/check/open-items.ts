import type { Finding, FindingCode } from '../../foundations/finding/index.ts';
import { FINDING_ITEM, MIND_TITLE, type CheckItem } from './check-item.ts';
import { item } from './item.ts';

interface Observation {
  readonly question: string;
  readonly expected: string;
  readonly others: readonly [string, ...string[]];
}

/** What can be seen or tried about what the assessment left open, where the code tells more than its severity. */
const SEEN: Partial<Record<FindingCode, Observation>> = {
  'hold.hand-alone': {
    question: 'What holds when the hand lets go?',
    expected: 'A hitch or a second person’s hand: tested with weight, and it held',
    others: ['Nothing', 'Something that was not tried'],
  },
  'friction.hand-close': {
    question: 'With full body weight on the rope: how hard did you have to grip?',
    expected: 'Less than half of what it can',
    others: ['Nearly all it can', 'It was not tried'],
  },
  'friction.not-modelled': {
    question: 'Low above the ground, with the whole weight: what did it do?',
    expected: 'It held, and let go when it was meant to',
    others: ['It crept or ran', 'It was not tried'],
  },
  'geometry.rope-barely-reaches': {
    question: 'Where do the rope ends lie?',
    expected: 'Each was seen on the ground or the stance',
    others: ['One is not seen', 'One hangs above'],
  },
  'geometry.hitch-near-device': {
    question: 'What fits between the loaded hitch and the device?',
    expected: 'A whole hand',
    others: ['Less than a hand', 'They touch'],
  },
  'geometry.middle-unmarked': {
    question: 'How was the middle found?',
    expected: 'Both ends were seen on the ground, side by side',
    others: ['By guessing', 'The ends were not seen'],
  },
  'belay.stance': {
    question: 'How many steps is it from the belayer to the wall?',
    expected: 'Two or fewer',
    others: ['More than two', 'The place is not clear yet'],
  },
  'belay.masses': {
    question: 'What keeps the belayer from being lifted?',
    expected: 'Tied low and in line, or friction on the rope: it was leaned into',
    others: ['Nothing', 'It was not tried'],
  },
  'fit.wet-icy': {
    question: 'Low above the ground, on this wet or icy rope: what did it do?',
    expected: 'It held the whole weight three times without slipping',
    others: ['It slipped', 'It was not tried'],
  },
  'rig.condition': {
    question: 'Run through the hands from end to end: what was found?',
    expected: 'No cut, no soft, flat or stiff place, every seam whole',
    others: ['A place that is not as the rest', 'It was not looked over'],
  },
  'guide.slack': {
    question: 'Belay as you will on the climb: how much slack can you pull out?',
    expected: 'Less than a forearm’s length',
    others: ['More than that', 'It was not tried'],
  },
  'crew.calls': {
    question: 'On the ground: what did you agree for “off belay”, and what happens when nothing is heard?',
    expected: 'A word, sign or number of tugs, tried once; without an answer the belay stays on',
    others: ['Nothing', 'Something that was not tried'],
  },
  'crew.down': {
    question: 'Each says what happens at the top: what did you hear?',
    expected: 'Twice the same',
    others: ['Two different things', 'One did not know'],
  },
  'guide.arriving': {
    question: 'Show it with a rope in the hand: how is the second clipped to the anchor?',
    expected: 'Hitch tied in the hand, then clipped in one move; or the second’s own lanyard first',
    others: ['Turn by turn on the connector', 'It was not shown'],
  },
  'fit.not-tuned': {
    question: 'On this rope, low above the ground, hanging for a minute with hands off: how far did it creep?',
    expected: 'Less than 5 mm',
    others: ['More than that', 'It was not tried'],
  },
  'fit.upper-hole': {
    question: 'What goes through the upper hole of the ascender and around the rope?',
    expected: 'A locked connector',
    others: ['Nothing', 'A connector beside the rope'],
  },
  'geometry.base-tie': {
    question: 'With the line tied as it will be: where is its free end?',
    expected: 'On the ground, with a metre or more to spare',
    others: ['It hangs above the ground', 'It was not seen'],
  },
  'hold.one-attachment': {
    question: 'How far below the device is the next knot?',
    expected: 'Less than five metres, and it cannot enter the device',
    others: ['Further than that', 'There is none'],
  },
  'connector.gate-unknown': {
    question: 'With the load on: what of the gate?',
    expected: 'Shut and locked when pressed, nothing lies at it',
    others: ['It gives way', 'Rope, cord or rock lies at it', 'It was not pressed'],
  },
  'connector.seat-unknown': {
    question: 'With the load on: where in the connector does it lie?',
    expected: 'In the broad end, along the connector',
    others: ['In the narrow end', 'Across it or on the gate', 'It was not tried'],
  },
  'fit.brake-side': {
    question: 'The brake strand runs over:',
    expected: 'The grooves',
    others: ['The smooth side', 'It was not looked at'],
  },
  'connector.way-unsaid': {
    question: 'With the load on: how do device and connector lie?',
    expected: 'As the maker shows, nothing against the gate',
    others: ['Another way', 'It was not tried'],
  },
  'connector.pair-no-room': {
    question: 'Both clipped in: how do the connectors hang?',
    expected: 'Both swing freely, both gates shut',
    others: ['One sticks or lies on the other', 'It was not tried'],
  },
  'fit.cam-held': {
    question: 'The device loaded: what touches its cam?',
    expected: 'Nothing',
    others: ['Hand, rope or clothing', 'Rock or another part'],
  },
  'solo.fall': {
    question: 'Taken in as it will be: how much slack is above you?',
    expected: 'Less than a forearm’s length',
    others: ['More than that', 'It was not tried'],
  },
  'tree.bridge': {
    question: 'Looked over along its whole length: what of the bridge?',
    expected: 'No fray, no cut, no melted place; its knots hold',
    others: ['A place that is not as the rest', 'It was not looked over'],
  },
  'tree.eyes': {
    question: 'Where do the end of the line and the device hang?',
    expected: 'Each on a connector of its own',
    others: ['Both on one', 'It was not looked at'],
  },
  'tree.limb-slack': {
    question: 'Tried low: coming back along a limb, what did the line do?',
    expected: 'It was taken in all the way',
    others: ['It hung slack', 'It was not tried'],
  },
  'tree.over-limb': {
    question: 'Shaken from the ground: what does the loaded line bend over?',
    expected: 'Nothing',
    others: ['A limb', 'It cannot be seen'],
  },
  'tree.second': {
    question: 'What holds beside the line while you work?',
    expected: 'A lanyard round the stem, or a second line',
    others: ['Nothing', 'Not decided'],
  },
  'tree.limb-swing': {
    question: 'Seen from out there: what would a slip swing you into?',
    expected: 'Nothing: the way to the trunk is free',
    others: ['Trunk, limb or stub', 'It cannot be seen'],
  },
  'rig.knot-below': {
    question: 'Pushed up against the device: what does the knot do?',
    expected: 'It stops there',
    others: ['It goes in', 'It was not tried'],
  },
  'tree.side-load': {
    question: 'Tried low: how does the device lie at a limb?',
    expected: 'Free, in line with the rope',
    others: ['Over the limb', 'It was not tried'],
  },
  'rig.not-judged': {
    question: 'Who judged it here, and how?',
    expected: 'One of us who was taught to, and it is right',
    others: ['It is not right', 'Nobody could'],
  },
  'rig.rope-size': {
    question: 'The mark at the rope end read, and the rope measured: what is wrong?',
    expected: 'A mistake in the entry, which is put right',
    others: ['Nothing: the rope is as entered', 'There is no mark to read'],
  },
  'rig.label-contradicts': {
    question: 'Measured once more: which of the two is true?',
    expected: 'The one that was entered, and the other is put right',
    others: ['Still not known'],
  },
};

/** A connector is not looked over as rope is. */
const METAL: Observation = {
  question: 'Bar felt all around, gate snapped shut ten times and locked: what was found?',
  expected: 'No grooves or sharp edges; the gate snapped shut each time and the lock held',
  others: ['A groove or an edge', 'The gate stuck or the lock did not hold', 'It was not looked over'],
};

const UNTESTED: Observation = {
  question: 'Where did you find it out, and what?',
  expected: 'On the item or in its instructions: it may be used so',
  others: ['On the item or in its instructions: it may not be used so', 'Still not known'],
};
const MIND: Observation = {
  question: 'What is different here now?',
  expected: 'Changed as it says, and seen by me',
  others: ['Nothing is different'],
};

/**
 * What the assessment left open, as an item of the check: closed by what was seen or tried, never by having talked
 * about it. A risk that is taken as it is, is accepted by name with a reason (`mayBeAccepted`).
 */
export function openFinding(finding: Finding, key: string, ofMetal = false): CheckItem {
  const open = finding.severity === 'untested';
  const seen = ofMetal && finding.code === 'rig.condition' ? METAL : SEEN[finding.code];
  const { question, expected, others } = seen ?? (open ? UNTESTED : MIND);
  return item({
    id: `${FINDING_ITEM}${key}`,
    part: finding.subject[0] ?? 'ground',
    kind: 'open-finding',
    title: open ? 'Not tested' : MIND_TITLE,
    look: finding.says,
    touch: finding.remedy,
    question,
    expected,
    others: [...others],
    why: finding.because,
    numbers: [...finding.numbers],
    sources: [...finding.sources],
  });
}
