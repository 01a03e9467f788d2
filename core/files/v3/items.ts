/* Items as they stood up to version 4: what version 5 added is taken away again. */
import {
  cordSchema as cord,
  harnessSchema as harness,
  ropeSchema as rope,
  slingSchema as sling,
} from '../../gear/index.ts';

export const ropeSchema = rope.omit({ condition: true, stiffness: true, impactForceKn: true });
export const cordSchema = cord.omit({ condition: true });
export const slingSchema = sling.omit({ condition: true });
export const harnessSchema = harness.omit({ condition: true });
