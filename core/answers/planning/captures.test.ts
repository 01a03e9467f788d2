import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isFootLoop, strokeFigures } from '../../rigs/pairs/index.ts';
import type { Device } from '../../things/gear/index.ts';
import { ascentOf, type AscentInput } from '../../things/geometry/index.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import { variation, wellRigged, withItem, type Setup } from '../../rigs/rig/index.ts';
import { club, filled, SETUPS } from '../../samples/index.ts';
import { exactly, interval } from '../../foundations/units/index.ts';
import { captureAt, captureChoices } from './index.ts';

const G = 9.80665;
const up = (change: Partial<AscentInput> = {}) =>
  ascentOf({
    strokeMm: exactly(550),
    setbackMm: exactly(0),
    pullN: exactly(0),
    massKg: 80,
    heightM: 30,
    stretch: exactly(0),
    strokeS: exactly(8),
    ...change,
  });

describe('what going up costs', () => {
  // Closed forms of mechanics: nothing lost, so that the work is that of lifting, m g H.
  it('80 kg, 0.55 m a stroke: 431 J, and 23.5 kJ for 30 m, in 54.5 strokes of 8 s: 7.3 minutes', () => {
    const a = up()!;
    expect(a.strokeJ.best).toBeCloseTo(80 * G * 0.55, 9);
    expect(a.strokeJ.best).toBeCloseTo(431.5, 1);
    expect(a.totalKj.best).toBeCloseTo((80 * G * 30) / 1000, 9);
    expect(a.strokes.best).toBeCloseTo(54.5, 1);
    expect(a.minutes.best).toBeCloseTo(7.27, 2);
  });
  it('40 mm given back at each stroke of 550: 8 % more strokes and work; 120 N of pull: 15 % more work', () => {
    expect(up({ setbackMm: exactly(40) })!.totalKj.best / up()!.totalKj.best).toBeCloseTo(550 / 510, 9);
    expect(up({ pullN: exactly(120) })!.totalKj.best / up()!.totalKj.best).toBeCloseTo(1 + 120 / (80 * G), 9);
  });
  it('a stroke that may gain nothing has no number', () => {
    expect(up({ setbackMm: interval(20, 40, 550) })).toBeNull();
  });
  it('laws: more setback, pull, mass, height or stretch never makes it lighter', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('setbackMm', 'pullN', 'massKg', 'heightM', 'stretch'),
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        (key, more) => {
          const base = { setbackMm: 40, pullN: 50, massKg: 70, heightM: 25, stretch: 0.05 };
          const by = key === 'stretch' ? more / 500 : more;
          const raised = base[key] + by;
          const value = key === 'massKg' || key === 'heightM' ? raised : exactly(raised);
          const before = up({ ...base, setbackMm: exactly(40), pullN: exactly(50), stretch: exactly(0.05) })!;
          const after = up({
            ...base,
            setbackMm: exactly(40),
            pullN: exactly(50),
            stretch: exactly(0.05),
            [key]: value,
          })!;
          expect(after.totalKj.best).toBeGreaterThan(before.totalKj.best);
        },
      ),
    );
  });
});

describe('which device captures', () => {
  const rig = wellRigged(
    filled(variation('foot-loop').add(withItem(SETUPS.ascend, 'climber', { ...club.tomas, tieInHeightMm: 1000 }))!),
  );
  const setup: Setup = withItem(rig, 'foot-loop-sling', club.sling);
  const loop = setup.attachments.find(isFootLoop)!;
  const devices = club.otherDevices;
  const choices = captureChoices(setup, loop, devices);

  it('is asked of the one that the foot loop does not hang on, for every device that serves for it', () => {
    const at = captureAt(setup, loop)!;
    expect(loop.end.kind === 'clip' && loop.end.to).not.toBe(at.end.id);
    expect(choices.length).toBeGreaterThan(3);
    expect(choices.map((c) => c.device.family)).not.toContain('body-ascender');
    expect(choices.map((c) => c.device.family)).not.toContain('plain-eight');
  });
  // The judgement's trade-offs: a plate in guide mode draws hard; an assisted cam goes down as it is; teeth give back
  // least.
  it('a plate draws hardest, a cam goes down as it is, and teeth give back least', () => {
    const of = (family: Device['family']) => choices.find((c) => c.device.family === family);
    const [plate, cam, toothed] = [of('guide-plate'), of('assisted-cam'), of('clamp-toothed') ?? of('capture-pulley')];
    expect(plate!.ascent!.strokeJ.best).toBeGreaterThan(cam!.ascent!.strokeJ.best);
    expect(cam!.ascent!.strokeJ.best).toBeGreaterThan(toothed!.ascent!.strokeJ.best);
    expect(toothed!.ascent!.netMm.best).toBeGreaterThan(cam!.ascent!.netMm.best);
    expect([plate!.goesDown, cam!.goesDown, toothed!.goesDown]).toEqual([false, true, false]);
  });
  // From memory, with their intervals.
  it.each([
    ['guide-plate', [60, 120, 200], [20, 40, 80]],
    ['assisted-cam', [20, 50, 100], [20, 40, 80]],
    ['clamp-toothed', [3, 10, 30], [5, 10, 20]],
  ] as const)('%s: draws with %j N and gives back %j mm; a stroke takes 5, 8 or 14 s', (family, pullN, backMm) => {
    const { strokeMm, person } = strokeFigures(loop, contextOf(setup))!;
    const a = choices.find((c) => c.device.family === family)!.ascent!;
    const ends = ['low', 'best', 'high'] as const;
    for (const [i, end] of ends.entries()) {
      expect(a.strokeJ[end] / (strokeMm[end] / 1000) - person.massKg * G).toBeCloseTo(pullN[i]!, 6);
      expect(strokeMm[end] - a.netMm[end]).toBeCloseTo(backMm[2 - i]!, 6);
      expect((a.minutes[end] * 60) / a.strokes[end]).toBeCloseTo([5, 8, 14][i]!, 6);
    }
  });
  it('the better verdict comes first, and less work among equals', () => {
    const rank = { stop: 0, mind: 1, untested: 2, clear: 3 };
    for (const [i, c] of choices.slice(1).entries()) {
      const before = choices[i]!;
      expect(rank[before.verdict]).toBeGreaterThanOrEqual(rank[c.verdict]);
      if (before.verdict === c.verdict)
        expect(before.ascent?.totalKj.best ?? Infinity).toBeLessThanOrEqual(c.ascent?.totalKj.best ?? Infinity);
    }
  });
  it('says nothing while the tie-in was not measured', () => {
    expect(captureChoices(withItem(setup, 'climber', { ...club.tomas, tieInHeightMm: null }), loop, devices)).toEqual(
      [],
    );
  });
});
