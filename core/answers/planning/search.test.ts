import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import { waysOf, type WayTest } from '../../things/connector/index.ts';
import { METRIC, fillTemplate, type Finding } from '../../foundations/finding/index.ts';
import type { Device, Item, Person, Rope } from '../../things/gear/index.ts';
import { slotsOf } from '../../rigs/elements/index.ts';
import {
  mainConnector,
  setupSchema,
  TEMPLATE_IDS,
  TEMPLATES,
  withFields,
  withItem,
  without,
  type Setup,
  type TemplateId,
} from '../../rigs/rig/index.ts';
import { changed, club, rappelDouble } from '../../samples/index.ts';
import {
  combined,
  devicesToPlan,
  itemOf,
  needs,
  openSetup,
  search,
  SEARCH_DEFAULTS,
  take,
  type Combination,
  type Cost,
  type Pick,
} from './index.ts';

const OWN = { id: 'c', name: 'C', now: '2026-01-01T00:00:00.000Z' };
const PEOPLE = [club.tomas, club.ilse, club.wren];
/** The question of a template with everybody there and no gear. */
function ask(template: TemplateId, people: readonly Person[] = PEOPLE, site: Partial<Setup['site']> = {}): Setup {
  const placed = TEMPLATES[template].parts().persons.map((p, i): [string, Person | null] => [p.id, people[i] ?? null]);
  return openSetup({ template, site: { anchorHeightM: 12, ...site }, people: Object.fromEntries(placed) }, OWN);
}
/**
 * What a search counts: what follows from the choice of parts. Who is missing, and what holds in the end, is said of
 * the whole.
 */
const counted = ({ code, says }: Finding) =>
  !code.startsWith('hold.') &&
  code !== 'rig.not-judged' &&
  !(code === 'rig.part-missing' && says.startsWith('Not chosen'));
const costOf = (setup: Setup): number[] => {
  const found = assess(setup).findings.filter(counted);
  return (['stop', 'mind', 'untested'] as const).map((s) => found.filter((f) => f.severity === s).length);
};
const less = (a: readonly number[], b: readonly number[]) => a[0]! - b[0]! || a[1]! - b[1]! || a[2]! - b[2]!;
/**
 * Ropes and device of a combination. A second rope joined to the first has no place in the open set-up, which begins
 * with one folded.
 */
const key = (setup: Setup, picks: readonly Pick[]) =>
  [...new Set([...slotsOf(setup).flatMap((s) => (s.kind === 'rope' || s.kind === 'device' ? [s.ref] : [])), 'ropeB'])]
    .map((ref) => picks.find((p) => p.ref === ref)?.itemId ?? '')
    .join('/');

/** Everything that can be put at one place, as a person would: each item, each way to clip it, each way to tie it. */
function choices(
  setup: Setup,
  slot: ReturnType<typeof slotsOf>[number],
  device: Device,
  items: readonly Item[],
): Pick[] {
  const { ref } = slot;
  const of = items.filter((i) => i.kind === slot.kind);
  if (slot.kind === 'device') return [{ ref, itemId: device.id }];
  if (slot.kind === 'sling')
    return of.flatMap((i) =>
      (['basket', 'girth'] as const).flatMap((method) => [0, 1].map((knots) => ({ ref, itemId: i.id, method, knots }))),
    );
  if (slot.kind === 'cord') return of.flatMap((i) => [3, 4, 5].map((wraps) => ({ ref, itemId: i.id, wraps })));
  const main = setup.attachments.some((a) => a.end.kind === 'device' && mainConnector(a)?.id === ref);
  if (slot.kind === 'connector' && main)
    return of.flatMap((i) =>
      i.kind === 'connector' ? waysOf(i, device).map((way) => ({ ref, itemId: i.id, way })) : [],
    );
  return of.map((i) => ({ ref, itemId: i.id }));
}

/** From scratch: every combination there is, each judged whole, and the best of each set of ropes with each device. */
function bruteForce(open: Setup, items: readonly Item[]): Map<string, number[]> {
  const best = new Map<string, number[]>();
  const slots = slotsOf(open).filter((s) => s.item === null && s.kind !== 'person');
  const ropes = slots.filter((s) => s.kind === 'rope');
  const all = items.filter((i): i is Rope => i.kind === 'rope');
  const doubled = open.lines.find((l) => l.kind === 'doubled');
  const pairs = (a: string, b: string) =>
    all.flatMap((x, i) =>
      all
        .slice(i + 1)
        .filter((y) => y.construction === x.construction)
        .map((y): Pick[] => [
          { ref: a, itemId: x.id },
          { ref: b, itemId: y.id },
        ]),
    );
  const sets: Pick[][] =
    ropes.length === 2
      ? pairs(ropes[0]!.ref, ropes[1]!.ref)
      : [
          ...all.map((r): Pick[] => [{ ref: ropes[0]!.ref, itemId: r.id }]),
          ...(doubled ? pairs(doubled.ropeA.id, doubled.ropeB.id) : []),
        ];
  const others = slots.filter((s) => s.kind !== 'rope' && s.kind !== 'device');
  const deviceRef = slots.find((s) => s.kind === 'device')!.ref;
  for (const set of sets)
    for (const device of devicesToPlan(items)) {
      const start: Pick[] = [...set, { ref: deviceRef, itemId: device.id }];
      // What the locker has nothing for stays open.
      const lists = others.map((s) => choices(open, s, device, items)).filter((l) => l.length > 0);
      const walk = (depth: number, picks: Pick[]): void => {
        if (depth === lists.length) {
          const cost = costOf(combined(open, picks, items, []));
          const at = key(open, picks);
          const known = best.get(at);
          if (!known || less(cost, known) < 0) best.set(at, cost);
          return;
        }
        for (const pick of lists[depth]!) walk(depth + 1, [...picks, pick]);
      };
      walk(0, start);
    }
  return best;
}

const kinds = (list: readonly Item['kind'][]) => club.clubItems.filter((i) => list.includes(i.kind));
const few = (kind: Item['kind'], max: number, min = 1) =>
  fc.shuffledSubarray(kinds([kind]), { minLength: min, maxLength: max });
const SIMPLE = TEMPLATE_IDS.filter((t) => !t.startsWith('rappel'));
const everything = { maxLooks: 1e9, allLooks: Infinity, mostRejected: Infinity };

describe('search', () => {
  const sameAsBruteForce = (open: Setup, items: readonly Item[]) => {
    const { combinations, rejected, outcome } = search(open, items, [], everything);
    expect(outcome).toBe('complete');
    const brute = bruteForce(open, items);
    expect([...combinations, ...rejected].map((c) => key(open, c.picks)).sort()).toEqual([...brute.keys()].sort());
    for (const c of combinations) expect([...c.cost], key(open, c.picks)).toEqual(brute.get(key(open, c.picks)));
    for (const c of rejected) expect(brute.get(key(open, c.picks))![0]).toBeGreaterThan(0);
    const costs = combinations.map((c) => c.cost);
    costs.slice(1).forEach((cost, i) => expect(less(costs[i]!, cost)).toBeLessThanOrEqual(0));
    // What it promises is what is found when it is taken.
    for (const c of combinations.slice(0, 3)) expect(costOf(combined(open, c.picks, items, []))).toEqual([...c.cost]);
  };

  it('is as good as trying everything, on small lockers, for every job that is not a rappel', () => {
    const locker = fc
      .tuple(few('rope', 2, 0), few('device', 2, 0), few('connector', 2, 0), few('harness', 1, 0), few('cord', 1, 0))
      .map((parts) => parts.flat())
      .filter((items) => items.some((i) => i.kind === 'rope'));
    fc.assert(
      fc.property(fc.constantFrom(...SIMPLE), locker, (template, items) => {
        if (template === 'belay-seconds' && items.filter((i) => i.kind === 'rope').length < 2) return;
        sameAsBruteForce(ask(template), items);
      }),
      { numRuns: 40 },
    );
  });

  it('is as good as trying everything for rappels, with sling, hitch and two ropes', () => {
    const locker = fc
      .tuple(few('rope', 2), few('device', 1), few('connector', 2), few('sling', 1), few('cord', 1), few('harness', 1))
      .map((parts) => parts.flat());
    fc.assert(
      fc.property(
        fc.constantFrom('rappel-double', 'rappel-single', 'rappel-fixed'),
        locker,
        fc.constantFrom(club.ilse, { ...club.tomas, massKg: 120 }),
        fc.constantFrom('dry' as const, 'icy' as const),
        (template, items, climber, weather) => sameAsBruteForce(ask(template, [climber], { weather }), items),
      ),
      { numRuns: 8 },
    );
  });

  it('keeps what is chosen already', () => {
    const open = withItem(withItem(ask('rappel-double'), 'ropeA', club.longRope), 'deviceConnector', club.secondPear);
    const { combinations } = search(open, club.clubItems, []);
    expect(combinations.length).toBeGreaterThan(0);
    for (const { picks } of combinations) {
      expect(picks.map((p) => p.ref)).not.toContain('deviceConnector');
      const setup = combined(open, picks, club.clubItems, []);
      expect(slotsOf(setup).find((s) => s.ref === 'ropeA')!.item).toEqual(club.longRope);
    }
  });

  it('finds a combination for the demo’s rappel with every part chosen, and of equals the plainest', () => {
    const { combinations } = search(ask('rappel-double'), club.clubItems, []);
    const setup = combined(ask('rappel-double'), combinations[0]!.picks, club.clubItems, []);
    expect(slotsOf(setup).filter((s) => s.item === null && !s.optional)).toEqual([]);
    expect(assess(setup).findings.filter((f) => f.severity === 'stop')).toEqual([]);
    const named = Object.fromEntries(slotsOf(setup).map((s) => [s.ref, s.item?.name]));
    expect(named.extension).toBe('Sling 60, grey');
    expect(named.hitch).toBe('Hitch cord, green');
  });

  it('never offers a Stop, and says what speaks against what it leaves out', () => {
    const open = ask('rappel-double');
    const { combinations, rejected } = search(open, club.clubItems, [], { ...SEARCH_DEFAULTS, mostRejected: Infinity });
    const verdictOf = (c: Combination) => assess(combined(open, c.picks, club.clubItems, [])).verdict;
    for (const c of combinations) expect(verdictOf(c)).not.toBe('stop');
    const clamp = rejected.filter(
      (c) => itemOf(club.clubItems, c.picks.find((p) => p.ref === 'device')!.itemId)?.name === 'Burr clamp',
    );
    expect(clamp.length).toBeGreaterThan(0);
    for (const c of clamp) expect(verdictOf(c)).toBe('stop');
  });

  it('adding an item never removes a combination', () => {
    const pool = kinds(['rope', 'device', 'connector', 'sling', 'cord', 'harness']);
    fc.assert(
      fc.property(
        fc.constantFrom(...TEMPLATE_IDS),
        fc.shuffledSubarray(pool, { minLength: 4, maxLength: 9 }),
        fc.constantFrom(...kinds(['device', 'connector'])),
        (template, items, more) => {
          const open = ask(template);
          const found = (list: readonly Item[]) =>
            search(open, list, [], everything).combinations.map((c) => key(open, c.picks));
          const before = items.filter((i) => i !== more);
          // A place that was left open because nothing was there is judged once something is.
          fc.pre(before.some((i) => i.kind === more.kind));
          expect(found([...before, more])).toEqual(expect.arrayContaining(found(before)));
        },
      ),
      { numRuns: 30 },
    );
  });

  it('works out only the least bad of those with a Stop, and they are the ones it would have put first', () => {
    for (const template of TEMPLATE_IDS) {
      const open = ask(template);
      const all = search(open, club.clubItems, [], { ...SEARCH_DEFAULTS, mostRejected: Infinity });
      expect(all.rejected.length, template).toBeGreaterThan(8);
      expect(all.stopped, template).toBe(all.rejected.length);
      const few = search(open, club.clubItems, [], { ...SEARCH_DEFAULTS, mostRejected: 8 });
      expect(few.stopped, template).toBe(all.stopped);
      expect(few.combinations, template).toEqual(all.combinations);
      expect(few.rejected, template).toEqual(all.rejected.slice(0, 8));
    }
  });

  it('own tests can only push a combination down, and stay with it when it is taken', () => {
    const open = ask('self-belay-top-rope');
    const before = search(open, club.clubItems, []);
    const [first] = before.combinations;
    const at = key(open, first!.picks);
    const connector = first!.picks.find((p) => p.ref === 'deviceConnector')!;
    const bad: WayTest = {
      id: 't',
      connectorId: connector.itemId,
      deviceId: first!.picks.find((p) => p.ref === 'device')!.itemId,
      way: connector.way!,
      result: 'wedged',
      at: OWN.now,
      note: '',
    };
    const after = search(open, club.clubItems, [bad]);
    const now = [...after.combinations, ...after.rejected].find((c) => key(open, c.picks) === at)!;
    expect(less(now.cost, first!.cost)).toBeGreaterThanOrEqual(0);
    const other = now.picks.find((p) => p.ref === 'deviceConnector')!;
    expect([other.itemId, other.way]).not.toEqual([connector.itemId, connector.way]);
    // Taken all the same, the bad test is found in the set-up as it was in the plan.
    const taken = take(open, first!.picks, club.clubItems, [bad], OWN.now);
    expect(taken.tests).toEqual([bad]);
    expect(assess(taken).findings.map((f) => f.code)).toContain('connector.own-test-bad');
  });

  it('without a person no force is judged, and what is offered says so', () => {
    const { combinations } = search(ask('belay-leader', []), club.clubItems, []);
    for (const c of combinations.slice(0, 3))
      expect(assess(combined(ask('belay-leader', []), c.picks, club.clubItems, [])).verdict).not.toBe('clear');
  });

  it('the Munter hitch needs no device', () => {
    const open = ask('lower');
    const { combinations } = search(open, [club.longRope, club.pear, club.surveyHarness], []);
    expect(combinations.map((c) => c.picks.find((p) => p.ref === 'device')!.itemId)).toEqual(['munter']);
  });

  it('says so when it was cut', () => {
    const shown = ask('belay-leader', PEOPLE);
    expect(search(shown, club.clubItems, [], { ...SEARCH_DEFAULTS, maxLooks: 1 }).outcome).toBe('cut');
    // However many share them, each set of ropes and device gets as many looks as it takes here.
    const shared = search(shown, club.clubItems, [], { ...SEARCH_DEFAULTS, allLooks: 1 });
    expect({ ...shared, outcome: 'complete' }).toEqual(search(shown, club.clubItems, [], everything));
  });

  it('tells how many sets of ropes are done, and ends with all of them', () => {
    const heard: number[] = [];
    search(ask('lower'), club.clubItems, [], undefined, (done) => heard.push(done));
    expect(heard).toEqual(kinds(['rope']).map((_, i) => i + 1));
  });
});

describe('needs', () => {
  const named = (open: Setup, items: readonly Item[]) => needs(open, items, search(open, items, []));
  it('names what is missing by what it must do, with the numbers of this rope', () => {
    const open = withItem(rappelOpen(), 'ropeA', club.longRope);
    const list = named(open, [club.groovedTube, club.sling, club.surveyHarness]);
    expect(list.map((n) => n.what)).toEqual(['connector', 'cord']);
    expect(fillTemplate(list[1]!.says, list[1]!.numbers, METRIC)).toMatch(/mm to \d/);
  });
  it('one connector is not two', () =>
    expect(
      named(rappelOpen(), [...club.clubItems.filter((i) => i.kind !== 'connector'), club.pear]).map((n) => n.what),
    ).toEqual(['connector']));
  it('needs nothing for a rappel with the locker of the demo', () =>
    expect(named(rappelOpen(), club.clubItems)).toEqual([]));
  it('a rope that is too short everywhere is a need with its length', () => {
    const short = { ...club.longRope, nominalLengthM: 20, measuredLengthM: 20 };
    const items = [...club.clubItems.filter((i) => i.kind !== 'rope'), short];
    const [rope] = named(ask('rappel-double', PEOPLE, { anchorHeightM: 40 }), items);
    expect(rope!.what).toBe('rope');
    // Two strands of 40 m and the margin at the ends.
    expect(rope!.numbers[0]!.value.best).toBeGreaterThan(80);
  });
  function rappelOpen() {
    return ask('rappel-double');
  }
});

describe('taking a combination', () => {
  it.each(TEMPLATE_IDS)(
    '%s: a valid set-up that keeps what was planned, and in which nothing is said to be rigged',
    (id) => {
      const open = ask(id);
      const { combinations, rejected } = search(open, club.clubItems, []);
      const [best] = [...combinations, ...rejected];
      const taken = take(open, best!.picks, club.clubItems, [], OWN.now);
      expect(setupSchema.safeParse(taken).error?.issues).toBeUndefined();
      for (const pick of best!.picks)
        expect(slotsOf(taken).find((s) => s.ref === pick.ref)?.item?.id, pick.ref).toBe(pick.itemId);
      const way = best!.picks.find((p) => p.way);
      if (way) {
        const piece = taken.attachments.flatMap((a) => a.pieces).find((p) => p.id === way.ref);
        expect(piece).toMatchObject({ planned: way.way, gate: 'unknown' });
      }
      expect(taken.taken?.at).toBe(OWN.now);
      expect(assess(taken).verdict).not.toBe('clear');
    },
  );

  it('what was found when it was taken is kept beside it', () => {
    const open = ask('lower');
    const [best] = search(open, club.clubItems, []).combinations;
    const { taken } = take(open, best!.picks, club.clubItems, [], OWN.now);
    const found = assess(combined(open, best!.picks, club.clubItems, [])).findings.map((f) => f.code);
    expect(taken!.findings.map((f) => f.code)).toEqual(found);
  });

  it('a rope with a mark has its middle where the mark is; one without may be missed by more', () => {
    const miss = (middle: Rope['middle']) => {
      const rope = { ...club.longRope, middle };
      const items = [...club.clubItems.filter((i) => i.kind !== 'rope'), rope];
      const open = ask('rappel-double');
      const [best] = search(open, items, []).combinations;
      const [line] = take(open, best!.picks, items, [], OWN.now).lines;
      return line?.kind === 'doubled' ? line.middleMissM : NaN;
    };
    expect(miss('marked')).toBeLessThan(miss('none'));
  });
});

describe('the bound of the search', () => {
  it('taking a part away never adds a finding that counts, so that what is dropped could not have been better', () => {
    const refs = ['ropeA', 'device', 'deviceConnector', 'extension', 'hitch', 'hitchConnector', 'harness'] as const;
    fc.assert(
      fc.property(
        fc.subarray([...refs]),
        fc.constantFrom(...refs),
        fc.constantFrom(club.ilse, club.tomas),
        (missing, one, climber) => {
          const base = changed(withFields(rappelDouble, 'climber', { item: climber }), {
            hitch: { item: club.longCord },
          });
          const bare = (setup: Setup, names: readonly string[]) =>
            names.reduce((s, ref) => withItem(s, ref, null), setup);
          const setup = bare(base, missing);
          const cost = (s: Setup): Cost => costOf(s) as unknown as Cost;
          expect(less(cost(bare(setup, [one])), cost(setup))).toBeLessThanOrEqual(0);
        },
      ),
    );
  });
  it('a rig without a hitch is searched as well', () => {
    const open = without(ask('rappel-double'), 'below');
    expect(search(open, club.clubItems, []).combinations.length).toBeGreaterThan(0);
  });
});
