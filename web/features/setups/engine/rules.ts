/** A part of the build by itself: see `in-turns.ts`. */
export { gateFindings, judgeWays, pairFindings } from '@core/connector';
export { inGuideMode, ropeInDevice, strandsAlike } from '@core/fit';
export { holdFindings, holdsFromRig } from '@core/hold';
