/* Items and people as they stood up to version 4: what versions 5 to 13 added is taken away again. */
import {
  connectorSchema as connector,
  deviceSchema as device,
  cordSchema as cord,
  harnessSchema as harness,
  personSchema as person,
  ropeSchema as rope,
  slingSchema as sling,
} from '../../gear/index.ts';

export const connectorSchema = connector.omit({ assumed: true, condition: true });
export const deviceSchema = device.omit({
  assumed: true,
  gapOpens: true,
  bench: true,
  tunings: true,
  bollardSettings: true,
});
export const ropeSchema = rope.omit({
  assumed: true,
  condition: true,
  stiffness: true,
  impactForceKn: true,
  staticStretchPercent: true,
  stretchTest: true,
});
export const cordSchema = cord.omit({ assumed: true, condition: true, bench: true });
export const slingSchema = sling.omit({ assumed: true, condition: true });
export const harnessSchema = harness.omit({ assumed: true, condition: true });
export const personSchema = person.omit({
  assumed: true,
  tieInHeightMm: true,
  chinAboveTieInMm: true,
  kneeAboveSolesMm: true,
});
