import { withSubjects as named, finding, type Finding, type ElementId } from '../../foundations/finding/index.ts';
import type { Device, Rope, UseCase } from '../../things/gear/index.ts';
import { ropeInDevice } from '../../things/fit/index.ts';
import { brakeHand } from '../../things/friction/index.ts';
import {
  deviceOf,
  linesOf,
  mainConnector,
  ropeIdsOf,
  ropeSlots,
  type Attachment,
  type DeviceEnd,
  type RigLine,
} from '../rig/index.ts';
import { brakes, type Context } from './context.ts';
import { sameWearer } from './grips.ts';
import { claimOfPair, type Claim, type Judge } from './judge.ts';

export const devices = ({ setup }: Context): ElementId[] =>
  setup.attachments.filter((a) => a.end.kind === 'device').map((a) => a.id);
const handOf = (a: Attachment, ctx: Context): ElementId | undefined => {
  const hand = deviceOf(a)?.hand;
  return hand ? ctx.index.person(hand)?.handId : undefined;
};
/** Names of what the rules call device, rope and brake hand. */
export const namesAt = (a: Attachment, ctx: Context): Readonly<Record<string, ElementId>> => {
  const [first] = linesOf(ctx.index, a.end);
  return {
    device: a.end.id,
    ...(first ? { rope: first.id } : {}),
    ...(mainConnector(a) ? { deviceConnector: mainConnector(a)!.id } : {}),
    ...(handOf(a, ctx) ? { brakeHand: handOf(a, ctx)! } : {}),
  };
};

/** Does each rope fit the device for this use. */
export const fitJudge: Judge = {
  id: 'fit',
  subjects: devices,
  claims: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return linesOf(ctx.index, a.end).map((l) => claimOfPair(a.end.id, l.id));
  },
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const item = deviceOf(a)?.item;
    if (!item) return [];
    const found = linesOf(ctx.index, a.end).flatMap((line) =>
      chosenRopes(line).flatMap(({ id, item: rope }) =>
        rope ? named(fitOf(rope, item, ctx.use(a), id), namesAt(a, ctx)) : [],
      ),
    );
    // That nobody hangs on it is said of what stands where somebody does.
    // How a bollard is tuned here is judged by what is said of it.
    return unlike(
      found.filter((f) => f.code !== 'fit.multi-needs-tuning' && (a.use !== 'aid' || f.code !== 'fit.aid-only')),
    );
  },
  reads: (ref, ctx) => partsOf(ctx.attachment(ref), ctx),
};

const fitsKnown = new WeakMap<Rope, WeakMap<Device, Map<string, readonly Finding[]>>>();

/** A rope in a device, remembered: a plan puts each rope beside every other one, and asks the same again. */
function fitOf(rope: Rope, device: Device, use: UseCase, part: ElementId): readonly Finding[] {
  const ofRope = fitsKnown.get(rope) ?? new WeakMap<Device, Map<string, readonly Finding[]>>();
  fitsKnown.set(rope, ofRope);
  const known = ofRope.get(device) ?? new Map<string, readonly Finding[]>();
  ofRope.set(device, known);
  const key = `${part}/${Object.values(use).join('/')}`;
  const found = known.get(key) ?? ropeInDevice({ load: use, rope, part, device });
  known.set(key, found);
  return found;
}

/** The ropes of a line up to the first that is not chosen. */
const chosenRopes = (line: RigLine) => {
  const slots = ropeSlots(line);
  const open = slots.findIndex((r) => r.item === null);
  return open < 0 ? slots : slots.slice(0, open);
};

/** What two ropes say alike about one device is said once. */
function unlike(findings: readonly Finding[]): Finding[] {
  const seen = new Set<string>();
  return findings.filter((f) => {
    const key = `${f.code}/${f.subject.join()}/${f.severity}`;
    return !seen.has(key) && seen.add(key);
  });
}

/** The device and the ropes in it. */
const partsOf = (a: Attachment, { index }: Context): ElementId[] => [a.end.id, ...ropeIdsOf(index, a.end)];

/** Both strands of a doubled rope run through the device. */
export const strandsJudge: Judge = {
  id: 'strands',
  subjects: (ctx) => devices(ctx).filter((ref) => doubledIn(ctx.attachment(ref), ctx).length > 0),
  claims: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return doubledIn(a, ctx).map((l) => claimOfPair(a.end.id, l.id, 'strands'));
  },
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const strands = deviceOf(a)!.strands;
    if (strands === 'both') return [];
    const one = strands === 'one';
    return [
      finding(
        {
          code: 'rig.strands-in-device',
          subject: [a.end.id, doubledIn(a, ctx)[0]!.id],
          because: 'With one strand the rope pulls through the anchor and you fall.',
          remedy: 'Thread both strands, each in its own slot, and clip both.',
        },
        one
          ? { severity: 'stop', says: 'Only one strand runs through the device.' }
          : { severity: 'untested', says: 'Not entered yet: whether both strands run through the device.' },
      ),
    ];
  },
  reads: () => [],
};
const doubledIn = (a: Attachment, { index }: Context): RigLine[] =>
  linesOf(index, a.end).filter((l) => l.kind === 'doubled');

/** How hard the hand must brake, from where load and hand pull in this rig. */
export const brakeJudge: Judge = {
  id: 'brake',
  subjects: devices,
  claims: (ref, ctx): Claim[] => {
    const a = ctx.attachment(ref);
    const hand = handOf(a, ctx);
    return hand ? [claimOfPair(hand, a.end.id, 'brake')] : [];
  },
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    // What is not threaded as it should be brakes otherwise than reckoned: that is the finding, and no force beside it.
    const input = misThreaded(deviceOf(a)!) ? null : ctx.brakeInput(a);
    return [
      ...(input
        ? named(
            [
              ...brakeHand({ ...input, backupStands: false, backedUp: hitchBeside(a, ctx) }),
              ...onTheGrooves(input, deviceOf(a)!),
            ],
            {
              ...namesAt(a, ctx),
              ropeA: firstRope(a, ctx),
            },
          )
        : []),
      ...ledUnknown(a, ctx),
    ];
  },
  reads: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return partsOf(a, ctx);
  },
};
const misThreaded = ({ threaded, strands, on }: DeviceEnd): boolean =>
  threaded === 'backwards' ||
  threaded === 'connector-only' ||
  (strands === 'one' && on.some((o) => o.strand === 'both'));

/** A hitch of the same person sits on the line of the device, as a backup. */
const hitchBeside = (a: Attachment, { index }: Context): boolean =>
  linesOf(index, a.end).some((l) =>
    index.along(l.id).some((other) => other.end.kind === 'hitch' && other.use === 'backup' && sameWearer(a, other)),
  );

/** Where the side is not said, the grooves could be what lets the rope brake by itself. */
function onTheGrooves(input: NonNullable<ReturnType<Context['brakeInput']>>, end: DeviceEnd): Finding[] {
  if (end.brakeSide !== 'unknown') return [];
  const held = (smoothSide: boolean) =>
    brakeHand({ ...input, smoothSide, backupStands: false }).filter((f) => f.code === 'friction.rope-holds-back');
  return held(true).length > 0 ? [] : held(false);
}
const firstRope = (a: Attachment, { index }: Context): ElementId => ropeSlots(linesOf(index, a.end)[0]!)[0]!.id;

/** A device at the anchor: how the brake strand is led decides what it holds. */
function ledUnknown(a: Attachment, ctx: Context): Finding[] {
  const end = deviceOf(a);
  if (a.root.kind !== 'anchor' || !end?.item || !brakes(a, ctx.use(a))) return [];
  const { brakeLed, brakeAngleDeg } = end;
  // Straight down is no bend, led up and over is the most there is: an angle on the other side of a right angle is a
  // mistake of one of them.
  const contradicts =
    brakeAngleDeg !== null &&
    ((brakeLed === 'below' && brakeAngleDeg > 90) || (brakeLed === 'redirected' && brakeAngleDeg < 90));
  if (!contradicts && (brakeLed !== 'unknown' || brakeAngleDeg !== null)) return [];
  return [
    finding({
      code: 'friction.brake-led-unknown',
      severity: 'untested',
      subject: [handOf(a, ctx) ?? end.id, end.id],
      says: contradicts
        ? 'The angle of the brake strand does not fit how it is said to be led.'
        : 'Not entered yet: how the brake strand is led at the anchor.',
      because:
        'Straight down it runs beside the load: a grooved tube then holds about a third, a smooth tube half, a figure-8 two thirds of what they hold on a harness.',
      remedy: 'Say it. For all but a Munter hitch: lead the brake strand up through a connector above the device.',
    }),
  ];
}
