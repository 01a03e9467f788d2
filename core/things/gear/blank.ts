import type { Connector, Cord, Device, Harness, Rope, Sling } from './items.ts';
import type { Person } from './person.ts';

/** What stands in a rope of which only the label was read. */
export const UNREAD_ROPE = {
  kind: 'rope',
  assumed: [],
  measuredDiameterMm: null,
  measuringUncertaintyMm: null,
  measuredLengthM: null,
  linearDensityGPerM: null,
  sheath: 'unknown',
  middle: 'unknown',
  condition: 'unknown',
  stiffness: 'unknown',
  impactForceKn: null,
  staticStretchPercent: null,
  stretchTest: 'standard',
  note: '',
} as const satisfies Partial<Rope>;

/** What stands in a cord of which only thickness and length are known. */
export const UNREAD_CORD = {
  kind: 'cord',
  assumed: [],
  material: 'unknown',
  measuredDiameterMm: null,
  closure: 'double-fisherman',
  loopLengthMm: null,
  declaredStrengthKn: null,
  condition: 'unknown',
  bench: [],
  note: '',
} as const satisfies Partial<Cord>;

/** What stands in a sling of which only width and length are known. */
export const UNREAD_SLING = {
  kind: 'sling',
  assumed: [],
  material: 'unknown',
  strengthKn: null,
  condition: 'unknown',
  note: '',
} as const satisfies Partial<Sling>;

/** What stands in a harness that nobody looked at. */
export const UNREAD_HARNESS = {
  kind: 'harness',
  assumed: [],
  legBuckleTakesLoad: 'unknown',
  condition: 'unknown',
  note: '',
} as const satisfies Partial<Harness>;

/** What stands in somebody of whom only the mass and the hand are known. */
export const UNMEASURED_PERSON = {
  handForceN: null,
  tieInHeightMm: null,
  chinAboveTieInMm: null,
  kneeAboveSolesMm: null,
  note: '',
} as const satisfies Partial<Person>;

/** What stands in a connector of which only the label was read. */
export const UNMEASURED_CONNECTOR = {
  narrowInsideWidthMm: null,
  broadStockMm: null,
  narrowStockMm: null,
  sleeveMm: null,
  sleeveFromBroadMm: null,
  sleeveFromNarrowMm: null,
  gateOpeningMm: null,
  assumed: [],
} as const satisfies Partial<Connector>;

/** What stands in a device of which nothing was measured and nothing read but its ranges. */
export const UNDECLARED_DEVICE = {
  eyeMm: null,
  plateMm: null,
  gapMm: null,
  gapOpens: 'unknown',
  coverMm: null,
  notchMm: null,
  mustTurn: 'unknown',
  entry: 'unknown',
  handed: 'unknown',
  personsRated: 'unknown',
  attachTo: 'unknown',
  connectorWanted: 'unknown',
  connectorForbidden: 'unknown',
  looseParts: '',
  massG: null,
  metal: 'unknown',
  priceClass: 'unknown',
  bench: [],
  tunings: [],
  bollardSettings: null,
  assumed: [],
} as const satisfies Partial<Device>;

/** The Munter hitch as a choice among devices: nothing to own, nothing declared. */
export const MUNTER: Device = {
  ...UNDECLARED_DEVICE,
  id: 'munter',
  kind: 'device',
  name: 'Munter hitch',
  maker: '',
  family: 'munter',
  wear: 'used',
  declarations: [],
  note: '',
};
