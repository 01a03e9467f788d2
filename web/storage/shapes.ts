/** A part of the build by itself: see `fits.ts`. */
export { workspaceSchema } from '@core/records/files';
