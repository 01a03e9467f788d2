import {
  criticalOf,
  deviationText,
  explore,
  orderVerdict,
  pausesOf,
  PROCEDURES,
  stepsOf,
  walk,
  type Sequence,
} from '../core/answers/procedures/index.ts';

/** Breaches of an order as it stands, and which single deviations from it end in one. */
export function sequenceReport(sequence: Sequence) {
  const shipped = PROCEDURES[sequence.procedure];
  const steps = stepsOf(sequence);
  const named = (at: number) => ({ place: at + 1, step: sequence.steps[at]!.id });
  const moments = walk(sequence);
  const { severity: verdict, missing } = orderVerdict(sequence, moments);
  const explored = explore(shipped, steps);
  const critical = criticalOf(shipped, steps, explored);
  return {
    procedure: sequence.procedure,
    verdict,
    missing,
    breaches: moments
      .slice(1)
      .flatMap(({ breaches: found }, i) => found.map(({ kind, says }) => ({ ...named(i), kind, says }))),
    cannot: moments.slice(1).flatMap(({ stuck }, i) => (stuck ? [{ ...named(i), says: stuck }] : [])),
    critical: critical.map(({ at, says, breach, breaksAt, seenAt, look }) => ({
      ...named(at),
      deviation: says,
      kind: breach.kind,
      follows: breach.says,
      breaksAt: named(breaksAt),
      seenBefore: named(seenAt),
      look,
    })),
    worsePairs: explored.pairs.map(({ first, second, outcome }) => ({
      deviations: [explored.deviations[first]!, explored.deviations[second]!].map((d) => deviationText(steps, d)),
      outcome,
    })),
    pauses: pausesOf(critical).map(({ before, looks }) => ({ before: named(before), looks })),
  };
}
