import { belayerLiftM } from '../catch/index.ts';
import { finding, literal, type Finding, type ElementId } from '../../foundations/finding/index.ts';
import { claimOf, type Context, type Judge } from '../elements/index.ts';
import { belaysFromHarness, hangingBy, linesOf, type Attachment, type RigPerson } from '../rig/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, type Interval } from '../../foundations/units/index.ts';

/** The fall that the lift is told for, m: from two metres above the last runner, with some slack. */
const TOLD_FALL_M = 4.5;

const belays = (ctx: Context): ElementId[] =>
  ctx.setup.attachments.filter((a) => belaysFromHarness(ctx.index, a)).map((a) => a.id);
const belayerOf = (a: Attachment, { index }: Context): RigPerson | undefined =>
  a.root.kind === 'harness' ? index.person(a.root.person) : undefined;

/** A belayer who is tied to an anchor is not lifted; clipped to another part of the rig one is. */
const anchored = (person: ElementId, { setup, index }: Context): boolean =>
  index.person(person)?.stands === 'anchored' ||
  setup.attachments.some(
    ({ root, end }) =>
      root.kind === 'harness' && root.person === person && end.kind === 'clip' && index.anchor(end.to) !== undefined,
  );

/** Masses of who climbs and who belays from the harness: who lifts whom, and how hard the catch is. */
export const massesJudge: Judge = {
  id: 'masses',
  subjects: belays,
  claims: (ref, ctx) => [
    claimOf(ref, 'masses'),
    ...(ctx.use(ctx.attachment(ref)).fall ? [claimOf('job', 'lift')] : []),
  ],
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const belayer = belayerOf(a, ctx);
    const climber = hangingBy(ctx.index, a)
      .flatMap((p) => p.item ?? [])
      .sort((x, y) => y.massKg - x.massKg)[0];
    if (!belayer?.item || !climber) return [];
    const over = linesOf(ctx.index, a.end)[0]?.kind === 'over';
    return [
      masses({
        belayer,
        climber: { name: climber.name, massKg: climber.massKg },
        belayerKg: belayer.item.massKg,
        ratio: constant(over ? 'runnerRatio' : 'runnersRatio'),
        falls: ctx.use(a).fall,
        held: anchored(belayer.id, ctx),
      }),
    ];
  },
  reads: () => [],
};

interface Masses {
  readonly belayer: RigPerson;
  readonly climber: { readonly name: string; readonly massKg: number };
  readonly belayerKg: number;
  readonly ratio: Interval;
  /** A leader falls; on a top rope somebody only hangs. */
  readonly falls: boolean;
  readonly held: boolean;
}

const HEAVY_ENOUGH = 'The belayer’s weight is enough to hold the climber. This says nothing about the brake hand.';

function masses({ belayer, climber, belayerKg, ratio, falls, held }: Masses): Finding {
  const over = climber.massKg / belayerKg;
  const left = ratio.best / over;
  const liftM = ([ratio.high, ratio.best, ratio.low] as const).map((r) =>
    belayerLiftM(TOLD_FALL_M, climber.massKg, belayerKg, r),
  );
  const bounded = liftM.every(Number.isFinite);
  const lighter = !held && left < threshold('liftRatioStop');
  const moved = over > threshold('massRatioMind');
  const hard = falls && over < threshold('hardCatchRatio');
  const name = literal(belayer.item!.name);
  return finding(
    {
      code: 'belay.masses',
      subject: [belayer.id],
      because: `The climber is {ratio} the belayer’s weight; with rope friction at the ${falls ? 'pieces' : 'anchor'} the belayer’s effective weight is {left} the climber’s${falls && bounded && !held ? '. A fall of {fall} lifts the belayer by {lift~}, where nothing else holds' : ''}.`,
      numbers: [
        { key: 'ratio', label: 'Climber over belayer', quantity: 'ratio', value: exactly(over) },
        {
          key: 'left',
          label: 'Belayer’s mass with friction, over the climber’s',
          quantity: 'ratio',
          value: interval(ratio.low / over, left, ratio.high / over),
        },
        ...(falls && bounded && !held
          ? ([
              { key: 'fall', label: 'Fall told of', quantity: 'lengthM', value: exactly(TOLD_FALL_M) },
              {
                key: 'lift',
                label: 'Belayer is lifted',
                quantity: 'lengthM',
                value: interval(liftM[0]!, liftM[1]!, liftM[2]!),
              },
            ] as const)
          : []),
      ],
    },
    lighter
      ? {
          severity: 'stop',
          says: `${name} is much lighter than ${literal(climber.name)} and could be pulled far off the ground.`,
          remedy:
            'Anchor the belayer low and in line, add friction on the rope near the ground, or let a heavier person belay.',
        }
      : hard
        ? {
            severity: 'mind',
            says: `${name} is much heavier than ${literal(climber.name)}: a fall is caught hard.`,
            remedy: 'Step up with the catch, and let a little rope run where nothing is hit on the way.',
          }
        : moved
          ? {
              severity: 'mind',
              says: `${name} is lighter than ${literal(climber.name)} and will be moved by the catch.`,
              remedy: 'Stand close to the wall with nothing to be thrown against, or be anchored low and in line.',
            }
          : { severity: 'clear', says: HEAVY_ENOUGH },
  );
}
