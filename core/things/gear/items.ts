import { z } from 'zod';
import { connectorSchema } from './connectors.ts';
import { deviceSchema, type declarationSchema } from './devices.ts';
import { cordSchema, harnessSchema, ropeSchema, slingSchema } from './soft-items.ts';

export const itemSchema = z.discriminatedUnion('kind', [
  ropeSchema,
  cordSchema,
  slingSchema,
  connectorSchema,
  deviceSchema,
  harnessSchema,
]);

export type Rope = z.infer<typeof ropeSchema>;
export type Cord = z.infer<typeof cordSchema>;
export type Sling = z.infer<typeof slingSchema>;
export type Connector = z.infer<typeof connectorSchema>;
export type Declaration = z.infer<typeof declarationSchema>;
export type Device = z.infer<typeof deviceSchema>;
export type Harness = z.infer<typeof harnessSchema>;
export type Item = z.infer<typeof itemSchema>;
export type ItemKind = Item['kind'];
export type ItemOf<K extends ItemKind> = Extract<Item, { kind: K }>;

export const ITEM_SCHEMAS = {
  rope: ropeSchema,
  device: deviceSchema,
  connector: connectorSchema,
  sling: slingSchema,
  cord: cordSchema,
  harness: harnessSchema,
} as const;
