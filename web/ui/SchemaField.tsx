import { useId } from 'react';
import { z } from 'zod';
import { fieldBounds, fieldMeta } from '@core/things/gear';
import { UnitField } from './UnitField';
import { useWords } from '../app/preferences';

interface SchemaFieldProps {
  readonly schema: z.ZodType;
  readonly value: unknown;
  readonly onChange: (value: unknown) => void;
  readonly onLeave?: () => void;
  readonly error?: string | undefined;
  /** In place of the label of the schema, where that would stand twice. */
  readonly label?: string | undefined;
}

/** One field of a form, made from its schema: a unit field, a choice, a line or several lines of text. */
export function SchemaField({ schema, value, onChange, onLeave, error, label }: SchemaFieldProps) {
  const inWords = useWords();
  const id = useId();
  const meta = fieldMeta(schema);
  if (!meta) throw new Error('this schema has no field description');
  if (meta.quantity) {
    const { min, max } = fieldBounds(schema)!;
    return (
      <UnitField
        label={inWords(label ?? meta.label)}
        hint={meta.hint && inWords(meta.hint)}
        quantity={meta.quantity}
        min={min}
        max={max}
        value={typeof value === 'number' && !Number.isNaN(value) ? value : null}
        optional={schema instanceof z.ZodNullable}
        onChange={onChange}
        onLeave={onLeave}
        error={error}
      />
    );
  }
  const text = typeof value === 'string' ? value : '';
  const describe = { id, 'aria-invalid': error !== undefined, 'aria-describedby': `${id}-more`, onBlur: onLeave };
  return (
    <div>
      <label htmlFor={id} className="block text-sm font-semibold">
        {inWords(label ?? meta.label)}
      </label>
      {meta.options ? (
        <select {...describe} className="field mt-1" value={text} onChange={(event) => onChange(event.target.value)}>
          {/* Nothing is chosen before somebody has chosen it. */}
          {!(text in meta.options) && (
            <option value="" disabled>
              Choose …
            </option>
          )}
          {Object.entries(meta.options).map(([key, label]) => (
            <option key={key} value={key}>
              {inWords(label)}
            </option>
          ))}
        </select>
      ) : meta.multiline ? (
        <textarea
          {...describe}
          className="field mt-1 min-h-20"
          value={text}
          onChange={(event) => onChange(event.target.value)}
        />
      ) : (
        <input
          {...describe}
          className={`field mt-1 ${error ? 'border-stop' : ''}`}
          autoComplete="off"
          value={text}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
      <p id={`${id}-more`} className={`mt-0.5 text-sm ${error ? 'text-stop' : 'text-ink-2'}`}>
        {error ?? (meta.hint && inWords(meta.hint))}
      </p>
    </div>
  );
}
