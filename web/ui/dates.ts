let day: Intl.DateTimeFormat | undefined;

/** The day of an instant, in the person's own time zone: "12 Sep 2026". */
export function printDay(instant: string): string {
  // Made when the first day is printed: it takes some 50 ms, which the first screen of a new user has no need to wait for.
  day ??= new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
  return day.format(new Date(instant));
}
