export {
  choice,
  fieldBounds,
  fieldMeta,
  idSchema,
  instantSchema,
  line,
  measure,
  note,
  yesNo,
  type FieldMeta,
} from './fields.ts';
export {
  connectorSchema,
  cordSchema,
  declarationSchema,
  DEVICE_FAMILIES,
  deviceSchema,
  harnessSchema,
  ITEM_SCHEMAS,
  itemSchema,
  ROPE_CONSTRUCTIONS,
  ropeSchema,
  slingSchema,
  type Connector,
  type Cord,
  type Declaration,
  type Device,
  type Harness,
  type Item,
  type ItemKind,
  type ItemOf,
  type Rope,
  type RopeConstruction,
  type Sling,
} from './items.ts';
export { JOBS, type Job } from './jobs.ts';
export { diameterOf, linearDensityKgPerM, ropeLengthM, type DiameterReading } from './measured.ts';
export { personSchema, type Person } from './person.ts';
