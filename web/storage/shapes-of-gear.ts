/** A part of the build by itself: see `fits.ts`. */
export { itemSchema, personSchema } from '@core/things/gear';
