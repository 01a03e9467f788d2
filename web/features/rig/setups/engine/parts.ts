/** A part of the build by itself: see `in-turns.ts`. */
export * from '@core/rigs/elements';
