import { describe, expect, it } from 'vitest';
import { anyRope, fallForceKn, JOB_FACTS, JOB_KEYS, oneSpring, usualLoad } from '../gear/index.ts';
import { club } from '../../samples/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import { exactly, interval, STANDARD_GRAVITY_M_PER_S2 } from '../../foundations/units/index.ts';
import { jobLoadKn } from './index.ts';

const sure = (k: number) => ({ soft: oneSpring(k), best: oneSpring(k), hard: oneSpring(k) });

describe('jobLoadKn', () => {
  const load = (job: (typeof JOB_KEYS)[number], massKg = 80, device = club.groovedTube) =>
    jobLoadKn(usualLoad(job, massKg), device);
  it('is ordered, grows with mass, and is twice body weight where nobody falls', () => {
    for (const job of JOB_KEYS) {
      const { low, best, high } = load(job);
      expect(low).toBeLessThanOrEqual(best);
      expect(best).toBeLessThanOrEqual(high);
      expect(load(job, 95).high, job).toBeGreaterThanOrEqual(high);
      if (JOB_FACTS[job].fallFactor === null && JOB_FACTS[job].persons === 'one') expect(best).toBeCloseTo(1.57, 2);
    }
    expect(load('pick-off').best).toBeCloseTo(2 * load('lower').best, 12);
  });
  it('a leader’s fall is cut by rope slipping through the tube, later by an assisted cam, and by nothing in self-belay', () => {
    expect(load('belay-leader').high).toBe(constant('belaySlipKn').high);
    const cam = club.otherDevices.find((d) => d.family === 'assisted-cam')!;
    expect(load('belay-leader', 80, cam).high).toBe(8);
    // Factor 1 on the hardest rope there is.
    expect(load('self-belay-top-rope').high).toBeCloseTo(fallForceKn(anyRope().hard, 80, 1), 12);
  });
  // From memory, with their intervals: 0.7 / 1.5 / 3 kN through a tube of which the hand is not known, 3 / 5 / 8 kN
  // through what assists.
  it('a hard fall is cut at both ends of what slips', () => {
    const hard = (massKg: number) => ({
      ...usualLoad('belay-leader', massKg),
      fallFactor: exactly(1.77),
      springs: sure(24_100),
      slipKn: null,
    });
    // Light enough that the jerk of hanging is below what slips.
    expect(jobLoadKn(hard(30), club.groovedTube)).toEqual({ low: 0.7, best: 1.5, high: 3 });
    const cam = club.otherDevices.find((d) => d.family === 'assisted-cam')!;
    expect(jobLoadKn(hard(80), cam)).toEqual({ low: 3, best: 5, high: 8 });
  });
  // Worked by hand: slack above a second at factor 0.1, 0.3 and 0.5 with 80 kg on 24.1 kN puts 2.9, 4.2 and 5.2 kN on
  // the anchor; one decimal as printed.
  it.each([
    [0.1, 2.9],
    [0.3, 4.2],
    [0.5, 5.2],
  ])('slack of factor %s above a second: %s kN', (f, kn) => {
    const tight = { ...usualLoad('belay-second', 80), fallFactor: exactly(f), springs: sure(24_100), tended: false };
    expect(jobLoadKn(tight, club.groovedTube).best).toBeCloseTo(kn, 1);
  });
  it('of two seconds one falls while the other hangs', () =>
    expect(load('belay-seconds').best).toBeGreaterThan(load('belay-second').best));
  it('where device and hand are known the rope slips at their product, and never below the weight', () => {
    const slips = { ...usualLoad('belay-leader', 80), slipKn: interval(0.9, 1.53, 2.4) };
    expect(jobLoadKn(slips, club.groovedTube)).toEqual(
      interval((2 * 80 * STANDARD_GRAVITY_M_PER_S2) / 1000, (2 * 80 * STANDARD_GRAVITY_M_PER_S2) / 1000, 2.4),
    );
  });
  it('a stiffer rope never loads less', () => {
    const of = (k: number) =>
      jobLoadKn({ ...usualLoad('self-belay-top-rope', 80), springs: sure(k * 1000) }, club.groovedTube);
    for (const [soft, stiff] of [
      [15, 24],
      [24, 45],
    ] as const)
      expect(of(stiff).high).toBeGreaterThan(of(soft).high);
  });
  it('a guide plate used as a tube lets the rope slip', () => {
    const plate = club.otherDevices.find((d) => d.family === 'guide-plate')!;
    expect(load('belay-leader', 80, plate)).toEqual(load('belay-leader'));
  });
});
