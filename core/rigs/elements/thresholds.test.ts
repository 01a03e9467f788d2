import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { usualLoad } from '../../things/gear/index.ts';
import { jobLoadKn } from '../../things/connector/index.ts';
import { changed, club, rappelDouble } from '../../samples/index.ts';
import type { Setup } from '../rig/index.ts';

/* Just below and just above every limit that a finding begins at: a limit that slips in the register is seen. */

const has = (setup: Setup, code: string) =>
  assess(setup).findings.some((f) => f.code === code && f.severity !== 'clear');
const withRope = (more: object) => changed(rappelDouble, { ropeA: { item: { ...club.longRope, ...more } } });
const joined = (more: object) =>
  changed(rappelDouble, {
    rope: { use: 'joined' },
    ropeA: { item: { ...club.longRope, measuredDiameterMm: 9.8 } },
    ropeB: { item: { ...club.longRope, id: 'b', name: 'Other', ...more } },
    joiningKnot: { knot: 'flat-overhand' },
  });

describe('limits', () => {
  it.each([
    ['rope measured to 0.80 of its label', { lengthM: 60, measuredLengthM: 48 }, false],
    ['shorter than that', { lengthM: 60, measuredLengthM: 47.9 }, true],
    ['1.08 of it', { lengthM: 60, measuredLengthM: 64.79 }, false],
    ['longer than that', { lengthM: 60, measuredLengthM: 64.9 }, true],
    ['1.19 mm off its label', { nominalDiameterMm: 9.8, measuredDiameterMm: 10.99 }, false],
    ['1.21 mm off', { nominalDiameterMm: 9.8, measuredDiameterMm: 11.01 }, true],
  ])('a label contradicted: %s: %s', (_, more, expected) =>
    expect(has(withRope(more), 'rig.label-contradicts')).toBe(expected),
  );
  it.each([
    ['single', 8.3, 8.2, 12, 12.1],
    ['half', 7, 6.9, 9.5, 9.6],
    ['twin', 6.7, 6.6, 9.3, 9.4],
    ['low-stretch', 8.5, 8.4, 16, 16.1],
  ])('a %s rope is made from %s and not %s to %s and not %s mm', (construction, thin, thinner, thick, thicker) => {
    const of = (nominalDiameterMm: number) => {
      const { findings } = assess(withRope({ construction, nominalDiameterMm, measuredDiameterMm: null }));
      return findings.flatMap((f) => (f.code === 'rig.rope-size' ? [f.severity] : []));
    };
    expect([thin, thick].flatMap(of)).toEqual([]);
    expect([thinner, thicker].flatMap(of)).toEqual(['untested', 'untested']);
  });
  it.each([
    [{ nominalDiameterMm: 5.7, measuredDiameterMm: null }, 'untested'],
    [{ nominalDiameterMm: 5.6, measuredDiameterMm: null }, 'stop'],
    [{ nominalDiameterMm: 6, measuredDiameterMm: 5.9, measuringUncertaintyMm: 0.1 }, 'untested'],
    [{ nominalDiameterMm: 6, measuredDiameterMm: 5.8, measuringUncertaintyMm: 0.1 }, 'stop'],
  ])('a rope of %o is cord: %s', (more, severity) => {
    const { findings } = assess(withRope(more));
    expect(findings.filter((f) => f.code === 'rig.rope-size').map((f) => f.severity)).toEqual([severity]);
  });
  it('of a kind that is not known only cord is told', () => {
    const of = (nominalDiameterMm: number) =>
      assess(withRope({ construction: 'other', nominalDiameterMm, measuredDiameterMm: null })).findings.flatMap((f) =>
        f.code === 'rig.rope-size' ? [f.severity] : [],
      );
    expect(of(6.5)).toEqual([]);
    expect(of(18)).toEqual([]);
    expect(of(5)).toEqual(['stop']);
  });
  it.each([
    [8.9, false],
    [8.8, true],
  ])('a flat knot in ropes of 9.8 and %s mm rolls: %s', (measuredDiameterMm, expected) =>
    expect(has(joined({ measuredDiameterMm }), 'rig.joining-knot')).toBe(expected),
  );
  it.each([
    [9.55, false],
    [9.5, true],
  ])('strands of 9.8 and %s mm are unlike: %s', (measuredDiameterMm, expected) =>
    expect(has(joined({ measuredDiameterMm }), 'fit.strands-unlike')).toBe(expected),
  );
  it.each([
    [0.5, false],
    [0.49, true],
  ])('a middle that is not marked and missed by %s m: %s', (middleMissM, expected) =>
    expect(has(changed(withRope({ middle: 'none' }), { rope: { middleMissM } }), 'geometry.middle-unmarked')).toBe(
      expected,
    ),
  );
  it('about 9 m of rope is pulled up before somebody unties at the anchor', () => {
    const { numbers } = assess(rappelDouble).findings.find((f) => f.code === 'rig.anchor-as-entered')!;
    expect(numbers.find((n) => n.key === 'kept')!.value.best).toBe(9);
  });
});

describe('rope that slips through a device in a fall', () => {
  const fall = { ...usualLoad('belay-leader', 80), slipKn: null, fallFactor: { low: 2, best: 2, high: 2 } };
  const three = ({ low, best, high }: { low: number; best: number; high: number }) => [low, best, high];
  it('where nobody’s hand is known 0.7, 1.5, 3.0 kN through a tube, never less than a jerk; 3, 5, 8 kN through one that assists', () => {
    const jerk = (2 * 80 * 9.80665) / 1000;
    expect(three(jobLoadKn(fall, club.groovedTube))).toEqual([jerk, jerk, 3]);
    const light = { ...fall, massKg: 20 };
    expect(three(jobLoadKn(light, club.groovedTube))).toEqual([0.7, 1.5, 3]);
    const cam = club.clubItems.find((i) => i.kind === 'device' && i.family === 'assisted-cam')!;
    expect(cam.kind === 'device' && three(jobLoadKn(fall, cam))).toEqual([3, 5, 8]);
  });
});
