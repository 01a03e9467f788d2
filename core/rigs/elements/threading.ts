import { tuningState, type TuningState } from '../../things/tuning/index.ts';
import { finding, literal, type Finding, type ElementId, type Severity } from '../../foundations/finding/index.ts';
import { inGuideMode } from '../../things/fit/index.ts';
import { JOB_FACTS, traitsOf } from '../../things/gear/index.ts';
import { deviceOf, linesOf, ropeIdsOf, ropesIn, type Attachment, type DeviceEnd, type Site } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import type { Context } from './context.ts';
import { claimOf, type Judge } from './judge.ts';

const ends = ({ setup }: Context): { a: Attachment; end: DeviceEnd }[] =>
  setup.attachments.flatMap((a) => {
    const end = deviceOf(a);
    return end ? [{ a, end }] : [];
  });
const threads = (end: DeviceEnd): boolean => end.item === null || !traitsOf(end.item.family).tied;
const endAt = (ref: ElementId, ctx: Context): DeviceEnd => deviceOf(ctx.index.ownerOf(ref)!)!;

/**
 * How the rope lies in the device: seen, and tried by a sharp pull. A hitch tied with the rope has nothing to be
 * threaded through.
 */
export const threadedJudge: Judge = {
  id: 'threaded',
  subjects: (ctx) => ends(ctx).flatMap(({ end }) => (threads(end) ? [end.id] : [])),
  claims: (ref) => [claimOf(ref, 'threaded')],
  judge: (ref, ctx) => {
    const { item, threaded } = endAt(ref, ctx);
    const line = linesOf(ctx.index, endAt(ref, ctx))[0];
    if (!item || threaded === 'shown' || traitsOf(item.family).tied) return [];
    const a = ctx.index.ownerOf(ref)!;
    // A tube and an eight have no way round of their own; which side the brake strand runs over is asked apart.
    const gripsByItself = traitsOf(item.family).brake === null || inGuideMode(item, ctx.use(a).use);
    const backwards = threaded === 'backwards';
    const severity: Severity = threaded === 'unknown' ? 'untested' : backwards && !gripsByItself ? 'mind' : 'stop';
    const name = literal(item.name);
    return [
      finding({
        code: 'fit.threaded',
        severity,
        subject: [ref, ...(line ? [line.id] : [])],
        says:
          threaded === 'unknown'
            ? `Not entered yet: how the rope runs through ${name}.`
            : backwards
              ? `The rope runs through ${name} the other way round.`
              : `The rope runs around the connector only, not through ${name}.`,
        because: backwards
          ? gripsByItself
            ? 'The other way round it does not grip: the rope runs through.'
            : 'The other way round the load may lie where the brake strand belongs.'
          : 'A rope that is threaded wrongly may not be held at all. It is a common mistake.',
        remedy:
          'Thread it as shown on the device, then pull sharply at the strand that goes to the load: it must hold.',
      }),
    ];
  },
  reads: (ref) => [ref],
};

/** Tubes with brake grooves that a hand brakes: the other side is smooth. */
export const hasSmoothSide = (a: Attachment, ctx: Context): boolean => {
  const end = deviceOf(a);
  return Boolean(
    end?.item &&
    end.hand !== null &&
    traitsOf(end.item.family).brake === 'grooved-tube' &&
    !inGuideMode(end.item, ctx.use(a).use),
  );
};

/** Whether the brake strand runs over the grooves. What that means for the hand is in the forces. */
export const brakeSideJudge: Judge = {
  id: 'brake-side',
  subjects: (ctx) => ends(ctx).flatMap(({ a, end }) => (end.item === null || hasSmoothSide(a, ctx) ? [end.id] : [])),
  claims: (ref) => [claimOf(ref, 'brake-side')],
  judge: (ref, ctx) => {
    const end = endAt(ref, ctx);
    if (!hasSmoothSide(ctx.index.ownerOf(ref)!, ctx) || end.brakeSide === 'grooves') return [];
    const smooth = end.brakeSide === 'smooth';
    const name = literal(end.item!.name);
    return [
      finding(
        {
          code: 'fit.brake-side',
          subject: [ref],
          because: 'Over the smooth side it brakes like a tube without grooves; the forces are calculated so.',
          remedy: 'Turn the device round, so that the brake strands lie in the grooves.',
        },
        smooth
          ? { severity: 'mind', says: `The brake strand runs over the smooth side of ${name}.` }
          : {
              severity: 'untested',
              says: `Not entered yet: whether the brake strand runs over the grooves of ${name}.`,
            },
      ),
    ];
  },
  reads: (ref) => [ref],
};

const isTuned = (end: DeviceEnd): boolean => end.item !== null && traitsOf(end.item.family).tuned;

/** A bollard grips the rope that it was tuned to, as that rope was then. */
export const tunedJudge: Judge = {
  id: 'tuned',
  subjects: (ctx) => ends(ctx).flatMap(({ end }) => (end.item === null || isTuned(end) ? [end.id] : [])),
  claims: (ref) => [claimOf(ref, 'tuned')],
  judge: (ref, ctx): Finding[] => {
    const end = endAt(ref, ctx);
    if (!isTuned(end)) return [];
    const a = ctx.index.ownerOf(ref)!;
    const rope = ropesIn(ctx.index, a.end)?.ropeA;
    const person = a.root.kind === 'harness' ? ctx.index.person(a.root.person)?.item : null;
    const state = rope ? tuningState(end.item!, rope) : ({ kind: 'none' } as const);
    const open = end.tuned === 'no' ? null : recordSays(state, ctx.setup.site.weather, person?.massKg ?? null);
    const name = literal(end.item!.name);
    if (state.kind === 'tuned' && open === '' && end.tuned !== 'other-rope')
      return [
        finding({
          code: 'fit.tuned',
          severity: 'clear',
          subject: [ref, ...ropeRefs(ref, ctx)],
          says: `${name} was tuned to this rope.`,
          because:
            'Found in your own trials at setting {setting}, and nothing was written down since that would change it.',
          numbers: [{ key: 'setting', label: 'Setting', quantity: 'count', value: exactly(state.setting) }],
        }),
      ];
    if (!open && end.tuned === 'this-rope') return [];
    return [
      finding({
        code: 'fit.not-tuned',
        severity: end.tuned === 'no' ? 'stop' : 'untested',
        subject: [ref],
        says: open
          ? `${name} is not tuned to this rope as it is now: ${open}.`
          : {
              no: `${name} is not tuned.`,
              'other-rope': `${name} was tuned on another rope.`,
              'this-rope': '',
              unknown: `Not entered yet: on which rope ${name} was tuned.`,
            }[end.tuned],
        because: 'If it was set for a thicker, newer or drier rope it may creep or not grip at all.',
        remedy:
          'Tune it on this rope low above the ground: hang for 60 s with less than 5 mm of creep, then bounce three times. Go down slowly, let go and be held, three times.',
      }),
    ];
  },
  reads: (ref, ctx) => [ref, ...ropeRefs(ref, ctx)],
};

const ropeRefs = (ref: ElementId, ctx: Context): ElementId[] => ropeIdsOf(ctx.index, ctx.index.ownerOf(ref)!.end);

/**
 * What in the record of trials speaks against the tuning, as the end of a sentence; empty where nothing does, null
 * where there is no record.
 */
function recordSays(state: TuningState, weather: Site['weather'], massKg: number | null): string | null {
  switch (state.kind) {
    case 'none':
      return null;
    case 'begun':
      return 'its trials found no setting yet';
    case 'stale':
    case 'changed':
      return state.why;
    case 'tuned':
      if (state.weather !== weather) return `it was tuned on ${state.weather} rope`;
      if (massKg === null || massKg > state.massKg * threshold('tuningHeavier'))
        return 'a lighter person hung in it when it was tuned';
      return '';
  }
}

const slants = ({ setup: { site, job } }: Context): boolean => JOB_FACTS[job].climbs && site.slant !== 'plumb';
/** Ice keeps a cam from closing, and a rope that slants pulls a clamp sideways. */
export const canComeOff = (end: DeviceEnd, ctx: Context): boolean =>
  end.item !== null &&
  (ctx.setup.site.weather === 'icy' || slants(ctx)) &&
  traitsOf(end.item.family).teeth &&
  !traitsOf(end.item.family).aidOnly;

/**
 * On icy or slanting rope a toothed clamp that comes off is held at it by a connector through its upper hole, and by
 * nothing else.
 */
export const upperHoleJudge: Judge = {
  id: 'upper-hole',
  subjects: (ctx) => ends(ctx).flatMap(({ end }) => (end.item === null || canComeOff(end, ctx) ? [end.id] : [])),
  claims: (ref) => [claimOf(ref, 'upper-hole')],
  judge: (ref, ctx) => {
    const end = endAt(ref, ctx);
    if (!canComeOff(end, ctx) || end.upperHole === 'clipped') return [];
    const { weather, slant } = ctx.setup.site;
    const icy = weather === 'icy';
    const open = end.upperHole === 'open' && (icy || slant === 'slanting');
    const name = literal(end.item!.name);
    const rope = icy
      ? 'icy rope'
      : slant === 'slanting'
        ? 'slanting rope'
        : 'rope (not entered yet: whether it slants)';
    return [
      finding({
        code: 'fit.upper-hole',
        severity: open ? 'stop' : 'untested',
        subject: [ref],
        says:
          end.upperHole === 'open'
            ? `No connector goes through the upper hole of ${name} around the ${rope}.`
            : `Not entered yet: whether a connector goes through the upper hole of ${name} around the ${rope}.`,
        because: icy
          ? 'Ice keeps the cam from closing, and the ascender can come off the rope sideways.'
          : 'A rope that slants by more than 20 degrees pulls the ascender sideways, and can come out of it.',
        remedy: `Clip a connector through its upper hole around the rope${icy ? ', and clean the teeth before each stroke' : ''}.`,
      }),
    ];
  },
  reads: (ref) => [ref],
};
