import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Device } from '../../things/gear/index.ts';
import { overChinMm, ropeWalkLengths } from '../../things/geometry/index.ts';
import { systemOf, SYSTEMS, variation, wellRigged, withFields, withItem, type Setup } from '../rig/index.ts';
import { club, filled, SETUPS } from '../../samples/index.ts';
import { exactly, interval } from '../../foundations/units/index.ts';
import { assess } from '../../answers/assess/index.ts';
import { judged } from './judged.test-help.ts';

const body = (name: string): Device => ({
  ...club.groovedTube,
  id: `device-${name}`,
  name,
  family: 'body-ascender',
  declarations: [
    {
      job: 'tree-stationary',
      strands: 'one',
      constructions: ['low-stretch', 'single'],
      minDiameterMm: 9,
      maxDiameterMm: 13,
      bestMinDiameterMm: null,
      bestMaxDiameterMm: null,
    },
  ],
});
const AIDS = ['chest-tether', 'knee-ascender', 'foot-ascender'] as const;
/** Walking up: chin 410 above the tie-in, reach 690, device 250 long on its connector. */
const walking = (): Setup => {
  const rigged = AIDS.reduce<Setup>((s, id) => variation(id).add(s)!, SETUPS['tree-stationary']);
  const dressed = withItem(
    withItem(filled(wellRigged(rigged)), 'knee-ascender-device', body('knee')),
    'foot-ascender-device',
    body('foot'),
  );
  return withFields(withItem(dressed, 'chest-strap', club.sling), 'knee-strap', { measuredMm: 500 });
};
const at = (setup: Setup, ref: string) => judged(setup).find((f) => f.code === 'tree.lengths' && f.subject[0] === ref);
const person = (setup: Setup, more: object) => withItem(setup, 'climber', { ...setup.persons[0]!.item!, ...more });
/** The whole tether, by a sling that was measured; its connector is part of it. */
const tethered = (setup: Setup, mm: number) => {
  const built = SYSTEMS.find((s) => s.id === 'limb-walk')!.build(setup);
  const sling = built.attachments.find((a) => a.id === 'main')!.pieces[0]!;
  const whole: Setup = {
    ...setup,
    attachments: setup.attachments.map((a) => (a.id === 'main' ? { ...a, pieces: [sling, ...a.pieces] } : a)),
  };
  return withFields(withItem(whole, 'extension', club.sling), 'extension', { measuredMm: mm });
};

describe('lengths of a rope walk from the body', () => {
  const input = {
    chinAboveTieInMm: 400,
    armReachMm: 650,
    tieInHeightMm: 1000,
    deviceMm: exactly(250),
    belowChinMm: 50,
    strokeMm: interval(300, 375, 450),
  };
  it('worked by hand', () => {
    const { walkTetherMm, limbTetherMm, freeLoopMm } = ropeWalkLengths(input);
    expect(walkTetherMm.best).toBe(100);
    expect(limbTetherMm.best).toBe(400);
    expect(freeLoopMm).toEqual({ low: 550, best: 625, high: 700 });
    expect(ropeWalkLengths({ ...input, tieInHeightMm: null }).freeLoopMm).toBeNull();
    expect(overChinMm(interval(380, 420, 460), 400)).toEqual({ low: -20, best: 20, high: 60 });
  });
  it('laws: a longer body takes longer tethers, a longer device shorter ones; all shift alike', () => {
    const mm = fc.integer({ min: 250, max: 700 });
    fc.assert(
      fc.property(
        mm,
        mm,
        fc.integer({ min: 100, max: 320 }),
        fc.integer({ min: 1, max: 60 }),
        (chin, reach, long, more) => {
          const x = ropeWalkLengths({ ...input, chinAboveTieInMm: chin, armReachMm: reach, deviceMm: exactly(long) });
          const taller = ropeWalkLengths({
            ...input,
            chinAboveTieInMm: chin + more,
            armReachMm: reach + more,
            deviceMm: exactly(long),
          });
          const device = ropeWalkLengths({
            ...input,
            chinAboveTieInMm: chin,
            armReachMm: reach,
            deviceMm: exactly(long + more),
          });
          expect(taller.walkTetherMm.best - x.walkTetherMm.best).toBe(more);
          expect(taller.limbTetherMm.best - x.limbTetherMm.best).toBe(more);
          expect(x.walkTetherMm.best - device.walkTetherMm.best).toBe(more);
        },
      ),
    );
  });
});

describe('what is found about a rope walk', () => {
  it('as fitted to the body there is nothing to mind, and no question is left', () => {
    const setup = walking();
    expect([at(setup, 'device')!.severity, at(setup, 'knee-strap')!.severity]).toEqual(['clear', 'clear']);
    expect(assess(setup).findings.filter((f) => f.code === 'rig.not-judged' || f.code === 'fit.aid-only')).toEqual([]);
  });
  it('the chin from both sides: above it, and lower than the collarbone', () => {
    // Device 250 on its connector, which the rig has as its tether.
    const tetherMm = at(walking(), 'device')!.numbers.find((n) => n.key === 'tether')!.value.best;
    const top = tetherMm + 250;
    const chin = (mm: number) => at(person(walking(), { chinAboveTieInMm: mm }), 'device')!;
    expect([chin(top - 1).severity, chin(top + 1).severity]).toEqual(['mind', 'clear']);
    expect([chin(top + 149).severity, chin(top + 151).severity]).toEqual(['clear', 'mind']);
    expect(chin(top - 1).says).toMatch(/above the chin/);
    expect(chin(top + 151).says).toMatch(/low/);
  });
  it('a body that is short for the device is given no length below nothing', () => {
    const short = at(person(walking(), { chinAboveTieInMm: 200, armReachMm: 250 }), 'device')!;
    expect(short.severity).toBe('stop');
    for (const n of short.numbers) expect(n.value.low, n.label).toBeGreaterThanOrEqual(0);
  });
  it('out of reach of one hand is Stop, whatever the chin', () => {
    const whole = at(tethered(walking(), 300), 'device')!.numbers.find((n) => n.key === 'tether')!.value.best;
    const connectorMm = whole - 300;
    const far = (mm: number) =>
      at(person(tethered(walking(), mm), { armReachMm: 700, chinAboveTieInMm: 700 }), 'device')!;
    // Reach 700 over a device of 250, and a connector on the sling.
    const reaches = 450 - connectorMm;
    expect([far(reaches - 5).severity, far(reaches + 5).severity]).toEqual(['clear', 'stop']);
  });
  it('a knee ascender off the knee is minded from 5 cm, to both sides', () => {
    const strap = (mm: number) => at(withFields(walking(), 'knee-strap', { measuredMm: mm }), 'knee-strap')!;
    expect([449, 451, 549, 551].map((mm) => strap(mm).severity)).toEqual(['mind', 'clear', 'clear', 'mind']);
    expect(strap(551).says).toMatch(/above the knee/);
    expect(strap(449).says).toMatch(/low/);
  });
  it('what was not measured is Not tested, at its own place', () => {
    expect(at(person(walking(), { chinAboveTieInMm: null }), 'device')!.severity).toBe('untested');
    expect(at(person(walking(), { kneeAboveSolesMm: null }), 'knee-strap')!.severity).toBe('untested');
    expect(at(person(walking(), { tieInHeightMm: null }), 'device')!.because).not.toMatch(/loop/);
  });
  it('nobody hangs on a strap at chest or knee, so that its strength is not asked; a foot loop is stood in', () => {
    const strong = assess(walking()).findings.filter(
      (f) => f.code === 'rig.extension-strength' && /strap/.test(f.subject[0]!),
    );
    expect(strong).toEqual([]);
  });
  it('an ascender above the device presses it open', () => {
    const setup = walking();
    const order = setup.along.rope!;
    const above: Setup = {
      ...setup,
      along: { rope: ['knee-ascender', ...order.filter((id) => id !== 'knee-ascender')] },
    };
    const codes = (s: Setup) =>
      assess(s)
        .findings.filter((f) => f.code === 'tree.pressed-open')
        .map((f) => f.subject);
    expect(codes(setup)).toEqual([]);
    expect(codes(above)).toEqual([['device', 'knee-ascender-device']]);
    // A hitch with a reliever is pushed open as well.
    const reliever = withItem(above, 'device', {
      ...club.groovedTube,
      family: 'hitch-reliever',
      id: 'device-x',
    });
    expect(codes(reliever)).toEqual([['device', 'knee-ascender-device']]);
  });
  it('the three ways are built from each other, and each is known again', () => {
    const ways = SYSTEMS.filter((s) => s.templates.includes('tree-stationary'));
    expect(ways.map((w) => w.id)).toEqual(['rope-walk', 'limb-walk', 'free-hands']);
    for (const from of ways)
      for (const to of ways) expect(systemOf(to.build(from.build(SETUPS['tree-stationary'])))?.id).toBe(to.id);
  });
});
