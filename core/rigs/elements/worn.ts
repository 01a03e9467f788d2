import { finding, literal, type ElementId } from '../../foundations/finding/index.ts';
import { traitsOf } from '../../things/gear/index.ts';
import { deviceOf } from '../rig/index.ts';
import { brakes, type Context } from './context.ts';
import { devices } from './device.ts';
import { claimOf, type Judge } from './judge.ts';

/**
 * Wear where the rope runs, of what brakes or holds in another way than by a hand on it: teeth, bollards,
 * friction-relievers, plates and grabs. Where a hand brakes, and in a turning cam, it is judged with the friction.
 */
export const wornJudge: Judge = {
  id: 'worn',
  subjects: devices,
  claims: (ref, ctx) => [claimOf(ctx.attachment(ref).end.id, 'worn')],
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const item = deviceOf(a)?.item;
    if (!item || inFriction(ref, ctx) || item.wear === 'new' || item.wear === 'used') return [];
    const { aidOnly, teeth, tuned, tied } = traitsOf(item.family);
    if (aidOnly || tied) return [];
    const worn = item.wear === 'worn';
    const name = literal(item.name);
    return [
      finding(
        {
          code: 'rig.worn',
          subject: [a.end.id],
          because: teeth
            ? 'Worn or clogged teeth bite late, or slip.'
            : tuned
              ? 'A worn bollard holds at another setting than a new one.'
              : 'Worn smooth, it grips late or slips, most of all on thin or wet rope.',
          remedy: 'Compare it with what its maker sets as the end of its use, and test it low before you trust it.',
        },
        worn
          ? { severity: 'mind', says: `${name} is worn where the rope runs.` }
          : { severity: 'untested', says: `Not entered yet: how worn ${name} is.` },
      ),
    ];
  },
  reads: (ref, ctx) => [ctx.attachment(ref).end.id],
};

function inFriction(ref: ElementId, ctx: Context): boolean {
  const a = ctx.attachment(ref);
  const item = deviceOf(a)?.item;
  return Boolean(
    item && (traitsOf(item.family).turningCam || brakes(a, ctx.use(a)) || ctx.use(a).fall) && !alone(ref, ctx),
  );
}
/** A device that catches with no hand on it. */
const alone = (ref: ElementId, ctx: Context): boolean => deviceOf(ctx.attachment(ref))?.hand === null;
