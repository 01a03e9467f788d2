import type { BrakeKind } from '../gear/index.ts';
import { constant, type ConstantId } from '../sources/index.ts';
import { exactly, plus, scale, timesIndependent, type Interval } from '../units/index.ts';
import { frictionShifts } from './conditions.ts';
import { thinness, tubeExponent, type TubeInput } from './tube.ts';

export interface DeviceExponentInput extends Omit<TubeInput, 'grooved'> {
  readonly brake: BrakeKind;
}

type Wrapped = Exclude<BrakeKind, 'tube' | 'grooved-tube'>;

/** Turn of rope in the device, and what the hand adds. A Munter hitch is the other way round: most with both strands parallel. */
const WRAPPED: Readonly<Record<Wrapped, { wrap: ConstantId; hand: ConstantId; mostWith: 'below' | 'beside' }>> = {
  eight: { wrap: 'eightWrapRad', hand: 'eightHandRad', mostWith: 'below' },
  plate: { wrap: 'plateWrapRad', hand: 'plateHandRad', mostWith: 'below' },
  munter: { wrap: 'munterWrapRad', hand: 'munterHandRad', mostWith: 'beside' },
};

/**
 * Exponent ln(T_load / T_brake) of a device that a hand brakes. `lipRad` says where the hand is: 0 beside the loaded strand, pi straight
 * below. Tubes are reckoned by their contacts, the others by their total turn of rope, an estimate with a wide interval.
 */
export function deviceExponent({ brake, ...input }: DeviceExponentInput): Interval {
  if (brake === 'tube' || brake === 'grooved-tube')
    return tubeExponent({ ...input, grooved: brake === 'grooved-tube' });
  const { wrap, hand, mostWith } = WRAPPED[brake];
  const below = input.lipRad / Math.PI;
  const extra = input.extraConnector ? constant('extraConnectorRad') : exactly(0);
  const turnRad = plus(plus(constant(wrap), scale(constant(hand), mostWith === 'below' ? below : 1 - below)), extra);
  return timesIndependent(
    constant('muRopeOnMetal'),
    ...frictionShifts(input.conditions).map((shift) => shift.factor),
    turnRad,
    thinness(input.diameterMm),
  );
}
