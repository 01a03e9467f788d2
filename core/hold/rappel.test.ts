import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess.ts';
import type { Setup } from '../rig/index.ts';
import { club, rappelDouble, rappelDoubleFaulty } from '../samples/index.ts';
import {
  closure,
  holdFindings,
  holds,
  minimalCutSets,
  rappelHolds,
  SCHOOL_ROWS,
  schools,
  singlePointsOf,
  standing,
  standingIn,
} from './index.ts';

const modelOf = (setup: Setup) => rappelHolds(setup, assess(setup).findings);
const stopsOf = (setup: Setup) => modelOf(setup).stops.map((s) => s.id);
const rigged = (rig: Partial<Setup['rig']>, more: Partial<Setup> = {}): Setup => ({
  ...rappelDouble,
  ...more,
  rig: { ...rappelDouble.rig, ...rig },
});
const holdCodes = (setup: Setup) =>
  assess(setup)
    .findings.filter((f) => f.code.startsWith('hold.'))
    .map((f) => `${f.code} ${f.severity}`);

describe('what still holds on the good set-up', () => {
  const model = modelOf(rappelDouble);
  it('hand and hitch; the hitch when the hand lets go, the hand when the hitch slips, nothing when both go', () => {
    expect(stopsOf(rappelDouble)).toEqual(['hand', 'hitch']);
    expect(standing(model, ['hand']).map((s) => s.id)).toEqual(['hitch']);
    expect(standing(model, ['hitch']).map((s) => s.id)).toEqual(['hand']);
    expect(holds(model, ['hand', 'hitch'])).toBe(false);
    expect(holds(model, ['hand', 'hitchHeld'])).toBe(false);
  });
  it('its single points are those that practice accepts, each with what to look at', () => {
    const singles = singlePointsOf(model, assess(rappelDouble).findings);
    expect(singles.map((s) => s.fault)).toEqual([
      'anchor',
      'device',
      'deviceConnector',
      'extension',
      'harness',
      'rope',
    ]);
    for (const s of singles)
      expect(s).toMatchObject({ accepted: true, inspect: expect.stringMatching(/\w/) as string });
    expect(holdCodes(rappelDouble)).toEqual(['hold.single-accepted clear']);
  });
  it('going past an end takes a missing knot as well', () => {
    expect(holds(model, ['pastEnd'])).toBe(true);
    expect(minimalCutSets(model, 2)).toContainEqual(['endKnot', 'pastEnd']);
  });
});

describe('conditions come from what was computed', () => {
  it('a hitch that reaches the device is released by it: the hand is alone', () => {
    const model = modelOf(rappelDoubleFaulty);
    expect(model.stops.map((s) => s.id)).toContain('hitch');
    expect([...closure(model, ['hand'])]).toContain('hitchReleased');
    expect(holds(model, ['hand'])).toBe(false);
  });
  it('the same set-up with the short cord holds again: the length decides, not a tick', () => {
    const cured = { ...rappelDoubleFaulty, gear: { ...rappelDoubleFaulty.gear, hitchCord: club.shortCord } };
    expect(holds(modelOf(cured), ['hand'])).toBe(true);
  });
  it('a hitch that slips or may slip is no Stop', () => {
    const one = rigged({ hitchWraps: 1 });
    expect(stopsOf(one)).toEqual(['hand']);
    expect(modelOf(one).noStops[0]).toMatchObject({ id: 'hitch' });
  });
  it('a leg loop whose buckle takes no load is no attachment; one of which it is not known neither', () => {
    for (const [legBuckleTakesLoad, severity] of [
      ['not-rated', 'stop'],
      ['unknown', 'untested'],
    ] as const) {
      const harness = { ...club.surveyHarness, legBuckleTakesLoad };
      const setup = { ...rappelDouble, gear: { ...rappelDouble.gear, harness } };
      expect(modelOf(setup).noStops).toMatchObject([{ id: 'hitch', severity }]);
    }
  });
  it('an unknown gate at the hitch is not counted, and said as not known', () => {
    const setup = rigged({ hitchGate: 'unknown' });
    expect(stopsOf(setup)).toEqual(['hand']);
    expect(holdCodes(setup)).toContain('hold.hand-alone untested');
  });
  it('a hitch that may slip leaves the hand alone; for one that slips the Stop at the hitch says it', () => {
    const icy = { ...rappelDouble.situation, weather: 'icy' as const };
    const may = rigged({ hitchWraps: 4 }, { situation: icy });
    expect(modelOf(may).noStops).toMatchObject([{ id: 'hitch', severity: 'mind' }]);
    expect(holdCodes(may)).toContain('hold.hand-alone mind');
    const slips = rigged({ hitchWraps: 3 }, { situation: icy });
    expect(modelOf(slips).noStops).toMatchObject([{ id: 'hitch', severity: 'stop' }]);
    expect(holdCodes(slips).join()).not.toContain('hand-alone');
    expect(holds(modelOf(slips), ['hand'])).toBe(false);
  });
  it('open ends make going past them a single point, said where the open end is said', () => {
    const open = rigged({ ends: 'open' });
    expect(minimalCutSets(modelOf(open), 1)).toContainEqual(['pastEnd']);
    expect(assess(open).findings.map((f) => f.code)).toContain('geometry.ends-open');
    expect(holdCodes(open)).toContain('hold.single-point mind');
  });
  it('an anchor on one point is a single point in doubt', () =>
    expect(holdCodes(rigged({}, { situation: { ...rappelDouble.situation, anchorPoints: 'one' } }))).toContain(
      'hold.single-point mind',
    ));
  it('what is not known about a single point leaves it untested', () =>
    expect(holdCodes(rigged({}, { situation: { ...rappelDouble.situation, edge: 'unknown' } }))).toContain(
      'hold.single-point untested',
    ));
  it('with a hand too weak and a hitch that slips nothing is known to hold', () => {
    const weak = {
      ...rappelDouble,
      people: { climber: { ...club.tomas, massKg: 140, handForceN: 20 }, partner: null },
      rig: { ...rappelDouble.rig, hitchWraps: 1 },
      situation: { ...rappelDouble.situation, weather: 'icy' as const },
    };
    expect(stopsOf(weak)).toEqual([]);
    expect(holdCodes(weak)).toContain('hold.nothing stop');
  });
  it('nothing is said while a part is missing', () =>
    expect(holdCodes({ ...rappelDouble, gear: { ...rappelDouble.gear, hitchCord: null } })).toEqual([]));
  it('common causes: the same hand, the same loop, one distracted person', () => {
    const causes = (setup: Setup) => Object.fromEntries(modelOf(setup).causes.map((c) => [c.id, c.brings]));
    const good = causes(rappelDouble);
    expect(holds(modelOf(rappelDouble), good['same-hand']!)).toBe(false);
    // Distracted, one still has the hitch, and the knot in the end.
    expect(holds(modelOf(rappelDouble), good.distracted!)).toBe(true);
    expect(holds(modelOf(rigged({ ends: 'open' })), good.distracted!)).toBe(false);
    expect(good).not.toHaveProperty('same-harness');
    const loop = rigged({ hitchAt: 'belay-loop' });
    expect(holds(modelOf(loop), causes(loop)['same-harness']!)).toBe(false);
  });
  it('one connector for device and hitch is a common cause', () => {
    const pear = rappelDouble.gear.deviceConnector!;
    const setup = { ...rappelDouble, gear: { ...rappelDouble.gear, hitchConnector: pear } };
    const cause = modelOf(setup).causes.find((c) => c.id === 'same-connector')!;
    expect(holds(modelOf(setup), cause.brings)).toBe(false);
  });
});

describe('schools side by side', () => {
  const table = Object.fromEntries(
    schools(rappelDouble, assess(rappelDouble).findings).map((school) => [
      school.id,
      SCHOOL_ROWS.filter((row) => standingIn(school, row.faults).length === 0).map((row) => row.id),
    ]),
  );
  it.each([
    [
      'nothing',
      ['hand', 'fright', 'stones', 'partner', 'device', 'hitch', 'end', 'rope', 'edge', 'anchor', 'anchors', 'harness'],
    ],
    ['hitch-below', ['fright', 'device', 'hitch', 'end', 'rope', 'edge', 'anchor', 'anchors', 'harness']],
    ['hitch-above', ['fright', 'hitch', 'end', 'rope', 'edge', 'anchor', 'anchors', 'harness']],
    ['tree', ['fright', 'hitch', 'end', 'rope', 'edge', 'anchor', 'anchors', 'harness']],
    ['below', ['stones', 'partner', 'device', 'end', 'rope', 'edge', 'anchor', 'anchors', 'harness']],
    ['own-hitch', ['fright', 'hitch', 'edge', 'anchors', 'harness']],
    // The belayer's hitch catches what the distracted hand lets go.
    ['above', ['edge', 'anchors', 'harness']],
  ])('%s is defeated by exactly: %s', (id, defeated) => expect(table[id]).toEqual(defeated));
  it('no school is worse than nothing at all', () => {
    for (const rows of Object.values(table)) for (const id of rows) expect(table.nothing).toContain(id);
  });
  it('each says what it needs, what defeats it, and reasons both ways', () => {
    for (const s of schools(rappelDouble, []))
      for (const list of [s.needs, s.defeats, s.reasons, s.against]) expect(list.length).toBeGreaterThan(0);
  });
});

it('worse findings never make more hold', () =>
  fc.assert(
    fc.property(
      fc.record({
        hitchWraps: fc.integer({ min: 1, max: 5 }),
        hitchGate: fc.constantFrom<Setup['rig']['hitchGate']>('locked', 'closed', 'open', 'unknown'),
        ends: fc.constantFrom<Setup['rig']['ends']>('both-knotted', 'open', 'unknown'),
      }),
      (rig) => {
        const setup = rigged(rig);
        const model = modelOf(setup);
        for (const stop of model.stops) expect(['hand', 'hitch']).toContain(stop.id);
        const good = new Set(minimalCutSets(modelOf(rappelDouble), 1).map((s) => s.join()));
        const now = new Set(minimalCutSets(model, 1).map((s) => s.join()));
        if (model.stops.length > 0) for (const cut of good) expect([...now]).toContain(cut);
        expect(holdFindings(setup, assess(setup).findings).every((f) => f.code.startsWith('hold.'))).toBe(true);
      },
    ),
  ));
