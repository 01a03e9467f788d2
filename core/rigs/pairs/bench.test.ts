import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { SEVERITIES, type Severity } from '../../foundations/finding/index.ts';
import type { BenchTest, Device } from '../../things/gear/index.ts';
import { hanging, held, holdsFromRig } from '../../answers/redundancy/index.ts';
import { contextOf } from '../elements/index.ts';
import { deviceOf, variation, wellRigged, withItem, type Setup } from '../rig/index.ts';
import { changed, club, filled, SETUPS } from '../../samples/index.ts';
import { benchSeverity, benchSubjects } from './index.ts';
import { judged } from './judged.test-help.ts';

const family = (wanted: Device['family']) => club.otherDevices.find((d) => d.family === wanted)!;
const grab = family('rope-grab');
const toothed: Device = { ...family('clamp-toothed'), declarations: grab.declarations };
const two = wellRigged(filled(variation('second-grab').add(SETUPS['self-belay-top-rope'])!));
/** A grab above one with teeth, or the other way round. */
const rig = (lower: Device): Setup => {
  const subject = benchSubjects(contextOf(two))[0]!;
  return withItem(two, subject.lower.end.id, lower);
};
const subjectOf = (setup: Setup) => benchSubjects(contextOf(setup))[0]!;
const tried = (setup: Setup, ...tries: Partial<BenchTest>[]): Setup => {
  const { lower, pair } = subjectOf(setup);
  const item = deviceOf(lower)!.item!;
  const bench = tries.map((t, i): BenchTest => ({
    ...pair,
    id: `try-${i}`,
    result: 'held',
    travelMm: 40,
    loadKg: 150,
    weather: 'dry',
    at: `2026-11-2${i}T10:00:00.000Z`,
    note: '',
    ...t,
  }));
  return withItem(setup, lower.end.id, { ...item, bench });
};
const found = (setup: Setup) => judged(setup).filter((f) => f.code === 'between.bench');
const said = (setup: Setup) => found(setup).map((f) => f.severity);

describe('a try of one’s own near the ground', () => {
  it('is about this pair, on this rope, with this connector, and nothing else', () => {
    const setup = rig(toothed);
    expect(said(tried(setup, { result: 'pushed-open' }))).toEqual(['stop']);
    for (const other of [
      { upperId: 'another' },
      { ropeId: 'another' },
      { connectorId: null },
      { connectorId: 'another' },
    ])
      expect(said(tried(setup, { result: 'pushed-open', ...other })), JSON.stringify(other)).toEqual([]);
  });
  // Common practice: 10 cm until it holds are usual, more than 30 cm are too much.
  it.each([
    ['held', 0, 'clear'],
    ['held', 100, 'clear'],
    ['held', 101, 'mind'],
    ['held', 300, 'mind'],
    ['held', 301, 'stop'],
    ['slid', 90, 'clear'],
    ['slid', null, 'mind'],
    ['held', null, 'untested'],
    ['jammed', 0, 'mind'],
    ['pushed-open', 0, 'stop'],
    ['pushed-open', null, 'stop'],
  ] as const)('%s after %s mm: %s', (result, travelMm, severity) => {
    expect(benchSeverity({ result, travelMm })).toBe(severity);
    expect(said(tried(rig(toothed), { result, travelMm }))).toEqual([severity]);
  });
  it('the worst of several counts, in whatever order they were made', () => {
    const good = { result: 'held', travelMm: 20 } as const;
    const bad = { result: 'pushed-open', travelMm: null } as const;
    expect(said(tried(rig(toothed), good, bad, good))).toEqual(['stop']);
    expect(said(tried(rig(toothed), bad, good))).toEqual(['stop']);
  });
  it('held with less than the weight that hangs there, or on another rope than a wet one, is not tested', () => {
    expect(said(tried(rig(toothed), { loadKg: 30 }))).toEqual(['untested']);
    expect(said(tried(rig(toothed), { loadKg: null }))).toEqual(['untested']);
    const wet = changed(rig(toothed), { site: { weather: 'wet' } });
    expect(said(tried(wet, {}))).toEqual(['untested']);
    expect(said(tried(wet, { weather: 'wet' }))).toEqual(['clear']);
    // Heavy on a dry rope and light on a wet one is not heavy on a wet one.
    expect(said(tried(wet, { weather: 'dry', loadKg: 200 }, { weather: 'wet', loadKg: 30 }))).toEqual(['untested']);
    // Nobody is chosen: any weight may hang there.
    expect(said(withItem(tried(rig(toothed), {}), 'climber', null))).toEqual(['untested']);
  });
  it('law: it never takes a finding away and never makes a verdict better, for every result and way', () => {
    const rank = (s: Severity) => SEVERITIES.indexOf(s);
    fc.assert(
      fc.property(
        fc.constantFrom(toothed, grab),
        fc.constantFrom('held', 'slid', 'pushed-open', 'jammed'),
        fc.option(fc.integer({ min: 0, max: 3000 })),
        fc.constantFrom(null, 30, 200),
        (lower, result, travelMm, loadKg) => {
          const before = assess(rig(lower));
          const after = assess(tried(rig(lower), { result, travelMm, loadKg }));
          expect(rank(after.verdict)).toBeLessThanOrEqual(rank(before.verdict));
          for (const f of before.findings) expect(after.findings).toContainEqual(f);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('what was pushed open in a try does not hold when the upper one slips, teeth or not', () => {
    const left = (setup: Setup) => {
      const ctx = contextOf(setup);
      const model = holdsFromRig(ctx, hanging(ctx)[0]!, assess(setup).findings);
      const slips = model.faults.filter((f) => f.basic && f.part === subjectOf(setup).upper.end.id);
      expect(slips.length).toBeGreaterThan(0);
      return slips.map((f) => held(model, [f.id]));
    };
    const good = left(rig(toothed));
    expect(good).toContain(true);
    const bad = left(tried(rig(toothed), { result: 'pushed-open' }));
    expect(bad.filter(Boolean).length).toBeLessThan(good.filter(Boolean).length);
    // A try in which it held, or slid a little, takes nothing away from what holds.
    for (const result of ['held', 'slid'] as const)
      expect(left(tried(rig(toothed), { result, travelMm: 200 }))).toEqual(good);
  });
  it('nothing is asked where nothing can be tried: one grip, or a part that is not chosen', () => {
    expect(benchSubjects(contextOf(filled(SETUPS['self-belay-top-rope'])))).toEqual([]);
    const { lower } = subjectOf(two);
    expect(benchSubjects(contextOf(withItem(two, lower.end.id, null)))).toEqual([]);
  });
});
