import { z } from 'zod';

/** The library that the schemas are made with, a part of the build by itself: see `fits.ts`. */
export const library = z.string;
