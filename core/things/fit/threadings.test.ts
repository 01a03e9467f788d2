import { describe, expect, it } from 'vitest';
import { FAMILIES, traitsOf, type Device } from '../gear/index.ts';
import { threadingsOf } from './index.ts';

const families = Object.keys(FAMILIES) as Device['family'][];
const belaysOrBrakes = families.filter(
  (f) => traitsOf(f).brake !== null || traitsOf(f).turningCam || traitsOf(f).tuned || f === 'hitch-reliever',
);
const ways = (family: Device['family'], mode?: 'guides') => threadingsOf(family, mode).map((t) => t.id);

describe('the ways of the rope in a device', () => {
  it('are told for every family that belays or brakes: the right one first, and wrong ones, each with a test of its own', () => {
    expect(belaysOrBrakes.length).toBeGreaterThanOrEqual(8);
    for (const family of belaysOrBrakes) {
      const all = threadingsOf(family);
      expect(all[0]!.id, family).toBe('right');
      expect(all.length, family).toBeGreaterThanOrEqual(3);
      expect(new Set(all.map((t) => t.id)).size, family).toBe(all.length);
      expect(new Set(all.map((t) => t.test)).size, family).toBe(all.length);
      for (const t of all) expect(`${t.label} ${t.happens} ${t.test}`).not.toMatch(/\bsafe|undefined/i);
    }
  });
  it('hold what belongs to the family and nothing else', () => {
    expect(ways('tube-grooved')).toContain('smooth-side');
    expect(ways('tube-plain')).not.toContain('smooth-side');
    expect(ways('plain-eight')).toContain('flipped');
    // Ears keep the bight from slipping over the ring.
    expect(ways('eared-eight')).not.toContain('flipped');
    expect(ways('munter')).toEqual(['right', 'connector-only', 'at-gate']);
    expect(ways('assisted-cam')).toContain('backwards');
    expect(ways('guide-plate', 'guides')).toEqual(['right', 'load-below', 'bight-missed']);
    expect(ways('tube-grooved', 'guides')).toEqual([]);
    expect(ways('multi-ascender')).toEqual(['right', 'pin-open', 'past-bollard', 'backwards']);
    expect(ways('hitch-reliever')).toEqual(['right', 'hitch-on-top', 'not-in-reliever']);
    expect(ways('body-ascender')).toEqual([]);
    expect(ways('clamp-toothed')).toEqual([]);
  });
});
