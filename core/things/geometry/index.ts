export { lineLengthFindings, type LineLengthInput } from './line-length.ts';
export { ropeLengthFinding, type RopeLengthInput } from './rope-length.ts';
export {
  feedingWeightKg,
  feedsAboveM,
  fallsToM,
  groundReachedBelowM,
  hangsToM,
  meetsWithM,
} from './self-belay-reach.ts';
export { hauledM, haulThreeDownN, haulThreeN } from './haul.ts';
export { overChinMm, ropeWalkLengths, type RopeWalkLengths } from './rope-walk.ts';
export { afterBounceRatio, forkRatio, redirectWeights, swingOf, type Swing } from './tree.ts';
export { ascentOf, type Ascent, type AscentInput } from './ascent.ts';
export { armReach } from './arm-reach.ts';
export { extensionMm, slingMm, type ExtensionInput } from './extension.ts';
export { knotsFor, strokeOf, type Stroke, type StrokeInput } from './stroke.ts';
export {
  attachmentToDeviceMm,
  hitchClearance,
  hitchClearanceFindings,
  type Clearance,
  type ClearanceInput,
} from './hitch-clearance.ts';
export { hitchReach, loopLengthMm, type HitchReach, type HitchReachInput } from './hitch-reach.ts';
export { ropeBudget, ropeBudgetFindings, type RopeBudget, type RopeBudgetInput, type RopeEnds } from './rope-budget.ts';
export { beltLengthMm, cordPerWrapMm, wrapPerimeterMm } from './wrap-length.ts';
