/** A part of the build by itself: see `in-turns.ts`. */
export { brakeFigures, hitchFindings } from '@core/things/friction';
export { hitchClearance, lineLengthFindings, ropeBudgetFindings } from '@core/things/geometry';
