import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import type { Device } from '../../things/gear/index.ts';
import { descentOf, withItem, type Setup } from '../rig/index.ts';
import { changed, club, rappelDouble, SETUPS } from '../../samples/index.ts';

type Fields = Parameters<typeof changed>[1];
const found = (setup: Setup, fields: Fields = {}) =>
  assess(changed(setup, fields)).findings.map((f) => `${f.code} ${f.severity}`);
const single = SETUPS['rappel-single'];

describe('the place and the ropes of a doubled rappel', () => {
  it('nothing is found against the demo', () =>
    expect(found(rappelDouble).filter((f) => f.startsWith('rig.') && !f.endsWith(' clear'))).toEqual([]));
  it.each<[string, Fields, string]>([
    ['no device', { device: { item: null } }, 'rig.part-missing untested'],
    ['nobody', { climber: { item: null } }, 'rig.part-missing untested'],
    ['two ropes planned, one chosen', { rope: { use: 'joined' } }, 'rig.part-missing untested'],
    ['stance above the anchor', { site: { stanceHeightM: 40 } }, 'rig.part-missing untested'],
    ['one connector for two places', { hitchConnector: { item: club.pear } }, 'rig.part-twice mind'],
    [
      'one rope for both strands of two',
      { rope: { use: 'joined' }, ropeB: { item: club.longRope } },
      'rig.part-twice mind',
    ],
    ['anchor as entered', {}, 'rig.anchor-as-entered clear'],
    ['textile', { anchor: { through: 'textile' } }, 'rig.anchor-textile mind'],
    ['anchor not said', { anchor: { points: 'unknown' } }, 'rig.anchor-unknown untested'],
    ['one point', { anchor: { points: 'one' } }, 'rig.anchor-one-point mind'],
    ['sharp edge', { site: { edge: 'sharp' } }, 'rig.edge-sharp stop'],
    ['padded edge', { site: { edge: 'padded' } }, 'rig.edge-sharp mind'],
    ['edge not said', { site: { edge: 'unknown' } }, 'rig.edge-unknown untested'],
    ['one strand', { device: { strands: 'one' } }, 'rig.strands-in-device stop'],
    ['strands not said', { device: { strands: 'unknown' } }, 'rig.strands-in-device untested'],
    [
      'joint not said',
      { rope: { use: 'joined' }, ropeB: { item: club.longRope } },
      'rig.joining-knot-unknown untested',
    ],
  ])('%s', (_, fields, expected) => expect(found(rappelDouble, fields)).toContain(expected));

  it('counts extra rope only when there is a descent', () => {
    expect(descentOf({ ...rappelDouble.site, extraLineM: 3 })).toBe(27);
    expect(descentOf({ ...rappelDouble.site, stanceHeightM: 30, extraLineM: 50 })).toBeLessThan(0);
  });
});

describe('the sling of an extension', () => {
  // 80 kg hang on it with a jerk of the practice’s factor; a knot halves the sling.
  it.each([
    [22, 1, 'rig.extension-strength clear'],
    // Half of it is left at the best, a third at the worst: twice 1.6 kN is asked for.
    [5, 1, 'rig.extension-strength mind'],
    [3, 1, 'rig.extension-strength stop'],
    [null, 0, 'rig.extension-strength-unknown untested'],
  ] as const)('%s kN with %s knots: %s', (strengthKn, knots, expected) =>
    expect(
      found(rappelDouble, {
        climber: { item: { ...club.ilse, massKg: 80 } },
        extension: { item: { ...club.sling, strengthKn }, method: 'basket', knots },
      }),
    ).toContain(expected),
  );
});

describe('a rope that is fastened at the anchor', () => {
  it.each<[string, Fields, string[]]>([
    ['blocked, clipped, on the free strand', {}, ['rig.block-strand clear', 'rig.block-backup clear']],
    ['on the strand with the knot', { fastening: { strand: 'knot' } }, ['rig.block-strand stop']],
    ['strand not said', { fastening: { strand: 'unknown' } }, ['rig.block-strand untested']],
    ['nothing behind the knot', { fastening: { backup: 'no' } }, ['rig.block-backup mind']],
    ['not said what is behind it', { fastening: { backup: 'unknown' } }, ['rig.block-backup untested']],
    ['tied', { fastening: { how: 'tied' } }, ['rig.fastening clear']],
    ['not said at all', { fastening: { how: 'unknown' } }, ['rig.fastening untested']],
  ])('%s', (_, fields, expected) => expect(found(single, fields)).toEqual(expect.arrayContaining(expected)));

  it('the strand it is pulled down by must come down with it: 24 m need 48 m and what is kept', () => {
    const rope = (lengthM: number) => ({
      ropeA: { item: { ...club.longRope, nominalLengthM: lengthM, measuredLengthM: lengthM } },
    });
    expect(found(single, rope(60)).join()).not.toContain('geometry.pull-strand-short');
    expect(found(single, rope(40))).toContain('geometry.pull-strand-short mind');
    // Tied, it stays where it is and is long enough.
    const tied = found(changed(single, { fastening: { how: 'tied' } }), rope(40));
    expect(tied.join()).not.toContain('geometry.pull-strand-short');
    expect(found(single, rope(20)).join()).toMatch(/geometry\.rope-too-short stop/);
  });
});

describe('tied in', () => {
  const topRope = SETUPS['belay-top-rope'];
  it.each([
    ['figure-eight', 'clear'],
    ['bowline', 'clear'],
    ['unknown', 'untested'],
    ['other', 'mind'],
  ])('with %s: %s', (knot, severity) =>
    expect(found(topRope, { 'climber-tie-in-knot': { knot } })).toContain(`rig.tie-in ${severity}`),
  );
});

describe('a harness with two points and no belay loop', () => {
  it('carries no connector through both; a sling may be girth-hitched to them', () => {
    const harness = { ...club.surveyHarness, attachment: 'two-points' as const };
    const top = SETUPS['belay-top-rope'];
    const belayer = changed(top, { belayer: { harness } });
    expect(found(belayer)).toContain('rig.no-belay-loop stop');
    expect(found(top).join()).not.toContain('rig.no-belay-loop');
    expect(found(withItem(rappelDouble, 'harness', harness)).join()).not.toContain('rig.no-belay-loop');
  });
});

describe('a device at the anchor', () => {
  const tube = SETUPS['lower-faulty'];
  it('how the brake strand leaves it decides what it holds: not said is not tested', () => {
    expect(found(tube, { device: { brakeLed: 'unknown' } })).toContain('friction.brake-led-unknown untested');
    expect(found(tube).join()).not.toContain('friction.brake-led-unknown');
  });

  it('straight down with the load, a tube holds a third of what it holds bent right back', () => {
    const brake = (brakeLed: string) => assess(changed(tube, { device: { brakeLed } })).figures.brake.main!;
    const [down, back] = [brake('below').bottomN.best, brake('redirected').bottomN.best];
    // 2.19 and 6.66 are the ratios, worked by hand, of a tube with the strands at 0 and at 180 degrees.
    expect(down / back).toBeCloseTo(6.66 / 2.19, 1);
  });
});

describe('how the connector is clipped into plates', () => {
  const beech = SETUPS['tree-stationary'];
  it('a way that is not said is judged as the best there is, and said to be open', () => {
    const unsaid = found(beech, { deviceConnector: { planned: null, loadedEnd: 'unknown', faces: 'unknown' } });
    expect(unsaid).toContain('connector.way-unsaid untested');
    expect(found(beech).join()).not.toContain('connector.way-unsaid');
  });
  it('a pear in a hole of 9 mm is Stop in a set-up, as it is in the map of ways', () => {
    const item: Device = { ...(beech.attachments[0]!.end as { item: Device }).item, eyeMm: 9 };
    const pear = found(beech, { device: { item }, deviceConnector: { item: club.pear } });
    expect(pear).toContain('connector.does-not-pass stop');
  });
});
