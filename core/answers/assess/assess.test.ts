import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { METRIC, renderFinding, SEVERITIES, type Finding, type Severity } from '../../foundations/finding/index.ts';
import { type Item, type Person } from '../../things/gear/index.ts';
import { contextOf, questionsOf, slotsOf, type Judge } from '../../rigs/elements/index.ts';
import { blankSetup, TEMPLATE_IDS, withItem, type Setup } from '../../rigs/rig/index.ts';
import {
  changed,
  club,
  FAULTY_CODES,
  filled,
  rappelDouble,
  rappelDoubleFaulty,
  SETUPS,
  variedSetups,
} from '../../samples/index.ts';
import { assess, JUDGES } from './index.ts';

const rank = (s: Severity) => SEVERITIES.indexOf(s);
const NOW = '2026-01-01T00:00:00.000Z';
const shown = (setup: Setup) =>
  assess(setup)
    .findings.filter((f) => f.severity !== 'clear')
    .map((f) => f.code);

describe('assess', () => {
  it('finds no fault in the good demo set-up', () => {
    expect(assess(rappelDouble).verdict).toBe('clear');
    expect(shown(rappelDouble)).toEqual([]);
  });

  it('finds exactly the four faults of the faulty one and what follows for what holds, each with a part to mark', () => {
    const { verdict, findings } = assess(rappelDoubleFaulty);
    expect(verdict).toBe('stop');
    expect(new Set(shown(rappelDoubleFaulty))).toEqual(new Set(FAULTY_CODES));
    expect(shown(rappelDoubleFaulty)).toHaveLength(FAULTY_CODES.length);
    for (const f of findings) expect(f.subject.length).toBeGreaterThan(0);
  });

  it.each(TEMPLATE_IDS)('a blank set-up of %s is not tested, and names every place that is open', (id) => {
    const blank = blankSetup(id, { id: 'x', name: 'New', now: NOW });
    const { verdict, findings } = assess(blank);
    expect(verdict).toBe('untested');
    const open = slotsOf(blank).filter((s) => !s.optional);
    const missing = findings.filter((f) => f.code === 'rig.part-missing').flatMap((f) => f.subject);
    expect(missing).toEqual(expect.arrayContaining(open.map((s) => s.ref)));
  });

  it('leaving out any one part of any sample never leaves it clear', () => {
    for (const [name, setup] of Object.entries(SETUPS))
      for (const slot of slotsOf(setup)) {
        if (slot.optional || slot.item === null) continue;
        const { verdict, findings } = assess(withItem(setup, slot.ref, null));
        expect(rank(verdict), `${name} without ${slot.ref}`).toBeLessThanOrEqual(rank('untested'));
        const missing = findings.filter((f) => f.code === 'rig.part-missing').map((f) => f.subject[0]);
        expect(missing, name).toContain(slot.ref);
      }
  });

  it('every sentence can be filled in, in both systems, and none says "safe"', () => {
    const setups = [...variedSetups().map((v) => v.setup), worsened(rappelDouble, Object.keys(WORSE))];
    for (const setup of setups)
      for (const f of assess(setup).findings) {
        for (const reader of [METRIC, { system: 'imperial', words: 'abseil' } as const]) {
          const { says, because, remedy } = renderFinding(f, reader);
          expect(`${says} ${because} ${remedy}`).not.toMatch(/[{}]|\bsafe|NaN|undefined/i);
        }
        if (f.severity !== 'clear') expect(f.remedy, f.code).not.toBe('');
        expect(f.sources.length, f.code).toBeGreaterThan(0);
      }
  });

  it('marks only what is there: every subject is an element of the rig', () => {
    for (const { name, setup } of variedSetups()) {
      const text = JSON.stringify(setup);
      for (const f of assess(setup).findings)
        for (const ref of f.subject)
          expect(text.includes(`"${ref}"`) || ['ground', 'edge'].includes(ref), `${name}: ${f.code} ${ref}`).toBe(true);
    }
  });
});

describe('nothing goes unjudged in silence', () => {
  // Joined ropes are no variation that one adds, but a fact of the line.
  const joined = changed(rappelDouble, {
    rope: { use: 'joined' },
    ropeB: { item: club.thickRope },
    joiningKnot: { knot: 'flat-overhand' },
  });
  // Nor is ice, which asks more of a toothed clamp.
  const icy = changed(SETUPS.ascend, { site: { weather: 'icy' } });
  // Nor does one hang in a plate with two grooves.
  const plate = withItem(
    SETUPS['rappel-single'],
    'device',
    club.otherDevices.find((d) => d.family === 'two-sided-plate')!,
  );
  const corpus = [...variedSetups().map((v) => v.setup), joined, icy, plate].map((setup) => ({
    setup,
    ctx: contextOf(setup),
  }));
  const notJudged = (setup: Setup, judges: readonly Judge[]) =>
    assess(setup, judges).findings.filter((f) => f.code === 'rig.not-judged');
  const whole = new Map(corpus.map(({ setup }) => [setup, notJudged(setup, JUDGES)]));

  /** Judges who look at what others are asked about as well, and answer no question alone. */
  const BESIDE = ['least-class', 'two-masses', 'many'];
  it.each(JUDGES.map((j) => j.id).filter((id) => !BESIDE.includes(id)))(
    'without the judge "%s" the rig says that something is not judged',
    (id) => {
      const rest = JUDGES.filter((j) => j.id !== id);
      const seen = corpus.filter(({ setup }) => {
        const words = (list: readonly Finding[]) => list.map((f) => `${f.subject.join()} ${f.says}`).join('\n');
        return words(notJudged(setup, rest)) !== words(whole.get(setup)!);
      });
      expect(seen.length).toBeGreaterThan(0);
      for (const { setup } of seen) {
        const { verdict, findings } = assess(setup, rest);
        expect(findings).toContainEqual(expect.objectContaining({ code: 'rig.not-judged', severity: 'untested' }));
        expect(rank(verdict)).toBeLessThanOrEqual(rank('untested'));
      }
    },
  );

  it('without any judge everything that is asked is said to be not judged', () => {
    for (const { setup, ctx } of corpus) {
      const about = new Set(notJudged(setup, []).map((f) => f.subject.join()));
      for (const q of questionsOf(ctx)) expect(about).toContain(q.subject.join());
    }
  });

  it('what no scene knows yet is named: a leader’s fall', () => {
    const says = (setup: Setup) => whole.get(setup) ?? notJudged(setup, JUDGES);
    expect(
      says(filled(SETUPS['belay-leader']))
        .map((f) => f.says)
        .join(),
    ).toMatch(/how hard a fall is/);
    expect(says(rappelDouble)).toEqual([]);
  });
});

type Change = (setup: Setup) => Setup;
const fields =
  (ref: string, more: Readonly<Record<string, unknown>>): Change =>
  (s) =>
    changed(s, { [ref]: more });
const item = <T extends Item | Person>(setup: Setup, ref: string): T =>
  slotsOf(setup).find((s) => s.ref === ref)!.item as unknown as T;
const edit =
  (ref: string, change: (now: never) => Readonly<Record<string, unknown>>): Change =>
  (s) => {
    const now = item<Item>(s, ref);
    return withItem(s, ref, { ...now, ...change(now as never) });
  };

/**
 * Changes that can only make things worse. A knot in the extension is none of them: it brings the hitch nearer to the
 * device, but the device nearer to the hand.
 */
const WORSE: Readonly<Record<string, Change>> = {
  sharpEdge: fields('site', { edge: 'sharp' }),
  textileAnchor: fields('anchor', { through: 'textile' }),
  onePoint: fields('anchor', { points: 'one' }),
  ice: fields('site', { weather: 'icy' }),
  higher: (s) => fields('site', { anchorHeightM: s.site.anchorHeightM + 6 })(s),
  missedMiddle: fields('rope', { middleMissM: 7 }),
  openEnds: fields('ropeEnds', { state: 'one-knotted' }),
  oneStrand: fields('device', { strands: 'one' }),
  narrowEnd: fields('deviceConnector', { loadedEnd: 'narrow' }),
  openGate: fields('deviceConnector', { gate: 'open' }),
  gateToRope: fields('deviceConnector', { faces: 'rope' }),
  hitchOneStrand: fields('hitch', { strands: 'one' }),
  hitchOneEye: fields('hitch', { eyes: 'one' }),
  fitOnlyBuckle: (s) => withItem(s, 'harness', club.lightHarness),
  longerCord: edit('hitch', (c: { loopLengthMm: number | null }) => ({ loopLengthMm: (c.loopLengthMm ?? 600) + 150 })),
  slipperyCord: edit('hitch', () => ({ material: 'uhmwpe' })),
  noLock: edit('deviceConnector', () => ({ lock: 'none' })),
  wornDevice: edit('device', () => ({ wear: 'worn' })),
  heavier: edit('climber', (p: Person) => ({ massKg: p.massKg + 25 })),
  weakerHand: edit('climber', () => ({ handForceN: 70 })),
  shorterArm: edit('climber', () => ({ armReachMm: 300 })),
  higherKnee: edit('climber', () => ({ kneeRaiseMm: 330 })),
  shorterRope: edit('ropeA', (r: { measuredLengthM: number }) => ({ measuredLengthM: r.measuredLengthM - 10 })),
};
const worsened = (setup: Setup, names: readonly string[]) => names.reduce((s, name) => WORSE[name]!(s), setup);

describe('laws', () => {
  it('worsening one input never improves the verdict, whatever else is wrong', () => {
    const names = Object.keys(WORSE);
    fc.assert(
      fc.property(fc.subarray(names, { maxLength: 4 }), fc.constantFrom(...names), (before, change) => {
        const setup = worsened(
          rappelDouble,
          before.filter((n) => n !== change),
        );
        expect(rank(assess(WORSE[change]!(setup)).verdict)).toBeLessThanOrEqual(rank(assess(setup).verdict));
      }),
      { numRuns: 400 },
    );
  });

  it('each of them alone is noticed, except those that the margins still cover', () => {
    // A knee that comes up higher still leaves three fingers at its best value.
    const covered = ['wornDevice', 'heavier', 'higherKnee'];
    for (const name of Object.keys(WORSE))
      if (!covered.includes(name)) expect(assess(WORSE[name]!(rappelDouble)).verdict, name).not.toBe('clear');
  });

  it('what makes the place worse never improves the verdict of any sample', () => {
    const places = ['sharpEdge', 'textileAnchor', 'onePoint', 'ice'];
    for (const { name, setup } of variedSetups()) {
      const before = rank(assess(setup).verdict);
      for (const place of places)
        expect(rank(assess(WORSE[place]!(setup)).verdict), `${name}, ${place}`).toBeLessThanOrEqual(before);
    }
  });

  it('which hand brakes changes nothing that is found', () => {
    for (const { name, setup } of variedSetups()) {
      const persons = setup.persons.map((p) => ({
        ...p,
        item: p.item && { ...p.item, brakeHand: p.item.brakeHand === 'left' ? ('right' as const) : ('left' as const) },
      }));
      const found = (s: Setup) => assess(s).findings.map((f) => `${f.code} ${f.severity}`);
      expect(found({ ...setup, persons }).sort(), name).toEqual(found(setup).sort());
    }
  });

  it('the same set-up always gives the same answer and is left untouched', () => {
    const before = structuredClone(rappelDoubleFaulty);
    expect(assess(rappelDoubleFaulty)).toEqual(assess(before));
    expect(rappelDoubleFaulty).toEqual(before);
  });
});
