import { expect, it } from 'vitest';
import { printDay } from './dates';

it('each month as the browser’s own formatter names it in American English, day and year around it', () => {
  // Checked against Intl, in the time zone of whoever reads it.
  const month = new Intl.DateTimeFormat('en-US', { month: 'short' });
  for (let m = 0; m < 12; m += 1) {
    const at = new Date(2026, m, 1 + m * 2, 12);
    expect(printDay(at.toISOString())).toBe(`${at.getDate()} ${month.format(at)} 2026`);
  }
});
it('is the day where one is: just before and after midnight', () => {
  expect(printDay(new Date(2026, 11, 31, 23, 59).toISOString())).toBe('31 Dec 2026');
  expect(printDay(new Date(2027, 0, 1, 0, 1).toISOString())).toBe('1 Jan 2027');
});
