import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fact, flag, is, lane, never, procedure, step, to, wrong } from './build.ts';
import {
  deviate,
  deviationsOf,
  explore,
  newSequence,
  PROCEDURES,
  replay,
  sequenceIssues,
  sequenceSchema,
  stepsOf,
  stepsToInsert,
  withOption,
  type Deviation,
  type Outcome,
  type Procedure,
  type ProcedureId,
  type Sequence,
  type Step,
} from './index.ts';

/** From the definition: walk the changed order and take the first breach or the first step that shows something. */
function oracle(p: Procedure, steps: readonly (Step | null)[], deviations: readonly Deviation[]): Outcome {
  const [start, ...moments] = replay(p, deviate(steps, deviations));
  if (start!.breaches.length > 0) throw new Error('the start itself is in breach');
  for (const [at, m] of moments.entries()) {
    if (m.stuck) return { kind: 'shows', at };
    if (m.breaches.length > 0) return { kind: 'breach', at, breach: m.breaches[0]!.kind };
  }
  return { kind: 'harmless' };
}
const RANK = ['fall', 'unattached', 'untested', 'drop', 'stranded', 'dropped'];
const badness = (o: Outcome) => (o.kind === 'breach' ? RANK.indexOf(o.breach) : RANK.length);
const touched = (d: Deviation) => (d.kind === 'swap' ? [d.at, d.at + 1] : [d.at]);

function compare(p: Procedure, steps: readonly (Step | null)[]) {
  const { deviations, singles, pairs, tried } = explore(p, steps);
  expect(deviations).toEqual(deviationsOf(steps));
  deviations.forEach((d, i) => expect(singles[i], JSON.stringify(d)).toEqual(oracle(p, steps, [d])));
  const found = new Map(pairs.map(({ first, second, outcome }) => [`${first}/${second}`, outcome]));
  let count = 0;
  for (let a = 0; a < deviations.length; a += 1)
    for (let b = a + 1; b < deviations.length; b += 1) {
      if (touched(deviations[a]!).some((t) => touched(deviations[b]!).includes(t))) continue;
      count += 1;
      const both = oracle(p, steps, [deviations[a]!, deviations[b]!]);
      const worse = badness(both) < Math.min(badness(singles[a]!), badness(singles[b]!));
      expect(found.get(`${a}/${b}`)).toEqual(worse ? both : undefined);
    }
  expect(tried).toBe(count);
}

const ids = Object.keys(PROCEDURES) as ProcedureId[];

describe('explorer', () => {
  it.each(ids)('says the same as a replay of every single and every pair: %s', (id) =>
    compare(PROCEDURES[id], stepsOf(newSequence(id, 'x', ''))),
  );
  it('also on orders that nobody would choose', () =>
    fc.assert(
      fc.property(
        fc
          .constantFrom<ProcedureId>('stop-and-go', 'hitch-first', 'clean-anchor')
          .chain((id) =>
            fc.tuple(fc.constant(id), fc.shuffledSubarray([...PROCEDURES[id].steps], { minLength: 2, maxLength: 7 })),
          ),
        ([id, steps]) => compare(PROCEDURES[id], steps),
      ),
      { numRuns: 60 },
    ));
  it('a small world by hand: two ropes, one knot', () => {
    const p = procedure({
      id: 'small',
      title: '',
      purpose: '',
      lanes: [lane('a', 'First', [[]], false), lane('b', 'Second', [[is('knot', 'good')]])],
      variants: [],
      variables: [fact('knot', ['none', 'good', 'bad'], { good: 'the knot is good' }), flag('gone')],
      invariants: [never('gone', 'dropped', 'Gone.', is('gone'))],
      start: { where: 'up', weight: 'a', 'a.on': 'yes', 'a.tested': 'yes' },
      steps: [
        step('tie', 'Tie.', 'Tied.', {
          sets: [to('b.on', 'yes'), to('knot', 'good')],
          wrongs: [wrong('bad', 'badly', to('b.on', 'yes'), to('knot', 'bad'))],
        }),
        step('lock', 'Lock.', 'Locked.', { can: [is('b.on')], sets: [to('b.locked', 'yes')] }),
        step('weigh', 'Weigh.', 'Holds.', { can: [is('b.on')], tests: 'b' }),
        step('off', 'Take the first off.', 'Off.', { sets: [to('a.on', 'no')] }),
      ],
    });
    const { deviations, singles } = explore(p, p.steps);
    const outcome = (text: string) => singles[deviations.findIndex((d) => JSON.stringify(d) === text)];
    expect(outcome('{"kind":"skip","at":0}')).toEqual({ kind: 'shows', at: 0 });
    expect(outcome('{"kind":"wrong","at":0,"wrong":0}')).toEqual({ kind: 'shows', at: 2 });
    expect(outcome('{"kind":"skip","at":1}')).toEqual({ kind: 'breach', at: 2, breach: 'untested' });
    expect(outcome('{"kind":"skip","at":2}')).toEqual({ kind: 'breach', at: 2, breach: 'drop' });
    expect(outcome('{"kind":"swap","at":2}')).toEqual({ kind: 'breach', at: 2, breach: 'drop' });
    expect(outcome('{"kind":"skip","at":3}')).toEqual({ kind: 'harmless' });
    compare(p, p.steps);
  });
});

describe('procedures are checked when they are built', () => {
  const small = { id: 'p', title: '', purpose: '', lanes: [], variants: [], variables: [], invariants: [] };
  it('a word that no fact has', () =>
    expect(() => procedure({ ...small, steps: [step('s', 'S.', 'S.', { sets: [to('where', 'moon')] })] })).toThrow(
      'p, s: where is never "moon"',
    ));
  it('a step twice', () =>
    expect(() => procedure({ ...small, steps: [step('s', 'S.', 'S.'), step('s', 'S.', 'S.')] })).toThrow(
      'a step twice',
    ));
});

describe('orders of one’s own', () => {
  const anchor = newSequence('clean-anchor', 'x', '2026-01-01T00:00:00.000Z');
  it('the shipped one is valid', () => {
    for (const id of ids) {
      const shipped = newSequence(id, 'x', '2026-01-01T00:00:00.000Z');
      expect(sequenceSchema.safeParse(shipped).success).toBe(true);
      expect(sequenceIssues(shipped)).toEqual([]);
    }
  });
  it.each<[string, Sequence, string]>([
    ['an unknown step', { ...anchor, steps: [{ kind: 'step', id: 'fly' }] }, 'steps.0.id'],
    ['a step twice', { ...anchor, steps: [anchor.steps[0]!, anchor.steps[0]!] }, 'steps.1.id'],
    ['an unknown option', { ...anchor, options: { end: 'nobody' } }, 'options.end'],
    ['an option that is none', { ...anchor, options: { ...anchor.options, moon: 'full' } }, 'options.moon'],
  ])('%s is refused with its path', (_, value, path) => {
    expect(sequenceSchema.safeParse(value).success).toBe(true);
    expect(sequenceIssues(value).map((i) => i.path.join('.'))).toContain(path);
  });
  it('another option changes its own steps and leaves the rest where it was put', () => {
    const own = {
      ...anchor,
      steps: [...anchor.steps.slice(0, 3), { kind: 'own', id: 'o', text: 'Drink' } as const, ...anchor.steps.slice(3)],
    };
    const other = withOption(own, 'end', 'own');
    const names = other.steps.map((l) => l.id);
    expect(names).not.toContain('partner-knot');
    expect(names.indexOf('second-knot')).toBe(names.indexOf('middle') + 1);
    expect(names.indexOf('o')).toBe(3);
    expect(withOption(other, 'end', 'partner').steps.map((l) => l.id)).toEqual(own.steps.map((l) => l.id));
  });
  it('what was taken out can be put in again', () => {
    const without = { ...anchor, steps: anchor.steps.filter((l) => l.id !== 'hitch-test') };
    expect(stepsToInsert(PROCEDURES['clean-anchor'], without).map((s) => s.id)).toEqual(['hitch-test']);
  });
});
