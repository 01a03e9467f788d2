import { expect, it } from 'vitest';
import type { z } from 'zod';
import { fieldMeta } from '@core/things/gear';
import { LOCKER_KINDS, schemaOf } from './kinds';
import { fieldsWithReason, whyAsked } from './why';

it('every field of every kind says why it is asked, and no reason is left of a field that is gone', () => {
  for (const kind of LOCKER_KINDS) {
    const asked = Object.entries(schemaOf(kind).shape)
      .filter(([, field]) => fieldMeta(field as z.ZodType))
      .map(([key]) => key)
      .filter((key) => whyAsked(kind, key) !== undefined);
    expect([...fieldsWithReason(kind)].sort(), kind).toEqual(asked.sort());
    for (const key of asked) expect(whyAsked(kind, key), `${kind} ${key}`).not.toMatch(/nothing hangs on it/);
  }
  expect(whyAsked('rope', 'name')).toBeUndefined();
});
