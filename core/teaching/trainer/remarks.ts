import { threshold } from '../../foundations/sources/index.ts';
import type { FallRecord, Practice } from './practice.ts';

/** What a fall in practice was, in the words of somebody who watched the hands. */
export interface Remark {
  readonly tone: 'good' | 'mind' | 'bad';
  /** `{value}` stands for the value. */
  readonly says: string;
  /** Value that belongs to it, in the unit of the core. */
  readonly value?: { readonly quantity: 'lengthM' | 'energyJ' | 'seconds'; readonly value: number };
}

export function fallRemarks(fall: FallRecord): Remark[] {
  return [
    fall.ended === 'held'
      ? { tone: 'good', says: 'Held after {value}.', value: { quantity: 'lengthM', value: fall.fallenM } }
      : {
          tone: 'bad',
          says: 'The climber reached the ground, {value} below.',
          value: { quantity: 'lengthM', value: fall.fallenM },
        },
    ...(fall.reactionS === null
      ? []
      : [
          {
            tone: fall.reactionS > threshold('reactionSurprisedS') ? ('bad' as const) : ('mind' as const),
            says:
              fall.reactionS > threshold('reactionExpectedS')
                ? 'The hand was off, or above, when it began, and braked only after {value}.'
                : 'The hand was off, or above, when it began, and braked within {value}.',
            value: { quantity: 'seconds' as const, value: fall.reactionS },
          },
        ]),
    ...(fall.palmJ > threshold('palmMindJ')
      ? [
          {
            tone: fall.palmJ > threshold('palmStopJ') ? ('bad' as const) : ('mind' as const),
            says:
              fall.palmJ > threshold('palmStopJ')
                ? '{value} of heat in the palm: hardly anybody holds on.'
                : '{value} of heat in the palm: skin is burnt.',
            value: { quantity: 'energyJ' as const, value: fall.palmJ },
          },
        ]
      : []),
  ];
}

/** What the whole practice was: what was good about it as well. */
export function practiceRemarks(p: Practice): Remark[] {
  const held = p.falls.filter((f) => f.ended === 'held').length;
  return [
    p.offBrakeS > 0
      ? {
          tone: p.offBrakeS > threshold('reactionSurprisedS') ? 'bad' : 'mind',
          says: 'Nobody held the brake strand for {value} in all.',
          value: { quantity: 'seconds', value: p.offBrakeS },
        }
      : { tone: 'good', says: 'The brake strand was held all the time.' },
    ...(p.settings.device === 'tube' && p.aboveLineS > 0
      ? [
          {
            tone: 'mind' as const,
            says: 'The brake hand was above the line of the device for {value} in all: there a fall is hardest to hold.',
            value: { quantity: 'seconds' as const, value: p.aboveLineS },
          },
        ]
      : []),
    ...(p.settings.belay === 'top-rope' && p.mostSlackM > threshold('practiceSlackM')
      ? [
          {
            tone: 'mind' as const,
            says: 'Up to {value} of slack stood above the climber.',
            value: { quantity: 'lengthM' as const, value: p.mostSlackM },
          },
        ]
      : []),
    ...(p.tightS > 1
      ? [
          {
            tone: 'mind' as const,
            says: 'The leader waited {value} in all for rope.',
            value: { quantity: 'seconds' as const, value: p.tightS },
          },
        ]
      : []),
    ...(p.longestThumbS > 1
      ? [
          {
            tone: 'bad' as const,
            says: 'The thumb stayed on the cam for {value}: a cam that cannot turn holds nothing.',
            value: { quantity: 'seconds' as const, value: p.longestThumbS },
          },
        ]
      : []),
    ...(p.falls.length > 0
      ? [
          {
            tone: held === p.falls.length ? ('good' as const) : ('bad' as const),
            says: `${held} of ${p.falls.length} falls held.`,
          },
        ]
      : []),
  ];
}

/**
 * The next thing that the hands do in the cycle, for a calm practice: taking in on a top rope, paying out to a leader,
 * lowering.
 */
export function nextMove(p: Practice): string {
  const { brake, guide } = p.hands;
  const { belay, device } = p.settings;
  if (p.doing === 'down')
    return 'The climber is down. Take the rope out only after the climber is standing and has said "Off belay".';
  if (brake === null && !(guide !== null && guide < 0)) return 'Close the brake hand around the brake strand.';
  if (p.falling) return 'Brake hand down, closed.';
  if (p.doing === 'hanging') return 'Hold: brake hand down, closed.';
  if (p.doing === 'lowering') {
    if (device === 'cam')
      return guide === null
        ? 'Guide hand to the lever, brake hand stays closed.'
        : 'Open the lever slowly; the brake hand decides how fast.';
    return guide !== null && guide < 0
      ? 'Both hands below the device: let the rope slide slowly through, brake hand kept low.'
      : 'Guide hand to the brake strand, below the brake hand.';
  }
  if (belay === 'leader') {
    if (p.slackM >= 0.9) return 'Enough slack: brake hand down.';
    if (p.doing === 'clipping' || p.slackM < 0.4) {
      if (device === 'cam')
        return 'Only if your device’s instructions teach it: thumb on the cam for less than a second while the guide hand pulls slack; fingers stay around the brake rope.';
      return brake !== null && brake < -0.2 && guide !== null && guide >= 0
        ? 'Brake hand pushes rope up to the device but stays below it; guide hand pulls it out.'
        : 'Guide hand to the climber’s strand, brake hand low: then pay out.';
    }
    return 'Watch the leader; brake hand down.';
  }
  if (p.slackM < 0.15)
    return brake !== null && brake > 0 ? 'Brake: hand down at once.' : 'Watch the climber; brake hand down.';
  if (brake !== null && brake > 0.7) return 'Brake: hand down at once.';
  if (brake !== null && brake < -0.5)
    return guide !== null && guide < 0
      ? 'Slide: brake hand up to the device, along the strand that the other hand holds.'
      : 'Under: guide hand to the brake strand, below the brake hand.';
  if (guide !== null && guide < 0) return 'Guide hand back to the climber’s strand.';
  return 'Pull: brake hand up and away, the rope comes through.';
}
