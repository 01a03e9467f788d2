import { isSpread, type Interval } from './interval.ts';
import { MM_PER_INCH, QUANTITIES, type Quantity, type UnitSystem } from './quantity.ts';

/**
 * Closest sixteenth of an inch when the diameter lies within 0.02 mm of it (finer than any caliper reading of a rope).
 */
const FRACTION_TOLERANCE_MM = 0.02;

function sixteenths(diameterMm: number): string | undefined {
  const n = Math.round((diameterMm / MM_PER_INCH) * 16);
  if (n <= 0 || Math.abs((n / 16) * MM_PER_INCH - diameterMm) > FRACTION_TOLERANCE_MM) return undefined;
  const whole = Math.floor(n / 16);
  let top = n % 16;
  if (top === 0) return `${whole} in`;
  let bottom = 16;
  while (top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  return `${whole > 0 ? `${whole} ` : ''}${top}/${bottom} in`;
}

/** The number without its unit, in the preferred unit of `system`. `value` is in the unit the core keeps. */
export function printNumber(value: number, quantity: Quantity, system: UnitSystem): string {
  const { units, preferred } = QUANTITIES[quantity];
  const { unit, decimals } = preferred[system];
  const shown = (value / units[unit]!.toBase).toFixed(decimals);
  const text = quantity === 'diameterMm' || decimals === 0 ? shown : shown.replace(/\.?0+$/, '');
  return (Number(text) === 0 ? text.replace('-', '') : text).replace('-', '−');
}

/**
 * Nobody reads more decimals than these, or than one more than usual, off anything: they are the rest of a calculation,
 * as of 3/8 in (9.525 mm).
 */
const READ_DECIMALS = 2;
/**
 * The number without its unit, in the metric unit, as it can have been entered: with more decimals than `printNumber`
 * where they say it exactly.
 */
export function enteredNumber(value: number, quantity: Quantity): string {
  const { units, preferred } = QUANTITIES[quantity];
  const { unit, decimals } = preferred.metric;
  const { toBase } = units[unit]!;
  const fine = Number((value / toBase).toFixed(Math.max(READ_DECIMALS, decimals + 1)));
  const usual = printNumber(value, quantity, 'metric');
  const said = (x: number) => Math.abs(x * toBase - value) <= Math.abs(value) * Number.EPSILON * 4;
  return said(Number(usual.replace('−', '-'))) || !said(fine) ? usual : String(fine).replace('-', '−');
}

/** The unit that `printNumber` leaves out, '' when there is none. */
export function unitOf(quantity: Quantity, system: UnitSystem): string {
  const { units, preferred } = QUANTITIES[quantity];
  return units[preferred[system].unit]!.names[0]!;
}

/**
 * Number and unit for a person to read: "9.5 mm", "3/8 in", "1.2 m", "185 lb".
 * Rounded to the decimals of the quantity; a diameter at a sixteenth of an inch prints as the fraction.
 */
export function printQuantity(value: number, quantity: Quantity, system: UnitSystem): string {
  if (quantity === 'diameterMm' && system === 'imperial') {
    const fraction = sixteenths(value);
    if (fraction) return fraction;
  }
  const unit = unitOf(quantity, system);
  const glue = unit === '%' || unit === '×' || unit === '' ? '' : '\u00a0';
  return `${printNumber(value, quantity, system)}${glue}${unit}`;
}

/** "163 N (140–190)" or only the value when the interval has no spread. */
export function printInterval(range: Interval, quantity: Quantity, system: UnitSystem): string {
  const best = printQuantity(range.best, quantity, system);
  if (!isSpread(range)) return best;
  const low = printNumber(range.low, quantity, system);
  const high = printNumber(range.high, quantity, system);
  return low === high ? best : `${best} (${low} to ${high})`;
}

/** The place of the second digit of a number, as a power of ten: 13.24 gives 0, 0.66 gives -2. */
const secondDigit = (x: number): number => Math.floor(Math.log10(Math.abs(x))) - 1;

/**
 * An interval in running text: its best value to two significant digits, the ends to the same place, "13 m (7 to 26)".
 * Diameters keep their tenth of a millimetre: a limit hangs on it. Without spread it is `printQuantity`.
 */
export function printRounded(range: Interval, quantity: Quantity, system: UnitSystem): string {
  const { units, preferred } = QUANTITIES[quantity];
  const { unit, decimals } = preferred[system];
  const { toBase } = units[unit]!;
  if (!isSpread(range) || quantity === 'diameterMm' || range.best === 0) return printInterval(range, quantity, system);
  // Never finer than the quantity is printed elsewhere.
  const place = Math.max(-decimals, secondDigit(range.best / toBase));
  const round = (x: number) => Number((Math.round(x / toBase / 10 ** place) * 10 ** place).toFixed(decimals)) * toBase;
  return printInterval({ low: round(range.low), best: round(range.best), high: round(range.high) }, quantity, system);
}
