import { z } from 'zod';
import { itemSchema, personSchema } from '../../things/gear/index.ts';
import { checkRecordSchema, halfSchema, trainingSchema, usageSchema } from '../log/index.ts';
import { setupSchema } from '../../rigs/rig/index.ts';
import { wayTestSchema } from '../../things/connector/index.ts';
import { sequenceSchema } from '../../answers/procedures/index.ts';
import { FORMAT, VERSION } from './version.ts';

/** Ids that stand twice in one collection, by their paths. */
export const duplicateIds = (
  workspace: Readonly<Record<string, readonly { readonly id: string }[]>>,
): { path: PropertyKey[]; message: string }[] =>
  Object.entries(workspace).flatMap(([collection, list]) => {
    const seen = new Set<string>();
    return list.flatMap(({ id }, i) => {
      if (seen.has(id)) return [{ path: [collection, i, 'id'], message: `the id "${id}" stands twice` }];
      seen.add(id);
      return [];
    });
  });

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
    trainings: z.array(trainingSchema),
  })
  .superRefine((workspace, ctx) => {
    for (const issue of duplicateIds(workspace)) ctx.addIssue({ code: 'custom', ...issue });
  });
export type Workspace = z.infer<typeof workspaceSchema>;

const head = { format: z.literal(FORMAT), version: z.literal(VERSION) };
export const documentSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...head, kind: z.literal('workspace'), workspace: workspaceSchema }),
  z.strictObject({ ...head, kind: z.literal('setup'), setup: setupSchema }),
  z.strictObject({ ...head, kind: z.literal('sequence'), sequence: sequenceSchema }),
  // From phone to phone during a check; nobody keeps it as a file.
  z.strictObject({ ...head, kind: z.literal('half'), half: halfSchema }),
]);
export type Document = z.infer<typeof documentSchema>;

const anything = z.array(z.unknown());
/** A workspace by its outside only: which collections it has, and that they are lists. */
export const shellSchema = z.strictObject({
  ...head,
  kind: z.literal('workspace'),
  workspace: z.strictObject({
    items: anything,
    people: anything,
    setups: anything,
    checks: anything,
    uses: anything,
    wayTests: anything,
    sequences: anything,
    trainings: anything,
  } satisfies Record<keyof Workspace, unknown>),
});
