import { PROCEDURES } from './procedures/index.ts';
import type { Line, ProcedureId, Sequence } from './sequence.ts';
import type { Procedure, Step } from './procedure.ts';
import type { Move } from './replay.ts';

/** What in an order is not of its procedure: path, what was read, and what is allowed. */
export function sequenceIssues({ procedure, options, steps }: Sequence): { path: PropertyKey[]; message: string }[] {
  const issues: { path: PropertyKey[]; message: string }[] = [];
  const { variants, steps: known }: Procedure = PROCEDURES[procedure];
  for (const { id, options: allowed } of variants) {
    if (!Object.hasOwn(allowed, options[id] ?? ''))
      issues.push({ path: ['options', id], message: `One of: ${Object.keys(allowed).join(', ')}.` });
  }
  for (const key of Object.keys(options)) {
    if (!variants.some((v) => v.id === key))
      issues.push({ path: ['options', key], message: `${procedure} has no such option.` });
  }
  const seen = new Set<string>();
  steps.forEach(({ kind, id }, i) => {
    if (seen.has(id)) issues.push({ path: ['steps', i, 'id'], message: 'It stands twice.' });
    seen.add(id);
    if (kind === 'step' && !known.some((s) => s.id === id))
      issues.push({ path: ['steps', i, 'id'], message: `${procedure} has no such step.` });
  });
  return issues;
}

/** The first option of every variant. */
export const firstOptions = ({ variants }: Procedure): Record<string, string> =>
  Object.fromEntries(variants.map(({ id, options }) => [id, Object.keys(options)[0]!]));

const applies = (step: Step, options: Readonly<Record<string, string>>) =>
  Object.entries(step.only).every(([variant, option]) => options[variant] === option);

/** Steps that belong to these options, in the shipped order; `extra` ones are left out. */
export const shippedOrder = (procedure: Procedure, options: Readonly<Record<string, string>>): Step[] =>
  procedure.steps.filter((step) => !step.extra && applies(step, options));

/** Steps that could be put in: of these options, and not there yet. */
export const stepsToInsert = (procedure: Procedure, { options, steps }: Pick<Sequence, 'options' | 'steps'>): Step[] =>
  procedure.steps.filter((step) => applies(step, options) && !steps.some((l) => l.id === step.id));

export const newSequence = (procedure: ProcedureId, id: string, now: string): Sequence => {
  const shipped = PROCEDURES[procedure];
  const options = firstOptions(shipped);
  return {
    id,
    name: shipped.title,
    procedure,
    options,
    steps: shippedOrder(shipped, options).map((s) => ({ kind: 'step', id: s.id })),
    at: null,
    createdAt: now,
    updatedAt: now,
    note: '',
  };
};

/** The step behind each line; null for a step of one's own. */
export const stepsOf = ({ procedure, steps }: Pick<Sequence, 'procedure' | 'steps'>): (Step | null)[] => {
  const known: readonly Step[] = PROCEDURES[procedure].steps;
  return steps.map((l) => (l.kind === 'step' ? (known.find((s) => s.id === l.id) ?? null) : null));
};
export const movesOf = (sequence: Pick<Sequence, 'procedure' | 'steps'>): Move[] =>
  stepsOf(sequence).map((step) => ({ step, wrong: null }));

/**
 * The same order with another option: steps of the old option go, those of the new one come in behind the step they
 * follow in the shipped order. Everything else stays where the person put it.
 */
export function withOption(sequence: Sequence, variant: string, option: string): Sequence {
  const procedure: Procedure = PROCEDURES[sequence.procedure];
  const options = { ...sequence.options, [variant]: option };
  const before = new Set(shippedOrder(procedure, sequence.options).map((s) => s.id));
  const order = shippedOrder(procedure, options);
  const steps: Line[] = sequence.steps.filter(
    (l) => l.kind === 'own' || procedure.steps.some((s) => s.id === l.id && applies(s, options)),
  );
  order.forEach((step, i) => {
    if (before.has(step.id) || steps.some((l) => l.id === step.id)) return;
    const ahead = order.slice(0, i).map((s) => s.id);
    const place = steps.findLastIndex((l) => ahead.includes(l.id));
    steps.splice(place + 1, 0, { kind: 'step', id: step.id });
  });
  return { ...sequence, options, steps, at: null };
}
