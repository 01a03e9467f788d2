import { z } from 'zod';
import { choice, idSchema, instantSchema, line, measure, note } from '../../things/gear/index.ts';

/** One practice of the hands: what was held, how long, and how much of it off the brake strand. */
export const trainingSchema = z
  .strictObject({
    id: idSchema,
    at: instantSchema,
    person: z.strictObject({ id: idSchema, name: line('Person', 80, 1) }).nullable(),
    belay: choice({ 'top-rope': 'Top rope', leader: 'Leader' }, 'Belay'),
    device: choice({ tube: 'Tube', cam: 'Assisted cam' }, 'Device'),
    hand: choice({ right: 'Right', left: 'Left' }, 'Brake hand'),
    pace: choice({ calm: 'Calm, without a clock', timed: 'With falls at any time' }, 'Pace'),
    seed: z.number().int().min(0),
    lastedS: z.number().min(0).max(3600),
    offBrakeS: z.number().min(0).max(3600),
    aboveLineS: z.number().min(0).max(3600),
    mostSlackM: z.number().min(0).max(100),
    falls: z
      .array(
        z.strictObject({
          atS: z.number().min(0).max(3600),
          /** From the fall until the hand braked; null: it did not, or braked already. */
          reactionS: z.number().min(0).max(60).nullable(),
          fallenM: z.number().min(0).max(200),
          slidM: z.number().min(0).max(200),
          palmJ: z.number().min(0),
          ended: z.enum(['held', 'ground']),
        }),
      )
      .max(200),
  })
  .superRefine((training, ctx) => {
    const wrong = (path: PropertyKey[], message: string) => ctx.addIssue({ code: 'custom', path, message });
    const longest = `longer than the whole practice of ${training.lastedS} s`;
    if (training.offBrakeS > training.lastedS) wrong(['offBrakeS'], longest);
    if (training.aboveLineS > training.lastedS) wrong(['aboveLineS'], longest);
    training.falls.forEach(({ atS }, i) => {
      if (atS > training.lastedS) wrong(['falls', i, 'atS'], 'after the practice had ended');
    });
  });
export type TrainingRecord = z.infer<typeof trainingSchema>;

export const usageSchema = z.strictObject({
  id: idSchema,
  at: instantSchema,
  setupId: idSchema.nullable(),
  setupName: line('Set-up', 80),
  people: z.array(line('Person', 80, 1)).max(10),
  outcome: choice(
    { 'as-planned': 'As planned', odd: 'Something was odd', 'turned-back': 'Turned back' },
    'How it went',
  ),
  descents: measure('count', 1, 99, 'How many times, up or down'),
  note: note(),
});
export type UseRecord = z.infer<typeof usageSchema>;
