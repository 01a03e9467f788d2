import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { fallForceKn, oneSpring } from '../../things/gear/index.ts';
import { changed, club, filled, SETUPS } from '../../samples/index.ts';
import { brakeAngleOf, loadOf, indexOf, withItem, type Setup } from '../rig/index.ts';
import { contextOf, pullOf } from './index.ts';

const one = filled(SETUPS['belay-second']);
const two = filled(SETUPS['belay-seconds']);
const slack = (setup: Setup, slackM: number | null) => changed(setup, { device: { slackM } });
const found = (setup: Setup, code: string) => assess(setup).findings.filter((f) => f.code === code);
const severity = (setup: Setup, code: string) => found(setup, code).map((f) => f.severity);
const mainOf = (setup: Setup) => setup.attachments.find((a) => a.id === 'main')!;

describe('slack above who follows', () => {
  // Worked by hand: a fall factor above 0.1 mind, above 0.3 stop; reckoned with 3 m of rope out.
  it.each([
    [0, 'clear'],
    [0.3, 'clear'],
    [0.31, 'mind'],
    [0.9, 'mind'],
    [0.91, 'stop'],
    [10, 'stop'],
    [null, 'untested'],
  ] as const)('%s m: %s, for one and for two', (m, expected) => {
    expect(severity(slack(one, m), 'guide.slack')).toEqual([expected]);
    expect(severity(slack(two, m), 'guide.slack')).toEqual([expected]);
  });

  it('the jerk that is told is that of the fall: 80 kg, k 24.1 kN: 2.9 kN at 0.1, 4.2 at 0.3, 5.2 at 0.5 (Wexler 1950)', () => {
    for (const [f, kn] of [
      [0.1, 2.9],
      [0.3, 4.24],
      [0.5, 5.2],
    ] as const)
      expect(fallForceKn(oneSpring(24_100), 80, f)).toBeCloseTo(kn, 1);
    const jerk = (m: number) => found(slack(one, m), 'guide.slack')[0]!.numbers.find((n) => n.key === 'jerk')!.value;
    const load = loadOf(indexOf(one), mainOf(one))!;
    expect(jerk(0.9).best).toBeCloseTo(fallForceKn(load.springs.best, load.massKg, 0.3), 6);
    expect(jerk(2).high).toBeGreaterThan(jerk(1).high);
  });

  it('more than the job is reckoned with raises the load of every part; less never lowers it', () => {
    const factor = (m: number | null) => loadOf(indexOf(slack(one, m)), mainOf(slack(one, m)))!.fallFactor!;
    expect(factor(3)).toMatchObject({ low: 0, best: 0.1, high: 1 });
    expect(factor(0)).toEqual(factor(null));
    expect(factor(0.9).high).toBeCloseTo(0.3, 12);
  });

  it('is asked of who follows only: not of lowering, and not below', () => {
    for (const name of ['lower', 'belay-top-rope', 'belay-leader'] as const)
      expect(found(filled(SETUPS[name]), 'guide.slack'), name).toEqual([]);
  });
});

describe('taking in', () => {
  const heavy = { ...club.thinRope, linearDensityGPerM: 52 };
  const long = (setup: Setup, anchorHeightM: number) =>
    changed(withItem(withItem(setup, 'ropeA', heavy), 'rope2-rope', { ...heavy, id: 'other' }), {
      site: { anchorHeightM, stanceHeightM: 0, extraLineM: 0 },
    });

  it('two ropes of 52 g/m with 30 m out pull 61 to 122 N (closed form n rho g L times 2 to 4)', () => {
    const pull = pullOf(mainOf(long(two, 30)), contextOf(long(two, 30)))!;
    expect(pull.low).toBeCloseTo(61.2, 1);
    expect(pull.high).toBeCloseTo(122.4, 1);
    expect(severity(long(two, 30), 'guide.pull')).toEqual([]);
  });
  it('above 100 N one minds', () => {
    expect(severity(long(two, 32), 'guide.pull')).toEqual([]);
    expect(severity(long(two, 33), 'guide.pull')).toEqual(['mind']);
    expect(severity(long(one, 60), 'guide.pull')).toEqual([]);
    expect(severity(long(one, 66), 'guide.pull')).toEqual(['mind']);
  });
  it('of ropes that are not chosen nothing is computed', () => {
    const none = withItem(two, 'rope2-rope', null);
    expect(pullOf(mainOf(none), contextOf(none))).toBeNull();
  });
});

describe('the angle of the brake strand at an anchor', () => {
  const at = (brakeLed: string, brakeAngleDeg: number | null) =>
    brakeAngleOf(mainOf(changed(filled(SETUPS.lower), { device: { brakeLed, brakeAngleDeg } })));
  it('what was measured beats how it is led; not said is straight down', () => {
    expect(at('below', null)).toBe(0);
    expect(at('unknown', null)).toBe(0);
    expect(at('redirected', null)).toBe(Math.PI);
    expect(at('redirected', 90)).toBeCloseTo(Math.PI / 2, 12);
    expect(at('below', 180)).toBeCloseTo(Math.PI, 12);
  });
  it('an angle that does not fit how the strand is led is not tested, whatever the hand then holds', () => {
    const said = (brakeLed: string, brakeAngleDeg: number | null) =>
      found(changed(filled(SETUPS.lower), { device: { brakeLed, brakeAngleDeg } }), 'friction.brake-led-unknown').map(
        (f) => f.severity,
      );
    expect(said('below', 170)).toEqual(['untested']);
    expect(said('redirected', 20)).toEqual(['untested']);
    for (const [led, deg] of [
      ['below', 20],
      ['redirected', 150],
      ['redirected', null],
      ['unknown', 150],
    ] as const)
      expect(said(led, deg)).toEqual([]);
  });
  it('the less it is bent back the harder the hand must pull', () => {
    const need = (deg: number) => {
      const setup = changed(withItem(filled(SETUPS.lower), 'device', club.groovedTube), {
        device: { brakeAngleDeg: deg, brakeLed: 'unknown' },
      });
      const f = assess(setup).findings.find((x) => /^friction\.hand-(holds|close|too-weak)$/.test(x.code))!;
      expect(assess(setup).findings.map((x) => x.code)).not.toContain('friction.brake-led-unknown');
      return f.numbers.find((n) => n.key === 'ratio' || n.key === 'margin')?.value.best ?? f.numbers[0]!.value.best;
    };
    const values = [0, 45, 90, 135, 180].map(need);
    const rising = [...values].sort((a, b) => a - b);
    expect([rising, [...rising].reverse()]).toContainEqual(values);
    expect(new Set(values).size).toBe(5);
  });
});
