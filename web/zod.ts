/*
 * Zod without code made at run time: the content security policy forbids it, and the browser reports each try. In place
 * of `zod` for the build of the page (see vite.config.ts), so that it is set before the first schema is made.
 */
import { config } from 'zod/v4/core';
import * as z from 'zod/v4';

config({ jitless: true });

export { z };
