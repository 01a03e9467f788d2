import { describe, expect, it } from 'vitest';
import { told } from '../../foundations/finding/told.test-help.ts';
import { club } from '../../samples/index.ts';
import { interval, STANDARD_GRAVITY_M_PER_S2 } from '../../foundations/units/index.ts';
import { brakeFigures, brakeHand, hitchFindings, hitchOnRope, type BrakeHandInput, type HitchInput } from './index.ts';

/*
 * What is said, with its numbers, as it was read through. Where a text changes here, read it as somebody would who
 * hangs there: is it true, is it clear, and is the number the right one? Then `npx vitest run -u` takes it.
 */

const hitch: HitchInput = {
  cord: club.shortCord,
  ropeA: club.longRope,
  ropeB: null,
  climber: club.ilse,
  harness: club.surveyHarness,
  weather: 'dry',
  kind: 'autoblock',
  wraps: 4,
  strands: 'both',
  eyes: 'both',
  attachedTo: 'leg-loop',
};
const ofHitch = (change: Partial<HitchInput>, without?: string) =>
  told(hitchFindings({ ...hitch, ...change }).filter((f) => f.code !== without && !usual.has(told([f]))));
const usual = new Set(hitchFindings(hitch).map((f) => told([f])));

describe('a hitch below the device', () => {
  it('as it should be', () => {
    expect(told(hitchFindings(hitch))).toMatchInlineSnapshot(`
      "clear hitch.grips (hitch)
        By the estimate 4 wraps are enough for this cord on this rope.
        Estimated from wraps, fiber, diameters and conditions: 1.8× (1.4 to 2.5) of the wraps needed.
        Test it anyway: it must grip before you trust it.
        = Wraps there over wraps needed 1.85× (1.43 to 2.52); Wraps 4
      clear hitch.strength (hitch)
        The cord is strong enough for this load.
        The loop holds 8.1 kN (6.7 to 9.6), a shock load is 1.3 kN.
        = Strength of the loop 8.1 kN (6.7 to 9.6); Shock load 1.3 kN; Strength over load 6.1× (4.99 to 7.21)"
    `);
    expect(hitchOnRope(hitch).map((f) => f.code)).toEqual(['hitch.grips', 'hitch.strength']);
  });
  const thin = { ...club.longRope, id: 'b', measuredDiameterMm: 6.5 };
  const cord = (change: Partial<HitchInput['cord']>) => ({ cord: { ...club.shortCord, ...change } });
  it.each<[string, Partial<HitchInput>]>([
    ['one wrap around two strands', { wraps: 1 }],
    ['two wraps around two strands', { wraps: 2 }],
    ['three wraps around one strand', { wraps: 3, around: 'one' }],
    ['six wraps around one strand, one strand is all there is', { wraps: 6, around: 'one', strands: 'one' }],
    ['seven wraps around one strand', { wraps: 7, around: 'one' }],
    ['six wraps around two strands', { wraps: 6 }],
    ['a Prusik', { kind: 'prusik' }],
    ['icy', { weather: 'icy' }],
    ['a second, thinner rope', { ropeB: thin }],
    ['a cord that is thick for the rope', cord({ nominalDiameterMm: 9, measuredDiameterMm: null })],
    ['a cord nearly as thick as the rope', cord({ nominalDiameterMm: 10.5, measuredDiameterMm: null })],
    ['a cord that is thin for the rope', cord({ nominalDiameterMm: 5.4, measuredDiameterMm: null })],
    ['a cord of 6 mm that measures 4.5', cord({ nominalDiameterMm: 6, measuredDiameterMm: 4.5 })],
    ['a cord of 4 mm that measures 5.5', cord({ nominalDiameterMm: 4, measuredDiameterMm: 5.5 })],
    ['exactly 5 mm', cord({ nominalDiameterMm: 5, measuredDiameterMm: null })],
    ['fibre that melts', cord({ material: 'uhmwpe' })],
    ['fibre not known', cord({ material: 'unknown' })],
    ['strength not known', cord({ declaredStrengthKn: null })],
    ['neither fibre nor strength known', cord({ declaredStrengthKn: null, material: 'unknown' })],
    ['weak', cord({ declaredStrengthKn: 2.6 })],
    ['very weak', cord({ declaredStrengthKn: 1.5 })],
    ['sewn', cord({ closure: 'sewn' })],
    ['only one strand in the hitch', { strands: 'one' }],
    ['strands in the hitch not said', { strands: 'unknown' }],
    ['one end clipped', { eyes: 'one' }],
    ['ends clipped not said', { eyes: 'unknown' }],
    ['buckle that only fits', { harness: club.lightHarness }],
    ['buckle not known', { harness: { ...club.lightHarness, legBuckleTakesLoad: 'unknown' } }],
    ['sewn leg loops', { harness: { ...club.lightHarness, legBuckleTakesLoad: 'sewn' } }],
  ])('%s', (_, change) => {
    expect(ofHitch(change)).toMatchSnapshot();
  });
});

const hand: BrakeHandInput = {
  climber: club.ilse,
  device: { ...club.groovedTube, wear: 'new' },
  extraConnector: false,
  ropeA: { ...club.longRope, stiffness: 'usual' },
  ropeB: null,
  weather: 'dry',
  descentM: 24,
  backupStands: true,
};

describe('the brake hand', () => {
  const light = { ...club.ilse, massKg: 40 };
  const rope = (change: Partial<BrakeHandInput['ropeA']>) => ({ ropeA: { ...hand.ropeA, ...change } });
  it.each<[string, Partial<BrakeHandInput>]>([
    ['as it should be', {}],
    ['hand not measured', { climber: club.tomas }],
    ['one strand', { strands: 'one' }],
    ['a thin second rope', { ropeB: { ...hand.ropeA, id: 'b', measuredDiameterMm: 7.5 } }],
    ['the second rope with another sheath', { ropeB: { ...hand.ropeA, id: 'b', sheath: 'fuzzy' } }],
    ['two ropes alike', { ropeB: { ...hand.ropeA, id: 'b' } }],
    ['over the smooth side of a grooved tube', { smoothSide: true }],
    ['the smooth side of a plain tube is its only one', { device: club.plainTube, smoothSide: true }],
    ['a plain tube', { device: club.plainTube }],
    ['a second connector', { extraConnector: true }],
    ['an eight', { device: { ...club.groovedTube, family: 'plain-eight' } }],
    [
      'a Munter hitch at the anchor',
      { device: { ...club.groovedTube, family: 'munter' }, rope: 'none', brakeAngleRad: 0 },
    ],
    ['a tube at the anchor, hand beside the load', { rope: 'load', brakeAngleRad: 0 }],
    ['the same, a heavy person', { rope: 'load', brakeAngleRad: 0, climber: club.tomas, massKg: 110 }],
    ['a child holds an adult', { climber: { ...club.ilse, massKg: 30, handForceN: null }, massKg: 84, rope: 'none' }],
    ['over an anchor', { rope: 'none', overAnchor: interval(1.5, 1.6, 1.7), massKg: 84 }],
    ['no hitch', { backupStands: false }],
    ['a strong hand above the device', { climber: { ...club.ilse, handForceN: 900 } }],
    ['wet', { weather: 'wet' }],
    ['icy', { weather: 'icy' }],
    ['sheath not known', rope({ sheath: 'unknown' })],
    ['wear not known', { device: { ...club.groovedTube, wear: 'unknown' } }],
    ['light, stiff rope, short way', { climber: light, ...rope({ stiffness: 'stiff' }), descentM: 30 }],
    [
      'very light, stiff rope, all the way',
      { climber: { ...club.ilse, massKg: 25 }, weather: 'wet', ...rope({ stiffness: 'stiff' }), extraConnector: true },
    ],
    ['light, stiffness not known, long way', { climber: light, ...rope({ stiffness: 'unknown' }), descentM: 40 }],
    [
      'light, second rope stiff, long way',
      { climber: light, ropeB: { ...hand.ropeA, id: 'b', stiffness: 'stiff' }, descentM: 40 },
    ],
    ['light, usual stiffness, long way', { climber: light, descentM: 60 }],
    [
      'light and stiff, but the rope hangs with the load',
      { climber: light, ...rope({ stiffness: 'stiff' }), rope: 'load' },
    ],
    ['a cam device', { device: { ...club.groovedTube, family: 'assisted-cam' } }],
  ])('%s', (_, change) => {
    expect(told(brakeHand({ ...hand, ...change }))).toMatchSnapshot();
  });

  it('the profile goes down evenly, a rope that hangs with the load adds to it, one below the device helps', () => {
    const profile = (change: Partial<BrakeHandInput>) => brakeFigures({ ...hand, ...change })!.profile;
    expect(profile({}).map((p) => p.depthM)).toEqual(Array.from({ length: 25 }, (_, i) => i));
    const ends = (change: Partial<BrakeHandInput>) => {
      const p = profile(change);
      return [p[0]!.forceN, p.at(-1)!.forceN] as const;
    };
    const [top, bottom] = ends({});
    const [noneTop, noneBottom] = ends({ rope: 'none' });
    const [loadTop, loadBottom] = ends({ rope: 'load' });
    expect(noneTop).toEqual(noneBottom);
    expect(bottom).toEqual(noneBottom);
    expect(loadTop).toEqual(noneTop);
    expect(loadBottom.best).toBeGreaterThan(noneBottom.best);
    // The rope that helps at the top, hanging with the load at the bottom instead, weighs as much.
    const ropeKg = (noneTop.best - top.best) / STANDARD_GRAVITY_M_PER_S2;
    expect(ropeKg).toBeGreaterThan(1);
    expect(loadBottom.best / noneBottom.best).toBeCloseTo((club.ilse.massKg + ropeKg) / club.ilse.massKg, 9);
  });
});
