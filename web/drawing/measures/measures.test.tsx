// @vitest-environment jsdom
import { cleanup, render } from '@testing-library/react';
import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import { fieldBounds, fieldMeta, ITEM_SCHEMAS, personSchema } from '@core/things/gear';
import type { z } from 'zod';
import { MeasurePicture } from './MeasurePicture';
import { measureView } from './views';

afterEach(cleanup);
const SCHEMAS = { ...ITEM_SCHEMAS, person: personSchema };
const LENGTHS = new Set(['diameterMm', 'lengthMm', 'lengthM']);
/** Lengths of which nothing is to be seen: how well one measures. */
const NOT_SEEN = new Set(['measuringUncertaintyMm']);
const fields = Object.entries(SCHEMAS).flatMap(([kind, schema]) =>
  Object.entries(schema.shape as Record<string, z.ZodType>).flatMap(([field, s]) =>
    LENGTHS.has(fieldMeta(s)?.quantity ?? '') && !NOT_SEEN.has(field) ? [[kind, field, s] as const] : [],
  ),
);

describe('a drawing beside a measured field', () => {
  it('there is one for every length of every kind of gear, and of a person', () => {
    expect(fields.length).toBeGreaterThan(25);
    for (const [kind, field] of fields) expect(measureView(kind, field, {}), `${kind} ${field}`).not.toBeNull();
  });
  it('law: the line is as long as what was typed, in the scale of the drawing, where it is drawn to scale', () => {
    for (const [kind, field, schema] of fields) {
      const { min, max } = fieldBounds(schema)!;
      fc.assert(
        fc.property(fc.double({ min: Math.max(min, 0.5), max, noNaN: true }), (value) => {
          const view = measureView(kind, field, { [field]: value })!;
          const line = Math.hypot(view.to.x - view.from.x, view.to.y - view.from.y);
          if (!view.toScale) return;
          expect(line, `${kind} ${field} ${value}`).toBeCloseTo(value, 1);
        }),
        { numRuns: 12 },
      );
    }
  });
  it('what is typed moves it: another number, another drawing', () => {
    for (const [kind, field] of fields) {
      const at = (value: number) =>
        render(<MeasurePicture kind={kind} field={field} values={{ [field]: value }} />).container.innerHTML;
      if (measureView(kind, field, {})!.toScale) expect(at(20), `${kind} ${field}`).not.toBe(at(31));
    }
  });
  it('nonsense in a field draws the middling one, and nothing breaks', () => {
    for (const [kind, field] of fields)
      for (const value of [NaN, Infinity, -3, 0, 'abc', null, undefined]) {
        const { container } = render(<MeasurePicture kind={kind} field={field} values={{ [field]: value }} />);
        expect(container.innerHTML, `${kind} ${field} ${String(value)}`).not.toMatch(/NaN|Infinity|undefined/);
        cleanup();
      }
  });
});
