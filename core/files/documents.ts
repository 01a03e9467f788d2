import { z } from 'zod';
import { itemSchema, personSchema } from '../gear/index.ts';
import { checkRecordSchema, usageSchema } from '../log/index.ts';
import { setupSchema } from '../rig/index.ts';
import { wayTestSchema } from '../connector/index.ts';
import { sequenceSchema } from '../sequence/index.ts';

export const FORMAT = 'zevrin';
/** Version of the files that are written. Every older one is still read. */
export const VERSION = 4;

const unique = (list: readonly { id: string }[], ctx: z.RefinementCtx, path: string) => {
  const seen = new Set<string>();
  list.forEach(({ id }, i) => {
    if (seen.has(id)) ctx.addIssue({ code: 'custom', path: [path, i, 'id'], message: `the id "${id}" stands twice` });
    seen.add(id);
  });
};

/** Everything a person has in Zevrin. */
export const workspaceSchema = z
  .strictObject({
    items: z.array(itemSchema),
    people: z.array(personSchema),
    setups: z.array(setupSchema),
    checks: z.array(checkRecordSchema),
    uses: z.array(usageSchema),
    wayTests: z.array(wayTestSchema),
    sequences: z.array(sequenceSchema),
  })
  .superRefine((workspace, ctx) => {
    for (const [path, list] of Object.entries(workspace)) unique(list, ctx, path);
  });
export type Workspace = z.infer<typeof workspaceSchema>;
export type Collection = keyof Workspace;
export const COLLECTIONS = [
  'items',
  'people',
  'setups',
  'checks',
  'uses',
  'wayTests',
  'sequences',
] as const satisfies readonly Collection[];

export const emptyWorkspace = (): Workspace => ({
  items: [],
  people: [],
  setups: [],
  checks: [],
  uses: [],
  wayTests: [],
  sequences: [],
});

const head = { format: z.literal(FORMAT), version: z.literal(VERSION) };
export const documentSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...head, kind: z.literal('workspace'), workspace: workspaceSchema }),
  z.strictObject({ ...head, kind: z.literal('setup'), setup: setupSchema }),
  z.strictObject({ ...head, kind: z.literal('sequence'), sequence: sequenceSchema }),
]);
export type Document = z.infer<typeof documentSchema>;
