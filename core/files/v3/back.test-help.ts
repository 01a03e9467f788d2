/* For the tests only: version 3 out of a rig again, so that what was brought up can be compared whole, and random set-ups of version 3. */
import fc from 'fast-check';
import type { z } from 'zod';
import { fieldMeta, type Item } from '../../gear/index.ts';
import { BLANK_CALLS, BLANK_TREE, deviceOf, hitchOf, mainConnector, slingOf, type Setup } from '../../rig/index.ts';
import { club } from '../../samples/index.ts';
import type { Workspace } from '../documents.ts';
import type { choice3Schema } from './choice.ts';
import { rigSchema, setup3Schema, situationSchema, type Setup3 } from './setup.ts';

export type Choice3 = z.infer<typeof choice3Schema>;
export type Workspace3 = Omit<Workspace, 'setups' | 'checks'> & {
  setups: Setup3[];
  checks: (Omit<Workspace['checks'][number], 'setup'> & { setup: Setup3 })[];
  choices: Choice3[];
};

const ADDED_BY_5 = new Set('condition stiffness helmet stands threaded brakeSide tuned upperHole tiedAt'.split(' '));
const ADDED_BY_6 = new Set(['loadStrand', 'strandsLie', 'gatheredM', 'arriving']);
const ADDED_BY_7 = new Set(['gapOpens', 'slant', 'brakeAngleDeg', 'slackM', 'calls', 'trainings']);
const ADDED_BY_8 = new Set(['tieInHeightMm', 'fromWallM', 'endWeightKg']);
const ADDED_BY_9 = new Set(['bench']);
const ADDED_BY_10 = new Set(['assumed']);
const ADDED_BY_12 = new Set(['chinAboveTieInMm', 'kneeAboveSolesMm', 'tight']);
/** The impact force was there before; the club read it off its labels with version 13. */
const ADDED_BY_13 = new Set([
  'impactForceKn',
  'staticStretchPercent',
  'stretchTest',
  'groove',
  'cam',
  'brakeThrough',
  'rings',
  'atEdge',
]);
const ADDED_BY_11 = new Set(['tree', 'tunings', 'bollardSettings']);
const OPEN: Readonly<Record<string, unknown>> = {
  impactForceKn: null,
  stands: 'free',
  gatheredM: null,
  brakeAngleDeg: null,
  slackM: null,
  tieInHeightMm: null,
  chinAboveTieInMm: null,
  kneeAboveSolesMm: null,
  fromWallM: null,
  endWeightKg: null,
  calls: BLANK_CALLS,
  trainings: [],
  bench: [],
  assumed: [],
  tunings: [],
  bollardSettings: null,
  staticStretchPercent: null,
  stretchTest: 'standard',
  brakeThrough: 'direct',
};
const byVersion = (key: string, of: unknown): number =>
  ADDED_BY_13.has(key)
    ? 13
    : ADDED_BY_12.has(key)
      ? 12
      : ADDED_BY_11.has(key)
        ? 11
        : ADDED_BY_10.has(key)
          ? 10
          : ADDED_BY_9.has(key)
            ? 9
            : ADDED_BY_8.has(key)
              ? 8
              : ADDED_BY_7.has(key) || (key === 'condition' && (of as { kind?: string }).kind === 'connector')
                ? 7
                : ADDED_BY_6.has(key)
                  ? 6
                  : ADDED_BY_5.has(key)
                    ? 5
                    : 1;

/** What version `since` and later ones added becomes `value` of its key, wherever it stands; undefined takes it out. */
function since<T>(value: T, version: number, instead: (key: string, was: unknown) => unknown): T {
  const walk = (at: unknown): unknown => {
    if (Array.isArray(at)) return at.map(walk);
    if (at === null || typeof at !== 'object') return at;
    return Object.fromEntries(
      Object.entries(at).flatMap(([key, x]) => {
        if (byVersion(key, at) < version) return [[key, walk(x)]];
        const other = instead(key, x);
        return other === undefined ? [] : [[key, other]];
      }),
    );
  };
  return walk(value) as T;
}

/** What versions 5 to 13 added, taken out again wherever it stands. */
export const without5 = <T>(value: T): T => since(value, 5, () => undefined);
const open = (key: string, was: unknown) => (key === 'tree' ? was && BLANK_TREE : key in OPEN ? OPEN[key] : 'unknown');
/** What this version and later ones added, as it is where an older version did not know it. */
export const unknownSince = <T>(version: number, value: T): T => since(value, version, open);

/** The set-up of version 3 that this rig was made from. */
export function backToV3(now: Setup): Setup3 {
  const setup = without5(now);
  const [line] = setup.lines;
  const [main, below] = setup.attachments;
  if (line?.kind !== 'doubled' || !main || !below) throw new Error('not a doubled rappel of version 3');
  const [device, hitch, sling] = [deviceOf(main)!, hitchOf(below)!, slingOf(main)!];
  const [connector, hitchConnector] = [mainConnector(main)!, mainConnector(below)!];
  const extra = main.pieces.find((p) => p.kind === 'connector' && p.beside !== null);
  const [climber, partner] = setup.persons;
  const [anchor] = setup.anchors;
  return {
    id: setup.id,
    name: setup.name,
    job: 'rappel-double',
    createdAt: setup.createdAt,
    updatedAt: setup.updatedAt,
    note: setup.note,
    situation: {
      ...setup.site,
      anchorRope: anchor!.through as Setup3['situation']['anchorRope'],
      anchorPoints: anchor!.points,
    },
    people: { climber: climber!.item, partner: partner!.item },
    gear: {
      ropeA: line.ropeA.item,
      ropeB: line.ropeB.item,
      device: device.item,
      deviceConnector: connector.item,
      extraConnector: (extra?.item ?? null) as Setup3['gear']['extraConnector'],
      extension: sling.item,
      hitchCord: hitch.item,
      hitchConnector: hitchConnector.item,
      harness: climber!.harness,
    },
    rig: {
      ropeUse: line.use,
      middleMissM: line.middleMissM,
      joiningKnot: line.joint.knot,
      ends: line.ends.state,
      deviceStrands: device.strands,
      ropeOverEnd: connector.loadedEnd,
      deviceGate: connector.gate,
      deviceGateFaces: connector.faces,
      extensionMethod: sling.method,
      extensionKnots: sling.knots,
      extensionMeasuredMm: sling.measuredMm,
      hitchKind: hitch.hitch,
      hitchWraps: hitch.wraps,
      hitchStrands: hitch.strands,
      hitchEyes: hitch.eyes,
      hitchAt: (below.root.kind === 'harness' ? below.root.point : '') as Setup3['rig']['hitchAt'],
      hitchGate: hitchConnector.gate,
      hitchGateFaces: hitchConnector.faces,
    },
  };
}

/** What a choice of version 3 said, from the set-up that it became. */
export function choiceIn(now: Setup): Omit<Choice3, 'hitchKind' | 'hitchWraps'> {
  const setup = without5(now);
  const main = setup.attachments.find((a) => a.id === 'main')!;
  const hitch = setup.attachments.map(hitchOf).find((h) => h !== null);
  const ropes = setup.lines.flatMap((l) => (l.kind === 'doubled' ? [l.ropeA.item, l.ropeB.item] : [l.rope.item]));
  const [climber, ...others] = setup.persons;
  const braker = others.find((p) => p.role === 'belayer' || p.role === 'partner');
  return {
    id: setup.id,
    name: setup.name,
    createdAt: setup.createdAt,
    updatedAt: setup.updatedAt,
    question: {
      job: setup.job,
      heightM: setup.site.anchorHeightM,
      weather: setup.site.weather,
      climber: climber!.item,
      belayer: braker?.item ?? null,
    },
    gear: {
      ropeA: ropes[0] ?? null,
      ropeB: ropes[1] ?? null,
      device: deviceOf(main)!.item,
      connector: mainConnector(main)!.item,
      hitchCord: hitch?.item ?? null,
    },
    way: mainConnector(main)!.planned,
    tests: setup.tests,
    findings: setup.taken!.findings,
    note: setup.note,
  };
}

/** Where no hitch was taken its kind and wraps said nothing. */
export function withoutUnplaced(choice: Choice3): Omit<Choice3, 'hitchKind' | 'hitchWraps'> {
  const rest: Partial<Choice3> = { ...choice };
  delete rest.hitchKind;
  delete rest.hitchWraps;
  return rest as Omit<Choice3, 'hitchKind' | 'hitchWraps'>;
}

const field = (schema: z.ZodType): fc.Arbitrary<unknown> =>
  fc.constantFrom(...Object.keys(fieldMeta(schema)!.options!));
const numberBetween = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const NUMBERS: Readonly<Record<string, fc.Arbitrary<unknown>>> = {
  anchorHeightM: numberBetween(1, 60),
  stanceHeightM: fc.oneof(fc.constant(0), numberBetween(0, 30)),
  extraLineM: fc.oneof(fc.constant(0), numberBetween(0, 10)),
  middleMissM: numberBetween(0, 5),
  extensionKnots: fc.integer({ min: 0, max: 3 }),
  extensionMeasuredMm: fc.oneof(fc.constant(null), numberBetween(100, 800)),
  hitchWraps: fc.integer({ min: 1, max: 7 }),
};
const fields = (shape: Readonly<Record<string, z.ZodType>>) =>
  fc.record(Object.fromEntries(Object.entries(shape).map(([key, schema]) => [key, NUMBERS[key] ?? field(schema)])));
const slot = (kind: Item['kind']) =>
  fc.option(fc.constantFrom(...club.clubItems.filter((i) => i.kind === kind)), { freq: 5 });
const NOW = '2026-05-01T10:00:00.000Z';

/** Random set-ups of version 3, with places left open. */
export const setups3: fc.Arbitrary<Setup3> = fc
  .record({
    id: fc.constant('s'),
    name: fc.constant('Random'),
    job: fc.constant('rappel-double'),
    createdAt: fc.constant(NOW),
    updatedAt: fc.constant(NOW),
    note: fc.string({ maxLength: 40 }),
    situation: fields(situationSchema.shape),
    people: fc.record({ climber: fc.option(fc.constant(club.ilse)), partner: fc.option(fc.constant(club.tomas)) }),
    gear: fc.record({
      ropeA: slot('rope'),
      ropeB: slot('rope'),
      device: slot('device'),
      deviceConnector: slot('connector'),
      extraConnector: slot('connector'),
      extension: slot('sling'),
      hitchCord: slot('cord'),
      hitchConnector: slot('connector'),
      harness: slot('harness'),
    }),
    rig: fields(rigSchema.shape),
  })
  .map((setup) => setup3Schema.parse(without5(setup)));
