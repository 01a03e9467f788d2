import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Device, Item } from '../../things/gear/index.ts';
import { wellRigged, withFields, withItem, type Setup } from '../rig/index.ts';
import { changed, club, SETUPS } from '../../samples/index.ts';
import {
  anchorJudge,
  camJudge,
  contextOf,
  grooveJudge,
  leastClassJudge,
  manyJudge,
  twoMassJudge,
  wornJudge,
  type Judge,
} from './index.ts';

const says = (judge: Judge, setup: Setup): string[] => {
  const ctx = contextOf(setup);
  return judge
    .subjects(ctx)
    .flatMap((ref) => judge.judge(ref, ctx))
    .map((f) => `${f.code} ${f.severity}: ${f.subject.join()}`);
};
const rappel = SETUPS['rappel-double'];
const family = (wanted: Device['family']) => club.otherDevices.find((d) => d.family === wanted)!;
const itemAt = (setup: Setup, ref: string, patch: object): Setup => {
  const place = setup.attachments.flatMap((a) => [...a.pieces, a.end]).find((p) => p.id === ref)!;
  return withItem(setup, ref, { ...(place as { item: Item }).item, ...patch });
};

describe('life gear below its standard is a Stop, whatever its margin', () => {
  // EN 12275: at least 18 kN along, 7 across, 5 with the gate open; EN 566: 22 kN; EN 564: 0.2 d² kN. From memory.
  it.each([
    ['deviceConnector', { strengthMajorKn: 17.9 }, true],
    ['deviceConnector', { strengthMajorKn: 18 }, false],
    ['deviceConnector', { strengthMinorKn: 6.9 }, true],
    ['deviceConnector', { strengthMinorKn: 7 }, false],
    ['deviceConnector', { strengthOpenKn: 4.9 }, true],
    ['deviceConnector', { strengthOpenKn: 5 }, false],
    ['deviceConnector', { strengthMajorKn: 8, strengthMinorKn: 3, strengthOpenKn: 2 }, true],
    ['extension', { strengthKn: 5 }, true],
    ['extension', { strengthKn: 21.9 }, true],
    ['extension', { strengthKn: 22 }, false],
    ['hitch', { nominalDiameterMm: 6, declaredStrengthKn: 7.1 }, true],
    ['hitch', { nominalDiameterMm: 6, declaredStrengthKn: 7.2 }, false],
    ['hitch', { nominalDiameterMm: 5, declaredStrengthKn: 5 }, false],
  ])('%s %j: stop %s', (ref, patch, stop) =>
    expect(says(leastClassJudge, itemAt(rappel, ref, patch))).toEqual(stop ? [`rig.below-class stop: ${ref}`] : []),
  );
  it('what is not declared is not told here, and what only helps a foot is not asked', () => {
    const open = itemAt(rappel, 'deviceConnector', {
      strengthMajorKn: null,
      strengthMinorKn: null,
      strengthOpenKn: null,
    });
    expect(says(leastClassJudge, open)).toEqual([]);
    const weak = itemAt(rappel, 'deviceConnector', { strengthMajorKn: 3 });
    const aid = { ...weak, attachments: weak.attachments.map((a) => ({ ...a, use: 'aid' as const })) };
    expect(says(leastClassJudge, aid)).toEqual([]);
  });
  it('names both figures, and every one that is too low', () => {
    const setup = itemAt(rappel, 'deviceConnector', { strengthMajorKn: 8, strengthMinorKn: 3 });
    const [f] = leastClassJudge.judge('deviceConnector', contextOf(setup));
    expect(f!.numbers.map((n) => n.value.best)).toEqual([8, 18, 3, 7]);
    expect(f!.sources).toContain('en-12275');
  });
});

describe('wear counts for what holds by itself as well', () => {
  const solo = SETUPS['self-belay-top-rope'];
  const worn = (setup: Setup, device: Device, wear: Device['wear']) =>
    says(wornJudge, withItem(setup, 'device', { ...device, wear }));
  it.each(['rope-grab', 'clamp-toothed'] as const)('%s: minded when worn, not tested when not known', (name) => {
    expect(worn(solo, family(name), 'worn')).toEqual(['rig.worn mind: device']);
    expect(worn(solo, family(name), 'unknown')).toEqual(['rig.worn untested: device']);
    expect([worn(solo, family(name), 'new'), worn(solo, family(name), 'used')]).toEqual([[], []]);
  });
  it('a bollard, and a plate at the anchor', () => {
    expect(worn(SETUPS['tree-stationary'], family('multi-ascender'), 'worn')).toEqual(['rig.worn mind: device']);
    expect(worn(SETUPS['belay-second'], family('guide-plate'), 'worn')).toEqual(['rig.worn mind: device']);
  });
  it('where a hand brakes it is in the forces, and where nobody is chosen nothing is said', () => {
    expect(worn(rappel, club.groovedTube, 'worn')).toEqual([]);
    expect(worn(SETUPS['belay-leader'], club.groovedTube, 'worn')).toEqual([]);
    expect(says(wornJudge, withItem(solo, 'device', null))).toEqual([]);
  });
});

describe('a cam that is held, and two grooves', () => {
  const lead = withItem(SETUPS['belay-leader'], 'device', family('assisted-cam'));
  it.each([
    ['free', []],
    ['held', ['fit.cam-held stop: device']],
    ['unknown', ['fit.cam-held untested: device']],
  ])('cam %s', (cam, expected) => expect(says(camJudge, withFields(lead, 'device', { cam }))).toEqual(expected));
  it('nobody asks it of a tube', () =>
    expect(says(camJudge, withFields(SETUPS['belay-leader'], 'device', { cam: 'held' }))).toEqual([]));
  const plate = withItem(SETUPS['rappel-single'], 'device', family('two-sided-plate'));
  const groove = (which: string, measuredDiameterMm: number) =>
    says(
      grooveJudge,
      withFields(withItem(plate, 'ropeA', { ...club.longRope, measuredDiameterMm }), 'device', { groove: which }),
    );
  it.each([
    ['wide', 8, ['fit.groove-used mind: device']],
    ['wide', 9.2, []],
    ['wide', 11, []],
    ['narrow', 8, []],
    ['narrow', 9.8, []],
    ['narrow', 10.2, ['fit.groove-used mind: device']],
    ['unknown', 9.5, ['fit.groove-used untested: device']],
  ] as const)('the %s groove on %s mm', (which, mm, expected) => expect(groove(which, mm)).toEqual(expected));
});

describe('two heavy people on one device', () => {
  const both = (a: number, b: number) =>
    says(
      twoMassJudge,
      withItem(withItem(SETUPS['pick-off'], 'climber', { ...club.tomas, massKg: a }), 'casualty', {
        ...club.ilse,
        massKg: b,
      }),
    );
  it('are minded above 200 kg together, though neither is above the usual alone', () => {
    expect([both(100, 100), both(101, 100), both(119, 119)]).toEqual([
      [],
      ['rig.two-masses mind: device'],
      ['rig.two-masses mind: device'],
    ]);
    expect(says(twoMassJudge, withItem(SETUPS['pick-off'], 'casualty', null))).toEqual([]);
    expect(says(twoMassJudge, rappel)).toEqual([]);
  });
  it('two seconds count, their belayer does not', () => {
    const of = (kg: number) =>
      ['climber', 'second', 'belayer'].reduce(
        (s, ref) => withItem(s, ref, { ...club.tomas, id: `p-${ref}`, massKg: kg }),
        SETUPS['belay-seconds'],
      );
    expect(says(twoMassJudge, of(99))).toEqual([]);
    expect(says(twoMassJudge, of(101))).toEqual(['rig.two-masses mind: device']);
  });
});

describe('the anchor', () => {
  const anchor = (setup: Setup, fields: object) => says(anchorJudge, changed(setup, { anchor: { ...fields } }));
  it('lowering over textile is a Stop, pulling a rope through it is minded, a device may hang on it', () => {
    for (const name of ['belay-top-rope', 'lower-ground', 'belay-leader'] as const)
      expect(anchor(SETUPS[name], { through: 'textile' }), name).toContain('rig.anchor-textile stop: anchor');
    expect(anchor(rappel, { through: 'textile' })).toContain('rig.anchor-textile mind: anchor');
    expect(anchor(SETUPS['belay-second'], { through: 'textile' }).join()).not.toContain('textile');
    const stays = changed(SETUPS['belay-leader'], { calls: { down: 'rappel' } });
    expect(anchor(stays, { through: 'textile' })).toContain('rig.anchor-textile mind: anchor');
  });
  it('a loaded rope that runs over wood is minded, a line tied to it is not', () => {
    expect(anchor(SETUPS['tree-moving'], { through: 'wood' })).toContain('rig.anchor-wood mind: anchor');
    expect(anchor(SETUPS['lower-ground'], { through: 'wood' })).toContain('rig.anchor-wood mind: anchor');
    expect(anchor(SETUPS['tree-stationary'], { through: 'wood' }).join()).not.toContain('wood');
  });
  it('only one of two rings threaded is minded, not said is not tested, and asked only where a rope runs through rings', () => {
    expect(anchor(rappel, { rings: 'one' })).toEqual(['rig.anchor-rings mind: anchor']);
    expect(anchor(rappel, { rings: 'unknown' })).toEqual(['rig.anchor-rings untested: anchor']);
    expect(anchor(rappel, { rings: 'all' })).toEqual(['rig.anchor-as-entered clear: anchor']);
    expect(anchor(rappel, { rings: 'unknown', through: 'connector' }).join()).not.toContain('rings');
    expect(anchor(SETUPS['belay-second'], { rings: 'unknown' }).join()).not.toContain('rings');
  });
  it('one point is minded, but for a tree, which has one', () => {
    expect(anchor(rappel, { points: 'one' })).toContain('rig.anchor-one-point mind: anchor');
    expect(anchor(SETUPS['tree-moving'], { points: 'one' }).join()).not.toContain('one-point');
  });
});

describe('many small things at once', () => {
  const SMALL: readonly ((s: Setup) => Setup)[] = [
    (s) => changed(s, { site: { weather: 'wet' } }),
    (s) => changed(s, { site: { edge: 'padded' } }),
    (s) => changed(s, { site: { slant: 'slanting' } }),
    (s) => changed(s, { site: { extraLineM: 3 } }),
    (s) => changed(s, { site: { steepness: 'free' } }),
    (s) => itemAt(s, 'device', { wear: 'worn' }),
    (s) => withItem(s, 'climber', { ...club.tomas, massKg: 100, handForceN: 170 }),
    (s) =>
      withItem(s, 'ropeA', { ...club.longRope, sheath: 'new-treated', stiffness: 'stiff', measuredDiameterMm: 8.9 }),
  ];
  const good = changed(wellRigged(rappel), { site: { edge: 'none', steepness: 'steep' } });
  it('five are too many, four are ordinary', () => {
    const four = SMALL.slice(0, 4).reduce((s, f) => f(s), good);
    expect(says(manyJudge, four)).toEqual([]);
    expect(says(manyJudge, SMALL[4]!(four))).toEqual(['rig.many-small mind: ground']);
  });
  it('each of them is counted, and named', () => {
    const all = SMALL.reduce((s, f) => f(s), good);
    const [f] = manyJudge.judge('ground', contextOf(all));
    for (const words of [
      'wet rope',
      'treated sheath',
      'stiff rope',
      'thin rope',
      'worn device',
      'heavy person',
      'weak hand',
      'an edge',
      'slanting',
      'not straight down',
      'hanging free',
    ])
      expect(f!.says).toContain(words);
    const light = withItem(all, 'climber', { ...club.ilse, massKg: 50, handForceN: 300 });
    const said = manyJudge.judge('ground', contextOf(light))[0]!.says;
    expect(said).toContain('a light person');
    expect(said).not.toContain('heavy');
    expect(said).not.toContain('weak hand');
    expect(
      manyJudge.judge('ground', contextOf(withItem(all, 'ropeA', { ...club.longRope, sheath: 'fuzzy' })))[0]!.says,
    ).toContain('fuzzy');
  });
  it('one more never takes the finding away', () => {
    fc.assert(
      fc.property(fc.subarray([...SMALL]), fc.constantFrom(...SMALL), (some, more) => {
        const before = some.reduce((s, f) => f(s), good);
        expect(says(manyJudge, more(before)).length).toBeGreaterThanOrEqual(says(manyJudge, before).length);
      }),
    );
  });
});
