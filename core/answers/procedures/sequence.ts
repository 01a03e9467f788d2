import { z } from 'zod';
import { idSchema, instantSchema, line, note } from '../../things/gear/index.ts';

/** The shipped procedures by id; what they consist of is in `procedures/`, which the first screen does not load. */
export const PROCEDURE_IDS = [
  'doubled-rappel',
  'clean-anchor',
  'eight',
  'tree-descent',
  'hitch-first',
  'stop-and-go',
  'single-rappel',
  'lower-anchor',
  'lower-ground',
  'second-up',
  'leader-ground',
  'leader-stance',
  'two-seconds',
  'lower-second',
  'tie-off',
  'up-on-clamps',
  'down-on-clamps',
  'alone-top-rope',
  'alone-again',
  'tree-walk',
  'pick-off',
] as const;
export type ProcedureId = (typeof PROCEDURE_IDS)[number];

/**
 * A person's own order of a shipped procedure: its options, its steps by id, and steps of one's own, which only say
 * something. Whether the procedure has these options and steps is said by `sequenceIssues`.
 */
export const sequenceSchema = z.strictObject({
  id: idSchema,
  name: line('Name', 80, 1),
  procedure: z.enum(PROCEDURE_IDS),
  options: z.record(z.string(), z.string()),
  steps: z
    .array(
      z.discriminatedUnion('kind', [
        z.strictObject({ kind: z.literal('step'), id: idSchema }),
        z.strictObject({ kind: z.literal('own'), id: idSchema, text: line('What is done', 200, 1) }),
      ]),
    )
    .max(80),
  /** Step that is being done; null while nobody runs it. */
  at: z.int().min(0).nullable(),
  createdAt: instantSchema,
  updatedAt: instantSchema,
  note: note(),
});
export type Sequence = z.infer<typeof sequenceSchema>;
export type Line = Sequence['steps'][number];
