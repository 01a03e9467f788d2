import { browserPath } from './browser-path.mjs';

/** How Debian's Chromium is started, for tests, benchmarks and pictures. */
export const launch = {
  executablePath: browserPath(),
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
  ],
};
