import { finding, literal, type Finding, type Ref, type Severity } from '../finding/index.ts';
import { hauledM, haulThreeN } from '../geometry/index.ts';
import { about, type Context, type Judge } from '../parts/index.ts';
import { deviceOf, linesOf, ropeSlots, type RigPerson } from '../rig/index.ts';
import { constant, threshold } from '../sources/index.ts';
import { exactly, interval, scale, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../units/index.ts';

const casualtyOf = ({ setup }: Context): RigPerson | undefined => setup.persons.find((p) => p.role === 'casualty');

/** How hard the casualty is lifted off their device with a third hand of three parts, and whether the rescuer's hand holds two. */
export const pickOffJudge: Judge = {
  id: 'pick-off',
  subjects: (ctx) => {
    const casualty = ctx.setup.job === 'pick-off' ? casualtyOf(ctx) : undefined;
    return casualty ? [casualty.id] : [];
  },
  claims: () => [about('job', 'haul')],
  judge: (ref, ctx) => {
    const item = casualtyOf(ctx)?.item;
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
            ...linesOf(ctx.index, a.end).flatMap((l) => ropeSlots(l).map((r) => r.id)),
          ]
        : [],
    ),
};

function haul(ref: Ref, massKg: number): Finding {
  const pulleys = haulThreeN(massKg, constant('pulleyEfficiency'));
  const connectors = haulThreeN(massKg, constant('connectorEfficiency'));
  const lift = constant('pickOffLiftM');
  const [arms, weight] = [threshold('haulArmsMostN'), threshold('haulWeightMostN')];
  const severity: Severity = pulleys.best > weight ? 'mind' : 'clear';
  const how =
    severity === 'mind'
      ? 'Even over pulleys that is more than one person lifts with their weight.'
      : connectors.best > weight
        ? 'Over connectors it is more than one person’s weight: pulleys are needed.'
        : pulleys.best > arms
          ? 'It takes your weight in a foot loop: arms alone do not lift that.'
          : 'Over pulleys arms can do it, and one’s weight over connectors.';
  return finding({
    code: 'pick.haul',
    severity,
    subject: [ref],
    says:
      severity === 'mind'
        ? 'With three parts of rope the casualty is too heavy for one.'
        : 'With three parts of rope one person can lift the casualty off.',
    because: `Over pulleys {pulleys~}, over connectors {connectors~}, for {hauled~} of rope. ${how}`,
    remedy:
      severity === 'mind' ? 'Add a sheave: five parts, or a pulley more on the hauling strand; or two who pull.' : '',
    numbers: [
      { key: 'pulleys', label: 'Haul over two pulleys', quantity: 'forceN', value: pulleys },
      { key: 'connectors', label: 'Haul over two connectors', quantity: 'forceN', value: connectors },
      {
        key: 'hauled',
        label: 'Rope to haul',
        quantity: 'lengthM',
        value: interval(hauledM(lift.low), hauledM(lift.best), hauledM(lift.high)),
      },
    ],
  });
}

/** What the anchor of the rescuer’s line carries with both on it; over a fork, and tied at the base of a tree, twice as much. Check: 160 kg 1.57, with a jerk 3.1, over a fork 6.3 kN. */
function onAnchor(ctx: Context, massKg: number): Finding {
  const stillKn = exactly((massKg * STANDARD_GRAVITY_M_PER_S2) / 1000);
  const jerkKn = scale(stillKn, threshold('jerkFactor'));
  return finding({
    code: 'pick.anchor-load',
    severity: 'clear',
    subject: [ctx.setup.lines[0]!.anchor],
    says: 'The anchor of your line carries both of you.',
    because:
      'It is {still}, and {jerk} with a jerk; where the line runs over a fork and is tied at the base of the tree, up to {fork}.',
    remedy: 'See every point of it before two hang there, and go down without a jerk.',
    numbers: [
      { key: 'still', label: 'Both on the anchor', quantity: 'strengthKn', value: stillKn },
      { key: 'jerk', label: 'With a jerk', quantity: 'strengthKn', value: jerkKn },
      { key: 'fork', label: 'Over a fork, with a jerk', quantity: 'strengthKn', value: scale(jerkKn, 2) },
    ],
  });
}

/** One hand with two on the rope: more in reserve than for oneself alone. */
function hands(ctx: Context): Finding[] {
  return ctx.setup.attachments.flatMap((a): Finding[] => {
    const item = deviceOf(a)?.item;
    const casualtys = a.root.kind === 'harness' && a.root.person === casualtyOf(ctx)?.id;
    const figures = a.root.kind === 'harness' && !casualtys && item ? ctx.brake(a) : null;
    if (!figures || !item) return [];
    const margin: Interval = interval(
      figures.handN.low / figures.bottomN.high,
      figures.handN.best / figures.bottomN.best,
      figures.handN.high / figures.bottomN.low,
    );
    const wanted = threshold('twoHandMargin');
    const severity: Severity = margin.best < wanted ? 'stop' : 'clear';
    return [
      finding({
        code: 'pick.hand',
        severity,
        subject: [a.end.id],
        says:
          severity === 'stop'
            ? `With two on ${literal(item.name)} the hand has too little in reserve.`
            : `With two on ${literal(item.name)} the hand has enough in reserve.`,
        because: 'It can do {margin~} times what is needed at the bottom; {wanted} times is asked for with two.',
        remedy:
          severity === 'stop'
            ? 'Add friction before the casualty hangs in it: a connector more, a turn more, another device.'
            : '',
        numbers: [
          { key: 'margin', label: 'Hand over need, two persons', quantity: 'ratio', value: margin },
          { key: 'wanted', label: 'Asked for', quantity: 'ratio', value: exactly(wanted) },
        ],
      }),
    ];
  });
}
