export {
  brakeHeld,
  freeFallM,
  letFall,
  startPractice,
  practiceStep,
  type Doing,
  type FallRecord,
  type Practice,
} from './practice.ts';
export { recordOf } from './record.ts';
export {
  bendRad,
  holdingN,
  NO_HANDS,
  ratioAt,
  STROKE_M,
  type HandHeight,
  type Hands,
  type PracticeSettings,
} from './settings.ts';
export { fallRemarks, nextMove, practiceRemarks, type Remark } from './remarks.ts';
