import type { Connector, Device } from './items.ts';

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
