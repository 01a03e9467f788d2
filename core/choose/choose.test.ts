import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess.ts';
import { fillTemplate } from '../finding/index.ts';
import type { Item } from '../gear/index.ts';
import type { Rig, Setup } from '../rig/index.ts';
import { club, rappelDouble } from '../samples/index.ts';
import { choose, CHOOSE_DEFAULTS, costOf, needs, NOT_RIGGED, type Cost } from './index.ts';

const open: Setup = {
  ...rappelDouble,
  gear: {
    ropeA: null,
    ropeB: null,
    device: null,
    deviceConnector: null,
    extraConnector: null,
    extension: null,
    hitchCord: null,
    hitchConnector: null,
    harness: club.surveyHarness,
  },
  rig: { ...rappelDouble.rig, ...NOT_RIGGED },
};
const WELL: Partial<Rig> = {
  ends: 'both-knotted',
  deviceStrands: 'both',
  ropeOverEnd: 'broad',
  deviceGate: 'locked',
  deviceGateFaces: 'away',
  hitchStrands: 'both',
  hitchEyes: 'both',
  hitchGate: 'locked',
  hitchGateFaces: 'away',
};
const all = { limit: 100, maxLooks: 1e9 };
const less = (a: Cost, b: Cost) => a[0] - b[0] || a[1] - b[1] || a[2] - b[2];

/** From scratch: every combination there is, and the best of each pair of rope and device. */
function bruteForce(base: Setup, items: readonly Item[]): Map<string, Cost> {
  const best = new Map<string, Cost>();
  const of = <K extends Item['kind']>(kind: K) => items.filter((i): i is Extract<Item, { kind: K }> => i.kind === kind);
  for (const ropeA of of('rope'))
    for (const device of of('device'))
      for (const deviceConnector of of('connector'))
        for (const extension of of('sling'))
          for (const extensionMethod of ['basket', 'girth'] as const)
            for (const extensionKnots of [0, 1])
              for (const hitchCord of of('cord'))
                for (const hitchWraps of [3, 4, 5])
                  for (const hitchConnector of of('connector')) {
                    if (hitchConnector.id === deviceConnector.id) continue;
                    const cost = costOf({
                      ...base,
                      gear: { ...base.gear, ropeA, device, deviceConnector, extension, hitchCord, hitchConnector },
                      rig: {
                        ...base.rig,
                        ...WELL,
                        extensionMethod,
                        extensionKnots,
                        extensionMeasuredMm: null,
                        hitchWraps,
                      },
                    });
                    const pair = `${ropeA.id}/${device.id}`;
                    const known = best.get(pair);
                    if (cost[0] === 0 && (!known || less(cost, known) < 0)) best.set(pair, cost);
                  }
  return best;
}

describe('choose', () => {
  it('ranks as brute force does, on small lockers of any contents', () => {
    const few = (kind: Item['kind'], max: number) =>
      fc.subarray(
        club.clubItems.filter((i) => i.kind === kind),
        { minLength: 1, maxLength: max },
      );
    const locker = fc
      .tuple(few('rope', 2), few('device', 2), few('connector', 3), few('sling', 1), few('cord', 2))
      .map((parts) => parts.flat());
    fc.assert(
      fc.property(
        locker,
        fc.constantFrom(club.ilse, club.tomas, { ...club.tomas, massKg: 120 }),
        fc.constantFrom('dry' as const, 'icy' as const),
        (items, climber, weather) => {
          const base = { ...open, people: { climber, partner: null }, situation: { ...open.situation, weather } };
          const { combinations, outcome } = choose(base, items, all);
          expect(outcome).toBe('complete');
          const found = new Map(
            combinations.map(({ setup, cost }) => [`${setup.gear.ropeA!.id}/${setup.gear.device!.id}`, cost]),
          );
          expect(found).toEqual(bruteForce(base, items));
          combinations
            .slice(1)
            .forEach(({ cost }, i) => expect(less(combinations[i]!.cost, cost)).toBeLessThanOrEqual(0));
        },
      ),
      { numRuns: 25 },
    );
  });

  it('finds a combination without fault in the locker of the demo, with every part chosen', () => {
    const { combinations } = choose(open, club.clubItems);
    const [first] = combinations;
    expect(first!.cost).toEqual([0, 0, 0]);
    // Of equals: broad connector at the device, small one at the hitch, short sling, short cord.
    const { gear } = first!.setup;
    expect([
      gear.deviceConnector!.shape,
      gear.hitchConnector!.name,
      gear.extension!.name,
      gear.hitchCord!.name,
    ]).toEqual(['hms', 'Small D, silver', 'Sling 60, grey', 'Hitch cord, green']);
    expect(assess(first!.setup).verdict).toBe('clear');
    expect(
      Object.entries(first!.setup.gear).filter(
        ([role, item]) => item === null && role !== 'ropeB' && role !== 'extraConnector',
      ),
    ).toEqual([]);
  });

  it('keeps what is chosen already', () => {
    const { combinations } = choose(
      { ...open, gear: { ...open.gear, ropeA: club.longRope, deviceConnector: club.secondPear } },
      club.clubItems,
    );
    expect(combinations.length).toBeGreaterThan(0);
    for (const { setup } of combinations) {
      expect(setup.gear.ropeA).toEqual(club.longRope);
      expect(setup.gear.deviceConnector).toEqual(club.secondPear);
    }
  });

  it('never offers a Stop, and says what speaks against what it leaves out', () => {
    const { combinations, rejected } = choose(open, club.clubItems, all);
    for (const { setup } of combinations) expect(assess(setup).verdict).not.toBe('stop');
    const clamp = rejected.find((r) => r.item.name === 'Burr clamp')!;
    expect(clamp.reason.severity).toBe('stop');
  });

  it('adding a device to the locker never removes a combination', () => {
    const pairs = (items: readonly Item[]) =>
      new Set(
        choose(open, items, all).combinations.map(({ setup }) => `${setup.gear.ropeA!.id}/${setup.gear.device!.id}`),
      );
    const before = pairs(club.clubItems.filter((i) => i.id !== club.plainTube.id));
    const after = pairs(club.clubItems);
    for (const pair of before) expect(after.has(pair)).toBe(true);
  });

  it('the bound holds: taking a part away never raises the cost', () => {
    const roles = [
      'ropeA',
      'device',
      'deviceConnector',
      'extension',
      'hitchCord',
      'hitchConnector',
      'harness',
    ] as const;
    fc.assert(
      fc.property(
        fc.subarray([...roles]),
        fc.constantFrom(...roles),
        fc.constantFrom(club.ilse, club.tomas),
        (missing, one, climber) => {
          const without = (setup: Setup, names: readonly (typeof roles)[number][]) => ({
            ...setup,
            gear: { ...setup.gear, ...Object.fromEntries(names.map((n) => [n, null])) },
          });
          const setup = without(
            {
              ...rappelDouble,
              people: { climber, partner: null },
              gear: { ...rappelDouble.gear, hitchCord: club.longCord },
            },
            missing,
          );
          expect(less(costOf(without(setup, [one])), costOf(setup))).toBeLessThanOrEqual(0);
        },
      ),
    );
  });

  it('says so when it was cut', () => {
    expect(choose(open, club.clubItems, { ...CHOOSE_DEFAULTS, maxLooks: 5 })).toMatchObject({
      outcome: 'cut',
      combinations: [],
    });
  });
});

describe('needs', () => {
  it('names what is missing by what it must do, with the numbers of this rope', () => {
    const base = { ...open, gear: { ...open.gear, ropeA: club.longRope } };
    const named = needs(base, [club.groovedTube, club.sling]);
    expect(named.map((n) => n.role)).toEqual(['deviceConnector', 'hitchCord', 'hitchConnector']);
    expect(fillTemplate(named[0]!.says, named[0]!.numbers, 'metric')).toMatch(/inside width at least 22\.8\smm/);
    expect(fillTemplate(named[1]!.says, named[1]!.numbers, 'metric')).toMatch(/5\.4\smm to 7\.9\smm/);
  });
  it('one connector is not two', () =>
    expect(
      needs(open, [...club.clubItems.filter((i) => i.kind !== 'connector'), club.pear]).map((n) => n.role),
    ).toEqual(['hitchConnector']));
  it('needs nothing with the locker of the demo', () => expect(needs(open, club.clubItems)).toEqual([]));
});
