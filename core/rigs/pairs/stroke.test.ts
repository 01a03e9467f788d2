import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gripHeights, strokeFigures } from './index.ts';
import { pullN, storedJPerM, type TwoSprings } from '../../things/gear/index.ts';
import { knotsFor, strokeOf } from '../../things/geometry/index.ts';
import { contextOf } from '../elements/index.ts';
import {
  blankSetup,
  SYSTEMS,
  variation,
  wellRigged,
  without,
  withAll,
  withItem,
  withOrder,
  type Setup,
} from '../rig/index.ts';
import { changed, club, filled, SETUPS } from '../../samples/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import { assess } from '../../answers/assess/index.ts';
import { judged } from './judged.test-help.ts';

const of = (tieInHeightMm: number, tetherMm: number, footMm: number, heightM = 30, stretch = 0.08) =>
  strokeOf({
    tieInHeightMm,
    tetherMm: exactly(tetherMm),
    footLoopMm: exactly(footMm),
    heightM,
    stretch: exactly(stretch),
  });

describe('a stroke up a rope', () => {
  // Check values of mechanics, worked by hand: tether - (foot loop - tie-in).
  it('tie-in at 1.00 m, foot loop 1.10, tether 0.65: 0.55 m, 55 strokes for 30 m', () => {
    const s = of(1000, 650, 1100);
    expect(s.strokeMm.best).toBe(550);
    expect(s.standingGapMm.best).toBe(100);
    expect(s.strokes!.best).toBeCloseTo(54.5, 1);
  });
  it('8 % of stretch is 2.4 m and 4.4 strokes before one leaves the ground, 3.5 % is 1.9 strokes', () => {
    expect(of(1000, 650, 1100).lostM.best).toBeCloseTo(2.4, 9);
    expect(of(1000, 650, 1100).lostStrokes!.best).toBeCloseTo(4.4, 1);
    expect(of(1000, 650, 1100, 30, 0.035).lostStrokes!.best).toBeCloseTo(1.9, 1);
  });
  it('a foot loop as long as tie-in and tether gains nothing', () => {
    expect(of(1000, 650, 1650).strokes).toBeNull();
    expect(of(1000, 650, 1700).strokeMm.best).toBeLessThan(0);
  });
  it('laws: a longer tether or a shorter foot loop never lowers the stroke; a bigger person with the same loop gains more', () => {
    const mm = fc.integer({ min: 100, max: 2000 });
    fc.assert(
      fc.property(mm, mm, mm, fc.nat(500), (tie, tether, foot, more) => {
        const base = of(tie, tether, foot).strokeMm.best;
        expect(of(tie, tether + more, foot).strokeMm.best).toBeGreaterThanOrEqual(base);
        expect(of(tie, tether, foot + more).strokeMm.best).toBeLessThanOrEqual(base);
        expect(of(tie + more, tether, foot).strokeMm.best).toBeGreaterThanOrEqual(base);
      }),
    );
  });
  it('from what is at hand to what one ties: knots, and what the sling stays too long by', () => {
    const { best } = constant('overhandInSlingMm');
    expect(knotsFor(1200, 1100)).toEqual({ knots: 1, overMm: 100 - best });
    expect(knotsFor(1100, 1100)).toEqual({ knots: 0, overMm: 0 });
    expect(knotsFor(1000, 1100)).toBeNull();
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 2500 }), fc.integer({ min: 300, max: 2500 }), (whole, wanted) => {
        const tie = knotsFor(whole, wanted);
        if (whole < wanted) {
          expect(tie).toBeNull();
          return;
        }
        // Back again: the sling with these knots is as long as was wanted, and less than one knot longer.
        expect(whole - tie!.knots * best).toBeCloseTo(wanted + tie!.overMm, 9);
        expect(tie!.overMm).toBeGreaterThanOrEqual(0);
        expect(tie!.overMm).toBeLessThan(best);
      }),
    );
  });
});

describe('a foot loop in the rig', () => {
  const up = filled(wellRigged(variation('foot-loop').add(SETUPS.ascend)!));
  const lengths = (footMm: number, tieInHeightMm: number | null = 1040): Setup =>
    changed(withItem(up, 'climber', { ...club.tomas, tieInHeightMm }), { 'foot-sling': { measuredMm: footMm } });
  const said = (setup: Setup) => judged(setup).find((f) => f.code === 'ascend.stroke')!;
  it('fits, collides, gains little, gains nothing', () => {
    const tether = strokeFigures(
      up.attachments.find((a) => a.id === 'foot-loop')!,
      contextOf(lengths(1140)),
    )!.tetherMm.best;
    expect(said(lengths(1140)).severity).toBe('clear');
    expect(said(lengths(1060)).severity).toBe('mind');
    // Standing, 50 mm are asked for between tie-in and upper grip; what to tie aims at 100.
    expect([1089, 1091].map((mm) => said(lengths(mm)).severity)).toEqual(['mind', 'clear']);
    expect(said(lengths(1060)).numbers.find((n) => n.key === 'wanted')!.value.best).toBe(1140);
    expect(said(lengths(1060)).says).toMatch(/short/);
    const little = said(lengths(Math.min(1500, 1040 + Math.round(tether) - 100)));
    expect(little.severity).toBe('mind');
    const gains = (mm: number) => said(lengths(Math.round(1040 + tether - mm))).severity;
    expect([195, 205].map(gains)).toEqual(['mind', 'clear']);
    // Even the good end gains nothing.
    const nothing = said(lengths(1500, 900));
    expect(nothing.severity).toBe('stop');
  });
  it('not measured is not known, and says what to measure', () => {
    expect(said(lengths(1140, null)).severity).toBe('untested');
    expect(said(lengths(1140, null)).because).toMatch(/measured above the soles/);
    expect(said(withItem(lengths(1140), 'above-connector', null)).severity).toBe('untested');
  });
  it('says what to tie in this very sling', () => {
    const long = changed(withItem(lengths(1140), 'foot-sling', { ...club.longSling, loopLengthMm: 1500 }), {
      'foot-sling': { measuredMm: 1060, method: 'girth', knots: 0 },
    });
    expect(said(long).remedy).toMatch(/\d overhand knots/);
    const short = changed(withItem(lengths(1140), 'foot-sling', { ...club.sling, loopLengthMm: 600 }), {
      'foot-sling': { measuredMm: null, method: 'girth', knots: 0 },
    });
    expect(said(short).remedy).toMatch(/too short/);
  });
  it('a foot loop is no attachment: one grip above it is still alone', () => {
    const alone = without(up, 'above');
    expect(alone.attachments.map((a) => a.id)).not.toContain('foot-loop');
    const onMain = filled(wellRigged(variation('foot-loop').add(without(SETUPS.ascend, 'above'))!));
    expect(assess(onMain).findings.map((f) => `${f.code} ${f.severity}`)).toContain('hold.one-attachment stop');
  });
  it('lengths are judged with it, and said to be open without it', () => {
    const open = (s: Setup) =>
      assess(s)
        .findings.filter((f) => f.code === 'rig.not-judged')
        .map((f) => f.says)
        .join();
    expect(open(filled(SETUPS.ascend))).toMatch(/tether and foot loop/);
    expect(open(up)).not.toMatch(/tether and foot loop/);
  });
});

describe('the foot loop at the lower of two', () => {
  const system = (id: string) => SYSTEMS.find((x) => x.id === id)!;
  const clamp = club.otherDevices.find((d) => d.family === 'clamp-toothed')!;
  const squeeze = { ...clamp, id: 'squeeze', name: 'Squeeze', family: 'clamp-squeeze' as const };
  /** Two clamps on slings of the given lengths, mm. */
  const rig = (upperMm: number, lowerMm: number, footMm: number, item: typeof clamp = clamp, massKg = 80): Setup => {
    const bare = withItem(wellRigged(system('squeeze').build(SETUPS.ascend)), 'climber', {
      ...club.tomas,
      massKg,
      tieInHeightMm: 1000,
    });
    const geared = filled(withItem(withItem(bare, 'device', item), 'above-device', { ...item, id: 'other' }));
    return withAll(geared, [
      ['above-tether', { measuredMm: upperMm }],
      ['lower-tether', { measuredMm: lowerMm }],
      ['foot-sling', { measuredMm: footMm }],
    ]);
  };
  const figures = (s: Setup) =>
    strokeFigures(
      s.attachments.find((a) => a.id === 'foot-loop')!,
      contextOf(s),
    )!;
  const heights = (s: Setup, id: string) =>
    gripHeights(
      s.attachments.find((a) => a.id === id)!,
      contextOf(s),
    )!;
  const found = (s: Setup, code: string) => judged(s).find((f) => f.code === code)!;

  it('it comes no higher than to the end of its own tether, nor than to just below the one that carries', () => {
    const [short, long] = [rig(700, 300, 1100), rig(400, 900, 1100)];
    expect(figures(short).tetherMm).toEqual(heights(short, 'lower').bottomMm);
    const { topMm, bottomMm } = heights(long, 'lower');
    expect(figures(long).tetherMm.best).toBe(heights(long, 'above').bottomMm.best - (topMm.best - bottomMm.best));
    // By hand, from the lengths alone: stroke = height of the lower grip - (foot loop - tie-in).
    expect(figures(short).strokeMm.best).toBeCloseTo(heights(short, 'lower').bottomMm.best - (1100 - 1000), 9);
  });
  it('laws: a longer tether of either never lowers the stroke', () => {
    const mm = fc.integer({ min: 150, max: 900 });
    fc.assert(
      fc.property(mm, mm, fc.nat(300), (upper, lower, more) => {
        const base = figures(rig(upper, lower, 1100)).strokeMm.best;
        expect(figures(rig(upper + more, lower, 1100)).strokeMm.best).toBeGreaterThanOrEqual(base);
        expect(figures(rig(upper, lower + more, 1100)).strokeMm.best).toBeGreaterThanOrEqual(base);
      }),
      { numRuns: 25 },
    );
  });

  /**
   * Energy, not the closed form: the stretch at which what is stored equals m g (fall + stretch), searched; then its
   * force, kN.
   */
  const byEnergy = (massKg: number, rope: TwoSprings, fallM: number, ropeM: number) => {
    const weight = (massKg * 9.80665) / 1000;
    let [low, high] = [0, 100];
    for (let i = 0; i < 200; i++) {
      const x = (low + high) / 2;
      if ((ropeM * storedJPerM(rope, x / ropeM)) / 1000 < weight * (fallM + x)) low = x;
      else high = x;
    }
    return pullN(rope, low / ropeM) / 1000;
  };
  it('a fall onto the lower one through its slack tether: length by hand, force by energy', () => {
    const s = rig(700, 500, 1100);
    const drop = found(s, 'ascend.drop');
    const value = (key: string) => drop.numbers.find((n) => n.key === key)!.value;
    const slackM = (heights(s, 'lower').bottomMm.best - 100) / 1000;
    expect(value('drop').best).toBeCloseTo(slackM + constant('grabTravelM').best, 9);
    const k = contextOf(s).load(s.attachments.find((a) => a.id === 'lower')!)!.springs.best;
    expect(value('force').best).toBeCloseTo(byEnergy(80, k, value('drop').best, 2), 6);
    // With as much rope above as is said to be harmless the force is just the limit.
    expect(byEnergy(80, k, value('drop').best, value('harmless').best)).toBeCloseTo(value('limit').best, 6);
    expect(value('limit').best).toBe(constant('teethHurtSheathKn').low);
  });
  it('minds from four metres of rope on, both sides; heavy, light, without teeth', () => {
    const at = (lowerMm: number, item = clamp, massKg = 80) => {
      const f = found(rig(900, lowerMm, 1100, item, massKg), 'ascend.drop');
      return { severity: f.severity, harmless: f.numbers.find((n) => n.key === 'harmless')?.value.best ?? Infinity };
    };
    const tried = [300, 500, 700, 800, 900, 1000, 1050, 1100, 1200, 1300, 1400].map((mm) => at(mm));
    for (const { severity, harmless } of tried) expect(severity).toBe(harmless > 4 ? 'mind' : 'clear');
    expect(new Set(tried.map((t) => t.severity))).toEqual(new Set(['mind', 'clear']));
    // Nearest to the limit on either side: a constant that is moved by a quarter is noticed.
    const near = tried.map((t) => t.harmless);
    expect(Math.max(...near.filter((m) => m <= 4))).toBeGreaterThan(3.2);
    expect(Math.min(...near.filter((m) => m > 4))).toBeLessThan(4.8);
    expect(at(500, clamp, 40).harmless).toBeLessThan(at(500).harmless);
    expect(at(500, squeeze).harmless).toBeLessThan(at(500).harmless);
    expect(at(500, clamp, 200).severity).toBe('mind');
    expect(found(rig(900, 500, 1100, clamp, 200), 'ascend.drop').because).not.toMatch(/Infinity|NaN/);
  });
  it('with the foot loop at the upper one it is a stroke, of what stays below', () => {
    const clamps = filled(
      withItem(
        withItem(
          withItem(wellRigged(system('clamps').build(SETUPS.ascend)), 'climber', {
            ...club.tomas,
            tieInHeightMm: 1000,
          }),
          'device',
          clamp,
        ),
        'grab-device',
        { ...clamp, id: 'other' },
      ),
    );
    const s = withAll(clamps, [
      ['grab-tether', { measuredMm: 600 }],
      ['foot-sling', { measuredMm: 1100 }],
    ]);
    const drop = found(s, 'ascend.drop');
    expect(figures(s).above).toBeNull();
    expect(drop.subject).toEqual(['device', 'grab-device']);
    expect(drop.numbers.find((n) => n.key === 'drop')!.value.best).toBeCloseTo(
      figures(s).strokeMm.best / 1000 + constant('grabTravelM').best,
      9,
    );
    // The other way round along the rope the foot loop is at the lower one.
    const turned = withOrder(s, 'rope', 'grab', 1);
    expect(figures(turned).above?.id).toBe('main');
  });
  it('says nothing of a fall onto a second one that is not there, or not known', () => {
    const one = filled(wellRigged(variation('foot-loop').add(without(SETUPS.ascend, 'above'))!));
    expect(found(one, 'ascend.drop')).toBeUndefined();
    expect(found(withItem(rig(700, 500, 1100), 'device', null), 'ascend.drop')).toBeUndefined();
  });
});

describe('ways of building a whole rig', () => {
  const templates = ['ascend', 'self-belay-top-rope'] as const;
  it('built without anything said it is never clear, and nothing of it is left unasked', () => {
    for (const template of templates)
      for (const s of SYSTEMS.filter((x) => x.templates.includes(template))) {
        const { verdict, findings } = assess(s.build(blankSetup(template, { id: 'x', name: 'x', now: '' })));
        expect(verdict, s.id).not.toBe('clear');
        expect(findings.some((f) => f.code === 'rig.part-missing')).toBe(true);
      }
  });
});
