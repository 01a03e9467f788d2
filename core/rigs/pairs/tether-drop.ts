import { finding, literal, type Finding, type Severity } from '../../foundations/finding/index.ts';
import { factorForForce, fallForceKn, traitsOf, type Person, type TwoSprings } from '../../things/gear/index.ts';
import type { Context } from '../elements/index.ts';
import { deviceOf, type Attachment } from '../rig/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, plus, scale, type Interval } from '../../foundations/units/index.ts';
import { gripHeights, underOf } from './cascade.ts';

/**
 * What one falls when the grip that does not catch opens at the worst moment: standing up, before the other one is
 * moved along.
 */
export interface Drop {
  readonly lets: Attachment;
  readonly catches: Attachment;
  readonly dropM: Interval;
  readonly forceKn: Interval;
  /** Rope above, from which on such a fall stays below what does no harm, m. */
  readonly harmlessFromM: number;
  /** The same at the bad end, against what the catching grip is not to take at all, m. */
  readonly heldFromM: number;
  readonly limitKn: number;
  readonly teeth: boolean;
}

interface Standing {
  readonly grip: Attachment;
  readonly above: Attachment | null;
  readonly person: Person;
  readonly strokeMm: Interval;
  readonly standingGapMm: Interval;
}

/**
 * A fall onto the lower of two grips through its slack tether. With the foot loop at the upper grip the tie-in has
 * risen by a stroke while the lower grip stayed; with the foot loop at the lower one, the tether of that one is slack
 * by what stands between tie-in and grip. The force is that of a fall with `soloNearM` of rope above; null while a part
 * is not known, or where there is no second grip on this rope.
 */
export function dropOf({ grip, above, person, strokeMm, standingGapMm }: Standing, ctx: Context): Drop | null {
  const lower = above ? grip : underOf(grip, ctx);
  const upper = above ?? grip;
  const at = lower && gripHeights(lower, ctx);
  const load = lower && ctx.load(lower);
  if (!lower || !at || !load) return null;
  const item = deviceOf(lower)?.item;
  if (deviceOf(lower) && !item) return null;
  const none = (i: Interval) => interval(Math.max(0, i.low), Math.max(0, i.best), Math.max(0, i.high));
  const slackMm = above
    ? none(
        interval(
          at.bottomMm.low - standingGapMm.high,
          at.bottomMm.best - standingGapMm.best,
          at.bottomMm.high - standingGapMm.low,
        ),
      )
    : none(strokeMm);
  const dropM = plus(scale(slackMm, 1 / 1000), constant('grabTravelM'));
  const nearM = threshold('soloNearM');
  const { soft, best, hard } = load.springs;
  const force = (rope: TwoSprings, m: number) => fallForceKn(rope, person.massKg, m / nearM);
  const teeth = item ? traitsOf(item.family).teeth : false;
  const [limitKn, mostKn] = teeth
    ? [constant('teethHurtSheathKn').low, constant('teethHurtSheathKn').high]
    : [threshold('arrestMostKn'), threshold('arrestMostKn')];
  const ropeFor = (rope: TwoSprings, m: number, kn: number) => {
    const factor = factorForForce(rope, person.massKg, kn);
    return factor > 0 ? m / factor : Infinity;
  };
  return {
    lets: upper,
    catches: lower,
    dropM,
    forceKn: interval(force(soft, dropM.low), force(best, dropM.best), force(hard, dropM.high)),
    harmlessFromM: ropeFor(best, dropM.best, limitKn),
    heldFromM: ropeFor(hard, dropM.high, mostKn),
    limitKn,
    teeth,
  };
}

export function dropFinding({
  lets,
  catches,
  dropM,
  forceKn,
  harmlessFromM,
  heldFromM,
  limitKn,
  teeth,
}: Drop): Finding {
  const near = threshold('dropHarmlessWithinM');
  const severity: Severity = Math.max(harmlessFromM, heldFromM) > near ? 'mind' : 'clear';
  const always = !Number.isFinite(harmlessFromM);
  const low = literal(catches.label.toLowerCase());
  return finding({
    code: 'ascend.drop',
    severity,
    subject: [catches.end.id, lets.end.id],
    says:
      severity === 'mind'
        ? `When the ${literal(lets.label.toLowerCase())} opens while you stand up, you drop onto the ${low} with slack in its tether: ${teeth ? 'near the anchor that can tear the rope’s sheath' : 'near the anchor that is a hard shock load'}.`
        : `Dropping onto the ${low} loads it little, except in the last metres below the anchor.`,
    because: `At most {drop~}: with {near} of rope above {force~}${always ? ', and this person is so heavy that any fall is more than {limit}' : '; with more than {harmless} of rope above it stays below {limit}'}.`,
    remedy:
      severity === 'mind'
        ? 'Take shorter strokes in the last metres, and push the lower one along before you stand high. Keep its tether short.'
        : '',
    numbers: [
      { key: 'drop', label: 'Fall', quantity: 'lengthM', value: dropM },
      { key: 'near', label: 'Rope above', quantity: 'lengthM', value: exactly(threshold('soloNearM')) },
      { key: 'force', label: 'Force on you', quantity: 'strengthKn', value: forceKn },
      ...(always
        ? []
        : ([
            {
              key: 'harmless',
              label: 'Harmless with more rope above than',
              quantity: 'lengthM',
              value: exactly(harmlessFromM),
            },
          ] as const)),
      { key: 'limit', label: 'Limit', quantity: 'strengthKn', value: exactly(limitKn) },
    ],
  });
}
