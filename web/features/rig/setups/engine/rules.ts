/** A part of the build by itself: see `in-turns.ts`. */
export { gateFindings, judgeWays, pairFindings } from '@core/things/connector';
export { inGuideMode, ropeInDevice, strandsAlike } from '@core/things/fit';
export { holdFindings, holdsFromRig } from '@core/answers/redundancy';
