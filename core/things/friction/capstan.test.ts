import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { capstanRatio } from './index.ts';

const turns = (mu: number, n: number, grooveRad = Math.PI) =>
  capstanRatio([{ mu, angleRad: 2 * Math.PI * n, grooveRad }]);

describe('capstanRatio', () => {
  // Closed form exp(mu theta); two decimals.
  it.each([
    [0.25, 0.5, 2.19],
    [0.25, 1, 4.81],
    [0.25, 1.5, 10.55],
    [0.3, 1, 6.59],
  ])('mu %s, %s turns: %s', (mu, n, ratio) => expect(turns(mu, n)).toBeCloseTo(ratio, 2));

  // V-belt handbooks: a 38 degree groove raises the friction by 1 / sin(19 deg) = 3.07.
  it('deepens with a groove as a V-belt does', () => {
    expect(Math.log(turns(0.1, 1, (38 * Math.PI) / 180)) / Math.log(turns(0.1, 1))).toBeCloseTo(3.07, 2);
  });

  it('multiplies over contacts, whatever their order', () => {
    const contact = fc.record({
      mu: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
      angleRad: fc.double({ min: 0, max: 6, noNaN: true }),
      grooveRad: fc.double({ min: 0.5, max: Math.PI, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(contact, { maxLength: 5 }), (contacts) => {
        const each = contacts.reduce((product, c) => product * capstanRatio([c]), 1);
        expect(capstanRatio(contacts) / each).toBeCloseTo(1, 9);
        expect(capstanRatio([...contacts].reverse()) / each).toBeCloseTo(1, 9);
      }),
    );
  });

  it('agrees with the differential equation dT = mu T dtheta, integrated in small steps', () => {
    const steps = 200_000;
    let t = 1;
    for (let i = 0; i < steps; i += 1) t += 0.25 * t * ((2 * Math.PI) / steps);
    // First-order steps of 3e-5 rad leave an error of about mu^2 theta dtheta / 2 = 6e-6.
    expect(Math.abs(t / turns(0.25, 1) - 1)).toBeLessThan(1e-5);
  });

  it('refuses a contact that cannot be', () => {
    expect(() => turns(0, 1)).toThrow(RangeError);
    expect(() => turns(0.2, -1)).toThrow(RangeError);
    expect(() => turns(0.2, 1, 4)).toThrow(RangeError);
  });
});
