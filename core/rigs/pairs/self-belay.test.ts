import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gripHeights } from './index.ts';
import { springsOf, staticStretch, storedJPerM, type Device } from '../../things/gear/index.ts';
import {
  fallsToM,
  feedingWeightKg,
  feedsAboveM,
  groundReachedBelowM,
  hangsToM,
  meetsWithM,
} from '../../things/geometry/index.ts';
import { contextOf } from '../elements/index.ts';
import { variation, wellRigged, withFields, withItem, type Setup } from '../rig/index.ts';
import { changed, club, filled, SETUPS } from '../../samples/index.ts';
import { exactly, STANDARD_GRAVITY_M_PER_S2 } from '../../foundations/units/index.ts';
import { assess } from '../../answers/assess/index.ts';
import { grab, KINDS, rigged, toothed, type Kind } from './grips.test-help.ts';
import { judged } from './judged.test-help.ts';

const solo = wellRigged(filled(SETUPS['self-belay-top-rope']));
const found = (setup: Setup, code: string) =>
  judged(setup)
    .filter((f) => f.code === code)
    .map((f) => f.severity);
const said = (setup: Setup, code: string) => judged(setup).find((f) => f.code === code)!;
const number = (setup: Setup, code: string, key: string) => said(setup, code).numbers.find((n) => n.key === key)!.value;

describe('where a fall reaches the ground, and where a rope runs by itself', () => {
  // Figures of mechanics, worked by hand for 30 m of rope and 0.3 m of travel, 9.0 kN; a tenth of a metre as printed.
  it.each([
    [68, 6, 3.0, 1.7],
    [68, 8, 3.6, 2.2],
    [68, 10, 4.2, 2.6],
    [110, 6, 4.0, 2.3],
    [110, 8, 4.6, 2.8],
    [110, 10, 5.2, 3.3],
  ])('%s kg on a rope of %s %%: %s m at the lowest point, %s m hanging still', (massKg, percent, falls, hangs) => {
    const { best } = springsOf({ ...club.longRope, impactForceKn: 9, staticStretchPercent: percent });
    expect(Math.abs(fallsToM(best, massKg, 30, 0.3) - falls)).toBeLessThan(0.06);
    expect(Math.abs(hangsToM(best, massKg, 30, 0.3) - hangs)).toBeLessThan(0.06);
  });
  it('the lowest point is where the energy of the fall is in the rope (searched), and the bounce lies between the two ends', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 200, noNaN: true }),
        fc.double({ min: 2, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        fc.constantFrom(club.longRope, club.thickRope, club.thinRope),
        (massKg, ropeM, travelM, rope) => {
          const springs = springsOf(rope);
          const lowest = fallsToM(springs.best, massKg, ropeM, travelM);
          const strain = (lowest - travelM) / (ropeM - lowest);
          const lost = massKg * STANDARD_GRAVITY_M_PER_S2 * lowest;
          expect(storedJPerM(springs.best, strain) * (ropeM - lowest)).toBeCloseTo(lost, 5);
          expect(hangsToM(springs.best, massKg, ropeM, travelM)).toBeLessThanOrEqual(lowest + 1e-9);
          const { low, best, high } = groundReachedBelowM(ropeM, springs, massKg, exactly(travelM));
          expect([low, best, high].every((h) => h >= 0 && h <= ropeM)).toBe(true);
          expect(best).toBeLessThanOrEqual(lowest + 1e-9);
        },
      ),
    );
  });
  it('10 N of drag and 62 g/m: from 16.4 m on; 1 kg on the end takes all but 0.3 m of it', () => {
    expect(feedsAboveM(exactly(10), exactly(0.062), 0).best).toBeCloseTo(16.4, 1);
    expect(feedsAboveM(exactly(10), exactly(0.062), 1).best).toBeCloseTo(0.32, 1);
    expect(feedsAboveM(exactly(10), exactly(0.062), 3).best).toBe(0);
    expect(feedingWeightKg(exactly(9.80665)).best).toBeCloseTo(1, 9);
  });
  it('two grabs meet where the rope above gives what is between them; on a rope that gives nothing they never do', () => {
    expect(meetsWithM(exactly(0.5), exactly(0.08), 0.1).best).toBeCloseTo(5, 9);
    expect(meetsWithM(exactly(0.1), exactly(0.08), 0.1).best).toBe(0);
    expect(meetsWithM(exactly(0.5), exactly(0), 0.1).best).toBeGreaterThan(400);
  });
  it('laws: more mass, travel or rope never lowers the height; more weight on the end never raises where it feeds', () => {
    const m = fc.double({ min: 0.1, max: 100, noNaN: true });
    const kg = fc.double({ min: 15, max: 150, noNaN: true });
    const springs = springsOf(club.longRope);
    const all = (h: number, massKg: number, t: number) => {
      const { low, best, high } = groundReachedBelowM(h, springs, massKg, exactly(t));
      return [low, best, high];
    };
    fc.assert(
      fc.property(m, kg, m, m, (h, massKg, t, more) => {
        // More slack than half of the rope is nobody's top rope.
        fc.pre(2 * (t + more) <= h);
        const base = all(h, massKg, t);
        const worse = [all(h + more, massKg, t), all(h, massKg + more, t), all(h, massKg, t + more)];
        for (const list of worse) list.forEach((x, i) => expect(x).toBeGreaterThanOrEqual(base[i]! - 1e-9));
        expect(feedsAboveM(exactly(h), exactly(0.05), t).best).toBeGreaterThanOrEqual(
          feedsAboveM(exactly(h), exactly(0.05), t + more).best,
        );
      }),
    );
  });
});

describe('alone on a top rope', () => {
  const withDevice = (device: Device, slackM: number | null) =>
    changed(withItem(solo, 'device', device), { device: { slackM } });
  it('slack: not said, little, much; with teeth it is a stop earlier', () => {
    expect(found(withDevice(grab, null), 'solo.fall')).toEqual(['untested']);
    for (const device of [grab, toothed]) {
      expect(found(withDevice(device, 0), 'solo.fall')).toEqual(['clear']);
      expect(found(withDevice(device, 0.2), 'solo.fall')).toEqual(['mind']);
      expect(found(withDevice(device, 1.6), 'solo.fall')).toEqual(['stop']);
    }
    expect(found(withDevice(grab, 2), 'solo.fall')).toEqual(['stop']);
  });
  // From memory, with its interval: a grab runs 0.02 / 0.1 / 0.3 m before it bites and drags with 5 / 10 / 20 N.
  it('what a grab runs before it bites adds to the slack: 0.1 m are a fall of 0.12, 0.2 and 0.4 m', () => {
    const fall = number(withDevice(grab, 0.1), 'solo.fall', 'fall');
    expect(fall.low).toBeCloseTo(0.12, 12);
    expect(fall.best).toBeCloseTo(0.2, 12);
    expect(fall.high).toBeCloseTo(0.4, 12);
  });
  it('what a grab drags with asks for as much weight on the end: 5, 10 and 20 N are 0.51, 1.02 and 2.04 kg', () => {
    const wanted = number(withDevice(grab, 0.1), 'solo.feed', 'wanted');
    expect(wanted.low).toBeCloseTo(5 / 9.80665, 12);
    expect(wanted.best).toBeCloseTo(10 / 9.80665, 12);
    expect(wanted.high).toBeCloseTo(20 / 9.80665, 12);
  });
  // EN 567 and EN 353-2: one minds from 4 kN, stops from 6.5 with teeth and from 6 without. Nobody is there to help:
  // the upper end counts.
  it('the upper end of the force decides, from both sides of each limit', () => {
    const seen = new Set<string>();
    for (const [device, mind, stop] of [
      [toothed, 4, 6.5],
      [grab, 4, 6],
    ] as const)
      for (let slackM = 0; slackM <= 2; slackM += 0.02) {
        const setup = withDevice(device, slackM);
        const kn = number(setup, 'solo.fall', 'force').high;
        const expected = kn > stop ? 'stop' : kn > mind ? 'mind' : 'clear';
        expect(said(setup, 'solo.fall').severity, `${device.name}, ${slackM} m, ${kn} kN`).toBe(expected);
        seen.add(`${device.id} ${expected}`);
      }
    expect(seen.size).toBe(6);
  });
  // Common practice: one minds where a fall ends on the ground, or the rope has to be pulled through, above two metres.
  it('two metres are the limit, for the ground and for where the rope runs by itself', () => {
    const seen = new Set<string>();
    for (let anchorHeightM = 6; anchorHeightM <= 60; anchorHeightM += 0.5) {
      const setup = changed(solo, { site: { anchorHeightM } });
      const expected = number(setup, 'solo.ground', 'height').best > 2 ? 'mind' : 'clear';
      expect(found(setup, 'solo.ground')).toEqual([expected]);
      seen.add(`ground ${expected}`);
    }
    for (let endWeightKg = 0.1; endWeightKg < 2; endWeightKg += 0.01) {
      const setup = withFields(solo, 'rope', { endWeightKg });
      const expected = number(setup, 'solo.feed', 'from').best > 2 ? 'mind' : 'clear';
      expect(found(setup, 'solo.feed')).toEqual([expected]);
      seen.add(`feed ${expected}`);
    }
    expect(seen.size).toBe(4);
  });
  // From memory, with its interval: a grab is 60 / 100 / 160 mm long above the eye it hangs by.
  it('a grab reaches 60 to 160 mm above its eye', () => {
    const ctx = contextOf(solo);
    const { bottomMm, topMm } = gripHeights(
      solo.attachments.find((a) => a.end.id === 'device')!,
      ctx,
    )!;
    expect(topMm.low - bottomMm.low).toBeCloseTo(60, 9);
    expect(topMm.best - bottomMm.best).toBeCloseTo(100, 9);
    expect(topMm.high - bottomMm.high).toBeCloseTo(160, 9);
  });
  it('more slack never makes it softer', () => {
    const rank = { clear: 0, mind: 1, untested: 1, stop: 2 };
    const slacks = [0, 0.05, 0.1, 0.2, 0.4, 0.8, 1.6, 3];
    for (const device of [grab, toothed]) {
      const force = slacks.map((s) => number(withDevice(device, s), 'solo.fall', 'force').best);
      expect(force).toEqual([...force].sort((a, b) => a - b));
      const ranks = slacks.map((s) => rank[said(withDevice(device, s), 'solo.fall').severity]);
      expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    }
  });
  it('a long dynamic rope reaches the ground from high up, a low-stretch one does not', () => {
    const tall = changed(solo, { site: { anchorHeightM: 40 } });
    const on = (construction: 'single' | 'low-stretch') =>
      withItem(tall, 'ropeA', { ...club.thickRope, construction, lengthM: 60, measuredLengthM: null });
    expect(found(on('single'), 'solo.ground')).toEqual(['mind']);
    expect(number(on('single'), 'solo.ground', 'height').best).toBeGreaterThan(
      number(on('low-stretch'), 'solo.ground', 'height').best,
    );
  });
  it('what is about the rope is said once, however many sit on it; each of them keeps its own doubt', () => {
    const two = changed(filled(wellRigged(variation('second-grab').add(SETUPS['self-belay-top-rope'])!)), {});
    const { findings } = assess(two);
    const feed = findings.filter((f) => f.code === 'solo.feed');
    expect(feed).toHaveLength(1);
    expect(feed[0]!.subject).toEqual(expect.arrayContaining(['device', 'grab-device']));
    // Low-stretch rope is the usual rope here.
    expect(findings.map((f) => f.code)).not.toContain('fit.rope-not-for-job');
    expect(found(two, 'solo.fall')).toHaveLength(2);
  });
  it('nothing on the end: the rope has to be pulled; a few kilograms make it run', () => {
    const hung = (endWeightKg: number | null) => found(withFields(solo, 'rope', { endWeightKg }), 'solo.feed');
    expect(hung(null)).toEqual(['mind']);
    expect(hung(0.2)).toEqual(['mind']);
    expect(hung(2)).toEqual(['clear']);
  });
});
describe('two that grip one rope', () => {
  const of = (above: Kind, below: Kind, tethers: readonly [number, number] = [300, 300], heightM = 25) =>
    found(
      rigged(
        [
          { kind: above, rope: 1, tetherMm: tethers[0] },
          { kind: below, rope: 1, tetherMm: tethers[1] },
        ],
        heightM,
      ),
      'between.cascade',
    );
  it('every hitch and every grab without teeth is pushed open; one with teeth is not, whatever is above it', () => {
    for (const above of KINDS) {
      expect(of(above, 'hitch'), above).toEqual(['mind']);
      expect(of(above, 'grab'), above).toEqual(['mind']);
      expect(of(above, 'toothed'), above).toEqual(['clear']);
    }
  });
  it('on two ropes neither can slide onto the other', () =>
    expect(
      found(
        rigged([
          { kind: 'grab', rope: 1, tetherMm: 300 },
          { kind: 'grab', rope: 2, tetherMm: 300 },
        ]),
        'between.cascade',
      ),
    ).toEqual([]));
  it('a gap that the rope does not give is far enough; the same gap on a long rope is not', () => {
    expect(of('grab', 'grab', [900, 200], 2)).toEqual(['clear']);
    expect(of('grab', 'grab', [900, 200], 25)).toEqual(['mind']);
    const meets = number(
      rigged([
        { kind: 'grab', rope: 1, tetherMm: 900 },
        { kind: 'grab', rope: 1, tetherMm: 200 },
      ]),
      'between.cascade',
      'meets',
    );
    // The gap at its least: 900 - 200 - two times 10 of measuring - a body of 160; less 100, over 5 % or 10 % of
    // stretch.
    expect(meets.best).toBeCloseTo((0.52 - 0.1) / staticStretch(club.thickRope, club.tomas.massKg).high, 1);
  });
  it('the upper one that takes the lower one along is said once, where the two are judged', () => {
    const two = rigged([
      { kind: 'grab', rope: 1, tetherMm: 300 },
      { kind: 'grab', rope: 1, tetherMm: 300 },
    ]);
    expect(found(two, 'between.cascade')).toEqual(['mind']);
    const alone = (setup: Setup) =>
      assess(setup).findings.flatMap((f) => (f.code === 'hold.one-attachment' ? [f.severity] : []));
    expect(alone(two)).toEqual([]);
    expect(alone(rigged([{ kind: 'grab', rope: 1, tetherMm: 300 }]))).toEqual(['stop']);
  });
  it('what is not measured is not known, and counts as pushed open', () => {
    const setup = rigged([
      { kind: 'grab', rope: 1, tetherMm: 300 },
      { kind: 'grab', rope: 1, tetherMm: 300 },
    ]);
    const bare = withItem(setup, 'a0-sling', null);
    expect(found(bare, 'between.cascade')).toEqual(['untested']);
  });
});
