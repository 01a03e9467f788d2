import { describe, expect, it } from 'vitest';
import { deviceExponent } from '../friction/index.ts';
import { FAMILIES, traitsOf, type Device } from '../gear/index.ts';
import { GRIP_IDS, gripsOf } from './index.ts';

const families = Object.keys(FAMILIES) as Device['family'][];
const dry = { weather: 'dry', sheath: 'smooth', wear: 'new' } as const;

describe('how hands hold a device', () => {
  it('is told for whatever a hand brakes, the right grip first, each noticed in a way of its own', () => {
    for (const family of families) {
      const all = gripsOf(family);
      const { brake } = traitsOf(family);
      if (brake !== null) expect(all.length, family).toBeGreaterThanOrEqual(4);
      if (all.length === 0) continue;
      expect(all[0]!.id).toBe('right');
      expect(new Set(all.map((g) => g.id)).size, family).toBe(all.length);
      expect(new Set(all.map((g) => g.notice)).size, family).toBe(all.length);
      for (const g of all) expect(`${g.label} ${g.happens} ${g.notice}`).not.toMatch(/\bsafe|undefined/i);
    }
  });
  it('shows the ways of a cam where there is a cam, and no grip at all on a clamp', () => {
    expect(gripsOf('assisted-cam').map((g) => g.id)).toEqual(['right', 'around-cam', 'thumb-stays', 'lever-only']);
    expect(gripsOf('clamp-toothed')).toEqual([]);
    expect(new Set(families.flatMap((f) => gripsOf(f).map((g) => g.id)))).toEqual(new Set(GRIP_IDS));
  });
  // What is called right must be what the engine computes the most braking for: a tube below the line, a Munter hitch
  // with parallel strands.
  it('never calls the weaker of two computed ways the right one', () => {
    for (const family of families) {
      const { brake } = traitsOf(family);
      const angles = gripsOf(family).filter((g) => g.brakeAngleDeg !== undefined);
      if (brake === null || angles.length < 2) continue;
      const holds = angles.map(
        (g) =>
          deviceExponent({
            brake,
            conditions: dry,
            diameterMm: 10,
            extraConnector: false,
            lipRad: (g.brakeAngleDeg! * Math.PI) / 180,
          }).best,
      );
      expect(holds[0]!, family).toBeGreaterThan(holds[1]!);
    }
  });
});
