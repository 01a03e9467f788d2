import { MUNTER, type Item } from '@core/gear';

/** The name of an item by its id; the Munter hitch is no item. */
export const nameOf = (items: readonly Item[], id: string | null): string =>
  id === MUNTER.id ? MUNTER.name : (items.find((i) => i.id === id)?.name ?? 'not chosen');

/** "Usnea 60 in Stile eight", or both ropes. */
export const combinationName = (
  items: readonly Item[],
  { ropeAId, ropeBId, deviceId }: { ropeAId: string; ropeBId: string | null; deviceId: string },
): string =>
  `${nameOf(items, ropeAId)}${ropeBId ? ` and ${nameOf(items, ropeBId)}` : ''} in ${nameOf(items, deviceId)}`;
