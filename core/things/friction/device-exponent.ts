import type { BrakeKind } from '../gear/index.ts';
import { constant, type ConstantId } from '../../foundations/sources/index.ts';
import {
  exactly,
  mapRising,
  minus,
  plus,
  scale,
  timesIndependent,
  type Interval,
} from '../../foundations/units/index.ts';
import { overPossible, shiftOf } from './conditions.ts';
import { thinness, tubeExponent, type TubeInput } from './tube.ts';

export interface DeviceExponentInput extends Omit<TubeInput, 'grooved'> {
  /** The brake strand runs through a connector on the harness behind the device. */
  readonly behindConnector?: boolean;
  readonly brake: BrakeKind;
}

type Wrapped = Exclude<BrakeKind, 'tube' | 'grooved-tube' | 'munter'>;

/**
 * Turn of rope in the device with the hand on one side of it, and what the hand adds, or takes away, on the other.
 */
const WRAPPED: Readonly<
  Record<Wrapped, { wrap: ConstantId; hand: ConstantId; changes: 'adds-below' | 'loses-beside' }>
> = {
  eight: { wrap: 'eightWrapRad', hand: 'eightHandRad', changes: 'loses-beside' },
  plate: { wrap: 'plateWrapRad', hand: 'plateHandRad', changes: 'adds-below' },
};

/**
 * Exponent ln(T_load / T_brake) of a device that a hand brakes. `lipRad` says where the hand is: 0 beside the loaded
 * strand, pi straight below. Tubes are reckoned by their contacts, a Munter hitch by its ratio in both positions, the
 * others by their total turn of rope: estimates with a wide interval.
 */
export function deviceExponent(input: DeviceExponentInput): Interval {
  const { brake, conditions: c, diameterMm, extraConnector, lipRad } = input;
  const key = `${brake}/${c.weather}/${c.sheath}/${c.wear}/${diameterMm}/${extraConnector}/${lipRad}/${input.behindConnector ?? false}`;
  const known = exponents.get(key) ?? exponentOf(input);
  if (exponents.size >= MOST_KNOWN) exponents.clear();
  exponents.set(key, known);
  return known;
}

/** A plan asks for the same rope in the same device beside every other rope. */
const exponents = new Map<string, Interval>();
const MOST_KNOWN = 4000;

function exponentOf({ brake, ...input }: DeviceExponentInput): Interval {
  if (brake === 'tube' || brake === 'grooved-tube')
    return plusBehind(tubeExponent({ ...input, grooved: brake === 'grooved-tube' }), input);
  const below = input.lipRad / Math.PI;
  if (brake === 'munter') return plusBehind(munterExponent(below, input), input);
  const { wrap, hand, changes } = WRAPPED[brake];
  const extra = input.extraConnector ? constant('extraConnectorRad') : exactly(0);
  const byHand = scale(constant(hand), changes === 'adds-below' ? below : 1 - below);
  const turn = changes === 'loses-beside' ? minus(constant(wrap), byHand) : plus(constant(wrap), byHand);
  const turnRad = plus(turn, extra);
  return plusBehind(
    overPossible(input.conditions, (conditions) =>
      timesIndependent(constant('muRopeOnMetal'), shiftOf(conditions), turnRad, thinness(input.diameterMm)),
    ),
    input,
  );
}

/** What a connector behind the device adds: mu times its turn. */
function plusBehind(exponent: Interval, { behindConnector, conditions }: Omit<DeviceExponentInput, 'brake'>): Interval {
  if (!behindConnector) return exponent;
  const more = overPossible(conditions, (known) =>
    timesIndependent(constant('muRopeOnMetal'), shiftOf(known), constant('behindConnectorRad')),
  );
  return plus(exponent, more);
}

/**
 * A Munter hitch brakes most with both strands parallel, and not much less with them opposite; the ratios are those of
 * 10 mm and a dry, used rope.
 */
function munterExponent(opposed: number, { conditions, diameterMm }: Omit<DeviceExponentInput, 'brake'>): Interval {
  const [parallel, opposite] = [
    mapRising(constant('munterParallelRatio'), Math.log),
    mapRising(constant('munterOpposedRatio'), Math.log),
  ];
  const ratio = plus(scale(parallel, 1 - opposed), scale(opposite, opposed));
  return overPossible(conditions, (known) => timesIndependent(ratio, shiftOf(known), thinness(diameterMm)));
}
