import { z } from 'zod';
import { choice, idSchema, instantSchema, note } from '../gear/index.ts';
import { wayKey, waySchema, type Way } from './way.ts';

/** What a person saw when they tried one connector in one device one way. No record is *not tried*. */
export const WAY_RESULTS = {
  worked: 'Worked',
  wedged: 'Wedged',
  'sleeve-entered': 'Sleeve entered',
  'could-not-turn': 'Could not turn',
} as const;

export const wayTestSchema = z.strictObject({
  id: idSchema,
  connectorId: idSchema,
  deviceId: idSchema,
  way: waySchema,
  result: choice(WAY_RESULTS, 'What happened'),
  at: instantSchema,
  note: note(),
});
export type WayTest = z.infer<typeof wayTestSchema>;

/** The tests of this pair and way, newest last. */
export const testsOf = (tests: readonly WayTest[], connectorId: string, deviceId: string, way: Way): WayTest[] =>
  tests
    .filter((t) => t.connectorId === connectorId && t.deviceId === deviceId && wayKey(t.way) === wayKey(way))
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
