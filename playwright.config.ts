import { defineConfig } from '@playwright/test';
import { launch } from './scripts/chromium.ts';

const port = Number(process.env.ZEVRIN_E2E_PORT ?? 4310);
const report = process.env.ZEVRIN_E2E_REPORT;

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/e2e',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  workers: 3,
  fullyParallel: true,
  // A test that passes only at the second try is named, and more than two of them fail the run (scripts/test.mjs).
  retries: 1,
  reporter: report ? [['list'], ['json', { outputFile: report }]] : [['list']],
  webServer: {
    command: 'node --import tsx server/bin.ts',
    url: `http://localhost:${port}`,
    env: { PORT: String(port) },
    reuseExistingServer: false,
  },
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    // Recording each test took more than a quarter of their time (9.4 instead of 6.7 minutes); one that failed is
    // recorded at its second try.
    trace: 'on-first-retry',
    // Only the test of it wants the worker that keeps everything: in each other one it would load the whole app beside
    // the page.
    serviceWorkers: 'block',
    launchOptions: launch,
  },
});
