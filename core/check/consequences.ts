import type { Finding } from '../finding/index.ts';
import { hanging, holdsFromRig, singlePoints } from '../hold/index.ts';
import type { Context } from '../parts/index.ts';
import { traitsOf } from '../gear/index.ts';
import { deviceOf, type Setup } from '../rig/index.ts';
import {
  BREACHES,
  criticalOf,
  explore,
  newSequence,
  PROCEDURES,
  stepsOf,
  withOption,
  type Critical,
  type Sequence,
} from '../sequence/index.ts';
import type { CheckItem } from './check-item.ts';
import { ITEM_KINDS, kindOf } from './item.ts';

/** Two clamps on a harness with a cam that a hand opens: what the orders up and down on clamps are about. */
function onTwoClamps(attachments: Setup['attachments']): boolean {
  const clamps = attachments.filter((a) => {
    const item = a.use !== 'aid' && a.root.kind === 'harness' ? deviceOf(a)?.item : null;
    if (!item) return false;
    const { made, defeats, persons } = traitsOf(item.family);
    return made.includes('ascend') && defeats.includes('cam-pressed') && persons === 'one';
  });
  return clamps.length === 2;
}

const tunedAt = (a: Setup['attachments'][number]): boolean => {
  const item = deviceOf(a)?.item;
  return item ? traitsOf(item.family).tuned : false;
};

/** The orders of steps of this set-up: the one that makes it, and those that follow on the same rig. */
export function ordersOf(setup: Pick<Setup, 'template' | 'lines' | 'attachments'>): readonly Sequence[] {
  const first = sequenceOf(setup);
  const then =
    first?.procedure === 'up-on-clamps'
      ? 'down-on-clamps'
      : first?.procedure === 'alone-top-rope'
        ? 'alone-again'
        : null;
  return first ? [first, ...(then ? [newSequence(then, 'x', '')] : [])] : [];
}

/** The order of steps that makes this set-up, with the options that it has; null where none is shipped for its job yet. */
export function sequenceOf({
  template,
  lines,
  attachments,
}: Pick<Setup, 'template' | 'lines' | 'attachments'>): Sequence | null {
  const [line] = lines;
  if (template === 'rappel-double' && line?.kind === 'doubled')
    return withOption(newSequence('doubled-rappel', 'x', ''), 'rope', line.use);
  if ((template === 'rappel-single' || template === 'rappel-fixed') && line?.kind === 'fixed')
    return withOption(
      newSequence('single-rappel', 'x', ''),
      'held',
      line.fastening.how === 'blocked' ? 'blocked' : 'tied',
    );
  if (template === 'lower') return newSequence('lower-anchor', 'x', '');
  // A plate that grips by itself; with another device at the anchor other steps are needed.
  const plate = attachments.some((a) => {
    const item = a.root.kind === 'anchor' ? deviceOf(a)?.item : null;
    return item ? traitsOf(item.family).guideMode : false;
  });
  if (template === 'belay-second' && plate) return newSequence('second-up', 'x', '');
  if (template === 'belay-seconds' && plate) return newSequence('two-seconds', 'x', '');
  if (template === 'ascend' && onTwoClamps(attachments)) return newSequence('up-on-clamps', 'x', '');
  if (template === 'tree-rappel') return newSequence('tree-descent', 'x', '');
  if (template === 'pick-off') return newSequence('pick-off', 'x', '');
  // A bollard on a stationary line; what is a hitch with a reliever is tended otherwise.
  if (template === 'tree-stationary' && attachments.some((a) => tunedAt(a))) return newSequence('tree-walk', 'x', '');
  if (template === 'self-belay-top-rope') return newSequence('alone-top-rope', 'x', '');
  if (template === 'belay-leader') return newSequence('leader-ground', 'x', '');
  // Whoever climbs on a top rope is lowered on it.
  if (template === 'lower-ground' || template === 'belay-top-rope') return newSequence('lower-ground', 'x', '');
  return null;
}

const known = new Map<string, readonly { readonly critical: Critical; readonly stepId: string }[]>();

/** Critical departures from the shipped order; worked out once for each procedure and its options. */
export function criticalSteps(sequence: Sequence): readonly { readonly critical: Critical; readonly stepId: string }[] {
  const key = `${sequence.procedure} ${JSON.stringify(sequence.options)}`;
  const there = known.get(key);
  if (there) return there;
  const steps = stepsOf(sequence);
  const procedure = PROCEDURES[sequence.procedure];
  const found = criticalOf(procedure, steps, explore(procedure, steps)).map((critical) => ({
    critical,
    stepId: steps[critical.at]?.id ?? '',
  }));
  known.set(key, found);
  return found;
}

/**
 * Adds to the reason of each item what follows when it is passed over: from the procedure, what the departure ends in; from what holds,
 * that nothing else does.
 */
export function withConsequences(items: readonly CheckItem[], ctx: Context, findings: readonly Finding[]): CheckItem[] {
  const sequence = sequenceOf(ctx.setup);
  const critical = sequence ? criticalSteps(sequence) : [];
  const complete = !findings.some((f) => f.code === 'rig.part-missing');
  const alone = new Set(
    complete
      ? hanging(ctx).flatMap((person) => {
          const model = holdsFromRig(ctx, person, findings);
          const byId = new Map(model.faults.map((f) => [f.id, f.part]));
          return model.holds.length > 0 ? singlePoints(model).map((id) => byId.get(id)) : [];
        })
      : [],
  );
  return items.map((item) => {
    if (item.kind === 'open-finding') return item;
    const kind = kindOf(item);
    const looksAt: readonly string[] = kind ? ITEM_KINDS[kind] : [];
    const follows = critical.find(({ stepId }) => looksAt.includes(stepId));
    const more = [
      ...(follows ? [`If this is wrong: ${BREACHES[follows.critical.breach.kind].toLowerCase()}.`] : []),
      ...(alone.has(item.part) && item.kind === 'look' ? ['Nothing else holds when it lets go.'] : []),
    ];
    return more.length > 0 ? { ...item, why: [item.why, ...more].join(' ') } : item;
  });
}
