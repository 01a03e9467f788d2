import { defineConfig } from 'vitest/config';
import { alias } from './vite.config.ts';

export default defineConfig({
  resolve: { alias },
  test: {
    environment: 'node',
    testTimeout: 30_000,
    // Left to itself it keeps one core free, which on two is half of them.
    maxWorkers: '100%',
    projects: [
      // The core keeps no state that a test could leave behind: its modules are read once for each worker, not once for
      // each file.
      { extends: true, test: { name: 'core', include: ['{core,cli}/**/*.test.ts'], isolate: false } },
      {
        extends: true,
        test: {
          name: 'app',
          include: ['{web,server}/**/*.test.{ts,tsx}'],
          setupFiles: ['web/patient.test-help.ts'],
        },
      },
    ],
  },
});
