import type { ItemKind } from '@core/things/gear';

export type LockerKind = ItemKind | 'person';

export const KINDS: Readonly<Record<LockerKind, { one: string; many: string; add: string }>> = {
  rope: { one: 'Rope', many: 'Ropes', add: 'Add a rope' },
  device: { one: 'Device', many: 'Devices', add: 'Add a device' },
  connector: { one: 'Connector', many: 'Connectors', add: 'Add a connector' },
  sling: { one: 'Sling', many: 'Slings', add: 'Add a sling' },
  cord: { one: 'Cord', many: 'Cord for hitches', add: 'Add a cord' },
  harness: { one: 'Harness', many: 'Harnesses', add: 'Add a harness' },
  person: { one: 'Person', many: 'People', add: 'Add a person' },
};
export const LOCKER_KINDS = Object.keys(KINDS) as LockerKind[];
export const isLockerKind = (kind: string | undefined): kind is LockerKind => LOCKER_KINDS.some((k) => k === kind);
