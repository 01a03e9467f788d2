import {
  finding,
  literal,
  tooLittle,
  tooMuch,
  type Finding,
  type ElementId,
  type Severity,
  type Case,
} from '../../foundations/finding/index.ts';
import { hauledM, haulThreeDownN, haulThreeN } from '../../things/geometry/index.ts';
import { claimOf, type Context, type Judge } from '../elements/index.ts';
import { deviceOf, ropeIdsOf, casualtyOf } from '../rig/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, scale, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../../foundations/units/index.ts';

/**
 * How hard the casualty is lifted off their device with a mini haul of three parts, and whether the rescuer's hand
 * holds two.
 */
export const pickOffJudge: Judge = {
  id: 'pick-off',
  subjects: (ctx) => {
    const casualty = casualtyOf(ctx.setup);
    return casualty ? [casualty.id] : [];
  },
  claims: () => [claimOf('job', 'haul')],
  judge: (ref, ctx) => {
    const item = casualtyOf(ctx.setup)?.item;
    const rescuer = ctx.setup.persons.find((p) => p.role === 'rescuer')?.item;
    return [
      ...(item ? [haul(ref, item.massKg)] : []),
      ...(item && rescuer ? [onAnchor(ctx, item.massKg + rescuer.massKg)] : []),
      ...hands(ctx),
    ];
  },
  // What the hand must hold follows from rope, device and a connector beside it.
  reads: (_, ctx) =>
    ctx.setup.attachments.flatMap((a) =>
      deviceOf(a)
        ? [
            a.end.id,
            ...a.pieces.flatMap((p) => (p.kind === 'connector' && p.beside !== null ? [p.id] : [])),
            ...ropeIdsOf(ctx.index, a.end),
          ]
        : [],
    ),
};

/**
 * A 3:1 pulls upwards; turned down over one pulley more it takes one's weight, and that pulley costs its share again.
 */
function haul(ref: ElementId, massKg: number): Finding {
  const [eta, worse] = [constant('pulleyEfficiency'), constant('connectorEfficiency')];
  const up = haulThreeN(massKg, eta);
  const down = haulThreeDownN(massKg, eta);
  const connectors = haulThreeDownN(massKg, worse);
  const lift = constant('pickOffLiftM');
  const [arms, weight] = [threshold('haulArmsMostN'), threshold('haulWeightMostN')];
  const byArms = tooMuch(up, { stop: arms });
  const byWeight = tooMuch(down, { stop: weight });
  // Either way is enough; nobody has to try both.
  const better = byArms === 'clear' || byWeight === 'clear' ? 'clear' : milder(byArms, byWeight);
  return finding(
    {
      code: 'pick.haul',
      subject: [ref],
      because: `By arm, upwards, you pull {up~}, and {arms} is about the most. With your weight, over one pulley more, {down~} of at most {weight}; over connectors instead of pulleys {connectors~}. For the lift you haul {hauled~} of rope.`,
      numbers: [
        { key: 'up', label: 'Haul upwards, over pulleys', quantity: 'forceN', value: up },
        { key: 'arms', label: 'By arm, at most', quantity: 'forceN', value: exactly(arms) },
        { key: 'down', label: 'Haul downwards, over one pulley more', quantity: 'forceN', value: down },
        { key: 'weight', label: 'With your weight, at most', quantity: 'forceN', value: exactly(weight) },
        { key: 'connectors', label: 'Downwards, over connectors', quantity: 'forceN', value: connectors },
        {
          key: 'hauled',
          label: 'Rope to haul',
          quantity: 'lengthM',
          value: interval(hauledM(lift.low), hauledM(lift.best), hauledM(lift.high)),
        },
      ],
    },
    HAUL[better],
  );
}
const HAUL_EASIER = 'Use a 5:1, put a second 2:1 on the hauling strand (6:1), or have two people haul.';
const HAUL: Readonly<Record<Severity, Case>> = {
  stop: {
    severity: 'mind',
    says: 'A 3:1 is too hard for one person, on this estimate.',
    remedy: HAUL_EASIER,
  },
  mind: {
    severity: 'mind',
    says: 'A 3:1 is too hard for one person, on this estimate.',
    remedy: HAUL_EASIER,
  },
  untested: {
    severity: 'untested',
    says: 'A 3:1 may be too hard for one person: try it.',
    remedy: HAUL_EASIER,
  },
  clear: { severity: 'clear', says: 'A 3:1 should be enough for one person, on this estimate.' },
};
const BETTER: readonly Severity[] = ['clear', 'untested', 'mind', 'stop'];
/** The milder of two. */
const milder = (a: Severity, b: Severity): Severity => (BETTER.indexOf(a) < BETTER.indexOf(b) ? a : b);

/**
 * What the anchor of the rescuer’s line carries with both on it; over a fork, and tied at the base of a tree, twice as
 * much. Check: 160 kg 1.57, with a jerk 3.1, over a fork 6.3 kN.
 */
function onAnchor(ctx: Context, massKg: number): Finding {
  const stillKn = exactly((massKg * STANDARD_GRAVITY_M_PER_S2) / 1000);
  const jerkKn = scale(stillKn, threshold('jerkFactor'));
  return finding({
    code: 'pick.anchor-load',
    severity: 'clear',
    subject: [ctx.setup.lines[0]!.anchor],
    says: 'The anchor of your line carries both of you.',
    because:
      'It is {still}, and {jerk} as a shock load; where the line runs over a fork and is tied at the base of the tree, up to {fork}.',
    remedy: 'See every point of it before two hang there, and go down smoothly.',
    numbers: [
      { key: 'still', label: 'Both on the anchor', quantity: 'strengthKn', value: stillKn },
      { key: 'jerk', label: 'Shock load', quantity: 'strengthKn', value: jerkKn },
      { key: 'fork', label: 'Over a fork, as a shock load', quantity: 'strengthKn', value: scale(jerkKn, 2) },
    ],
  });
}

/** One hand with two on the rope: more in reserve than for oneself alone. */
function hands(ctx: Context): Finding[] {
  return ctx.setup.attachments.flatMap((a): Finding[] => {
    const item = deviceOf(a)?.item;
    const casualtys = a.root.kind === 'harness' && a.root.person === casualtyOf(ctx.setup)?.id;
    const figures = a.root.kind === 'harness' && !casualtys && item ? ctx.brake(a) : null;
    if (!figures || !item) return [];
    const margin: Interval = interval(
      figures.handN.low / figures.bottomN.high,
      figures.handN.best / figures.bottomN.best,
      figures.handN.high / figures.bottomN.low,
    );
    const wanted = threshold('twoHandMargin');
    const severity = tooLittle(margin, { stop: wanted });
    return [
      finding(
        {
          code: 'pick.hand',
          severity,
          subject: [a.end.id],
          because: 'It can do {margin~} what is needed at the bottom; {wanted} is asked for with two.',
          numbers: [
            { key: 'margin', label: 'Hand over need, two persons', quantity: 'ratio', value: margin },
            { key: 'wanted', label: 'Asked for', quantity: 'ratio', value: exactly(wanted) },
          ],
        },
        withTwo(literal(item.name), severity),
      ),
    ];
  });
}

function withTwo(device: string, severity: Severity): Case<'says' | 'remedy'> {
  const more = 'Add friction before the casualty hangs in it: a connector more, a turn more, another device.';
  switch (severity) {
    case 'stop':
      return { says: `With two on ${device} the hand has too little in reserve.`, remedy: more };
    case 'mind':
      return { says: `With two on ${device} the hand may have too little in reserve.`, remedy: more };
    case 'untested':
      return {
        says: `With two on ${device} the hand may have too little in reserve.`,
        remedy:
          'Measure the hand force, or test it low with two and a backup. Else add friction: a connector more, a turn more, another device.',
      };
    case 'clear':
      return { says: `With two on ${device} the hand has enough in reserve.` };
  }
}
