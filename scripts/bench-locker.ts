import type { Item } from '../core/things/gear/index.ts';
import { club } from '../core/samples/index.ts';

/** Ropes, devices and connectors of the benchmark's locker, each. */
export const N = 30;
const many = <K extends Item['kind']>(
  kind: K,
  vary: (item: Extract<Item, { kind: K }>, i: number) => Partial<Extract<Item, { kind: K }>>,
) => {
  const models = club.clubItems.filter((i): i is Extract<Item, { kind: K }> => i.kind === kind);
  return Array.from({ length: N }, (_, i) => ({
    ...models[i % models.length]!,
    id: `${kind}${i}`,
    ...vary(models[i % models.length]!, i),
  }));
};
/**
 * The demo models, varied until there are 30 ropes, 30 devices and 30 connectors, with the cords, slings and harness of
 * the demo.
 */
export const items = [
  ...many('rope', (_, i) => ({ measuredDiameterMm: 7.8 + i * 0.13 })),
  ...many('device', (_, i) => ({ name: `device ${i}` })),
  ...many('connector', (_, i) => ({ broadInsideWidthMm: 18 + i })),
  ...club.clubItems.filter((i) => i.kind === 'sling' || i.kind === 'cord' || i.kind === 'harness'),
] as Item[];
