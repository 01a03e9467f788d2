import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assessChoice, wantsHitch } from '../assess-choice.ts';
import { assess } from '../assess.ts';
import { waysOf } from '../connector/index.ts';
import { SEVERITIES, type Finding } from '../finding/index.ts';
import { JOB_KEYS, type Item, type Job } from '../gear/index.ts';
import type { Choice, Question } from '../rig/index.ts';
import { club } from '../samples/index.ts';
import { devicesToPlan, plan, planNeeds, ropeSets, takeChoice, takeSetup } from './index.ts';

const ask = (job: Job, more: Partial<Question> = {}): Question => ({
  job,
  heightM: 12,
  weather: 'dry',
  climber: club.tomas,
  belayer: null,
  ...more,
});
const taken = (
  question: Question,
  items: readonly Item[],
  combination: ReturnType<typeof plan>['combinations'][number],
): Choice =>
  takeChoice({ question, combination, items, tests: [], id: 'c', name: 'C', now: '2026-01-01T00:00:00.000Z' });
const costOf = (findings: readonly Finding[]) =>
  SEVERITIES.slice(0, 3).map((s) => findings.filter((f) => f.severity === s && f.code !== 'rig.part-missing').length);
const key = (c: { ropeAId: string; ropeBId: string | null; deviceId: string }) =>
  `${c.ropeAId}/${c.ropeBId}/${c.deviceId}`;
const less = (a: number[], b: number[]) => a[0]! - b[0]! || a[1]! - b[1]! || a[2]! - b[2]!;

/** Every rope, device, connector, way, cord and number of wraps, each judged whole: what the plan must not be worse than. */
function bruteForce(question: Question, items: readonly Item[]): Map<string, number[]> {
  const best = new Map<string, number[]>();
  const cords = items.filter((i) => i.kind === 'cord');
  for (const { ropeA, ropeB } of ropeSets(
    question.job,
    items.filter((i) => i.kind === 'rope'),
  ))
    for (const device of devicesToPlan(items))
      for (const connector of items.filter((i) => i.kind === 'connector'))
        for (const way of waysOf(connector, device))
          for (const hitchCord of wantsHitch(question.job, device) && cords.length > 0 ? cords : [null])
            for (const hitchWraps of hitchCord ? [3, 4, 5] : [4]) {
              const { findings } = assessChoice({
                id: 'c',
                name: 'C',
                createdAt: '',
                updatedAt: '',
                question,
                gear: { ropeA, ropeB, device, connector, hitchCord },
                way,
                hitchKind: 'autoblock',
                hitchWraps,
                tests: [],
                note: '',
              });
              const cost = costOf(findings);
              const at = key({ ropeAId: ropeA.id, ropeBId: ropeB?.id ?? null, deviceId: device.id });
              const known = best.get(at);
              if (!known || less(cost, known) < 0) best.set(at, cost);
            }
  return best;
}

const pool = club.clubItems.filter((i) => i.kind !== 'harness' && i.kind !== 'sling');

describe('plan', () => {
  it('is as good as trying everything, on small lockers, for every job', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...JOB_KEYS),
        fc.shuffledSubarray(pool, { minLength: 3, maxLength: 7 }),
        (job, items) => {
          const question = ask(job);
          const { combinations, rejected } = plan(question, items, []);
          const brute = bruteForce(question, items);
          const withConnector = [...combinations, ...rejected].filter((c) => c.connectorId !== null);
          expect(withConnector.map(key).sort()).toEqual([...brute.keys()].sort());
          for (const c of combinations) expect([...c.cost], key(c)).toEqual(brute.get(key(c)));
          for (const c of rejected.filter((r) => r.connectorId !== null))
            expect(brute.get(key(c))![0]).toBeGreaterThan(0);
          const costs = combinations.map((c) => [...c.cost]);
          expect(costs).toEqual([...costs].sort(less));
          expect(costs.every(([stops]) => stops === 0)).toBe(true);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('what it promises is what the taken choice is found to be', () => {
    for (const job of JOB_KEYS) {
      const { combinations, rejected } = plan(ask(job), club.clubItems, []);
      expect(combinations.length + rejected.length).toBeGreaterThan(0);
      for (const c of [...combinations.slice(0, 3), ...rejected.slice(0, 2)]) {
        const { findings } = assessChoice(taken(ask(job), club.clubItems, c));
        if (c.cost[0] === 0) expect(costOf(findings), `${job} ${key(c)}`).toEqual([...c.cost]);
        expect(c.worst?.severity).toBe(findings.find((f) => f.code !== 'rig.part-missing')!.severity);
      }
    }
  });

  it('adding an item never removes a combination', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...JOB_KEYS),
        fc.shuffledSubarray(pool, { minLength: 3, maxLength: 8 }),
        fc.constantFrom(...pool.filter((i) => i.kind === 'device' || i.kind === 'connector')),
        (job, items, more) => {
          const keys = (list: readonly Item[]) => plan(ask(job), list, []).combinations.map(key);
          expect(keys([...items.filter((i) => i !== more), more])).toEqual(expect.arrayContaining(keys(items)));
        },
      ),
      { numRuns: 40 },
    );
  });

  it('own tests can only push a combination down', () => {
    const question = ask('self-belay-top-rope');
    const before = plan(question, club.clubItems, []);
    const [first] = before.combinations;
    const bad = plan(question, club.clubItems, [
      {
        id: 't',
        connectorId: first!.connectorId!,
        deviceId: first!.deviceId,
        way: first!.way!,
        result: 'wedged',
        at: '2026-01-01T00:00:00.000Z',
        note: '',
      },
    ]);
    const after = [...bad.combinations, ...bad.rejected].find((c) => key(c) === key(first!))!;
    expect(less([...after.cost], [...first!.cost])).toBeGreaterThanOrEqual(0);
    expect([after.connectorId, after.way]).not.toEqual([first!.connectorId, first!.way]);
  });

  it('without a person no way is judged, and nothing is offered', () =>
    expect(plan(ask('belay-leader', { climber: null }), club.clubItems, []).combinations).toEqual([]));

  it('the Munter hitch needs no device', () => {
    const { combinations } = plan(ask('lower'), [club.longRope, club.pear], []);
    expect(combinations.map((c) => c.deviceId)).toEqual(['munter']);
  });
});

describe('taking', () => {
  it('a doubled rappel becomes a set-up in which nothing is said to be rigged yet', () => {
    const question = ask('rappel-double', { heightM: 22 });
    const { combinations } = plan(question, club.clubItems, []);
    const input = {
      question,
      combination: combinations[0]!,
      items: club.clubItems,
      tests: [],
      id: 's',
      name: 'S',
      now: '2026-01-01T00:00:00.000Z',
    };
    const setup = takeSetup(input);
    expect(setup.gear.device?.id).toBe(combinations[0]!.deviceId);
    expect(setup.situation.anchorHeightM).toBe(22);
    expect(setup.rig.deviceGate).toBe('unknown');
    expect(assess(setup).verdict).not.toBe('clear');
  });
});

describe('needs', () => {
  const says = (question: Question, items: readonly Item[]) =>
    planNeeds(question, items, plan(question, items, [])).map((n) => n.what);
  it('names what is missing by what it must do', () => {
    expect(says(ask('rappel-single'), [])).toEqual(['rope', 'connector']);
    expect(says(ask('rappel-single'), [club.longRope, club.otherDevices[2]!])).toEqual(['connector', 'cord']);
    expect(
      says(ask('rappel-single', { heightM: 90 }), [
        club.longRope,
        club.otherDevices[2]!,
        club.pear,
        club.smallD,
        club.shortCord,
      ]),
    ).toEqual(['rope']);
    expect(says(ask('tree-moving'), [club.longRope, club.pear])).toEqual(['device']);
    expect(says(ask('belay-seconds'), [club.longRope, club.otherDevices[0]!, club.pear])).toEqual(['rope']);
  });
  it('a connector that is asked for has the measures that the device takes', () => {
    const question = ask('ascend');
    const clamp = club.otherDevices.find((d) => d.family === 'clamp-toothed')!;
    const items = [club.longRope, clamp, { ...club.pear, broadStockMm: 19, narrowStockMm: 19 }];
    const [need] = planNeeds(question, items, plan(question, items, []));
    expect(need).toMatchObject({ what: 'connector' });
    expect(need!.numbers[0]!.value.best).toBeCloseTo(18 - 0.5, 9);
  });
});
