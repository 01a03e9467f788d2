import { finding, type Finding, type ElementId, type Severity } from '../../foundations/finding/index.ts';
import { JOB_FACTS, linearDensityKgPerM } from '../../things/gear/index.ts';
import {
  deviceOf,
  descentOf,
  linesOf,
  loadOf,
  ropesOf,
  slackFactor,
  type Attachment,
  type DeviceEnd,
} from '../rig/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import {
  exactly,
  interval,
  plus,
  scale,
  STANDARD_GRAVITY_M_PER_S2,
  type Interval,
} from '../../foundations/units/index.ts';
import { jobLoadKn } from '../../things/connector/index.ts';
import { loadParts, type Context } from './context.ts';
import { claimOf, type Judge } from './judge.ts';

/** A device at the anchor with which somebody who follows is belayed. */
export const belaysFromAbove = (a: Attachment, ctx: Context): boolean =>
  deviceOf(a) !== null && a.root.kind === 'anchor' && JOB_FACTS[ctx.use(a).use].belayedFrom === 'above';

const subjects = (ctx: Context): ElementId[] =>
  ctx.setup.attachments.filter((a) => belaysFromAbove(a, ctx)).map((a) => a.end.id);
const endAt = (ref: ElementId, ctx: Context): DeviceEnd => deviceOf(ctx.index.ownerOf(ref)!)!;

/** Slack above the second: harmless far below the device, a hard jerk close to it. */
export const slackJudge: Judge = {
  id: 'slack',
  subjects,
  claims: (ref) => [claimOf(ref, 'slack'), claimOf('job', 'slack')],
  judge: (ref, ctx): Finding[] => {
    const a = ctx.index.ownerOf(ref)!;
    const { slackM } = endAt(ref, ctx);
    if (slackM === null)
      return [
        finding({
          code: 'guide.slack',
          severity: 'untested',
          subject: [ref],
          says: 'Not entered yet: how much slack there can be above the second.',
          because: 'A fall into slack close to the device is a hard shock load on the anchor and on the climber.',
          remedy: 'Say how much rope is not taken in while you look away or use your hands for something else.',
        }),
      ];
    const factor = slackFactor(slackM);
    const severity: Severity =
      factor > threshold('slackStopFactor') ? 'stop' : factor > threshold('slackMindFactor') ? 'mind' : 'clear';
    const load = loadOf(ctx.index, a);
    return [
      finding({
        code: 'guide.slack',
        severity,
        subject: [ref],
        says:
          severity === 'clear'
            ? 'Little slack above the second.'
            : `Close to the device a fall into this slack is a ${severity === 'stop' ? 'very hard' : 'hard'} shock load.`,
        because: `Close by, {near} of rope catch a fall into {slack} of slack: {factor} their length.${load ? ' The shock load can reach {jerk~}.' : ''}`,
        remedy: severity === 'clear' ? '' : 'Keep the rope snug, especially as they get close to you.',
        numbers: [
          { key: 'slack', label: 'Slack', quantity: 'lengthM', value: exactly(slackM) },
          { key: 'near', label: 'Rope out, close to the device', quantity: 'lengthM', value: constant('secondNearM') },
          { key: 'factor', label: 'Fall factor', quantity: 'ratio', value: exactly(factor) },
          ...(load
            ? [
                {
                  key: 'jerk',
                  label: 'Jerk',
                  quantity: 'strengthKn' as const,
                  value: jobLoadKn({ ...load, fallFactor: exactly(factor), slipKn: null }, endAt(ref, ctx).item),
                },
              ]
            : []),
        ],
      }),
    ];
  },
  reads: (ref, ctx) => [ref, ...loadParts(ctx, ctx.index.ownerOf(ref)!)],
};

/**
 * What taking in asks of the arms: the weight of the rope below, times what the bends of a plate at the anchor add.
 * Check: two ropes of 52 g/m, 30 m out: 61 to 122 N. null while a rope is not chosen.
 */
export function pullOf(a: Attachment, ctx: Context): Interval | null {
  const lines = linesOf(ctx.index, a.end).map(ropesOf);
  if (lines.length === 0 || lines.includes(null)) return null;
  const kgPerM = lines.map((l) => linearDensityKgPerM(l!.ropeA)).reduce((sum, more) => plus(sum, more));
  const weightN = scale(kgPerM, Math.max(0, descentOf(ctx.setup.site)) * STANDARD_GRAVITY_M_PER_S2);
  const by = constant('takeInFactor');
  return interval(weightN.low * by.low, weightN.best * by.best, weightN.high * by.high);
}

/** Arms tire on a heavy pull, and then slack is left. */
export const pullJudge: Judge = {
  id: 'pull',
  subjects,
  claims: (ref) => [claimOf(ref, 'pull')],
  judge: (ref, ctx): Finding[] => {
    const pull = pullOf(ctx.index.ownerOf(ref)!, ctx);
    if (!pull || pull.best <= threshold('pullMindN')) return [];
    return [
      finding({
        code: 'guide.pull',
        severity: 'mind',
        subject: [ref],
        says: 'Taking in pulls hard with all the rope out.',
        because:
          'Weight of the rope below and its bends through the device: {pull~} at each pull. Tired arms leave slack.',
        remedy: 'Shorten the pitch, or swap belayers.',
        numbers: [{ key: 'pull', label: 'Pull to take in', quantity: 'forceN', value: pull }],
      }),
    ];
  },
  reads: (ref, ctx) => [
    ref,
    ...linesOf(ctx.index, ctx.index.ownerOf(ref)!.end).flatMap((l) => [l.id, ...('rope' in l ? [l.rope.id] : [])]),
  ],
};
