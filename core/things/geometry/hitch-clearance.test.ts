import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Cord } from '../gear/index.ts';
import { club } from '../../samples/index.ts';
import { around } from '../../foundations/units/index.ts';
import {
  attachmentToDeviceMm,
  cordPerWrapMm,
  extensionMm,
  hitchClearance,
  hitchClearanceFindings,
  hitchReach,
  loopLengthMm,
  wrapPerimeterMm,
} from './index.ts';

const reachOf = (cord: Partial<Cord>, wraps = 4, kind: 'autoblock' | 'prusik' | 'klemheist' = 'autoblock') =>
  hitchReach({
    cord: { ...club.shortCord, ...cord },
    ropeA: club.longRope,
    ropeB: null,
    kind,
    wraps,
    connectorInsideLengthMm: 78,
  });
const found = (cord: Partial<Cord>, extension = 367, wraps = 4, attachedTo: 'leg-loop' | 'belay-loop' = 'leg-loop') =>
  hitchClearanceFindings({
    climber: club.ilse,
    attachedTo,
    extensionMm: around(extension, 10),
    reach: reachOf(cord, wraps),
  })[0]!;

describe('loopLengthMm', () => {
  it('measures beat the estimate', () =>
    expect(loopLengthMm({ ...club.shortCord, loopLengthMm: 550 })!.best).toBe(550));
  // Worked by hand: 1.5 m of 6 mm, 31 d in the bend and two tails of 10 d: (1500 - 51 x 6) / 2 = 597 mm. Common
  // practice: "1.5 m makes a 60 cm loop".
  it('leaves about 60 cm of 1.5 m of 6 mm cord', () => {
    expect(loopLengthMm({ ...club.shortCord, loopLengthMm: null })!.best).toBeCloseTo(597, 6);
  });
  it('is unknown when nothing is entered', () =>
    expect(loopLengthMm({ ...club.shortCord, loopLengthMm: null, cutLengthM: null })).toBeNull());
});

describe('hitchReach', () => {
  it('is the autoblock worked by hand', () => {
    const c = cordPerWrapMm(wrapPerimeterMm(6, 9.9, 9.9), 12);
    const r = reachOf({})!;
    expect(r.reachMm.best).toBeCloseTo((600 - 4 * c + 48) / 2 + 78, 9);
    expect(r.legMm.best + r.coilMm + 78).toBeCloseTo(r.reachMm.best, 9);
  });
  it('spends the whole cord: leg, coil and wraps add up to the loop', () => {
    for (const wraps of [2, 3, 4, 5]) {
      const r = reachOf({}, wraps)!;
      expect(2 * r.legMm.best + r.coilMm + wraps * r.perWrapMm).toBeCloseTo(r.loopMm.best, 9);
    }
  });
  it('never gets longer with more wraps', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 8 }),
        fc.double({ min: 4, max: 8, noNaN: true }),
        fc.double({ min: 300, max: 1500, noNaN: true }),
        fc.constantFrom('autoblock' as const, 'prusik' as const, 'klemheist' as const),
        (wraps, measuredDiameterMm, loopLengthMm, kind) => {
          const [fewer, more] = [
            reachOf({ measuredDiameterMm, loopLengthMm }, wraps, kind)!,
            reachOf({ measuredDiameterMm, loopLengthMm }, wraps + 1, kind)!,
          ];
          expect(more.reachMm.best).toBeLessThanOrEqual(fewer.reachMm.best);
          expect(more.reachMm.high).toBeLessThanOrEqual(fewer.reachMm.high);
        },
      ),
    );
  });
});

describe('clearance', () => {
  it('is the straight line from leg loop to lip', () => {
    // Lip 357 mm above the belay loop, leg loop 170 below and 130 beside it: hypot(527, 130); knee raised by 180:
    // hypot(347, 130).
    const input = { climber: club.ilse, attachedTo: 'leg-loop', extensionMm: around(367, 0) } as const;
    expect(attachmentToDeviceMm(input, false).best).toBeCloseTo(Math.hypot(527, 130), 9);
    expect(attachmentToDeviceMm(input, true).best).toBeCloseTo(Math.hypot(347, 130), 9);
    expect(attachmentToDeviceMm({ ...input, attachedTo: 'belay-loop' }, true).best).toBe(357);
  });
  it('gets shorter, never longer, the higher the knee', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 1, max: 100 }), (raise, more) => {
        const at = (kneeRaiseMm: number) =>
          hitchClearance({
            climber: { ...club.ilse, kneeRaiseMm },
            attachedTo: 'leg-loop',
            extensionMm: around(367, 10),
            reach: reachOf({}),
          })!.kneeRaisedMm.best;
        expect(at(raise + more)).toBeLessThanOrEqual(at(raise) + 1e-9);
      }),
    );
  });
  it.each<[string, Parameters<typeof found>, string, string]>([
    ['the demo', [{}], 'geometry.hitch-clear', 'clear'],
    ['long cord', [{ loopLengthMm: 950 }], 'geometry.hitch-reaches-device', 'stop'],
    ['short extension', [{}, 210], 'geometry.hitch-reaches-device', 'stop'],
    ['little room', [{}, 270], 'geometry.hitch-near-device', 'mind'],
    ['too short a cord', [{ loopLengthMm: 300 }], 'geometry.cord-too-short', 'stop'],
    ['unknown loop', [{ loopLengthMm: null, cutLengthM: null }], 'geometry.hitch-unknown', 'untested'],
  ])('%s', (_, args, code, severity) => expect(found(...args)).toMatchObject({ code, severity }));
  it('names the pose that decides', () => {
    expect(found({ loopLengthMm: 950 }).says).toContain('knee');
    expect(found({ loopLengthMm: 950 }, 250, 3, 'belay-loop').says).toBe('The hitch reaches the device.');
  });
});

describe('extensionMm', () => {
  const ext = (change: object) =>
    extensionMm({ sling: club.sling, connector: club.pear, method: 'basket', knots: 0, measuredMm: null, ...change });
  it('doubles the sling through the harness: 600 / 2 - 25 + 92', () => expect(ext({}).best).toBe(367));
  it('girth-hitched: 600 - 70 + 92', () => expect(ext({ method: 'girth' }).best).toBe(622));
  it('loses with each knot', () => expect(ext({ knots: 1 }).best).toBe(277));
  it('believes a tape', () => expect(ext({ measuredMm: 400 })).toEqual({ low: 390, best: 400, high: 410 }));
  it('never falls below the connector', () => expect(ext({ knots: 4 }).low).toBeGreaterThanOrEqual(92));
});

describe('what is asked for between hitch and device', () => {
  // Constants to carry: a hand's width, 100 mm, while hanging; 30 mm with the knee raised; of the loop 40 mm to clip,
  // 20 at the least.
  const codes = (
    cord: Partial<Cord>,
    extension: number,
    wraps = 4,
    attachedTo: 'leg-loop' | 'belay-loop' = 'belay-loop',
  ) =>
    hitchClearanceFindings({
      climber: club.ilse,
      attachedTo,
      extensionMm: around(extension, 10),
      reach: reachOf(cord, wraps),
    }).map((f) => `${f.code} ${f.severity}`);
  const hanging = (extension: number) =>
    hitchClearance({
      climber: club.ilse,
      attachedTo: 'belay-loop',
      extensionMm: around(extension, 10),
      reach: reachOf({}),
    })!.hangingMm;
  /** Extension at which one end of the clearance, hanging, is this. */
  const extensionFor = (mm: number, end: 'low' | 'best' | 'high' = 'best') => 400 + mm - hanging(400)[end];

  it.each([
    [101, 'geometry.hitch-clear clear'],
    [99, 'geometry.hitch-near-device mind'],
    [1, 'geometry.hitch-near-device mind'],
    [-1, 'geometry.hitch-may-reach mind'],
  ])('%s mm at its best value, hanging: %s', (mm, code) => expect(codes({}, extensionFor(mm))).toEqual([code]));
  it.each([
    [29, 'geometry.hitch-near-device mind'],
    // At its bad end it touches: a try decides.
    [31, 'geometry.hitch-may-reach untested'],
    [100, 'geometry.hitch-clear clear'],
  ])('%s mm at its best value with the knee raised: %s', (mm, code) => {
    const kneeBest = (extension: number) =>
      hitchClearance({
        climber: club.ilse,
        attachedTo: 'leg-loop',
        extensionMm: around(extension, 10),
        reach: reachOf({}),
      })!.kneeRaisedMm.best;
    let [low, high] = [200, 900];
    for (let i = 0; i < 60; i += 1) {
      const middle = (low + high) / 2;
      if (kneeBest(middle) < mm) low = middle;
      else high = middle;
    }
    expect(codes({}, high, 4, 'leg-loop')).toEqual([code]);
  });
  it('stop only where even the good end is in the device', () => {
    expect(codes({}, extensionFor(-1, 'high'))).toEqual(['geometry.hitch-reaches-device stop']);
    expect(codes({}, extensionFor(1, 'high'))).toEqual(['geometry.hitch-may-reach mind']);
  });
  it('a longer extension never comes closer', () => {
    const order = ['stop', 'mind', 'clear'];
    const ranks = [250, 300, 350, 400, 450, 500].map((e) => order.indexOf(codes({}, e)[0]!.split(' ')[1]!));
    expect([...ranks].sort((a, b) => a - b)).toEqual(ranks);
  });

  /** Loop with which the low end of what is left to clip is this. */
  const loopFor = (legMm: number) => {
    const leg = (loopLengthMm: number) => reachOf({ loopLengthMm }, 4)!.legMm.low;
    // Half of what the loop gets longer goes into the leg of an autoblock.
    return 600 + 2 * (legMm - leg(600));
  };
  it.each([
    [41, []],
    [39, ['geometry.cord-too-short mind']],
    [21, ['geometry.cord-too-short mind']],
    [19, ['geometry.cord-too-short stop']],
    [-5, ['geometry.cord-too-short stop']],
  ])('%s mm of the loop left to clip at the low end: %j', (legMm, said) =>
    expect(codes({ loopLengthMm: loopFor(legMm) }, 900).filter((c) => c.startsWith('geometry.cord'))).toEqual(said),
  );
});
