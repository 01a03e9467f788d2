const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** The day of an instant, in the person's own time zone: "12 Sep 2026". */
export const printDay = (instant: string): string => DAY.format(new Date(instant));
