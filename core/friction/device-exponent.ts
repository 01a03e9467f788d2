import type { BrakeKind } from '../gear/index.ts';
import { constant, type ConstantId } from '../sources/index.ts';
import { exactly, minus, plus, scale, timesIndependent, type Interval } from '../units/index.ts';
import { frictionShifts, overPossible } from './conditions.ts';
import { thinness, tubeExponent, type TubeInput } from './tube.ts';

export interface DeviceExponentInput extends Omit<TubeInput, 'grooved'> {
  readonly brake: BrakeKind;
}

type Wrapped = Exclude<BrakeKind, 'tube' | 'grooved-tube'>;

/**
 * Turn of rope in the device with the hand on one side of it, and what the hand adds, or takes away, on the other. A Munter hitch is the
 * other way round: most with both strands parallel.
 */
const WRAPPED: Readonly<
  Record<Wrapped, { wrap: ConstantId; hand: ConstantId; changes: 'adds-below' | 'adds-beside' | 'loses-beside' }>
> = {
  eight: { wrap: 'eightWrapRad', hand: 'eightHandRad', changes: 'loses-beside' },
  plate: { wrap: 'plateWrapRad', hand: 'plateHandRad', changes: 'adds-below' },
  munter: { wrap: 'munterWrapRad', hand: 'munterHandRad', changes: 'adds-beside' },
};

/**
 * Exponent ln(T_load / T_brake) of a device that a hand brakes. `lipRad` says where the hand is: 0 beside the loaded strand, pi straight
 * below. Tubes are reckoned by their contacts, the others by their total turn of rope, an estimate with a wide interval.
 */
export function deviceExponent(input: DeviceExponentInput): Interval {
  const { brake, conditions: c, diameterMm, extraConnector, lipRad } = input;
  const key = `${brake}/${c.weather}/${c.sheath}/${c.wear}/${diameterMm}/${extraConnector}/${lipRad}`;
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
    return tubeExponent({ ...input, grooved: brake === 'grooved-tube' });
  const { wrap, hand, changes } = WRAPPED[brake];
  const below = input.lipRad / Math.PI;
  const extra = input.extraConnector ? constant('extraConnectorRad') : exactly(0);
  const byHand = scale(constant(hand), changes === 'adds-below' ? below : 1 - below);
  const turn = changes === 'loses-beside' ? minus(constant(wrap), byHand) : plus(constant(wrap), byHand);
  const turnRad = plus(turn, extra);
  return overPossible(input.conditions, (conditions) =>
    timesIndependent(
      constant('muRopeOnMetal'),
      ...frictionShifts(conditions).map((shift) => shift.factor),
      turnRad,
      thinness(input.diameterMm),
    ),
  );
}
