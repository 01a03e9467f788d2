export {
  around,
  exactly,
  interval,
  isSpread,
  mapFalling,
  mapRising,
  minus,
  plus,
  ratioIndependent,
  scale,
  times,
  timesIndependent,
  type Interval,
} from './interval.ts';
export { allowedUnits, parseQuantity, type ParseIssue, type ParseOptions, type ParseResult } from './parse.ts';
export { enteredNumber, printInterval, printNumber, printQuantity, printRounded, unitOf } from './print.ts';
export {
  KG_PER_LB,
  MM_PER_FOOT,
  MM_PER_INCH,
  N_PER_LBF,
  QUANTITIES,
  STANDARD_GRAVITY_M_PER_S2,
  type Quantity,
  type UnitSystem,
} from './quantity.ts';
export { spread } from './spread.ts';
