/** A part of the build by itself: see `fits.ts`. */
export { setupSchema } from '@core/rigs/rig';
