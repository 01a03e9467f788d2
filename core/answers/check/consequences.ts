import type { Finding } from '../../foundations/finding/index.ts';
import { hanging, holdsFromRig, singlePoints } from '../redundancy/index.ts';
import type { Context } from '../../rigs/elements/index.ts';
import { traitsOf } from '../../things/gear/index.ts';
import { deviceOf, type Setup, type TemplateId } from '../../rigs/rig/index.ts';
import {
  BREACHES,
  criticalOf,
  explore,
  newSequence,
  PROCEDURES,
  stepsOf,
  withOption,
  type Critical,
  type ProcedureId,
  type Sequence,
} from '../procedures/index.ts';
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
export function ordersOf(setup: Rigged): readonly Sequence[] {
  const first = sequenceOf(setup);
  const then =
    first?.procedure === 'up-on-clamps'
      ? 'down-on-clamps'
      : first?.procedure === 'alone-top-rope'
        ? 'alone-again'
        : null;
  return first ? [first, ...(then ? [newSequence(then, 'x', '')] : [])] : [];
}

type Rigged = Pick<Setup, 'template' | 'lines' | 'attachments'>;
/** A plate that grips by itself; with another device at the anchor other steps are needed. */
const hasPlate = ({ attachments }: Rigged): boolean =>
  attachments.some((a) => {
    const item = a.root.kind === 'anchor' ? deviceOf(a)?.item : null;
    return item ? traitsOf(item.family).guideMode : false;
  });
const order = (procedure: ProcedureId) => newSequence(procedure, 'x', '');
const onFixedLine = ({ lines: [line] }: Rigged) =>
  line?.kind === 'fixed'
    ? withOption(order('single-rappel'), 'held', line.fastening.how === 'blocked' ? 'blocked' : 'tied')
    : null;

/** Which order of steps makes a rig of each template; where none is shipped, why. */
const ORDERS: Readonly<Record<TemplateId, ((setup: Rigged) => Sequence | null) | { readonly none: string }>> = {
  'rappel-double': ({ lines: [line] }) =>
    line?.kind === 'doubled' ? withOption(order('doubled-rappel'), 'rope', line.use) : null,
  'rappel-single': onFixedLine,
  'rappel-fixed': onFixedLine,
  lower: () => order('lower-anchor'),
  'lower-ground': () => order('lower-ground'),
  // Whoever climbs on a top rope is lowered on it.
  'belay-top-rope': () => order('lower-ground'),
  'belay-leader': () => order('leader-ground'),
  'belay-second': (setup) => (hasPlate(setup) ? order('second-up') : null),
  'belay-seconds': (setup) => (hasPlate(setup) ? order('two-seconds') : null),
  ascend: ({ attachments }) => (onTwoClamps(attachments) ? order('up-on-clamps') : null),
  'self-belay-top-rope': () => order('alone-top-rope'),
  // A bollard on a stationary line; what is a hitch with a reliever is tended otherwise.
  'tree-stationary': ({ attachments }) => (attachments.some((a) => tunedAt(a)) ? order('tree-walk') : null),
  'tree-moving': { none: 'no order of its steps has been written down yet' },
  'tree-rappel': () => order('tree-descent'),
  'pick-off': () => order('pick-off'),
};

/** The order of steps that makes this set-up, with the options that it has; null where none is shipped for it yet. */
export function sequenceOf(setup: Rigged): Sequence | null {
  const made = ORDERS[setup.template];
  return typeof made === 'function' ? made(setup) : null;
}

const known = new Map<string, readonly { readonly critical: Critical; readonly stepId: string }[]>();

/** Critical deviations from the shipped order; worked out once for each procedure and its options. */
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
 * Adds to the reason of each item what follows when it is passed over: from the procedure, what the deviation ends in;
 * from what holds, that nothing else does.
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
