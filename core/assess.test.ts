import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from './assess.ts';
import { renderFinding, SEVERITIES, type Severity } from './finding/index.ts';
import { blankSetup, type Setup } from './rig/index.ts';
import { club, FAULTY_CODES, rappelDouble, rappelDoubleFaulty } from './samples/index.ts';

const rank = (s: Severity) => SEVERITIES.indexOf(s);
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

  it('a blank set-up is not tested, never clear', () => {
    const { verdict, findings } = assess(blankSetup('x', 'New', '2026-01-01T00:00:00.000Z'));
    expect(verdict).toBe('untested');
    expect(findings.filter((f) => f.code === 'rig.part-missing').length).toBe(8);
  });

  it('leaving out any one part never leaves it clear', () => {
    for (const role of [
      'ropeA',
      'device',
      'deviceConnector',
      'extension',
      'hitchCord',
      'hitchConnector',
      'harness',
    ] as const) {
      const { verdict } = assess({ ...rappelDouble, gear: { ...rappelDouble.gear, [role]: null } });
      expect(verdict, role).toBe('untested');
    }
    expect(assess({ ...rappelDouble, people: { climber: null, partner: null } }).verdict).toBe('untested');
  });

  it('every sentence can be filled in, in both systems, and none says "safe"', () => {
    const setups = [rappelDouble, rappelDoubleFaulty, worsened(rappelDouble, Object.keys(WORSE))];
    for (const setup of setups) {
      for (const f of assess(setup).findings) {
        for (const system of ['metric', 'imperial'] as const) {
          const { says, because, remedy } = renderFinding(f, system);
          expect(`${says} ${because} ${remedy}`).not.toMatch(/[{}]|\bsafe|NaN|undefined/i);
        }
        if (f.severity !== 'clear') expect(f.remedy, f.code).not.toBe('');
        expect(f.sources.length).toBeGreaterThan(0);
      }
    }
  });
});

type Change = (setup: Setup) => Setup;
const gear =
  (change: Partial<Setup['gear']>): Change =>
  (s) => ({ ...s, gear: { ...s.gear, ...change } });
const rig =
  (change: Partial<Setup['rig']>): Change =>
  (s) => ({ ...s, rig: { ...s.rig, ...change } });
const site =
  (change: Partial<Setup['situation']>): Change =>
  (s) => ({ ...s, situation: { ...s.situation, ...change } });
const edit =
  <K extends keyof Setup['gear']>(role: K, change: Partial<NonNullable<Setup['gear'][K]>>): Change =>
  (s) => ({ ...s, gear: { ...s.gear, [role]: { ...s.gear[role]!, ...change } } });
const person =
  (change: Partial<NonNullable<Setup['people']['climber']>>): Change =>
  (s) => ({ ...s, people: { ...s.people, climber: { ...s.people.climber!, ...change } } });

/**
 * Changes that can only make things worse. A knot in the extension is none of them: it brings the hitch nearer to the device, but the
 * device nearer to the hand.
 */
const WORSE: Readonly<Record<string, Change>> = {
  sharpEdge: site({ edge: 'sharp' }),
  textileAnchor: site({ anchorRope: 'textile' }),
  onePoint: site({ anchorPoints: 'one' }),
  ice: site({ weather: 'icy' }),
  higher: (s) => site({ anchorHeightM: s.situation.anchorHeightM + 4 })(s),
  missedMiddle: (s) => rig({ middleMissM: s.rig.middleMissM + 6 })(s),
  openEnds: rig({ ends: 'one-knotted' }),
  oneStrand: rig({ deviceStrands: 'one' }),
  narrowEnd: rig({ ropeOverEnd: 'narrow' }),
  openGate: rig({ deviceGate: 'open' }),
  gateToRope: rig({ deviceGateFaces: 'rope' }),
  hitchOneStrand: rig({ hitchStrands: 'one' }),
  hitchOneEye: rig({ hitchEyes: 'one' }),
  fitOnlyBuckle: gear({ harness: club.lightHarness }),
  longerCord: (s) => edit('hitchCord', { loopLengthMm: (s.gear.hitchCord!.loopLengthMm ?? 600) + 150 })(s),
  slipperyCord: edit('hitchCord', { material: 'uhmwpe' }),
  noLock: edit('deviceConnector', { lock: 'none' }),
  wornDevice: edit('device', { wear: 'worn' }),
  heavier: (s) => person({ massKg: s.people.climber!.massKg + 25 })(s),
  weakerHand: person({ handForceN: 120 }),
  shorterArm: person({ armReachMm: 300 }),
  higherKnee: person({ kneeRaiseMm: 330 }),
  shorterRope: (s) => edit('ropeA', { measuredLengthM: s.gear.ropeA!.measuredLengthM! - 10 })(s),
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
    const covered = ['wornDevice', 'heavier'];
    for (const name of Object.keys(WORSE)) {
      if (!covered.includes(name)) expect(assess(WORSE[name]!(rappelDouble)).verdict, name).not.toBe('clear');
    }
  });

  it('the same set-up always gives the same answer and is left untouched', () => {
    const before = structuredClone(rappelDoubleFaulty);
    expect(assess(rappelDoubleFaulty)).toEqual(assess(before));
    expect(rappelDoubleFaulty).toEqual(before);
  });
});
