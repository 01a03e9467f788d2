import { describe, expect, it } from 'vitest';
import type { Rope, TuningEntry, TuningTrial } from '../gear/index.ts';
import { club } from '../../samples/index.ts';
import { nextAt, ropeStateOf, trialsNow, tunedRopes, tuningState } from './index.ts';

const line = { ...club.thickRope, sheath: 'smooth' as const, stiffness: 'usual' as const, measuredDiameterMm: 11 };
const day = (n: number) => `2026-05-${String(n).padStart(2, '0')}T09:00:00.000Z`;
const trial = (n: number, change: Partial<TuningTrial> = {}): TuningTrial => ({
  kind: 'trial',
  id: `t${n}`,
  ropeId: line.id,
  rope: ropeStateOf(line),
  setting: 4,
  weather: 'dry',
  massKg: 80,
  creepMm: 2,
  bounceMm: 20,
  handForceN: 80,
  dragN: 20,
  releases: 'yes',
  at: day(n),
  note: '',
  ...change,
});
const event = (n: number, what: 'washed' | 'worn' | 'moved', ropeId: string | null = line.id): TuningEntry => ({
  kind: 'event',
  id: `e${n}`,
  ropeId,
  what,
  at: day(n),
  note: '',
});
const state = (tunings: TuningEntry[], rope: Rope = line) => tuningState({ tunings, bollardSettings: 8 }, rope);
const tuned = [trial(1), trial(2)];

describe('whether a device is tuned to a rope', () => {
  it('by two good trials, and by nothing less', () => {
    expect(state([])).toEqual({ kind: 'none' });
    expect(state([trial(1)])).toEqual({ kind: 'begun', next: { kind: 'confirm', setting: 4 } });
    expect(state(tuned)).toEqual({ kind: 'tuned', setting: 4, at: day(2), massKg: 80, weather: 'dry' });
    // In whatever order they were written down.
    expect(state([...tuned].reverse())).toEqual(state(tuned));
  });
  it('counts with the lightest weight that hung in it', () =>
    expect(state([trial(1, { massKg: 95 }), trial(2, { massKg: 70 })])).toMatchObject({ massKg: 70 }));
  it('another rope, a washed one, a worn bollard, a moved setting: not any more', () => {
    expect(state(tuned, { ...line, id: 'another' })).toEqual({
      kind: 'changed',
      why: 'the bollard has since been set for another rope',
    });
    expect(state([...tuned, event(3, 'washed')])).toMatchObject({
      kind: 'stale',
      setting: 4,
      why: 'the rope was washed since',
    });
    expect(state([...tuned, event(3, 'worn', null)])).toMatchObject({ kind: 'stale' });
    expect(state([...tuned, event(3, 'moved', null)])).toMatchObject({ kind: 'stale', why: /setting was changed/ });
    expect(state([...tuned, event(3, 'washed', 'another')])).toMatchObject({ kind: 'tuned' });
    // Never tried on paper: what is said of it may be older than the wash.
    expect(state([event(3, 'washed')])).toEqual({ kind: 'changed', why: 'the rope was washed since' });
    expect(state([event(3, 'washed', 'another')])).toEqual({ kind: 'none' });
    // Before the trials it does not matter.
    expect(state([event(0, 'washed'), ...tuned])).toMatchObject({ kind: 'tuned' });
  });
  it('tuned anew after it, it counts again', () =>
    expect(state([...tuned, event(3, 'washed'), trial(4, { setting: 5 }), trial(5, { setting: 5 })])).toMatchObject({
      kind: 'tuned',
      setting: 5,
    }));
  it('the bollard that was set for another rope since, or tried at another setting', () => {
    expect(state([...tuned, trial(3, { ropeId: 'another', setting: 4 })])).toMatchObject({
      kind: 'stale',
      why: /another rope/,
    });
    expect(state([...tuned, trial(3, { setting: 6, handForceN: 300 })])).toMatchObject({ kind: 'stale' });
  });
  it('a rope that is thicker, fuzzier or stiffer than it was then', () => {
    for (const change of [{ measuredDiameterMm: 11.3 }, { sheath: 'fuzzy' as const }, { stiffness: 'stiff' as const }])
      expect(state(tuned, { ...line, ...change })).toMatchObject({ kind: 'stale', why: /other ones then/ });
    expect(state(tuned, { ...line, measuredDiameterMm: 11.2 })).toMatchObject({ kind: 'tuned' });
  });
  it('a good setting that slipped twice since', () =>
    expect(state([...tuned, trial(3, { creepMm: 30 }), trial(4, { creepMm: 30 })])).toMatchObject({
      kind: 'stale',
      why: /tuned anew/,
    }));
  it('trials of a wet rope are trials of a wet rope', () => {
    const wet = [trial(3, { weather: 'wet' }), trial(4, { weather: 'wet' })];
    expect(state([...tuned, ...wet])).toMatchObject({ kind: 'tuned', weather: 'wet' });
    expect(trialsNow({ tunings: [...tuned, ...wet] }, line.id)).toHaveLength(2);
    expect(state([...tuned, wet[0]!])).toMatchObject({ kind: 'stale' });
  });
});

describe('what to try next', () => {
  const device = (tunings: TuningEntry[]) => ({ tunings, bollardSettings: 8 });
  /**
   * Tunes as the page proposes, on a rope for which one setting is right, until it counts; how many trials that took.
   */
  const tuneAnew = (had: TuningEntry[], right: number, rope: Rope = line): number => {
    const all = [...had];
    for (let i = 0; i < 12; i++) {
      if (tuningState(device(all), rope).kind === 'tuned') return i;
      const { next } = nextAt(device(all), rope);
      if (next.kind === 'none' || next.kind === 'tuned') throw new Error(next.kind);
      const { setting } = next;
      all.push(
        trial(10 + i, {
          id: `anew${i}`,
          ropeId: rope.id,
          rope: ropeStateOf(rope),
          setting,
          ...(setting < right ? { creepMm: 30 } : setting > right ? { handForceN: 200 } : {}),
        }),
      );
    }
    throw new Error('never tuned');
  };
  it.each<[string, TuningEntry[], Rope?]>([
    ['nothing before', []],
    ['washed', [...tuned, event(3, 'washed')]],
    ['the bollard was set for another rope', [...tuned, trial(3, { ropeId: 'another', setting: 7 })]],
    ['another setting was tried', [...tuned, trial(3, { setting: 6, handForceN: 300 })]],
    ['it slipped since', [...tuned, trial(3, { creepMm: 30 }), trial(4, { creepMm: 30 })]],
    ['the sheath is another one', tuned, { ...line, sheath: 'fuzzy' }],
    ['wet before', [trial(1, { weather: 'wet' }), trial(2, { weather: 'wet' })]],
  ])('%s: it goes on to a tuning, whichever setting is right', (_, had, rope = line) => {
    for (let right = 1; right <= 8; right++) expect(tuneAnew(had, right, rope)).toBeLessThanOrEqual(9);
  });
  it('back at a setting that was found and left, one trial is enough', () => {
    const left = [...tuned, trial(3, { setting: 6, handForceN: 300 })];
    expect(nextAt(device(left), line).next).toEqual({ kind: 'confirm', setting: 4 });
    expect(tuneAnew(left, 4)).toBe(1);
  });
  it('law: what is proposed where the state is tuned is the tuning, and nowhere else', () => {
    for (const had of [[], tuned, [trial(1)], [...tuned, event(3, 'worn', null)]])
      expect(nextAt(device(had), line).next.kind === 'tuned').toBe(tuningState(device(had), line).kind === 'tuned');
  });
});

describe('ropes that a device was tuned to', () => {
  it('each once, in the state that it had, dry ones only; what was never found is left out', () => {
    const other = { ropeId: 'other', rope: { ...ropeStateOf(line), diameterMm: 12 } };
    const all = [
      ...tuned,
      trial(3, { ...other, setting: 3 }),
      trial(4, { ...other, setting: 3 }),
      trial(5, { ropeId: 'third', creepMm: 40 }),
      trial(6, { weather: 'wet', setting: 6 }),
      trial(7, { weather: 'wet', setting: 6 }),
    ];
    expect(tunedRopes({ tunings: all, bollardSettings: 8 })).toEqual([
      { rope: ropeStateOf(line), setting: 4 },
      { rope: { ...ropeStateOf(line), diameterMm: 12 }, setting: 3 },
    ]);
  });
});
