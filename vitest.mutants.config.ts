import { defineConfig } from 'vitest/config';
import whole from './vitest.config.ts';

/** For the mutants: the tests of the core that are quick enough to be run a thousand times. Files and search are tried by random data for minutes. */
export default defineConfig({
  resolve: { alias: whole.resolve!.alias! },
  test: {
    ...whole.test!,
    include: ['core/**/*.test.ts'],
    exclude: ['core/files/**', 'core/choose/**', 'core/sequence/**', 'core/assess/laws.test.ts'],
  },
});
