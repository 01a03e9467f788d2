import { describe, expect, it } from 'vitest';
import { ropeStateOf } from '../../things/tuning/index.ts';
import type { Device, TuningEntry, TuningTrial } from '../../things/gear/index.ts';
import { deviceOf, withItem, type Setup } from '../../rigs/rig/index.ts';
import { changed, club, filled, SETUPS } from '../../samples/index.ts';
import { assess } from './index.ts';

const line = { ...club.thickRope, stiffness: 'usual' as const };
const base = withItem(filled(SETUPS['tree-stationary']), 'ropeA', line);
const device = deviceOf(base.attachments.find((a) => a.id === 'main')!)!.item!;
const trial = (id: string, change: Partial<TuningTrial> = {}): TuningTrial => ({
  kind: 'trial',
  id,
  ropeId: line.id,
  rope: ropeStateOf(line),
  setting: 4,
  weather: 'dry',
  massKg: 90,
  creepMm: 2,
  bounceMm: 20,
  handForceN: 80,
  dragN: 20,
  releases: 'yes',
  at: `2026-05-01T09:00:0${id}.000Z`,
  note: '',
  ...change,
});
const washed: TuningEntry = {
  kind: 'event',
  id: 'w',
  ropeId: line.id,
  what: 'washed',
  at: '2026-06-01T09:00:00.000Z',
  note: '',
};
const rig = (tunings: TuningEntry[], tuned: 'this-rope' | 'other-rope' | 'no' | 'unknown', setup: Setup = base) =>
  changed(withItem(setup, 'device', { ...device, bollardSettings: 8, tunings } satisfies Device), {
    device: { tuned },
  });
const said = (s: Setup) =>
  assess(s)
    .findings.filter((f) => f.code === 'fit.tuned' || f.code === 'fit.not-tuned')
    .map((f) => `${f.code} ${f.severity}`);
const good = [trial('1'), trial('2')];

describe('the record of a bollard in the verdict', () => {
  it.each([
    ['unknown', ['fit.tuned clear']],
    ['this-rope', ['fit.tuned clear']],
    ['other-rope', ['fit.not-tuned untested']],
    // What one knows at the rope comes before what was written down.
    ['no', ['fit.not-tuned stop']],
  ] as const)('found in trials, and said to be tuned on %s', (tuned, expected) =>
    expect(said(rig(good, tuned))).toEqual(expected),
  );
  it.each([
    ['unknown', ['fit.not-tuned untested']],
    ['this-rope', []],
  ] as const)('without a record what is said counts: %s', (tuned, expected) =>
    expect(said(rig([], tuned))).toEqual(expected),
  );
  it('a record that speaks against it outweighs that it is said to be tuned', () => {
    for (const tunings of [
      [washed],
      [...good, washed],
      [trial('1')],
      [trial('1', { creepMm: 40 })],
      [...good, trial('3', { ropeId: 'other' })],
    ])
      expect(said(rig(tunings, 'this-rope'))).toEqual(['fit.not-tuned untested']);
  });
  it('another state of the rope, another weather, a heavier person: not tested', () => {
    expect(said(withItem(rig(good, 'this-rope'), 'ropeA', { ...line, sheath: 'smooth' }))).toEqual([
      'fit.not-tuned untested',
    ]);
    expect(said(changed(rig(good, 'this-rope'), { site: { weather: 'wet' } }))).toEqual(['fit.not-tuned untested']);
    const of = (massKg: number) => said(withItem(rig(good, 'this-rope'), 'climber', { ...club.tomas, massKg }));
    expect([98, 100].map(of)).toEqual([['fit.tuned clear'], ['fit.not-tuned untested']]);
  });
  it('law: a record never makes a set-up better than saying that it is tuned on this rope', () => {
    const best = assess(rig([], 'this-rope')).verdict;
    for (const tunings of [good, [...good, washed], [trial('1')]])
      for (const tuned of ['this-rope', 'unknown', 'other-rope', 'no'] as const) {
        const { verdict } = assess(rig(tunings, tuned));
        if (best !== 'clear') expect(verdict).not.toBe('clear');
      }
  });
});
