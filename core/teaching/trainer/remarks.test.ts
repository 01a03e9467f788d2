import { describe, expect, it } from 'vitest';
import { fallRemarks, practiceRemarks, startPractice, type FallRecord, type Practice } from './index.ts';

const fall = (more: Partial<FallRecord>): FallRecord => ({
  atS: 10,
  reactionS: null,
  fallenM: 1,
  slidM: 0.2,
  palmJ: 0,
  ended: 'held',
  ...more,
});
const practice = (more: Partial<Practice>): Practice => ({
  ...startPractice({
    belay: 'top-rope',
    device: 'tube',
    hand: 'right',
    pace: 'calm',
    massKg: 80,
    handForceN: 230,
    topM: 12,
    seed: 1,
  }),
  ...more,
});
const tones = (remarks: readonly { tone: string }[]) => remarks.map((r) => r.tone);

describe('what a fall was', () => {
  // From memory: a hand that is ready closes within 0.3 s, one that is surprised within 0.6 s.
  it.each([
    [0.29, 'mind', 'braked within'],
    [0.31, 'mind', 'braked only after'],
    [0.59, 'mind', 'braked only after'],
    [0.61, 'bad', 'braked only after'],
  ])('a hand that braked after %s s: %s', (reactionS, tone, words) => {
    const remark = fallRemarks(fall({ reactionS }))[1]!;
    expect(remark.tone).toBe(tone);
    expect(remark.says).toContain(words);
  });
  // 107, 300 and 760 J in the palm after 0.3, 0.5 and 0.8 s without a hand; skin is burnt from 100, hardly anybody
  // holds on from 300.
  it.each([
    [99, ['good']],
    [107, ['good', 'mind']],
    [299, ['good', 'mind']],
    [301, ['good', 'bad']],
  ])('%s J in the palm', (palmJ, said) => expect(tones(fallRemarks(fall({ palmJ })))).toEqual(said));
  it('the ground is said before anything else', () =>
    expect(fallRemarks(fall({ ended: 'ground', reactionS: 2, palmJ: 500 }))[0]!.says).toContain('reached the ground'));
});

describe('what a practice was', () => {
  it.each([
    [0, 'good'],
    [0.59, 'mind'],
    [0.61, 'bad'],
  ])('nobody at the brake strand for %s s: %s', (offBrakeS, tone) =>
    expect(practiceRemarks(practice({ offBrakeS }))[0]!.tone).toBe(tone),
  );
  it('half a metre of slack above a climber on a top rope is minded, less is not', () => {
    const slack = (mostSlackM: number) =>
      practiceRemarks(practice({ mostSlackM })).some((r) => r.says.includes('slack'));
    expect([0.49, 0.51].map(slack)).toEqual([false, true]);
  });
});
