// npm run mutants -- core/answers/redundancy: changes the core in small ways, one at a time, and sees whether a test
// notices. Not part of npm test. Texts are left out: what a sentence says is read by people. Incremental, so that only
// what changed is tried again.
import { execFileSync } from 'node:child_process';

const excludedMutations = ['StringLiteral', 'Regex'];
const rooms = (process.env.ROOMS ?? 'core/answers/check,core/answers/redundancy,core/things/friction').split(',');
export default {
  testRunner: 'vitest',
  ignorePatterns: ['dist', 'docs', 'e2e', 'test-results', 'playwright-report'],
  plugins: ['@stryker-mutator/vitest-runner', './scripts/drawn-checker.mjs'],
  checkers: process.env.DRAW ? ['drawn'] : [],
  vitest: { configFile: 'vitest.mutants.config.ts' },
  mutate: process.env.DRAW
    ? JSON.parse(
        execFileSync(
          process.execPath,
          ['scripts/drawn-mutants.mjs', process.env.DRAW, excludedMutations.join(), ...rooms],
          { encoding: 'utf8' },
        ),
      )
    : rooms.flatMap((room) => [`${room}/**/*.ts`, `!${room}/**/*.test.ts`, `!${room}/**/*.test-help.ts`]),
  mutator: { excludedMutations },
  ignoreStatic: true,
  coverageAnalysis: 'perTest',
  concurrency: 2,
  timeoutMS: 10_000,
  incremental: !process.env.DRAW,
  incrementalFile: '.mutants/incremental.json',
  tempDirName: '.mutants/tmp',
  reporters: ['clear-text', 'json', 'progress-append-only'],
  jsonReporter: { fileName: '.mutants/report.json' },
  clearTextReporter: { logTests: false, allowColor: false },
  thresholds: { high: 90, low: 80, break: null },
};
