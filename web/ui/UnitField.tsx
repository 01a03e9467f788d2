import { useId, useState } from 'react';
import {
  enteredNumber,
  parseQuantity,
  printNumber,
  printQuantity,
  unitOf,
  type Quantity,
} from '@core/foundations/units';
import { usePreferences } from '../app/preferences';

interface UnitFieldProps {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly quantity: Quantity;
  readonly min: number;
  readonly max: number;
  /** In the unit the core keeps; null is "not entered". */
  readonly value: number | null;
  /** May it stay empty? */
  readonly optional: boolean;
  /** Called with every text that can be read; undefined when it cannot. */
  readonly onChange: (value: number | null | undefined) => void;
  readonly onLeave?: (() => void) | undefined;
  readonly error?: string | undefined;
}

/**
 * What is shown when nobody types: a diameter at a fraction of an inch keeps the fraction, all else is the bare number.
 * A number with more digits than are usual is shown with them: what stands there as 8.6 must not be 8.59.
 */
function restText(value: number | null, quantity: Quantity, system: 'metric' | 'imperial'): string {
  if (value === null) return '';
  const printed = printQuantity(value, quantity, system);
  if (printed.includes('/')) return printed;
  return system === 'metric' ? enteredNumber(value, quantity) : printNumber(value, quantity, system);
}

/**
 * A number with its unit. Reads either system ("3/8 in", "185 lb", "9,5"), says what it could not read and what it
 * would.
 */
export function UnitField({
  label,
  hint,
  quantity,
  min,
  max,
  value,
  optional,
  onChange,
  onLeave,
  error,
}: UnitFieldProps) {
  const { system } = usePreferences();
  const id = useId();
  const [text, setTyped] = useState<string | null>(null);
  const read = (text: string) => parseQuantity(text, { quantity, system, min, max });

  // What is typed stands as long as it says what is stored: when another tab has changed that, it is shown.
  const means = (() => {
    if (text === null) return undefined;
    if (text.trim() === '') return optional ? null : undefined;
    const result = read(text);
    return result.ok ? result.value : undefined;
  })();
  const typed = means !== undefined && means !== value ? null : text;
  const shown = typed ?? restText(value, quantity, system);
  const problem = (() => {
    if (typed === null || (typed.trim() === '' && optional)) return undefined;
    const result = read(typed);
    if (result.ok) return undefined;
    const { reason, read: what, allowed } = result.issue;
    return reason === 'empty' ? `Needed: ${allowed}.` : `Read “${what}”. Allowed: ${allowed}.`;
  })();
  const message = problem ?? error;
  const unit = unitOf(quantity, system);

  return (
    <div>
      <label htmlFor={id} className="block text-sm font-semibold">
        {label}
      </label>
      <div className="relative mt-1">
        <input
          id={id}
          className={`field num ${unit ? 'pr-16' : ''} ${message ? 'border-stop' : ''}`}
          inputMode={quantity === 'count' ? 'numeric' : 'text'}
          autoComplete="off"
          value={shown}
          aria-invalid={message !== undefined}
          aria-describedby={`${id}-more`}
          onChange={(event) => {
            const next = event.target.value;
            setTyped(next);
            if (next.trim() === '' && optional) onChange(null);
            else {
              const result = read(next);
              onChange(result.ok ? result.value : undefined);
            }
          }}
          onBlur={() => {
            // What could not be read stays as typed, with its message; what could is shown in the units of the person.
            if (problem === undefined) setTyped(null);
            onLeave?.();
          }}
        />
        {unit && typed === null && !shown.includes('in') && (
          <span className="pointer-events-none absolute inset-y-0 right-3 flex items-center text-sm text-ink-2">
            {unit}
          </span>
        )}
      </div>
      <p id={`${id}-more`} className={`mt-0.5 text-sm ${message ? 'text-stop' : 'text-ink-2'}`}>
        {message ?? hint}
      </p>
    </div>
  );
}
