import { z } from 'zod';
import { traitsOf, type Connector, type Device } from '../gear/index.ts';

export const WAY_ENDS = { broad: 'broad end', narrow: 'narrow end' } as const;
export const WAY_FROM = { left: 'from the left', right: 'from the right' } as const;
export const WAY_GATES = { free: 'gate away from the brake strand', brake: 'gate towards the brake strand' } as const;

/** One way to clip a connector into a device, seen from the person with the brake strand hanging down. */
export const waySchema = z.strictObject({
  end: z.enum(Object.keys(WAY_ENDS) as [keyof typeof WAY_ENDS, ...(keyof typeof WAY_ENDS)[]]),
  from: z.enum(Object.keys(WAY_FROM) as [keyof typeof WAY_FROM, ...(keyof typeof WAY_FROM)[]]),
  gate: z.enum(Object.keys(WAY_GATES) as [keyof typeof WAY_GATES, ...(keyof typeof WAY_GATES)[]]),
});
export type Way = z.infer<typeof waySchema>;

export const wayKey = ({ end, from, gate }: Way): string => `${end}/${from}/${gate}`;

/**
 * "broad end in the device, from the left, gate away from the brake strand"; only what differs for this pair is said.
 */
export function wayName(way: Way, connector: Connector, device: Device): string {
  const where = seatKind(device) === 'plates' ? 'in the device' : 'at the rope';
  return [
    connector.shape === 'oval' ? `either end ${where}` : `${WAY_ENDS[way.end]} ${where}`,
    ...(seatKind(device) === 'plates' ? [WAY_FROM[way.from]] : []),
    WAY_GATES[way.gate],
  ].join(', ');
}

/** What of the device hangs on the connector. */
export const seatKind = (device: Device) => traitsOf(device.family).seat;

const ENDS = ['broad', 'narrow'] as const;
const SIDES = ['left', 'right'] as const;
const GATES = ['free', 'brake'] as const;

/**
 * Every way that differs: both ends (an oval has one kind), both sides for plates (a bight of rope has none), gate to
 * both sides. Eight at most. Mirroring the device swaps left and right and changes nothing else.
 */
export const waysOf = (connector: Connector, device: Device): readonly Way[] =>
  WAYS[connector.shape === 'oval' ? 'alike' : 'unlike'][seatKind(device) === 'plates' ? 'plates' : 'bight'];

const waysWith = (ends: readonly Way['end'][], sides: readonly Way['from'][]): readonly Way[] =>
  ends.flatMap((end) => sides.flatMap((from) => GATES.map((gate) => ({ end, from, gate }))));
const WAYS = {
  alike: { plates: waysWith(ENDS.slice(0, 1), SIDES), bight: waysWith(ENDS.slice(0, 1), SIDES.slice(0, 1)) },
  unlike: { plates: waysWith(ENDS, SIDES), bight: waysWith(ENDS, SIDES.slice(0, 1)) },
};
