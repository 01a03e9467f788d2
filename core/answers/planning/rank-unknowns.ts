import { assessPlain } from '../assess/index.ts';
import { findingKeys, type ElementId, type Severity } from '../../foundations/finding/index.ts';
import {
  JOB_FACTS,
  ROPE_CONSTRUCTIONS,
  traitsOf,
  typicalItems,
  typicalPerson,
  typicalValues,
  type Declaration,
  type Item,
  type Person,
  type Rope,
  type TypicalKind,
} from '../../things/gear/index.ts';
import { slotsOf } from '../../rigs/elements/index.ts';
import { descentOf, fieldsOf, valueAtPath, withField, withItem, type Field, type Setup } from '../../rigs/rig/index.ts';

/** Something that is not known of a set-up, and how much of the verdict hangs on it. */
export interface OpenFact {
  /** A field, by its path, or a place where nothing is chosen, by its id. */
  readonly at: { readonly kind: 'field'; readonly path: string } | { readonly kind: 'slot'; readonly ref: ElementId };
  /** Findings that are judged otherwise for one value than for another. */
  readonly decides: number;
  /** Of those, how many are not tested now and would be answered by at least one value. */
  readonly answers: number;
  /** Some value makes a *Stop* of something that is none now. */
  readonly canStop: boolean;
  /** What the list is ordered by: how far the verdicts of all findings swing. */
  readonly swing: number;
}

/** How far apart two judgements are: from clear to stop everything changes, from not tested to clear little. */
const WEIGHT: Readonly<Record<Severity, number>> = { clear: 0, untested: 1, mind: 2, stop: 4 };

/**
 * Values to try where a number is not known: such as are met in life. Only the order of the list depends on them, no
 * verdict; others are tried at shares of what the field allows.
 */
const TRIED: Readonly<Record<string, readonly number[]>> = {
  handForceN: [150, 230, 330],
  tieInHeightMm: [850, 950, 1050],
  chinAboveTieInMm: [340, 400, 460],
  kneeAboveSolesMm: [420, 470, 520],
  fromWallM: [0.5, 1.5, 4],
  impactForceKn: [7, 9],
  linearDensityGPerM: [55, 70],
  staticStretchPercent: [3, 6, 9],
  strengthKn: [8, 22],
  declaredStrengthKn: [5, 8, 14],
  strengthMajorKn: [18, 25],
  strengthMinorKn: [7, 10],
  strengthOpenKn: [6, 9],
  broadInsideWidthMm: [25, 40],
  narrowInsideWidthMm: [10, 18],
  broadStockMm: [9, 12],
  narrowStockMm: [9, 12],
  sleeveMm: [14, 20],
  gateOpeningMm: [15, 24],
  measuredMm: [200, 350, 600],
  loopLengthMm: [300, 450, 650],
  cutLengthM: [1, 1.4, 1.8],
  eyeMm: [12, 18],
  plateMm: [3, 6],
  gapMm: [0, 12],
  coverMm: [5, 15],
  notchMm: [0, 8],
  slackM: [0.1, 0.5, 1.5],
  gatheredM: [0.5, 1.5],
  brakeAngleDeg: [0, 90, 180],
  endWeightKg: [0, 2, 5],
  measuringUncertaintyMm: [0.1],
};
const HEIGHTS_M = [8, 18, 30];

const lastOf = (path: string) => path.slice(path.lastIndexOf('/') + 1);
const thingOf = (setup: Setup, path: string) =>
  valueAtPath(setup, path.slice(0, path.lastIndexOf('/'))) as Record<string, unknown>;

/** Values that a field that is open, or only typical, could have; none where it is neither. */
function valuesFor(setup: Setup, { path, now, open, others, typical }: Field): readonly unknown[] {
  const key = lastOf(path);
  if (path === 'site/anchorHeightM') return descentOf(setup.site) > 0 ? [] : HEIGHTS_M;
  const thing = thingOf(setup, path);
  if (typical) {
    const kind = 'kind' in thing ? (thing.kind as TypicalKind) : 'person';
    return (typicalValues(kind, key) ?? []).filter((v) => v !== now);
  }
  if (open === undefined || now !== open) return [];
  // What another job of the device would be is no fact that is missing.
  if (key === 'job') return [];
  // Beside its label a measurement is close to it.
  if (key === 'measuredDiameterMm') return [-0.3, 0.4].map((by) => (thing.nominalDiameterMm as number) + by);
  if (key === 'measuredLengthM') return [0.9, 1].map((by) => (thing.lengthM as number) * by);
  return TRIED[key] ?? (typeof others[0] === 'number' ? others.slice(1, 4) : others);
}

const CATALOGUE = (() => {
  let n = 0;
  return typicalItems(() => `tried-${(n += 1)}`);
})();
const PEOPLE: readonly Person[] = [50, 75, 100].map((massKg) =>
  typicalPerson(`tried-${massKg}`, 'Somebody', { massKg, brakeHand: 'right' }),
);

interface Trial {
  readonly at: OpenFact['at'];
  readonly tried: readonly Setup[];
}

/**
 * What a maker would have to declare of a device without a declaration: a range with the rope in it, and one without.
 */
function declarations(setup: Setup): Trial[] {
  const { strands } = JOB_FACTS[setup.job];
  const constructions = Object.keys(ROPE_CONSTRUCTIONS) as Rope['construction'][];
  return setup.attachments.flatMap(({ end }, i): Trial[] => {
    if (end.kind !== 'device' || !end.item || end.item.declarations.length > 0 || traitsOf(end.item.family).tied)
      return [];
    const path = `attachments/${i}/end/item/declarations`;
    const range = (minDiameterMm: number, maxDiameterMm: number): Declaration => ({
      job: setup.job,
      strands,
      constructions,
      minDiameterMm,
      maxDiameterMm,
      bestMinDiameterMm: null,
      bestMaxDiameterMm: null,
    });
    // Every rope that is sold lies in the first, none in the second.
    return [
      { at: { kind: 'field', path }, tried: [range(5, 16), range(15.9, 16)].map((d) => withField(setup, path, [d])) },
    ];
  });
}

/** Everything that is not known of a set-up, each with the set-ups that it could be. */
function trialsOf(setup: Setup): Trial[] {
  const fields = fieldsOf(setup).flatMap((field): Trial[] => {
    const values = valuesFor(setup, field);
    return values.length === 0
      ? []
      : [{ at: { kind: 'field', path: field.path }, tried: values.map((v) => withField(setup, field.path, v)) }];
  });
  const slots = slotsOf(setup).flatMap((slot): Trial[] => {
    if (slot.item !== null || slot.optional) return [];
    const things: readonly (Item | Person)[] =
      slot.kind === 'person' ? PEOPLE : CATALOGUE.filter((item) => item.kind === slot.kind);
    return [{ at: { kind: 'slot', ref: slot.ref }, tried: things.map((thing) => withItem(setup, slot.ref, thing)) }];
  });
  return [...slots, ...declarations(setup), ...fields];
}

/**
 * What is not known of a set-up, with most hanging on it first: each open fact is given the values it could have, one
 * fact at a time, and what the engine says is compared. Facts on which nothing hangs are left out.
 *
 * @param onDone hears how many of how many facts are tried.
 */
export function rankUnknowns(setup: Setup, onDone?: (done: number, of: number) => void): readonly OpenFact[] {
  const trials = trialsOf(setup);
  const judge = (s: Setup): ReadonlyMap<string, Severity> => {
    const findings = assessPlain(s);
    return new Map(findingKeys(findings).map((key, i) => [key, findings[i]!.severity]));
  };
  const now = judge(setup);
  const facts = trials.map(({ at, tried }, i): OpenFact => {
    const seen = tried.map(judge);
    onDone?.(i + 1, trials.length);
    const keys = new Set([...now.keys(), ...seen.flatMap((s) => [...s.keys()])]);
    let [decides, answers, swing, canStop] = [0, 0, 0, false];
    for (const key of keys) {
      // What is not said at all under a value is not against it there.
      const all = [now, ...seen].map((s) => s.get(key) ?? 'clear');
      const weights = all.map((severity) => WEIGHT[severity]);
      const wide = Math.max(...weights) - Math.min(...weights);
      if (wide === 0) continue;
      decides += 1;
      swing += wide;
      if (all[0] === 'untested' && all.slice(1).some((severity) => severity !== 'untested')) answers += 1;
      if (all[0] !== 'stop' && all.includes('stop')) canStop = true;
    }
    return { at, decides, answers, canStop, swing };
  });
  return facts.filter((f) => f.swing > 0).sort((a, b) => b.swing - a.swing || b.answers - a.answers);
}
