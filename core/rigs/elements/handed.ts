import { finding, literal } from '../../foundations/finding/index.ts';
import { traitsOf } from '../../things/gear/index.ts';
import { brakerOf, deviceOf } from '../rig/index.ts';
import type { Context } from './context.ts';
import { devices } from './device.ts';
import { claimOf, type Judge } from './judge.ts';

const braked = (ctx: Context) => devices(ctx).filter((ref) => deviceOf(ctx.attachment(ref))!.hand !== null);

/** A device that is made for one hand, in the other one. */
export const handedJudge: Judge = {
  id: 'handed',
  subjects: braked,
  claims: (ref, ctx) => [claimOf(ctx.attachment(ref).end.id, 'handed')],
  judge: (ref, ctx) => {
    const end = deviceOf(ctx.attachment(ref))!;
    const braker = brakerOf(ctx.index, end);
    if (!end.item || !braker?.item) return [];
    const { handed, family, name } = end.item;
    const hand = braker.item.brakeHand;
    // Only a device with a moving cam and a lever has sides to be made for.
    const unknown = handed === 'unknown' && traitsOf(family).turningCam && hand === 'left';
    if (!unknown && (handed === 'unknown' || handed === 'both' || handed === hand)) return [];
    return [
      finding(
        {
          code: 'fit.handed',
          subject: [braker.handId, end.id],
          because: 'Used left-handed, the lever is on the wrong side and the brake rope runs over the wrong edge.',
          remedy: 'Look it up in the instructions, brake with the other hand, or take a device for either hand.',
        },
        unknown
          ? { severity: 'untested', says: `It is not entered for which hand ${literal(name)} is made.` }
          : {
              severity: 'mind',
              says: `${literal(name)} is made for the ${handed} hand; ${literal(braker.item.name)} brakes with the ${hand}.`,
            },
      ),
    ];
  },
  reads: (ref, ctx) => [ctx.attachment(ref).end.id],
};
