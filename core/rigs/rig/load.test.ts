import { describe, expect, it } from 'vitest';
import { springsOf, type Item, type Person, type Rope } from '../../things/gear/index.ts';
import { changed, club, filled, SETUPS, type SampleName } from '../../samples/index.ts';
import { indexOf, loadOf, withItem, type Setup } from './index.ts';

const of = (
  name: SampleName,
  items: Readonly<Record<string, Item | Person>> = {},
  fields: Parameters<typeof changed>[1] = {},
) => {
  const setup: Setup = Object.entries(items).reduce(
    (s, [ref, item]) => withItem(s, ref, item),
    changed(filled(SETUPS[name]), fields),
  );
  const index = indexOf(setup);
  return loadOf(index, index.attachment('main')!)!;
};
const tube = club.otherDevices.find((d) => d.id === 'device-arch')!;
const tenMm = { ...club.longRope, measuredDiameterMm: 10 };
const hand = (handForceN: number): Person => ({ ...club.tomas, handForceN });

describe('load of a belay', () => {
  // Worked by hand: a tube slips at its ratio times the hand: 6.66 * 230 N = 1.53 kN.
  it('a grooved tube on 10 mm held with 230 N slips at 1.53 kN', () =>
    expect(of('belay-leader', { device: tube, ropeA: tenMm, belayer: hand(230) }).slipKn!.best).toBeCloseTo(1.53, 2));
  it('a stronger hand slips later, a thinner rope earlier', () => {
    const slip = (handForceN: number, rope: Item = tenMm) =>
      of('belay-leader', { device: tube, ropeA: rope, belayer: hand(handForceN) }).slipKn!.best;
    expect(slip(300)).toBeGreaterThan(slip(230));
    expect(slip(230, { ...tenMm, measuredDiameterMm: 9 })).toBeLessThan(slip(230));
  });
  it('water makes it slip earlier at best, and is not counted on at the upper end', () => {
    const [dry, icy] = ['dry', 'icy'].map(
      (weather) => of('belay-leader', { device: tube }, { site: { weather } }).slipKn!,
    );
    expect(icy!.best).toBeLessThan(dry!.best);
    expect(icy!.high).toBe(dry!.high);
  });
  it('where no hand brakes, or the device holds by itself, no slip is known from the hand', () => {
    expect(of('ascend').slipKn).toBeNull();
    expect(of('belay-top-rope').slipKn).toBeNull();
  });
});

describe('how the rope that catches gives', () => {
  it('is what its label and its kind say', () => {
    expect(of('belay-leader').springs).toEqual(springsOf(club.longRope));
    expect(of('ascend').springs).toEqual(springsOf(club.thickRope));
  });
  it('of two ropes the stiffer one counts', () => {
    const half: Rope = { ...club.thinRope, id: 'half', construction: 'half' };
    const single: Rope = { ...club.longRope, id: 'single', impactForceKn: 12 };
    expect(of('belay-seconds', { ropeA: half, 'rope2-rope': single }).springs).toEqual(springsOf(single));
    expect(of('belay-seconds', { ropeA: single, 'rope2-rope': half }).springs).toEqual(springsOf(single));
    expect(of('belay-seconds', { ropeA: half, 'rope2-rope': { ...half, id: 'b' } }).springs).toEqual(springsOf(half));
  });
});

describe('direction of load and hand', () => {
  // A device at the anchor with load and hand both down turns the rope by half a turn only; led up and over it has the
  // turn back.
  it('comes from where the device hangs and how the brake strand is led', () => {
    expect(of('lower', {}, { device: { brakeLed: 'below' } }).brakeAngleRad).toBe(0);
    expect(of('lower', {}, { device: { brakeLed: 'unknown' } }).brakeAngleRad).toBe(0);
    expect(of('lower', {}, { device: { brakeLed: 'redirected' } }).brakeAngleRad).toBe(Math.PI);
    expect(of('belay-leader').brakeAngleRad).toBe(Math.PI);
  });
  it('what it must carry is the heaviest who can hang on it', () =>
    expect(of('belay-seconds').massKg).toBe(Math.max(club.ilse.massKg, club.wren.massKg)));
});
