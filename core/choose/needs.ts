import type { FindingNumber } from '../finding/index.ts';
import { diameterOf, type Item } from '../gear/index.ts';
import { GEAR_ROLES, type GearRole, type Setup } from '../rig/index.ts';
import { threshold } from '../sources/index.ts';
import { exactly, scale } from '../units/index.ts';

/** A part that the locker lacks, named by what it must be able to do; a template over `numbers`, as in a finding. */
export interface Need {
  readonly role: GearRole;
  readonly says: string;
  readonly numbers: readonly FindingNumber[];
}

const PLAIN: Partial<Record<GearRole, string>> = {
  harness: 'A harness, and what its leg loops are made for.',
  ropeA: 'A rope of at least twice the descent, with its ends knotted.',
  device: 'A device declared for two strands of this rope.',
  extension: 'A sewn sling that holds 22 kN and leaves the device within reach of the arm.',
};

/** What is open in the set-up and not to be had from the locker. */
export function needs(setup: Setup, items: readonly Item[]): Need[] {
  const roles: GearRole[] = [
    'harness',
    'ropeA',
    'device',
    'deviceConnector',
    'extension',
    'hitchCord',
    'hitchConnector',
  ];
  const connectors = items.filter((i) => i.kind === 'connector').length;
  return roles
    .filter((role) => {
      if (setup.gear[role] !== null) return false;
      // Two connectors are needed at once; one in the locker cannot be both.
      if (role === 'hitchConnector') return connectors < (setup.gear.deviceConnector ? 1 : 2);
      return !items.some((i) => i.kind === GEAR_ROLES[role].kind);
    })
    .map((role) => describe(role, setup));
}

function describe(role: GearRole, { gear }: Setup): Need {
  const rope = gear.ropeA ? diameterOf(gear.ropeA).diameterMm : null;
  if (role === 'deviceConnector' && rope) {
    const width = {
      key: 'width',
      label: 'Inside width, at least',
      quantity: 'diameterMm',
      value: exactly(2 * rope.best + threshold('connectorRoomMm')),
    } as const;
    return { role, says: 'A locking connector with a broad end, inside width at least {width}.', numbers: [width] };
  }
  if (role === 'hitchCord' && rope) {
    const thick = {
      key: 'thick',
      label: 'Cord, at most',
      quantity: 'diameterMm',
      value: scale(rope, threshold('hitchRatioHigh')),
    } as const;
    const thin = {
      key: 'thin',
      label: 'Cord, at least',
      quantity: 'diameterMm',
      value: scale(rope, threshold('hitchRatioLow')),
    } as const;
    return {
      role,
      says: 'A cord of {thin} to {thick} that does not melt easily, long enough for four wraps around both strands.',
      numbers: [thin, thick],
    };
  }
  const says =
    PLAIN[role] ??
    (role === 'hitchCord'
      ? 'A cord of about 0.6 to 0.8 of the rope’s diameter that does not melt easily.'
      : 'A locking connector of its own, not the one of the device.');
  return { role, says, numbers: [] };
}
