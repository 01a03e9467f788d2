import { finding, type Finding, type ElementId, type Severity } from '../../foundations/finding/index.ts';
import {
  fallForceKn,
  linearDensityKgPerM,
  overSprings,
  stretchUnder,
  traitsOf,
  type Device,
  type Rope,
  type RopeSprings,
  JOB_FACTS,
} from '../../things/gear/index.ts';
import { feedingWeightKg, feedsAboveM, groundReachedBelowM } from '../../things/geometry/index.ts';
import { claimOf, type Context, type Judge } from '../elements/index.ts';
import { deviceOf, linesOf, type Attachment, type RigLine } from '../rig/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import {
  exactly,
  interval,
  plus,
  scale,
  STANDARD_GRAVITY_M_PER_S2,
  type Interval,
} from '../../foundations/units/index.ts';

/** A grab that somebody climbs with alone, on a rope from above. */
export const isSelfBelay = (a: Attachment, ctx: Context): boolean =>
  JOB_FACTS[ctx.setup.job].up === 'self-belays' &&
  a.root.kind === 'harness' &&
  deviceOf(a)?.hand === null &&
  linesOf(ctx.index, a.end)[0]?.kind === 'fixed';

interface Solo {
  readonly ref: ElementId;
  readonly device: Device;
  readonly rope: Rope;
  readonly line: RigLine;
  readonly slackM: number | null;
  readonly massKg: number;
  readonly springs: RopeSprings;
  readonly anchorM: number;
  readonly endWeightKg: number;
}

function soloOf(ref: ElementId, ctx: Context): Solo | null {
  const a = ctx.index.ownerOf(ref)!;
  const end = deviceOf(a);
  const line = linesOf(ctx.index, a.end)[0];
  const person = a.root.kind === 'harness' ? ctx.index.person(a.root.person)?.item : null;
  const load = ctx.load(a);
  const anchorM = ctx.setup.site.anchorHeightM;
  if (!end?.item || line?.kind !== 'fixed' || !line.rope.item || !person || !load || anchorM <= 0) return null;
  return {
    ref,
    device: end.item,
    rope: line.rope.item,
    line,
    slackM: end.slackM,
    massKg: person.massKg,
    springs: load.springs,
    anchorM,
    endWeightKg: line.endWeightKg ?? 0,
  };
}

/**
 * A fall of whoever climbs alone on a rope from above: how hard it is below the anchor, where it ends on the ground,
 * and where the rope runs by itself.
 */
export const selfBelayJudge: Judge = {
  id: 'self-belay',
  subjects: (ctx) => ctx.setup.attachments.filter((a) => isSelfBelay(a, ctx)).map((a) => a.end.id),
  // Tethers are judged by the arm’s reach, and by what slides onto what.
  claims: (ref) => [claimOf(ref, 'solo'), claimOf('job', 'fall'), claimOf('job', 'second')],
  judge: (ref, ctx) => {
    const solo = soloOf(ref, ctx);
    return solo ? [jolt(solo), ground(solo), feed(solo)] : [];
  },
  reads: (ref, { index }) => {
    const line = linesOf(index, index.ownerOf(ref)!.end)[0];
    return [ref, ...(line?.kind === 'fixed' ? [line.rope.id] : [])];
  },
};

export interface SelfBelayCurve {
  readonly ref: ElementId;
  readonly label: string;
  readonly anchorM: number;
  readonly groundM: Interval;
  readonly feedsM: Interval;
  /**
   * Force on the person over the height of the fall, kN, from where the ground is no more reached to just below the
   * anchor.
   */
  readonly points: readonly { readonly heightM: number; readonly forceKn: Interval }[];
}

/** A fall at each height, for every device that somebody climbs with alone; none while slack or a part is not said. */
export function selfBelayCurves(ctx: Context): SelfBelayCurve[] {
  return ctx.setup.attachments
    .filter((a) => isSelfBelay(a, ctx))
    .flatMap((a): SelfBelayCurve[] => {
      const solo = soloOf(a.end.id, ctx);
      if (!solo || solo.slackM === null) return [];
      const { rope, springs, massKg, anchorM, slackM, endWeightKg } = solo;
      const fallM = plus(exactly(slackM), constant('grabTravelM'));
      const groundM = groundReachedBelowM(anchorM, springs, massKg, fallM);
      const [from, to] = [groundM.best, anchorM - threshold('soloNearM')];
      const points = Array.from({ length: to > from ? STEPS + 1 : 0 }, (_, i) => {
        const heightM = from + ((to - from) * i) / STEPS;
        return { heightM, forceKn: forceAt(solo, fallM, anchorM - heightM) };
      });
      return [
        {
          ref: a.end.id,
          label: a.label,
          anchorM,
          groundM,
          feedsM: feedsAboveM(constant('grabDragN'), linearDensityKgPerM(rope), endWeightKg),
          points,
        },
      ];
    });
}
const STEPS = 24;

const forceAt = ({ massKg, springs }: Solo, fallM: Interval, ropeM: number): Interval =>
  interval(
    fallForceKn(springs.soft, massKg, fallM.low / ropeM),
    fallForceKn(springs.best, massKg, fallM.best / ropeM),
    fallForceKn(springs.hard, massKg, fallM.high / ropeM),
  );

/**
 * The worst place for slack is just below the anchor, where little rope stretches. Nobody is there to help: the upper
 * end of the force decides, and no fall is called soft. Common practice; the limits are those of EN 567 and EN 353-2.
 */
function jolt(solo: Solo): Finding {
  const { ref, device, slackM, massKg } = solo;
  if (slackM === null)
    return finding({
      code: 'solo.fall',
      severity: 'untested',
      subject: [ref],
      says: 'Not entered yet: how much slack there can be above you.',
      because: 'A device that did not run along lets you fall into what it left. Close to the anchor that is hard.',
      remedy: 'Say how much slack gathers before you see it and pull it through.',
    });
  const { teeth } = traitsOf(device.family);
  const nearM = threshold('soloNearM');
  const fallM = plus(exactly(slackM), constant('grabTravelM'));
  const forceKn = forceAt(solo, fallM, nearM);
  const mind = constant('teethHurtSheathKn').low;
  const stop = teeth ? constant('teethHurtSheathKn').high : threshold('arrestMostKn');
  const severity: Severity = forceKn.high > stop ? 'stop' : forceKn.high > mind ? 'mind' : 'clear';
  return finding({
    code: 'solo.fall',
    severity,
    subject: [ref],
    says: `Just below the anchor a fall into this slack puts {force~} on you: up to {weights} your weight.`,
    because: `You fall {fall~}: {slack} of slack and what the device runs before it bites. Only {near} of rope stretch there. {limit} are ${
      teeth
        ? severity === 'stop'
          ? 'where teeth tear the sheath'
          : 'where teeth begin to hurt the sheath'
        : severity === 'stop'
          ? 'the most a fall arrester may put on a person'
          : 'where a fall begins to hurt'
    }.`,
    remedy:
      severity === 'clear'
        ? ''
        : `Stop climbing a body length below the anchor and keep the rope tight${teeth ? ', or use a device without teeth' : ''}.`,
    numbers: [
      { key: 'force', label: 'Force on you', quantity: 'strengthKn', value: forceKn },
      {
        key: 'weights',
        label: 'Force over your weight, at most',
        quantity: 'ratio',
        value: exactly(Math.round((forceKn.high * 10_000) / (massKg * STANDARD_GRAVITY_M_PER_S2)) / 10),
      },
      { key: 'fall', label: 'Fall', quantity: 'lengthM', value: fallM },
      { key: 'slack', label: 'Slack', quantity: 'lengthM', value: exactly(slackM) },
      { key: 'near', label: 'Rope above', quantity: 'lengthM', value: exactly(nearM) },
      {
        key: 'limit',
        label: 'Limit',
        quantity: 'strengthKn',
        value: exactly(severity === 'stop' ? stop : mind),
      },
    ],
  });
}

function ground({ ref, springs, massKg, slackM, anchorM }: Solo): Finding {
  const travel = plus(exactly(slackM ?? 0), constant('grabTravelM'));
  const heightM = groundReachedBelowM(anchorM, springs, massKg, travel);
  const sink = overSprings(springs, (rope) => stretchUnder(rope, massKg));
  return finding(
    {
      code: 'solo.ground',
      subject: [ref],
      says: 'Below about {height~} a fall can reach the ground.',
      because:
        'So far you come down until the rope holds: slack, what the device runs, and the stretch. At the lowest point of a fall the rope stretches further than when you hang still. Sitting in at the ground takes up {sink~}.',
      numbers: [
        { key: 'height', label: 'Feet above the ground', quantity: 'lengthM', value: heightM },
        { key: 'sink', label: 'Rope that sitting in takes up', quantity: 'lengthM', value: scale(sink, anchorM) },
      ],
    },
    heightM.best > threshold('soloGroundMindM')
      ? {
          severity: 'mind',
          remedy:
            'Before the first moves sit in and pull through, again and again, until the rope carries you with the feet down. A low-stretch rope stretches less than half as much and is the usual rope for this.',
        }
      : { severity: 'clear', remedy: 'Sit in and pull through before the first moves, until the rope carries you.' },
  );
}

function feed({ ref, line, rope, endWeightKg }: Solo): Finding {
  const drag = constant('grabDragN');
  const fromM = feedsAboveM(drag, linearDensityKgPerM(rope), endWeightKg);
  const wanted = feedingWeightKg(drag);
  const severity: Severity = fromM.best > threshold('soloFeedMindM') ? 'mind' : 'clear';
  return finding({
    code: 'solo.feed',
    severity,
    subject: [ref, line.id],
    says:
      severity === 'clear'
        ? 'The rope runs through the device almost from the ground on.'
        : 'Up to {from~} the rope does not feed itself through the device: slack gathers above you.',
    because: `${endWeightKg > 0 ? '{hung} hang on its end' : 'Nothing hangs on its end'}; until the rope below weighs as much as the device drags, you have to pull it through.`,
    remedy:
      severity === 'clear' ? '' : 'Hang {wanted~} on the end, clear of the ground, or pull through at every move.',
    numbers: [
      { key: 'from', label: 'Feeds itself from', quantity: 'lengthM', value: fromM },
      { key: 'hung', label: 'Weight on the end', quantity: 'massKg', value: exactly(endWeightKg) },
      { key: 'wanted', label: 'Weight that makes it run', quantity: 'massKg', value: wanted },
    ],
  });
}
