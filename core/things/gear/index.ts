export { brief } from './brief.ts';
export {
  BENCH_RESULTS,
  benchTestSchema,
  benchTestsOf,
  type BenchPair,
  type BenchResult,
  type BenchTest,
} from './bench.ts';
export {
  TUNING_EVENTS,
  tuningEntrySchema,
  tuningTrialSchema,
  type RopeState,
  type TuningEntry,
  type TuningTrial,
} from './tuning.ts';
export {
  MUNTER,
  UNDECLARED_DEVICE,
  UNMEASURED_CONNECTOR,
  UNMEASURED_PERSON,
  UNREAD_CORD,
  UNREAD_HARNESS,
  UNREAD_ROPE,
  UNREAD_SLING,
} from './blank.ts';
export {
  choice,
  fieldBounds,
  fieldMeta,
  idSchema,
  instantSchema,
  line,
  measure,
  note,
  under,
  yesNo,
  type FieldMeta,
} from './fields.ts';
export { connectorSchema } from './connectors.ts';
export { declarationSchema, deviceSchema } from './devices.ts';
export {
  cordSchema,
  harnessSchema,
  ROPE_CONSTRUCTIONS,
  ropeSchema,
  slingSchema,
  type RopeConstruction,
} from './soft-items.ts';
export {
  ITEM_SCHEMAS,
  itemSchema,
  type Connector,
  type Cord,
  type Declaration,
  type Device,
  type Harness,
  type Item,
  type ItemKind,
  type ItemOf,
  type Rope,
  type Sling,
} from './items.ts';
export {
  DEFEATS,
  DEVICE_FAMILIES,
  FAMILIES,
  FAMILY_KEYS,
  servesJob,
  traitsOf,
  type BrakeKind,
  type Defeat,
  type Family,
  type FamilyTraits,
} from './families.ts';
export { JOB_FACTS, JOB_KEYS, JOBS, listed, TREE_ASKS, type DevicePlace, type Job, type JobFacts } from './jobs.ts';
export { usualLoad, usualUse, type LoadCase, type UseCase } from './load-case.ts';
export { diameterOf, linearDensityKgPerM, ropeLengthM, type DiameterReading } from './measured.ts';
export {
  anyRope,
  overSprings,
  springsOf,
  springsOfBoth,
  staticStretch,
  springsOfStrands,
  type GivingRope,
  type RopeSprings,
} from './rope-springs.ts';
export {
  factorForForce,
  fallForceKn,
  oneSpring,
  pullN,
  sideBySide,
  storedJPerM,
  strainAt,
  stretchUnder,
  type TwoSprings,
} from './two-springs.ts';
export { personSchema, type Person } from './person.ts';
export type { TypicalKind } from './assumed.ts';
export { typicalValues } from './typical-values.ts';
export {
  asOwn,
  ASK_FIRST,
  assumedIn,
  typicalConnector,
  typicalCord,
  typicalDevice,
  typicalHarness,
  typicalItems,
  typicalPerson,
  typicalRope,
  typicalSling,
  type Assumed,
} from './typical.ts';
