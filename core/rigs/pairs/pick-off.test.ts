import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Device } from '../../things/gear/index.ts';
import { hauledM, haulThreeDownN, haulThreeN } from '../../things/geometry/index.ts';
import { contextOf } from '../elements/index.ts';
import { variation, wellRigged, withFields, withItem, without, type Setup } from '../rig/index.ts';
import { club, filled, SETUPS } from '../../samples/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import { assess } from '../../answers/assess/index.ts';
import { judged } from './judged.test-help.ts';

const base = filled(SETUPS['pick-off']);
const withMasses = (rescuerKg: number, casualtyKg: number, setup: Setup = base) =>
  withItem(withItem(setup, 'climber', { ...club.tomas, massKg: rescuerKg }), 'casualty', {
    ...club.ilse,
    massKg: casualtyKg,
  });
const find = (s: Setup, code: string) => judged(s).find((f) => f.code === code);
const value = (s: Setup, code: string, key: string) => find(s, code)!.numbers.find((n) => n.key === key)!.value;

describe('a third hand of three parts', () => {
  // Worked by hand: 784.5 N over 1 + eta + eta squared.
  it.each([
    [0.9, 289],
    [0.8, 322],
    [0.6, 400],
    [1, 262],
  ])('80 kg, %s left behind a turn: %s N', (eta, force) =>
    expect(haulThreeN(80, exactly(eta)).best).toBeCloseTo(force, -0.5),
  );
  it('lifting 10 to 15 cm takes 30 to 45 cm of rope', () =>
    expect([0.1, 0.15].map(hauledM)).toEqual([expect.closeTo(0.3), expect.closeTo(0.45)]));
  it('is told with the lift that is common: 10 to 15 cm', () => {
    const { low, high } = value(base, 'pick.haul', 'hauled');
    expect([low, high]).toEqual([expect.closeTo(0.3), expect.closeTo(0.45)]);
  });
  it('laws: the heavier, the harder; the better the pulley, the easier, and never less than a third', () => {
    const eta = fc.double({ min: 0.3, max: 1, noNaN: true });
    fc.assert(
      fc.property(fc.integer({ min: 25, max: 200 }), eta, eta, (kg, a, b) => {
        const [x, y] = [haulThreeN(kg, exactly(a)).best, haulThreeN(kg, exactly(b)).best];
        expect(a < b ? x >= y : x <= y).toBe(true);
        expect(haulThreeN(kg + 1, exactly(a)).best).toBeGreaterThan(x);
        expect(x).toBeGreaterThanOrEqual((kg * 9.80665) / 3 - 1e-9);
      }),
    );
  });
  it('turned down to put one’s weight in, each pulley counts once more: 321, 402, 667 N', () => {
    const down = (eta: number) => haulThreeDownN(80, exactly(eta)).best;
    // Whole newtons as printed in a handbook, cut or rounded.
    [321, 402, 667].forEach((n, i) => expect(Math.abs(down([0.9, 0.8, 0.6][i]!) - n)).toBeLessThan(1));
  });
  it('decides by the whole interval, by arm or by weight, whichever is easier', () => {
    const severity = (kg: number) => find(withMasses(80, kg), 'pick.haul')!.severity;
    // By weight at eta 0.7 (the bad end): 450 N * 0.7 * 2.19 / g = 70.3 kg; at the best 0.8: 89.6 kg.
    expect([70, 71].map(severity)).toEqual(['clear', 'untested']);
    expect([89, 90].map(severity)).toEqual(['untested', 'mind']);
    const said = find(withMasses(80, 80), 'pick.haul')!;
    const number = (key: string) => said.numbers.find((n) => n.key === key)!.value;
    expect(number('up').best).toBeCloseTo(haulThreeN(80, constant('pulleyEfficiency')).best, 9);
    expect(number('down').best).toBeGreaterThan(number('up').best);
    expect(said.because).toMatch(/By arm, upwards.*With your weight/);
    expect(find(withItem(base, 'casualty', null), 'pick.haul')).toBeUndefined();
  });
});

describe('two on one device', () => {
  it('carry what both weigh, whoever is the heavier', () => {
    const load = (s: Setup) => contextOf(s).load(s.attachments.find((a) => a.id === 'main')!)!;
    expect(load(withMasses(60, 100)).massKg).toBe(80);
    expect(load(withMasses(100, 60)).massKg).toBe(80);
    expect(load(withMasses(60, 100)).persons).toBe('two');
    expect(load(SETUPS['rappel-single']).massKg).toBe(SETUPS['rappel-single'].persons[0]!.item!.massKg);
  });
  it('a grooved tube with two: too little in reserve for a usual hand, enough with more friction and a strong one', () => {
    const tube = withItem(base, 'device', { ...club.groovedTube, personsRated: 'two' });
    const weak = withItem(withMasses(80, 80, tube), 'climber', { ...club.tomas, massKg: 80, handForceN: 200 });
    expect(find(weak, 'pick.hand')!.severity).toBe('mind');
    const child = withItem(withMasses(80, 120, tube), 'climber', { ...club.tomas, massKg: 80, handForceN: 60 });
    expect(find(child, 'pick.hand')!.severity).toBe('stop');
    expect(value(weak, 'pick.hand', 'margin').best).toBeLessThan(1.5);
    const light = withItem(withMasses(40, 30, tube), 'climber', { ...club.tomas, massKg: 40, handForceN: 400 });
    expect(find(light, 'pick.hand')!.severity).toBe('clear');
    expect(value(light, 'pick.hand', 'margin').best).toBeGreaterThan(1.5);
  });
  it('the limit from both sides', () => {
    const tube = withItem(base, 'device', { ...club.groovedTube, personsRated: 'two' });
    const at = (handForceN: number) =>
      withItem(withMasses(80, 80, tube), 'climber', { ...club.tomas, massKg: 80, handForceN });
    const need = value(at(300), 'pick.hand', 'margin').best / 300;
    const limit = 1.5 / need;
    expect([limit * 0.97, limit * 1.03].map((n) => find(at(n), 'pick.hand')!.severity)).toEqual(['mind', 'untested']);
  });
});

describe('the anchor with two on it', () => {
  it('160 kg: 1.57 kN, 3.1 with a jerk, 6.3 over a fork', () => {
    const two = withMasses(80, 80);
    expect(value(two, 'pick.anchor-load', 'still').best).toBeCloseTo(1.57, 2);
    expect(value(two, 'pick.anchor-load', 'jerk').best).toBeCloseTo(3.14, 2);
    expect(value(two, 'pick.anchor-load', 'fork').best).toBeCloseTo(6.28, 2);
    expect(find(withItem(two, 'climber', null), 'pick.anchor-load')).toBeUndefined();
  });
});

describe('how the casualty is attached', () => {
  const severities = (s: Setup, code: string) =>
    judged(s)
      .filter((f) => f.code === code)
      .map((f) => f.severity);
  it('nothing of it is left unjudged', () => {
    expect(assess(base).findings.filter((f) => f.code === 'rig.not-judged')).toEqual([]);
    expect(severities(base, 'pick.link')).toEqual(['clear', 'clear']);
  });
  it('linked to nothing is Stop; one link is Stop, unless they still hang in their own device', () => {
    const none = without(without(base, 'link'), 'spare');
    expect(severities(none, 'pick.link')).toEqual(['stop']);
    const one = without(base, 'spare');
    expect(severities(one, 'pick.one-link')).toEqual(['stop']);
    const before = filled(wellRigged(variation('casualty-device').add(one)!));
    const hangsIn = (item: Device | null) => severities(withItem(before, 'stuck-device', item), 'pick.one-link');
    const clamp = club.clubItems.find((i): i is Device => i.id === 'device-burr')!;
    // A tube holds nobody whose hand does nothing; a clamp does; what is not chosen is not known.
    expect([hangsIn(clamp), hangsIn(club.groovedTube), hangsIn(null)]).toEqual([['clear'], ['stop'], ['untested']]);
    expect(severities(before, 'pick.own-device')).toEqual(['mind']);
    const stuckIn = (item: Device) => find(withItem(before, 'stuck-device', item), 'pick.own-device')!.because;
    expect(stuckIn(clamp)).toMatch(/holds until/);
    expect(stuckIn(club.groovedTube)).not.toMatch(/holds until/);
  });
  it('both links in one place are minded', () => {
    const same: Setup = {
      ...base,
      attachments: base.attachments.map((a) =>
        a.id === 'spare' && a.end.kind === 'clip' ? { ...a, end: { ...a.end, to: 'deviceConnector' } } : a,
      ),
    };
    expect(severities(same, 'pick.one-link')).toEqual(['mind']);
  });
  it('a slack short link is Stop, a slack second one minded, one of which nothing is said Not tested', () => {
    const tight = (ref: string, how: string) => severities(withFields(base, ref, { tight: how }), 'pick.link').sort();
    expect(tight('link-end', 'slack')).toEqual(['clear', 'stop']);
    expect(tight('spare-end', 'slack')).toEqual(['clear', 'mind']);
    expect(tight('link-end', 'unknown')).toEqual(['clear', 'untested']);
  });
  it('a link is long from 60 cm, both sides', () => {
    const long = (measuredMm: number) => severities(withFields(base, 'link-sling', { measuredMm }), 'pick.link').length;
    expect([599, 601].map(long)).toEqual([2, 3]);
  });
  it('the second one may be half as long again, and no longer', () => {
    const long = (measuredMm: number) =>
      severities(withFields(base, 'spare-sling', { measuredMm }), 'pick.link').length;
    expect([899, 901].map(long)).toEqual([2, 3]);
  });
  it('a link carries the casualty alone; the device carries both', () => {
    const ctx = contextOf(withMasses(80, 60));
    const at = (id: string) => ctx.load(ctx.attachment(id))!;
    expect([at('link').persons, at('link').massKg]).toEqual(['one', 60]);
    expect([at('main').persons, at('main').massKg]).toEqual(['two', 70]);
  });
});
