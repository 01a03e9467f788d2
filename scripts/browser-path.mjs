import { existsSync } from 'node:fs';

/**
 * Debian's Chromium without windows of its own: the same browser from the same source package, a third quicker in the
 * tests.
 */
export const SHELL = '/usr/bin/chromium-headless-shell';
export const CHROMIUM = '/usr/bin/chromium';

/** The browser for tests, benchmarks and pictures: the one without windows where it is there. */
export const browserPath = () => (existsSync(SHELL) ? SHELL : CHROMIUM);
