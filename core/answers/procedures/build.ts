import type { Condition, Effect, Invariant, Lane, Procedure, Step, Variable, Wrong } from './procedure.ts';

export const is = (v: string, ...values: string[]): Condition => ({ v, is: values.length > 0 ? values : ['yes'] });
export const not = (v: string, ...values: string[]): Condition => ({ v, not: values.length > 0 ? values : ['yes'] });
export const to = (v: string, value: string, ...when: Condition[]): Effect => ({ v, to: value, when });
export const wrong = (id: string, says: string, ...sets: Effect[]): Wrong => ({ id, says, sets });

/** A fact with two or more values, the first one at the start. */
export const fact = (id: string, values: readonly string[], sight: Variable['sight'] = {}): Variable => ({
  id,
  values,
  start: values[0]!,
  sight,
});
export const flag = (id: string, seen = '', unseen = ''): Variable =>
  fact(id, ['no', 'yes'], { ...(seen ? { yes: seen } : {}), ...(unseen ? { no: unseen } : {}) });

export const lane = (
  id: string,
  label: string,
  holds: readonly (readonly Condition[])[] = [[]],
  locks = true,
): Lane => ({
  id,
  label,
  holds,
  locks,
});

export const step = (
  id: string,
  does: string,
  see: string,
  more: Partial<Omit<Step, 'id' | 'does' | 'see'>> = {},
): Step => ({
  id,
  does,
  see,
  who: 'you',
  can: [],
  sets: [],
  tests: null,
  carries: null,
  wrongs: [],
  mustHold: null,
  only: {},
  extra: false,
  ...more,
});
export const never = (id: string, kind: Invariant['kind'], says: string, ...when: Condition[]): Invariant => ({
  id,
  kind,
  says,
  when,
});

/** The facts that every attachment has. */
const laneFacts = ({ id, label, locks }: Lane): Variable[] => {
  const name = label.toLowerCase();
  return [
    flag(`${id}.on`, `the ${name} is attached`, `the ${name} is off`),
    ...(locks ? [flag(`${id}.locked`, `the ${name} is locked`, `the ${name} is not locked`)] : []),
    flag(`${id}.tested`),
  ];
};

/**
 * Completes a procedure with the facts of its attachments, of where the person is and of what carries the weight, and
 * checks that every word used in it is declared.
 * @throws Error naming the step and the word (a programmer's mistake).
 */
export function procedure(
  draft: Omit<Procedure, 'variables' | 'mustHold'> & {
    readonly variables: readonly Variable[];
    readonly start?: Readonly<Record<string, string>>;
    readonly mustHold?: number;
  },
): Procedure {
  const { start = {}, mustHold = 1, ...rest } = draft;
  const variables = [
    fact('where', ['ground', 'low', 'up'], {
      ground: 'you stand on the ground',
      up: 'you are at the edge, off the ground',
    }),
    fact('weight', ['feet', ...draft.lanes.map((l) => l.id)]),
    ...draft.lanes.flatMap(laneFacts),
    ...draft.variables,
  ].map((variable) => (Object.hasOwn(start, variable.id) ? { ...variable, start: start[variable.id]! } : variable));
  const values = new Map(variables.map((v) => [v.id, v.values]));
  const check = (place: string, v: string, words: readonly string[]) => {
    for (const word of words)
      if (!values.get(v)?.includes(word)) throw new Error(`${draft.id}, ${place}: ${v} is never "${word}"`);
  };
  const conditions = (place: string, list: readonly Condition[]) =>
    list.forEach((c) => check(place, c.v, [...(c.is ?? []), ...(c.not ?? [])]));
  const effects = (place: string, list: readonly Effect[]) =>
    list.forEach((e) => {
      check(place, e.v, [e.to]);
      conditions(place, e.when);
    });
  for (const variable of variables) check('start', variable.id, [variable.start]);
  for (const v of Object.keys(start)) if (!values.has(v)) throw new Error(`${draft.id}, start: no fact "${v}"`);
  for (const { id, holds } of draft.lanes) holds.forEach((list) => conditions(id, list));
  for (const { id, when } of draft.invariants) conditions(id, when);
  for (const s of draft.steps) {
    conditions(s.id, s.can);
    effects(s.id, s.sets);
    s.wrongs.forEach((w) => effects(`${s.id}/${w.id}`, w.sets));
    if (s.tests !== null && !draft.lanes.some((l) => l.id === s.tests))
      throw new Error(`${draft.id}, ${s.id}: no lane`);
    if (s.carries !== null) check(s.id, 'weight', [s.carries]);
    for (const [variant, option] of Object.entries(s.only))
      if (!draft.variants.some((x) => x.id === variant && Object.hasOwn(x.options, option)))
        throw new Error(`${draft.id}, ${s.id}: no variant ${variant}/${option}`);
  }
  if (new Set(draft.steps.map((s) => s.id)).size < draft.steps.length) throw new Error(`${draft.id}: a step twice`);
  return { ...rest, variables, mustHold };
}
