import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { interval } from '../units/index.ts';
import { SEVERITIES, tooLittle, tooMuch } from './index.ts';

describe('severity by the whole of an interval', () => {
  it.each([
    [1, 2, 3, 'clear'],
    [1, 2, 6, 'untested'],
    [1, 4.5, 6, 'mind'],
    [1, 5.5, 6, 'mind'],
    [5.5, 6, 7, 'stop'],
    // On the limit itself nothing is over it.
    [5, 5, 5, 'mind'],
    [4, 4, 5, 'clear'],
  ] as const)('%s, %s, %s against a limit of 5 with a margin from 4 on: %s', (low, best, high, severity) => {
    expect(tooMuch(interval(low, best, high), { stop: 5, mind: 4 })).toBe(severity);
    expect(tooLittle(interval(-high, -best, -low), { stop: -5, mind: -4 })).toBe(severity);
  });
  it('without a margin the limit alone decides', () => {
    expect(tooMuch(interval(1, 4.5, 4.9), { stop: 5 })).toBe('clear');
    expect(tooMuch(interval(1, 5.1, 6), { stop: 5 })).toBe('mind');
  });
  it('more is never better', () => {
    const three = fc
      .array(fc.double({ min: 0, max: 10, noNaN: true }), { minLength: 3, maxLength: 3 })
      .map((x) => x.sort((a, b) => a - b));
    fc.assert(
      fc.property(three, fc.double({ min: 0, max: 5, noNaN: true }), ([low, best, high], more) => {
        const rank = (by: number) =>
          // Not tested stands between clear and mind here: as more is added, the bad end fails first.
          [...SEVERITIES].indexOf(tooMuch(interval(low! + by, best! + by, high! + by), { stop: 5, mind: 4 }));
        expect(rank(more)).toBeLessThanOrEqual(rank(0));
      }),
    );
  });
});
