import { z } from 'zod';
import type { ConstantId } from '../../foundations/sources/index.ts';

/**
 * Values that may stand for a whole kind instead of for this one thing: a range that is typical of the kind, or what
 * else it could as well be. How strong something is, and what its maker declares, is never typical: it is said or it
 * stays open.
 */
export const TYPICAL = {
  rope: { lengthM: 'typicalRopeLengthM' },
  connector: {
    insideLengthMm: 'typicalConnectorLengthMm',
    shape: ['hms', 'd', 'offset-d', 'oval'],
    lock: ['screw', 'two-action', 'three-action', 'none'],
  },
  sling: { widthMm: 'typicalSlingWidthMm', loopLengthMm: [600, 1200] },
  cord: { nominalDiameterMm: 'typicalCordMm', cutLengthM: 'typicalCordCutM', closure: ['double-fisherman', 'sewn'] },
  device: {},
  harness: { attachment: ['belay-loop', 'two-points'] },
  person: {
    massKg: 'typicalMassKg',
    armReachMm: 'typicalArmReachMm',
    legLoopDropMm: 'typicalLegLoopDropMm',
    legLoopSideMm: 'typicalLegLoopSideMm',
    kneeRaiseMm: 'typicalKneeRaiseMm',
  },
} as const satisfies Readonly<Record<string, Readonly<Record<string, ConstantId | readonly (string | number)[]>>>>;
/** Kinds of gear, and people. */
export type TypicalKind = keyof typeof TYPICAL;

/**
 * Names of fields whose value is typical of the kind, not of this thing; empty where everything was measured or read.
 */
export const assumedSchema = (kind: TypicalKind) =>
  z
    .array(z.string())
    .max(8)
    .refine((fields) => new Set(fields).size === fields.length, 'A field stands twice.')
    .refine((fields) => fields.every((f) => f in TYPICAL[kind]), {
      message: `Only what can be typical of its kind: ${Object.keys(TYPICAL[kind]).join(', ') || 'nothing'}.`,
    });
