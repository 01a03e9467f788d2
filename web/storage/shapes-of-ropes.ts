/** A part of the build by itself: see `fits.ts`. */
export { cordSchema, harnessSchema, ropeSchema, slingSchema } from '@core/things/gear';
