import { defineConfig } from 'vitest/config';
import whole from './vitest.config.ts';

/**
 * For the mutants: each room is held against its own tests, which take seconds. Those of the whole core, over every
 * set-up there is, take minutes and would be run a thousand times. Modules are read once a run, not once a file. What a
 * test makes while it is collected, outside of `it`, counts for no test.
 */
const rooms = (process.env.ROOMS ?? 'core/answers/check,core/answers/redundancy,core/things/friction').split(',');
export default defineConfig({
  resolve: { alias: whole.resolve!.alias! },
  test: {
    environment: 'node',
    testTimeout: 30_000,
    isolate: false,
    include: rooms.map((room) => `${room}/**/*.test.ts`),
  },
});
