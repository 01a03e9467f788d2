import { fieldMeta, typicalItems, typicalValues, type Item } from '@core/things/gear';
import { printNumber, unitOf } from '@core/foundations/units';
import type { z } from 'zod';
import { usePreferences, useWords } from '../../../app/preferences';
import { schemaOf, type LockerKind } from './kinds';

const CATALOGUE: readonly Item[] = typicalItems(() => 'not-saved-yet');

/** "Start from": one tap fills the form with what is typical. */
export function StartFrom({ kind, onTake }: { kind: LockerKind; onTake: (thing: Item) => void }) {
  const inWords = useWords();
  const things = CATALOGUE.filter((item) => item.kind === kind);
  if (kind === 'person') return null;
  return (
    <label className="mt-3 block max-w-md">
      <span className="block text-sm font-semibold">Start from something typical</span>
      <select
        className="field mt-1"
        value=""
        onChange={(event) => {
          const thing = things[Number(event.target.value)];
          if (thing) onTake(thing);
        }}
      >
        <option value="">Enter everything myself</option>
        {things.map((thing, i) => (
          <option key={thing.name} value={i}>
            {inWords(thing.name)}
          </option>
        ))}
      </select>
      <span className="mt-0.5 block text-sm text-ink-2">
        Measures as they usually are, from memory. They are marked until yours are entered, and make nothing clear.
      </span>
    </label>
  );
}

/** What of a thing is only typical, and what to measure first to make it one's own. */
export function OnlyTypical({ kind, assumed }: { kind: LockerKind; assumed: readonly string[] }) {
  const inWords = useWords();
  if (assumed.length === 0) return null;
  const label = (field: string) =>
    field === 'declarations'
      ? 'what its maker declares'
      : (fieldMeta(schemaOf(kind).shape[field] as z.ZodType)?.label ?? field).toLowerCase();
  return (
    <p className="mt-3 rounded bg-untested-wash px-3 py-2 text-untested">
      Usual for its kind, not measured on yours: {assumed.map((f) => inWords(label(f))).join(', ')}.
    </p>
  );
}

interface NoteProps {
  readonly kind: LockerKind;
  readonly field: string;
  readonly schema: z.ZodType;
  readonly onOwn: () => void;
}

/** Below a field that holds what is typical: its range, and one tap when it is so for this one. */
export function TypicalNote({ kind, field, schema, onOwn }: NoteProps) {
  const { system } = usePreferences();
  const meta = fieldMeta(schema);
  const [low, high] = typicalValues(kind, field) ?? [];
  const range =
    meta?.quantity && typeof low === 'number' && typeof high === 'number'
      ? `: ${printNumber(low, meta.quantity, system)} to ${printNumber(high, meta.quantity, system)} ${unitOf(meta.quantity, system)}`
      : '';
  return (
    <p className="flex flex-wrap items-center gap-x-3 text-sm text-untested">
      <span>Typical{range}, from memory.</span>
      <button type="button" className="min-h-11 font-semibold underline" onClick={onOwn}>
        It is so
        <span className="sr-only">: {meta?.label}</span>
      </button>
    </p>
  );
}
