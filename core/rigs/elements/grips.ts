import { deviceOf, hitchOf, type Attachment } from '../rig/index.ts';
import type { Context } from './context.ts';

/**
 * What a person wears that grips the rope by itself, with no hand on it: a grab, a clamp, a hitch that is not tied
 * behind a device that a hand brakes.
 */
export const gripsByItself = (a: Attachment, ctx: Context): boolean => {
  if (a.use === 'aid' || a.root.kind !== 'harness') return false;
  const device = deviceOf(a);
  if (device) return device.hand === null;
  const above = hitchOf(a) ? ctx.deviceAbove(a) : null;
  return hitchOf(a) !== null && (above === null || deviceOf(above)!.hand === null);
};

export const sameWearer = (a: Attachment, b: Attachment): boolean =>
  a.root.kind === 'harness' && b.root.kind === 'harness' && a.root.person === b.root.person;
