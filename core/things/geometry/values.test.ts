import { describe, expect, it } from 'vitest';
import type { Interval } from '../../foundations/units/index.ts';
import { club } from '../../samples/index.ts';
import { attachmentToDeviceMm, extensionMm, hitchReach, loopLengthMm, ropeBudget } from './index.ts';

/*
 * Lengths worked out once more by hand, with the numbers themselves and not with the register: both ends of every
 * interval, so that a number that slips in the register is seen.
 */

const three = ({ low, best, high }: Interval) => [low, best, high];
const close = (is: Interval, should: readonly number[]) =>
  should.forEach((mm, i) => expect(three(is)[i], String(i)).toBeCloseTo(mm, 6));
const sling = { ...club.sling, loopLengthMm: 1200 };
const connector = { ...club.pear, insideLengthMm: 90 };
const at = (method: 'girth' | 'basket', knots = 0) =>
  extensionMm({ sling, connector, method, knots, measuredMm: null });

describe('an extension', () => {
  it('girth-hitched: 1200 less 50, 70 or 90, plus the connector', () => close(at('girth'), [1200, 1220, 1240]));
  it('doubled: 600 less 15, 25 or 40', () => close(at('basket'), [650, 665, 675]));
  it('each overhand takes 60, 90 or 140', () => close(at('girth', 2), [920, 1040, 1120]));
  it('measured it is known to 10 mm', () =>
    close(extensionMm({ sling, connector, method: 'girth', knots: 0, measuredMm: 400 }), [390, 400, 410]));
});

describe('a loop of cord', () => {
  const cord = { ...club.shortCord, nominalDiameterMm: 6, measuredDiameterMm: 6, loopLengthMm: null, cutLengthM: 1.5 };
  it('of 1.5 m of 6 mm: bend 25, 31, 37 and two tails of 8, 10, 12 diameters: 567, 597, 627 mm', () =>
    close(loopLengthMm(cord)!, [567, 597, 627]));
  it('under load it reaches 0.97 to 1.06 of what is computed', () => {
    const known = { ...cord, loopLengthMm: 600 };
    const { reachMm, loopMm } = hitchReach({
      cord: known,
      ropeA: { ...club.longRope, measuredDiameterMm: 10 },
      ropeB: null,
      strands: 'one',
      kind: 'prusik',
      wraps: 2,
      connectorInsideLengthMm: 80,
    })!;
    close(loopMm, [590, 600, 610]);
    // Prusik: L less n wraps of hypot(pi (D + d), d).
    const wrapMm = Math.hypot(Math.PI * 16, 6);
    const top = [590, 600, 610].map((l) => l - 2 * wrapMm);
    close(reachMm, [80 + top[0]! * 0.97, 80 + top[1]!, 80 + top[2]! * 1.06]);
  });
});

it('the lip of the device hangs 0 to 25 mm below its bar, 10 as a rule', () => {
  const input = { climber: club.ilse, extensionMm: { low: 300, best: 320, high: 340 } };
  close(attachmentToDeviceMm({ ...input, attachedTo: 'belay-loop' }, false), [275, 310, 340]);
});

describe('rope that knots use', () => {
  const rope = (lengthM: number) => ({ ...club.longRope, lengthM, measuredLengthM: lengthM });
  const budget = (more: Partial<Parameters<typeof ropeBudget>[0]>) =>
    ropeBudget({ ropeA: rope(60), ropeB: null, middleMissM: 0, ends: 'open', descentM: 20, endsAt: 'ground', ...more });
  it('a knotted end 0.30, 0.45, 0.60 m', () => close(budget({ ends: 'both-knotted' }).strandAM, [29.4, 29.55, 29.7]));
  it('a joint 0.40, 0.50, 0.70 m of each rope', () => close(budget({ ropeB: rope(50) }).strandBM, [49.3, 49.5, 49.6]));
});
