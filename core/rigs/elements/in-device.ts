import { finding, literal, type Finding, type ElementId, type Severity } from '../../foundations/finding/index.ts';
import { diameterOf, traitsOf } from '../../things/gear/index.ts';
import { deviceOf, ropeIdsOf, ropesIn, type Attachment, type DeviceEnd } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import type { Context } from './context.ts';
import { claimOf, type Judge } from './judge.ts';

/** A device with a cam that turns, and a hand near it that can keep it from turning. */
export const hasHeldCam = (a: Attachment): boolean => {
  const end = deviceOf(a);
  return Boolean(end?.item && end.hand !== null && traitsOf(end.item.family).turningCam);
};
/** A plate with a groove for thick and one for thin rope. */
export const hasGrooves = (a: Attachment): boolean => {
  const item = deviceOf(a)?.item;
  return Boolean(item && traitsOf(item.family).grooves);
};

const asked =
  (has: (a: Attachment) => boolean) =>
  ({ setup }: Context): ElementId[] =>
    setup.attachments
      .filter((a) => deviceOf(a)?.item === null || has(a))
      .flatMap((a) => (deviceOf(a) ? [a.end.id] : []));
const endAt = (ref: ElementId, ctx: Context): DeviceEnd => deviceOf(ctx.index.ownerOf(ref)!)!;

/** A cam that is held does not lock: a hand closed around the device, a thumb left on it, a hard object against it. */
export const camJudge: Judge = {
  id: 'cam',
  subjects: asked(hasHeldCam),
  claims: (ref) => [claimOf(ref, 'cam')],
  judge: (ref, ctx): Finding[] => {
    const { item, cam } = endAt(ref, ctx);
    if (!hasHeldCam(ctx.index.ownerOf(ref)!) || cam === 'free') return [];
    const held = cam === 'held';
    return [
      finding(
        {
          code: 'fit.cam-held',
          subject: [ref],
          because:
            'The cam locks when the rope turns it. A hand closed around the device, a thumb on the cam or something hard against it keeps it open, and a fall runs through.',
          remedy: 'Brake hand on the brake strand, fingers off the cam. Nothing lies against the device.',
        },
        held
          ? { severity: 'stop', says: `The cam of ${literal(item!.name)} is held: it does not lock.` }
          : {
              severity: 'untested',
              says: `Not entered yet: whether the cam of ${literal(item!.name)} is free to turn.`,
            },
      ),
    ];
  },
  reads: (ref) => [ref],
};

/**
 * Of two grooves the rope lies in the one that its diameter asks for. Which that is stands in the instructions; what is
 * plain is said here.
 */
export const grooveJudge: Judge = {
  id: 'groove',
  subjects: asked(hasGrooves),
  claims: (ref) => [claimOf(ref, 'groove')],
  judge: (ref, ctx): Finding[] => {
    const { item, groove } = endAt(ref, ctx);
    const ropes = ropesIn(ctx.index, endAt(ref, ctx));
    if (!hasGrooves(ctx.index.ownerOf(ref)!) || !ropes) return [];
    const { diameterMm } = diameterOf(ropes.ropeA);
    const thin = groove === 'wide' && diameterMm.high < threshold('thinRopeMm');
    const thick = groove === 'narrow' && diameterMm.low > threshold('thickInGrooveMm');
    const severity: Severity = groove === 'unknown' ? 'untested' : thin || thick ? 'mind' : 'clear';
    if (severity === 'clear') return [];
    const name = literal(item!.name);
    return [
      finding({
        code: 'fit.groove-used',
        severity,
        subject: [ref],
        says:
          groove === 'unknown'
            ? `Not entered yet: which groove of ${name} the rope lies in.`
            : thin
              ? `A thin rope lies in the wide groove of ${name}.`
              : `A thick rope lies in the narrow groove of ${name}.`,
        because: thin
          ? 'The wide groove pinches thin rope less: it brakes less than the forces say.'
          : thick
            ? 'Thick rope jams in the narrow groove: it hardly feeds, and hangs up when you lower.'
            : 'The two grooves brake differently.',
        remedy: 'See which groove the instructions of the plate give for this diameter, and test it low.',
        numbers: [{ key: 'diameter', label: 'Diameter', quantity: 'diameterMm', value: diameterMm }],
      }),
    ];
  },
  reads: (ref, ctx) => [ref, ...ropeIdsOf(ctx.index, endAt(ref, ctx))],
};
