// @vitest-environment jsdom
import { beforeEach, describe, expect, it } from 'vitest';
import { SETUPS } from '@core/samples';
import { copyDue, copyTaken, daysSinceCopy } from './last-copy';

const day = (n: number) => new Date(2026, 10, n, 12);
const setups = [{ ...SETUPS['rappel-double'], createdAt: day(1).toISOString() }];

describe('the last copy', () => {
  beforeEach(() => localStorage.clear());
  it('is remembered for each workspace by itself, in whole days', () => {
    expect(daysSinceCopy('mine', day(20))).toBeNull();
    copyTaken('mine', day(10));
    expect(daysSinceCopy('mine', day(20))).toBe(10);
    expect(daysSinceCopy('mine', day(10))).toBe(0);
    expect(daysSinceCopy('demo', day(20))).toBeNull();
  });
  it('what stands there and is no day is no copy; a clock that was put back counts as today', () => {
    localStorage.setItem('zevrin-copy-mine', 'yesterday');
    expect(daysSinceCopy('mine', day(20))).toBeNull();
    copyTaken('mine', day(25));
    expect(daysSinceCopy('mine', day(20))).toBe(0);
  });
  it('is due after so many days, from the first set-up on where there was none; never where nothing is to copy', () => {
    expect(copyDue({ setups }, 29, 30, day(20))).toBe(false);
    expect(copyDue({ setups }, 30, 30, day(20))).toBe(true);
    expect(copyDue({ setups }, null, 14, day(14))).toBe(false);
    expect(copyDue({ setups }, null, 14, day(15))).toBe(true);
    expect(copyDue({ setups }, 400, null, day(20))).toBe(false);
    expect(copyDue({ setups: [] }, null, 1, day(20))).toBe(false);
  });
});
