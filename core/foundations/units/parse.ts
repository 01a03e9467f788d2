import { QUANTITIES, type Quantity, type UnitSystem } from './quantity.ts';

/** Why a text was not read as a quantity. `read` is what was typed, `allowed` says in words what can be read. */
export interface ParseIssue {
  readonly reason: 'empty' | 'no-number' | 'unknown-unit' | 'out-of-range';
  readonly read: string;
  readonly allowed: string;
}

export type ParseResult =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly issue: ParseIssue };

export interface ParseOptions {
  readonly quantity: Quantity;
  /** Decides the unit of a bare number. */
  readonly system: UnitSystem;
  /** Bounds in the unit in which the core keeps the quantity, both inclusive. */
  readonly min?: number;
  readonly max?: number;
}

const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`;
const FRACTION = String.raw`\d+\s*[/⁄]\s*\d+`;
/** One number and its unit: "3 1/2 in", "1-1/2 in", "3/8", "9,5 mm", "1/2". */
const TERM = new RegExp(
  String.raw`^\s*(?:(\d+)[\s-]+(${FRACTION})|(${FRACTION})|(${NUMBER}))\s*([^\d\s.,]+(?:\s?\d+\s?ft)?)?`,
);
const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

function toNumber(text: string): number {
  const [top, bottom] = text.split(/[/⁄]/);
  return bottom === undefined ? Number(text.replace(',', '.')) : Number(top) / Number(bottom);
}

const isFraction = (text: string): boolean => /[/⁄]/.test(text);

/** In words, for a message at the field: the units read for this quantity. */
export function allowedUnits(quantity: Quantity): string {
  const names = QUANTITIES[quantity].units.map((unit) => unit.names[0]).filter(Boolean);
  return names.length > 0 ? `a number, alone or with ${names.join(', ')}` : 'a whole number';
}

/**
 * Reads a length, mass, force or ratio typed by a person, in any unit of that quantity: "9.5", "9,5 mm", "3/8 in", "1
 * 1/2 in", "5 ft 6 in", "185 lb". A bare number takes the preferred unit of `system`; a bare fraction of a diameter is
 * inches where those are the units, and asked about where they are not.
 * @returns the value in the unit in which the core keeps the quantity, or why the text was refused. Never throws.
 */
export function parseQuantity(text: string, options: ParseOptions): ParseResult {
  const spec = QUANTITIES[options.quantity];
  const fail = (reason: ParseIssue['reason'], allowed = allowedUnits(options.quantity)): ParseResult => ({
    ok: false,
    issue: { reason, read: text.trim(), allowed },
  });
  let rest = text.replace(/[½¼¾⅛⅜⅝⅞]/g, (c) => ` ${VULGAR[c]}`).trim();
  if (rest === '') return fail('empty');
  const negative = /^[-−]/.test(rest);
  if (negative) rest = rest.slice(1).trimStart();

  let total = 0;
  let terms = 0;
  let lastUnit = Infinity;
  while (rest !== '') {
    const match = TERM.exec(rest);
    if (!match) return fail('no-number');
    const [whole, integer, mixedFraction, fraction, plain, unitText] = match;
    const amount = integer ? Number(integer) + toNumber(mixedFraction!) : toNumber(fraction ?? plain!);
    if (!Number.isFinite(amount)) return fail('no-number');
    let unit = spec.units[spec.preferred[options.system].unit]!;
    if (unitText) {
      const found = findUnit(options.quantity, unitText);
      if (!found) return fail('unknown-unit');
      unit = found;
    } else if (options.quantity === 'diameterMm' && isFraction(fraction ?? mixedFraction ?? '')) {
      // With inches it can be nothing else; who thinks in millimetres may have meant half of one.
      if (options.system === 'metric') return fail('unknown-unit', `“${text.trim()} in”, or a number in mm`);
      unit = findUnit('diameterMm', 'in')!;
    } else if (terms > 0) {
      return fail('unknown-unit');
    }
    // "5 ft 6 in" is read, "6 in 5 ft" and "5 kg 80 lb" are more likely slips than sums.
    if (terms > 0 && (unit.toBase >= lastUnit || !/^(diameter|length)/.test(options.quantity)))
      return fail('unknown-unit');
    lastUnit = unit.toBase;
    total += amount * unit.toBase;
    terms += 1;
    rest = rest.slice(whole.length).trim();
  }
  const value = negative ? -total : total;
  if (value < (options.min ?? -Infinity) || value > (options.max ?? Infinity)) {
    return fail('out-of-range', rangeText(options));
  }
  return { ok: true, value };
}

function findUnit(quantity: Quantity, text: string) {
  const { units } = QUANTITIES[quantity];
  const wanted = text.trim();
  return (
    units.find((unit) => unit.names.includes(wanted)) ??
    units.find((unit) => unit.names.some((name) => name.toLowerCase() === wanted.toLowerCase()))
  );
}

function rangeText({ quantity, system, min, max }: ParseOptions): string {
  const { units, preferred } = QUANTITIES[quantity];
  const unit = units[preferred[system].unit]!;
  const say = (value: number) => `${Number((value / unit.toBase).toPrecision(4))} ${unit.names[0]}`.trim();
  if (min !== undefined && max !== undefined) return `${say(min)} to ${say(max)}`;
  return min !== undefined ? `${say(min)} or more` : `${say(max!)} or less`;
}
