import { finding, literal, type Finding, type ElementId } from '../../foundations/finding/index.ts';
import { inGuideMode } from '../../things/fit/index.ts';
import { deviceOf, linesOf, type Attachment, type DeviceEnd } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import type { Context } from './context.ts';
import { claimOf, type Judge } from './judge.ts';

const ends = (ctx: Context): { a: Attachment; end: DeviceEnd }[] =>
  ctx.setup.attachments.flatMap((a) => {
    const end = deviceOf(a);
    return end && a.root.kind === 'anchor' ? [{ a, end }] : [];
  });
const endAt = (ref: ElementId, ctx: Context): DeviceEnd => deviceOf(ctx.index.ownerOf(ref)!)!;

/** A plate at the anchor that grips by itself, because the loaded strand presses on the brake strand. */
export const guides = (a: Attachment, ctx: Context): boolean => {
  const item = deviceOf(a)?.item;
  return Boolean(item && a.root.kind === 'anchor' && inGuideMode(item, ctx.use(a).use));
};
/** Two ropes side by side in one device at the anchor. */
export const twoStrandsBelow = (a: Attachment, ctx: Context): boolean =>
  guides(a, ctx) && linesOf(ctx.index, a.end).length > 1;

const subjects =
  (asked: (a: Attachment, ctx: Context) => boolean) =>
  (ctx: Context): ElementId[] =>
    ends(ctx).flatMap(({ a, end }) => (end.item === null || asked(a, ctx) ? [end.id] : []));

/** Which strand presses on which: only with the loaded one above does the plate grip. */
export const loadStrandJudge: Judge = {
  id: 'load-strand',
  subjects: subjects(guides),
  claims: (ref) => [claimOf(ref, 'load-strand')],
  judge: (ref, ctx) => {
    const { item, loadStrand } = endAt(ref, ctx);
    if (!guides(ctx.index.ownerOf(ref)!, ctx) || loadStrand === 'above') return [];
    const name = literal(item!.name);
    return [
      finding(
        {
          code: 'guide.load-strand',
          subject: [ref],
          because:
            'The plate grips because the loaded strand presses on the brake strand. The other way round the rope runs.',
          remedy:
            'Take the rope out and put it in with the second’s strand above; pull at that strand with the hand off.',
        },
        loadStrand === 'below'
          ? { severity: 'stop', says: `In ${name} the second’s strand is under the brake strand: it will not hold.` }
          : { severity: 'untested', says: `Not entered yet: which strand lies above in ${name}.` },
      ),
    ];
  },
  reads: (ref) => [ref],
};

/** Two ropes that cross below the plate: the one below is not pressed on, and whoever hangs on it is not held. */
export const crossedJudge: Judge = {
  id: 'crossed',
  subjects: subjects(twoStrandsBelow),
  claims: (ref, ctx) => [
    claimOf(ref, 'crossed'),
    ...(twoStrandsBelow(ctx.index.ownerOf(ref)!, ctx) ? [claimOf('job', 'crossed')] : []),
  ],
  judge: (ref, ctx): Finding[] => {
    const { strandsLie, gatheredM } = endAt(ref, ctx);
    if (!twoStrandsBelow(ctx.index.ownerOf(ref)!, ctx) || strandsLie === 'parallel') return [];
    const [leastM, mostM] = [threshold('gatherLeastM'), threshold('gatherMostM')];
    const gathered = gatheredM !== null && gatheredM >= leastM && gatheredM <= mostM;
    const crossed = strandsLie === 'crossed';
    return [
      finding(
        {
          code: crossed && gathered ? 'guide.gathered' : 'guide.crossed',
          subject: [ref],
          because:
            crossed && gatheredM !== null && !gathered
              ? 'The connector that gathers them hangs {gathered} below the device; between {least} and {most} it turns both loads into one direction.'
              : 'Loaded from different sides, one rope lies on the other and keeps it from being pressed.',
          remedy:
            'Lay the ropes side by side, and keep them so: through one connector {least} to {most} below the device. Else tie a knot behind the device before a hand leaves the rope.',
          numbers: [
            { key: 'least', label: 'Nearest that a connector gathers', quantity: 'lengthM', value: exactly(leastM) },
            { key: 'most', label: 'Farthest that a connector gathers', quantity: 'lengthM', value: exactly(mostM) },
            ...(gatheredM === null
              ? []
              : [
                  {
                    key: 'gathered',
                    label: 'Connector that gathers',
                    quantity: 'lengthM',
                    value: exactly(gatheredM),
                  } as const,
                ]),
          ],
        },
        crossed
          ? gathered
            ? { severity: 'mind', says: 'The two ropes cross below the device; a connector gathers them.' }
            : {
                severity: 'stop',
                says: 'The two ropes cross below the device: the climber on the lower rope may not be held.',
              }
          : { severity: 'untested', says: 'Not entered yet: whether the two ropes lie side by side below the device.' },
      ),
    ];
  },
  reads: (ref) => [ref],
};

/**
 * Whoever arrives is clipped to the anchor; the strand that leaves the device must not be led up and loaded meanwhile.
 */
export const arrivingJudge: Judge = {
  id: 'arriving',
  subjects: subjects(guides),
  claims: (ref, ctx) => [
    claimOf(ref, 'arriving'),
    ...(guides(ctx.index.ownerOf(ref)!, ctx) ? [claimOf('job', 'arriving')] : []),
  ],
  judge: (ref, ctx) => {
    const { arriving } = endAt(ref, ctx);
    if (!guides(ctx.index.ownerOf(ref)!, ctx) || arriving === 'in-the-air' || arriving === 'lanyard') return [];
    const bad = arriving === 'on-connector';
    return [
      finding(
        {
          code: 'guide.arriving',
          subject: [ref],
          because:
            'Wrapping the clove hitch directly onto the carabiner pulls the brake strand up; that can release the plate.',
          remedy:
            'Form the clove hitch in your hand and clip it in one move, or clip their own lanyard first; then take the rope out of the plate.',
        },
        bad
          ? {
              severity: 'stop',
              says: 'While the hitch is laid on the connector, the plate is overridden: the second is not held.',
            }
          : { severity: 'untested', says: 'Not entered yet: how the second is clipped to the anchor.' },
      ),
    ];
  },
  reads: (ref) => [ref],
};
