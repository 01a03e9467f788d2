import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import { variation, wellRigged, withItem, withFields, without, type Setup } from '../../rigs/rig/index.ts';
import { changed, club, filled, rappelDouble, rappelDoubleFaulty, SETUPS, variedSetups } from '../../samples/index.ts';
import {
  closure,
  EVENTS,
  hanging,
  held,
  holdsFromRig,
  minimalCutSets,
  singlePointsOf,
  standing,
  standingAfter,
  waysToBackUp,
  type HoldModel,
} from './index.ts';

type Fields = Parameters<typeof changed>[1];
const modelOf = (setup: Setup, who = 0): HoldModel => {
  const ctx = contextOf(setup);
  return holdsFromRig(ctx, hanging(ctx)[who]!, assess(setup).findings);
};
const holdsOf = (setup: Setup, who = 0) => modelOf(setup, who).holds.map((h) => h.id);
const rigged = (fields: Fields) => changed(rappelDouble, fields);
const holdCodes = (setup: Setup) =>
  assess(setup)
    .findings.filter((f) => f.code.startsWith('hold.'))
    .map((f) => `${f.code} ${f.severity}`);
const singles = (setup: Setup, who = 0) => {
  const ctx = contextOf(setup);
  return singlePointsOf(ctx, modelOf(setup, who), assess(setup).findings);
};

describe('what still holds on the good set-up', () => {
  // Made within each test: what is made while tests are collected is no test's.
  const model = () => modelOf(rappelDouble);
  it('hand and hitch; the hitch when the hand lets go, the hand when the hitch slips, nothing when both go', () => {
    expect(holdsOf(rappelDouble)).toEqual(['main', 'below']);
    expect(standing(model(), ['brakeHand']).map((h) => h.id)).toEqual(['below']);
    expect(standing(model(), ['hitch']).map((h) => h.id)).toEqual(['main']);
    expect(held(model(), ['brakeHand', 'hitch'])).toBe(false);
    expect(held(model(), ['brakeHand', 'hitch:held'])).toBe(false);
  });
  it('its single points are those that practice accepts, each with what to look at', () => {
    expect(singles(rappelDouble).map((s) => s.fault.id)).toEqual([
      'anchor',
      'device',
      'deviceConnector',
      'extension',
      'harness',
      'rope',
    ]);
    for (const s of singles(rappelDouble))
      expect(s).toMatchObject({ accepted: true, inspect: expect.stringMatching(/\w/) as string });
    expect(holdCodes(rappelDouble)).toEqual(['hold.single-accepted clear']);
  });
  it('going past an end takes a missing knot as well', () => {
    expect(held(model(), ['ropeEnds:past'])).toBe(true);
    expect(minimalCutSets(model(), 2)).toContainEqual(['ropeEnds:knot', 'ropeEnds:past']);
  });
});

describe('conditions come from what was computed', () => {
  it('a hitch that reaches the device is released by it: the hand is alone', () => {
    const model = modelOf(rappelDoubleFaulty);
    expect(model.holds.map((h) => h.id)).toContain('below');
    expect([...closure(model, ['brakeHand'])]).toContain('hitch:released');
    expect(held(model, ['brakeHand'])).toBe(false);
  });
  it('the same set-up with the short cord holds again: the length decides, not a tick', () =>
    expect(held(modelOf(withItem(rappelDoubleFaulty, 'hitch', club.shortCord)), ['brakeHand'])).toBe(true));
  it('a hitch that slips or may slip is no hold', () => {
    const one = rigged({ hitch: { wraps: 1 } });
    expect(holdsOf(one)).toEqual(['main']);
    expect(modelOf(one).noHolds[0]).toMatchObject({ id: 'below' });
  });
  it('a leg loop whose buckle takes no load is no attachment; one of which it is not known neither', () => {
    for (const [legBuckleTakesLoad, severity] of [
      ['not-rated', 'stop'],
      ['unknown', 'untested'],
    ] as const) {
      const setup = withItem(rappelDouble, 'harness', { ...club.surveyHarness, legBuckleTakesLoad });
      expect(modelOf(setup).noHolds).toMatchObject([{ id: 'below', severity }]);
    }
  });
  it('an unknown gate at the hitch is not counted, and said as not known', () => {
    const setup = rigged({ hitchConnector: { gate: 'unknown' } });
    expect(holdsOf(setup)).toEqual(['main']);
    expect(holdCodes(setup)).toContain('hold.hand-alone untested');
  });
  it('a hitch that may slip leaves the hand alone; for one that slips the Stop at the hitch says it', () => {
    // On ice the hand holds little as well: this one is strong, so that only the hitch is in question.
    const icy = { site: { weather: 'icy' }, climber: { item: { ...club.ilse, handForceN: 600 } } };
    const may = rigged({ ...icy, hitch: { wraps: 3 } });
    expect(modelOf(may).noHolds).toMatchObject([{ id: 'below', severity: 'mind' }]);
    expect(holdCodes(may)).toContain('hold.hand-alone mind');
    const slips = rigged({ ...icy, hitch: { wraps: 1 } });
    expect(modelOf(slips).noHolds).toMatchObject([{ id: 'below', severity: 'stop' }]);
    expect(holdCodes(slips).join()).not.toContain('hand-alone');
    expect(held(modelOf(slips), ['brakeHand'])).toBe(false);
  });
  it('joined ropes need the knot between them; one folded rope has none', () => {
    const joined = filled(rigged({ rope: { use: 'joined' }, joiningKnot: { knot: 'flat-overhand' } }));
    expect(held(modelOf(joined), ['joiningKnot'])).toBe(false);
    expect(modelOf(rappelDouble).faults.map((f) => f.id)).not.toContain('joiningKnot');
  });
  it('an end that somebody is tied into is closed as well as a knotted one', () => {
    const cuts = (state: string) =>
      minimalCutSets(modelOf(changed(filled(wellRigged(SETUPS['rappel-single'])), { ropeEnds: { state } })), 1).flat();
    expect(cuts('open')).toContain('ropeEnds:past');
    expect(cuts('tied')).not.toContain('ropeEnds:past');
    expect(cuts('knotted')).not.toContain('ropeEnds:past');
  });
  it('an edge that is sharp, or of which nothing is known, cuts; a rounded one does not', () => {
    const causes = (edge: string) => modelOf(rigged({ site: { edge } })).causes.map((c) => c.id);
    expect(causes('sharp')).toContain('edge');
    expect(causes('unknown')).toContain('edge');
    expect(causes('rounded')).not.toContain('edge');
  });
  it('of several things against a hold the worst is told', () => {
    const twice = rigged({ hitch: { wraps: 1, eyes: 'unknown' } });
    expect(modelOf(twice).noHolds).toMatchObject([{ id: 'below', severity: 'stop' }]);
  });
  it('an own sling that stays in a second anchor holds; the lanyard that comes off does not', () => {
    const withLanyard = filled(wellRigged(variation('lanyard').add(rappelDouble)!));
    expect(modelOf(withLanyard).noHolds.map((n) => n.id)).toContain('lanyard');
    const stays: Setup = {
      ...withLanyard,
      attachments: withLanyard.attachments.map((a) => (a.id === 'lanyard' ? { ...a, use: 'backup' as const } : a)),
    };
    const model = modelOf(stays);
    const hold = model.holds.find((h) => h.id === 'lanyard')!;
    expect(hold).toMatchObject({ hand: false });
    expect(hold.needs).toEqual(expect.arrayContaining(['anchor', 'lanyard-sling', 'lanyard-connector', 'harness']));
    expect(held(model, ['rope', 'brakeHand'])).toBe(true);
    expect(held(model, ['anchor'])).toBe(false);
  });
  it('open ends make going past them a single point, said where the open end is said', () => {
    const open = rigged({ ropeEnds: { state: 'open' } });
    expect(minimalCutSets(modelOf(open), 1)).toContainEqual(['ropeEnds:past']);
    expect(assess(open).findings.map((f) => f.code)).toContain('geometry.ends-open');
    expect(holdCodes(open).join()).not.toContain('hold.single-point');
  });
  it('what is found about a single point itself is said there, and not again here', () => {
    for (const [fields, code] of [
      [{ anchor: { points: 'one' } }, 'rig.anchor-one-point'],
      [{ site: { edge: 'unknown' } }, 'rig.edge-unknown'],
    ] as const) {
      const setup = rigged(fields);
      expect(assess(setup).findings.map((f) => f.code)).toContain(code);
      expect(holdCodes(setup).join()).not.toContain('hold.single-point');
    }
  });
  it('one thing that practice never accepts alone is said where nothing is found about it', () => {
    const backed = filled(wellRigged(variation('hitch-below').add(SETUPS['pick-off'])!));
    expect(holdCodes(backed)).toContain('hold.single-point mind');
  });
  it('with a hand too weak and a hitch that slips nothing is known to hold', () => {
    const weak = rigged({
      climber: { item: { ...club.tomas, massKg: 140, handForceN: 20 } },
      hitch: { wraps: 1 },
      site: { weather: 'icy' },
    });
    expect(holdsOf(weak)).toEqual([]);
    expect(holdCodes(weak)).toContain('hold.nothing stop');
  });
  it('nothing is said while a part is missing', () =>
    expect(holdCodes(withItem(rappelDouble, 'hitch', null))).toEqual([]));
  it('common causes: the same hand, the same loop, one distracted person', () => {
    const causes = (setup: Setup) => Object.fromEntries(modelOf(setup).causes.map((c) => [c.id, c.brings]));
    const good = causes(rappelDouble);
    expect(held(modelOf(rappelDouble), good['same-hand-below']!)).toBe(false);
    // Distracted, one still has the hitch, and the knot in the end.
    expect(held(modelOf(rappelDouble), good.distracted!)).toBe(true);
    expect(held(modelOf(rigged({ ropeEnds: { state: 'open' } })), good.distracted!)).toBe(false);
    expect(good).not.toHaveProperty('same-harness-below');
    const loop = withFields(rappelDouble, 'below', {
      root: { kind: 'harness', person: 'climber', point: 'belay-loop' },
    });
    expect(held(modelOf(loop), causes(loop)['same-harness-below']!)).toBe(false);
  });
  it('one connector for device and hitch is a common cause', () => {
    const setup = rigged({ hitchConnector: { item: club.pear } });
    const cause = modelOf(setup).causes.find((c) => c.id === 'same-connector-below')!;
    expect(held(modelOf(setup), cause.brings)).toBe(false);
  });
});

describe('other jobs', () => {
  const complete = (name: keyof typeof SETUPS) => filled(wellRigged(SETUPS[name]));
  it('a belayed person hangs on the belayer’s hand, harness and device; the belayer hangs on nothing', () => {
    const setup = complete('lower-ground');
    expect(hanging(contextOf(setup)).map((p) => p.role)).toEqual(['climber']);
    const [hold] = modelOf(setup).holds;
    expect(hold!.needs).toEqual(expect.arrayContaining(['belayer-harness', 'belayer-hand', 'device', 'anchor']));
    expect(singles(setup).find((s) => s.fault.kind === 'hand')).toMatchObject({ accepted: true });
  });
  it('a device that holds by itself needs no hand', () => {
    const hold = modelOf(complete('belay-second')).holds[0]!;
    expect(hold).toMatchObject({ hand: false });
    expect(hold.needs).not.toContain('belayer-hand');
  });
  it('two seconds: each on a rope of their own, both on one device', () => {
    const setup = complete('belay-seconds');
    const people = hanging(contextOf(setup)).map((p) => p.id);
    expect(people).toEqual(['climber', 'second']);
    const [a, b] = [0, 1].map((who) => modelOf(setup, who));
    expect(held(a!, ['rope2'])).toBe(true);
    expect(held(a!, ['rope'])).toBe(false);
    expect(held(b!, ['rope'])).toBe(true);
    for (const m of [a!, b!]) expect(held(m, ['device'])).toBe(false);
  });
  it('one clamp that nobody tends is a single point that practice does not accept', () =>
    expect(singles(complete('self-belay-top-rope')).find((s) => s.fault.kind === 'device')).toMatchObject({
      accepted: false,
    }));
  it('a hitch on the brake strand of somebody else: the belayer does not hang on it', () => {
    const add = variedSetups().find((v) => v.name === 'lower-faulty + brake-hitch')!.setup;
    expect(hanging(contextOf(add)).map((p) => p.role)).toEqual(['climber']);
  });
});

describe('the laws, on every sample with every variation', () => {
  const all = () => variedSetups().map(({ name, setup }) => ({ name, setup, models: modelsOf(setup) }));
  function modelsOf(setup: Setup) {
    const ctx = contextOf(setup);
    return hanging(ctx).map((p) => holdsFromRig(ctx, p, assess(setup).findings));
  }
  it('the minimal sets are what trying every single fault and every pair gives', () => {
    for (const { name, models } of all())
      for (const model of models) {
        const basic = model.faults.filter((f) => f.basic).map((f) => f.id);
        if (model.holds.length === 0) continue;
        const single = basic.filter((id) => !held(model, [id]));
        const pairs = basic.flatMap((a, i) =>
          basic
            .slice(i + 1)
            .filter((b) => !single.includes(a) && !single.includes(b) && !held(model, [a, b]))
            .map((b) => [a, b].sort().join()),
        );
        const cuts = minimalCutSets(model, 2);
        expect(
          cuts
            .filter((c) => c.length === 1)
            .flat()
            .sort(),
          name,
        ).toEqual(single.sort());
        expect(
          cuts
            .filter((c) => c.length === 2)
            .map((c) => [...c].sort().join())
            .sort(),
          name,
        ).toEqual([...new Set(pairs)].sort());
      }
  });
  it('every fault is named once, says something, and everything that is referred to is a fault', () => {
    for (const { name, models } of all())
      for (const { faults, holds, consequences, causes } of models) {
        const ids = faults.map((f) => f.id);
        expect(new Set(ids).size, name).toBe(ids.length);
        for (const f of faults) expect(f.says, f.id).toMatch(/^[a-z].*[a-z]$/);
        const named = [
          ...holds.flatMap((h) => h.needs),
          ...consequences.flatMap((c) => [...c.when, c.then]),
          ...causes.flatMap((c) => c.brings),
        ];
        for (const id of named) expect(ids, name).toContain(id);
      }
  });
  it('more faults never make more hold', () => {
    const one = fc.constantFrom(...all().flatMap((x) => x.models));
    fc.assert(
      fc.property(one, fc.infiniteStream(fc.boolean()), (model, coin) => {
        const some = model.faults.filter(() => coin.next().value as boolean).map((f) => f.id);
        const less = some.slice(0, Math.floor(some.length / 2));
        const left = new Set(standing(model, less).map((h) => h.id));
        for (const h of standing(model, some)) expect(left).toContain(h.id);
      }),
    );
  });
});

describe('ways of backing up, side by side', () => {
  const ways = () => waysToBackUp(rappelDouble, assess(rappelDouble).findings);
  const table = () =>
    Object.fromEntries(
      ways().map((way) => [way.id, EVENTS.filter((e) => standingAfter(way, e).length === 0).map((e) => e.id)]),
    );
  it.each([
    [
      'nothing',
      ['hand', 'fright', 'stones', 'partner', 'device', 'hitch', 'end', 'rope', 'edge', 'anchor', 'anchors', 'harness'],
    ],
    ['hitch-below', ['fright', 'device', 'hitch', 'end', 'rope', 'edge', 'anchor', 'anchors', 'harness']],
    ['hitch-above', ['fright', 'hitch', 'end', 'rope', 'edge', 'anchor', 'anchors', 'harness']],
    ['held-below', ['stones', 'partner', 'device', 'end', 'rope', 'edge', 'anchor', 'anchors', 'harness']],
    ['own-hitch', ['fright', 'hitch', 'edge', 'anchors', 'harness']],
    // The belayer's hitch catches what the distracted hand lets go.
    ['second-rope', ['edge', 'anchors', 'harness']],
  ])('%s is defeated by exactly: %s', (id, defeated) => expect(table()[id]).toEqual(defeated));
  it('no way is worse than nothing at all', () => {
    for (const rows of Object.values(table())) for (const id of rows) expect(table().nothing).toContain(id);
  });
  it('each says what it needs, what defeats it, and reasons both ways', () => {
    for (const { variation } of ways())
      if (variation)
        for (const list of [variation.needs, variation.defeats, variation.reasons, variation.against])
          expect(list.length, variation.id).toBeGreaterThan(0);
  });
  it('what the set-up has stands first, judged as it stands', () => {
    const bad = rigged({ hitch: { wraps: 1 } });
    const [own] = waysToBackUp(bad, assess(bad).findings);
    expect(own).toMatchObject({ id: 'own', own: true });
    expect(standingAfter(own!, EVENTS[0]!)).toEqual([]);
  });
  it('the other ways are compared as they are meant to be rigged, whatever is wrong with the own one', () => {
    const bad = rigged({ hitch: { wraps: 1 } });
    const rows = waysToBackUp(bad, assess(bad).findings);
    const [hand] = EVENTS;
    expect(rows.filter((w) => standingAfter(w, hand!).length === 0).map((w) => w.id)).toEqual(['own', 'nothing']);
    const good = Object.fromEntries(ways().map((w) => [w.id, standingAfter(w, hand!).length]));
    for (const w of rows.filter((x) => !x.own)) expect(standingAfter(w, hand!).length, w.id).toBe(good[w.id]);
    expect(rows.filter((w) => w.own)).toHaveLength(1);
    expect(rows.map((w) => w.label)).toContain('Hitch below the device');
    expect(rows.find((w) => w.id === 'nothing')!.setup.attachments.some((a) => a.use === 'backup')).toBe(false);
  });
  it('what is added above a grab without teeth slides onto it when it slips; on a second rope it does not', () => {
    const solo = filled(wellRigged(SETUPS['self-belay-top-rope']));
    const rows = waysToBackUp(solo, assess(solo).findings);
    const held1 = (id: string, fault: string) => held(rows.find((w) => w.id === id)!.model, [fault]);
    expect(held1('second-grab', 'grab-device')).toBe(false);
    expect(held1('hitch-above', 'above-hitch')).toBe(false);
    expect(held1('second-grab', 'device')).toBe(true);
    expect(held1('grab-second-rope', 'grab2-device')).toBe(true);
    expect(held1('own-hitch', 'own-hitch')).toBe(true);
  });
  it('a rig without any backup has no row of its own; its device and its lanyard stay in every other', () => {
    const lanyard = filled(wellRigged(variation('lanyard').add(without(rappelDouble, 'below'))!));
    const rows = waysToBackUp(lanyard, assess(lanyard).findings);
    expect(rows.filter((w) => w.own).map((w) => w.id)).toEqual(['nothing']);
    for (const w of rows)
      expect(
        w.setup.attachments.map((a) => a.id),
        w.id,
      ).toEqual(expect.arrayContaining(['main', 'lanyard']));
    const open = rigged({ device: { brakeLed: 'unknown' } });
    expect(waysToBackUp(open, assess(open).findings).length).toBeGreaterThan(3);
  });
  it('one strand: going past its end takes the knot in it as well', () => {
    const single = filled(wellRigged(SETUPS['rappel-single']));
    const end = EVENTS.find((e) => e.id === 'end')!;
    const rows = waysToBackUp(single, assess(single).findings);
    expect(rows.filter((w) => standingAfter(w, end).length === 0).map((w) => w.id)).toContain('nothing');
  });
  it('a way taken over is the same rig that was compared', () => {
    for (const way of ways().filter((w) => w.variation)) {
      const again = waysToBackUp(way.setup, assess(way.setup).findings);
      expect(
        again.some((w) => w.id === 'own'),
        way.id,
      ).toBe(true);
      expect(
        again.some((w) => w.id === way.id),
        way.id,
      ).toBe(true);
    }
  });
  it('nobody who belays from the ground gets a table for a rappel', () =>
    expect(waysToBackUp(SETUPS['belay-top-rope'], [])).toEqual([]));
});

describe('one thing that grips the rope', () => {
  const alone = (name: 'ascend' | 'self-belay-top-rope' | 'tree-stationary', ...gone: string[]) =>
    holdCodes(gone.reduce((s, id) => without(s, id), SETUPS[name])).filter((c) => c.includes('one-attachment'));
  it('up a rope and alone on a top rope it is Stop; with knots below Mind, with a hitch above nothing', () => {
    expect(alone('ascend', 'above')).toEqual(['hold.one-attachment stop']);
    expect(alone('ascend')).toEqual([]);
    expect(alone('self-belay-top-rope', 'stop-knot')).toEqual(['hold.one-attachment stop']);
    expect(alone('self-belay-top-rope')).toEqual(['hold.one-attachment mind']);
  });
  it('a hitch above that does not count leaves one attachment', () =>
    expect(holdCodes(changed(SETUPS.ascend, { 'above-hitch': { eyes: 'one' } }))).toContain(
      'hold.one-attachment stop',
    ));
  it('is not asked for where a hand tends the device, nor said twice', () => {
    expect(holdCodes(SETUPS['rappel-single'])).not.toContain('hold.one-attachment stop');
    const bare = without(SETUPS.ascend, 'above');
    const said = assess(bare)
      .findings.filter((f) => f.code === 'hold.single-point')
      .flatMap((f) => f.subject);
    expect(said).not.toContain('device');
  });
});
