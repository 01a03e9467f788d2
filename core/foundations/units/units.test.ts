import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allowedUnits,
  enteredNumber,
  parseQuantity,
  printQuantity,
  printRounded,
  QUANTITIES,
  type Quantity,
  type UnitSystem,
} from './index.ts';

const read = (text: string, quantity: Quantity, system: UnitSystem = 'metric') =>
  parseQuantity(text, { quantity, system });
const value = (text: string, quantity: Quantity, system: UnitSystem = 'metric') => {
  const result = read(text, quantity, system);
  if (!result.ok) throw new Error(`${text}: ${result.issue.reason}`);
  return result.value;
};

describe('parseQuantity', () => {
  // Factors: international yard and pound agreement, 1959 (1 in = 25.4 mm, 1 lb = 0.45359237 kg).
  it.each([
    ['9.5', 'diameterMm', 'metric', 9.5],
    ['9,5 mm', 'diameterMm', 'imperial', 9.5],
    ['3/8 in', 'diameterMm', 'metric', 9.525],
    ['3/8', 'diameterMm', 'imperial', 9.525],
    ['⅜"', 'diameterMm', 'metric', 9.525],
    ['7/16 in', 'diameterMm', 'metric', 11.1125],
    ['1 1/2 in', 'lengthMm', 'metric', 38.1],
    ['1-1/2 in', 'lengthMm', 'metric', 38.1],
    ['60', 'lengthMm', 'metric', 600],
    ['60', 'lengthMm', 'imperial', 1524],
    ['200 ft', 'lengthM', 'metric', 60.96],
    ['5 ft 6 in', 'lengthM', 'metric', 1.6764],
    ['5\'6"', 'lengthM', 'metric', 1.6764],
    ['185 lb', 'massKg', 'metric', 83.91458845],
    ['185', 'massKg', 'imperial', 83.91458845],
    ['0.25 kN', 'forceN', 'metric', 250],
    ['22', 'strengthKn', 'metric', 22],
    ['60 lbf', 'forceN', 'metric', 266.893],
    ['-2 m', 'lengthM', 'metric', -2],
  ] as const)('reads %s as %s (%s)', (text, quantity, system, expected) => {
    expect(value(text, quantity, system)).toBeCloseTo(expected, 2);
  });

  it.each([
    ['', 'empty'],
    ['rope', 'no-number'],
    ['9.5 stone', 'unknown-unit'],
    ['9 8', 'unknown-unit'],
    ['6 in 5 ft', 'unknown-unit'],
    ['1/0 in', 'no-number'],
  ] as const)('refuses "%s" as %s and says what is allowed', (text, reason) => {
    const result = read(text, 'lengthM');
    expect(result).toMatchObject({ ok: false, issue: { reason, read: text, allowed: allowedUnits('lengthM') } });
  });

  it('names the bounds in the unit of the reader', () => {
    const result = parseQuantity('40', { quantity: 'diameterMm', system: 'metric', min: 5, max: 16 });
    expect(result).toEqual({ ok: false, issue: { reason: 'out-of-range', read: '40', allowed: '5 mm to 16 mm' } });
    const inches = parseQuantity('4 in', { quantity: 'diameterMm', system: 'imperial', min: 5.08, max: 16 });
    expect(inches).toMatchObject({ issue: { allowed: '0.2 in to 0.6299 in' } });
  });
  it.each(['½', '3/8', '1 1/2'])(
    'asks whether "%s" of a diameter is inches where millimetres are the units',
    (text) => {
      const read = (typed: string) => parseQuantity(typed, { quantity: 'diameterMm', system: 'metric' });
      expect(read(text)).toEqual({
        ok: false,
        issue: { reason: 'unknown-unit', read: text, allowed: `“${text} in”, or a number in mm` },
      });
      expect(read(`${text} in`).ok).toBe(true);
    },
  );

  it('round-trips what it prints, within half of the last printed digit or a fraction of an inch', () => {
    const quantities = Object.keys(QUANTITIES) as Quantity[];
    fc.assert(
      fc.property(
        fc.constantFrom(...quantities),
        fc.constantFrom<UnitSystem>('metric', 'imperial'),
        fc.double({ min: -50, max: 5000, noNaN: true }),
        (quantity, system, x) => {
          const { unit, decimals } = QUANTITIES[quantity].preferred[system];
          const halfDigit = (QUANTITIES[quantity].units[unit]!.toBase * 10 ** -decimals) / 2;
          // 0.02 mm: the window in which a diameter prints as a sixteenth.
          const tolerance = Math.max(halfDigit, quantity === 'diameterMm' ? 0.02 : 0) * (1 + 1e-9) + 1e-9;
          expect(Math.abs(value(printQuantity(x, quantity, system), quantity, system) - x)).toBeLessThanOrEqual(
            tolerance,
          );
        },
      ),
    );
  });

  it('reads the same length in whatever unit it is written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), (mm) => {
        const text = [`${mm} mm`, `${mm / 10} cm`, `${mm / 1000} m`];
        for (const t of text) expect(value(t, 'lengthM')).toBeCloseTo(mm / 1000, 9);
      }),
    );
  });
});

describe('printQuantity', () => {
  it.each([
    [9.525, 'diameterMm', 'imperial', '3/8\u00a0in'.replace('\u00a0', ' ')],
    [12.7, 'diameterMm', 'imperial', '1/2 in'],
    [38.1, 'diameterMm', 'imperial', '1 1/2 in'],
    [9.8, 'diameterMm', 'imperial', '0.386\u00a0in'],
    [9.8, 'diameterMm', 'metric', '9.8\u00a0mm'],
    [600, 'lengthMm', 'metric', '60\u00a0cm'],
    [-63, 'lengthMm', 'metric', '−6.3\u00a0cm'],
    [59.4, 'lengthM', 'metric', '59.4\u00a0m'],
    [1.8, 'ratio', 'metric', '1.8×'],
  ] as const)('prints %s %s (%s) as %s', (x, quantity, system, text) => {
    expect(printQuantity(x, quantity, system)).toBe(text);
  });
});

describe('an interval in running text', () => {
  it.each([
    [6.62, 13.24, 26.49, '13\u00a0m (7 to 26)'],
    [0.123, 0.456, 0.789, '0.46\u00a0m (0.12 to 0.79)'],
    [0.002, 0.034, 0.2, '0.03\u00a0m (0 to 0.2)'],
    [12.9, 13.1, 13.2, '13\u00a0m'],
    [99.4, 99.6, 120, '100\u00a0m (99 to 120)'],
    [5, 5, 5, '5\u00a0m'],
    [-1.26, -0.5, 0.3, '−0.5\u00a0m (−1.26 to 0.3)'],
  ])('%s, %s, %s m: %s', (low, best, high, text) =>
    expect(printRounded({ low, best, high }, 'lengthM', 'metric')).toBe(text),
  );
  it('a diameter keeps its tenth of a millimetre, and what is printed in feet is rounded in feet', () => {
    expect(printRounded({ low: 10.4, best: 10.5, high: 10.6 }, 'diameterMm', 'metric')).toBe(
      '10.5\u00a0mm (10.4 to 10.6)',
    );
    expect(printRounded({ low: 6.62, best: 13.24, high: 26.49 }, 'lengthM', 'imperial')).toBe('43\u00a0ft (22 to 87)');
  });

  it.each([
    [8.59, 'diameterMm', '8.59'],
    [8.6, 'diameterMm', '8.6'],
    [9, 'diameterMm', '9.0'],
    // 7/16 in: the rest of a calculation, which nobody has read off anything.
    [11.1125, 'diameterMm', '11.1'],
    // 3/8 in, and 9 ft 10 in.
    [9.525, 'diameterMm', '9.5'],
    [2.9972, 'lengthM', '3'],
    [74.842741, 'massKg', '74.8'],
    [2.345, 'lengthM', '2.345'],
    [0.1 + 0.2, 'lengthM', '0.3'],
    [-8.25, 'angleDeg', '−8.25'],
  ] as const)('what stands in a field is what was entered: %s as %s is %s', (value, quantity, says) =>
    expect(enteredNumber(value, quantity)).toBe(says),
  );
});
