import { z } from 'zod';
import { setupSchema } from '../../rigs/rig/index.ts';
import { FORMAT, VERSION } from './version.ts';

/**
 * JSON Schema (draft 2020-12) of the file of one set-up. What refers to what is checked beyond it when a file is read.
 */
export function setupJsonSchema() {
  return z.toJSONSchema(
    z.strictObject({
      format: z.literal(FORMAT),
      version: z.literal(VERSION),
      kind: z.literal('setup'),
      setup: setupSchema,
    }),
    { target: 'draft-2020-12' },
  );
}
