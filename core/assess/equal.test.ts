/* eslint-disable @typescript-eslint/no-explicit-any, @typescript-eslint/no-unsafe-member-access, @typescript-eslint/no-unsafe-assignment, @typescript-eslint/no-unsafe-argument, @typescript-eslint/no-unsafe-call, @typescript-eslint/no-unsafe-return */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { assess as old } from '../assess.ts';
import { assess } from '../assess/index.ts';
import { setup4 } from '../files/index.ts';
import { rigSetupSchema, rigSchema, situationSchema, type Setup } from '../rig/index.ts';
import { fieldMeta } from '../gear/index.ts';
import { club, rappelDouble } from '../samples/index.ts';
import { rappelHolds, minimalCutSets, holdsFromRig } from '../hold/index.ts';
import { contextOf } from '../parts/index.ts';
import { JUDGES } from '../assess/index.ts';

const pickOf = <T>(list: readonly T[]) => fc.constantFrom(...list);
const field = (schema: any): fc.Arbitrary<unknown> => {
  const meta = fieldMeta(schema)!;
  if (meta.options) return fc.constantFrom(...Object.keys(meta.options));
  throw new Error('x');
};
const of = (kind: string) => club.clubItems.filter((i) => i.kind === kind) as any[];
const slot = (kind: string, miss = 1) =>
  fc.oneof({ weight: miss, arbitrary: fc.constant(null) }, { weight: 12, arbitrary: pickOf(of(kind)) });
const situation = fc.record({
  anchorHeightM: fc.double({ min: 1, max: 60, noNaN: true }),
  stanceHeightM: fc.oneof(fc.constant(0), fc.double({ min: 0, max: 30, noNaN: true })),
  extraLineM: fc.oneof(fc.constant(0), fc.double({ min: 0, max: 10, noNaN: true })),
  ...Object.fromEntries(
    ['anchorRope', 'anchorPoints', 'edge', 'steepness', 'weather'].map((k) => [
      k,
      field((situationSchema.shape as any)[k]),
    ]),
  ),
});
const num: Record<string, fc.Arbitrary<unknown>> = {
  middleMissM: fc.double({ min: 0, max: 5, noNaN: true }),
  extensionKnots: fc.integer({ min: 0, max: 3 }),
  extensionMeasuredMm: fc.oneof(fc.constant(null), fc.double({ min: 100, max: 800, noNaN: true })),
  hitchWraps: fc.integer({ min: 1, max: 7 }),
};
const rig = fc.record(
  Object.fromEntries(
    Object.entries(rigSchema.shape).map(([k, s]) => [
      k,
      num[k] ?? fc.oneof(fc.constant((rappelDouble.rig as any)[k]), field(s)),
    ]),
  ),
);
const who = fc
  .record({
    massKg: fc.double({ min: 30, max: 130, noNaN: true }),
    handForceN: fc.oneof(fc.constant(null), fc.double({ min: 40, max: 400, noNaN: true })),
    brakeHand: pickOf(['left', 'right'] as const),
  })
  .map((p) => ({ ...club.ilse, ...p }));
const setups = fc
  .record({
    situation,
    rig,
    climber: fc.oneof({ weight: 1, arbitrary: fc.constant(null) }, { weight: 12, arbitrary: who }),
    partner: fc.oneof(fc.constant(null), fc.constant(club.tomas)),
    gear: fc.record({
      ropeA: slot('rope'),
      ropeB: slot('rope', 4),
      device: slot('device'),
      deviceConnector: slot('connector'),
      extraConnector: fc.oneof(
        { weight: 4, arbitrary: fc.constant(null) },
        { weight: 1, arbitrary: pickOf(of('connector')) },
      ),
      extension: slot('sling'),
      hitchCord: slot('cord'),
      hitchConnector: slot('connector'),
      harness: slot('harness'),
    }),
  })
  .map((x): Setup => ({
    ...rappelDouble,
    situation: x.situation as any,
    rig: x.rig as any,
    people: { climber: x.climber, partner: x.partner },
    gear: x.gear as any,
  }));

import { seatFindings } from '../connector/index.ts';
import { diameterOf } from '../gear/index.ts';
import { mainConnector } from '../rig/index.ts';
const oldSeat = (ref: any, ctx: any) => {
  const a = ctx.attachment(ref);
  const c = mainConnector(a)!;
  const r = ctx.ropes(a);
  if (!c.item || !r) return [];
  const [x, y] = [r.ropeA, r.ropeB ?? r.ropeA].map((q: any) => diameterOf(q).diameterMm.best);
  return seatFindings({ connector: c.item, part: c.id, ropeEnd: c.loadedEnd, strandsMm: [x!, y!] });
};
const NEW = new Set(['way', 'two-connectors', 'root']);
const list = (fs: readonly any[]) =>
  [
    ...new Set(
      fs.map(
        (f) =>
          `${f.code} ${f.severity} ${f.code.startsWith('hold.') ? [...f.subject].sort().join() : f.subject.join()}`,
      ),
    ),
  ].sort();

// The composed judges against the engine they replace; goes with it, its answers stay as a fixture.
it('gives the findings of the engine before, on thousands of random set-ups', () => {
  let n = 0;
  fc.assert(
    fc.property(setups, (s) => {
      const up = setup4(structuredClone(s));
      const parsed = rigSetupSchema.parse(up);
      const judges = JUDGES.filter((j) => !NEW.has(j.id)).map((j) =>
        j.id === 'seat'
          ? { ...j, judge: oldSeat }
          : j.id === 'gate'
            ? { ...j, subjects: (c: any) => j.subjects(c).filter((r) => r !== 'extraConnector') }
            : j,
      );
      const a = list(old(s).findings);
      const b = list(assess(parsed, judges).findings.filter((f) => f.code !== 'rig.not-judged'));
      expect(b).toEqual(a);
      n += 1;
    }),
    { numRuns: 3000 },
  );
  expect(n).toBeGreaterThanOrEqual(3000);
});
it('gives its minimal sets of faults', () => {
  fc.assert(
    fc.property(setups, (s) => {
      const o = old(s).findings;
      if (o.some((f) => f.code === 'rig.part-missing')) return;
      const names: Record<string, string> = {
        hand: 'brakeHand',
        pastEnd: 'ropeEnds:past',
        endKnot: 'ropeEnds:knot',
        hitchHeld: 'hitch:held',
      };
      const x = minimalCutSets(rappelHolds(s, o), 2)
        .map((c) =>
          c
            .map((i) => names[i] ?? i)
            .sort()
            .join(),
        )
        .sort();
      const rigS = rigSetupSchema.parse(setup4(structuredClone(s)));
      const ctx = contextOf(rigS);
      const y = minimalCutSets(holdsFromRig(ctx, rigS.persons[0]!, o), 2)
        .map((c) => [...c].sort().join())
        .sort();
      expect(y).toEqual(x);
    }),
    { numRuns: 1500 },
  );
});

it.runIf(process.env.WRITE_FIXTURE)('writes', async () => {
  const { writeFileSync } = await import('node:fs');
  const cases = fc.sample(setups, { numRuns: 160, seed: 20261125 });
  const words: string[] = [];
  const at = (w: string) => {
    let i = words.indexOf(w);
    if (i < 0) {
      words.push(w);
      i = words.length - 1;
    }
    return i;
  };
  const rows = cases.map((s) => ({
    situation: s.situation,
    rig: s.rig,
    climber: s.people.climber && {
      massKg: s.people.climber.massKg,
      handForceN: s.people.climber.handForceN,
      brakeHand: s.people.climber.brakeHand,
    },
    partner: s.people.partner !== null,
    gear: Object.fromEntries(Object.entries(s.gear).map(([k, v]) => [k, v && (v as any).id])),
    found: list(old(s).findings).map(at),
  }));
  writeFileSync(new URL('fixtures/before-the-rig.json', import.meta.url), JSON.stringify({ words, cases: rows }));
});
