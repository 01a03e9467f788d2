import { z } from 'zod';
import { choice, measure } from '../gear/index.ts';

/** The moment that is asked about: where everybody is when the climber lets go. Heights above the ground the belayer stands on. */
export const fallQuestionSchema = z.strictObject({
  climberM: measure('lengthM', 0.5, 200, 'Climber’s tie-in', 'Height of the knot at the harness when the fall begins.'),
  lastPieceM: measure(
    'lengthM',
    0.5,
    200,
    'Last piece clipped',
    'Nothing clipped yet: a fall goes to the ground, and no rope holds it.',
  ),
  firstPieceM: measure('lengthM', 0.5, 200, 'First piece clipped', 'The belayer is pulled towards it.'),
  secondPieceM: measure(
    'lengthM',
    0.5,
    200,
    'Second piece',
    'Where the rope would lead if the first one were unclipped again.',
  ).nullable(),
  slackM: measure(
    'lengthM',
    0,
    10,
    'Slack in the rope',
    'What hangs between the device and the first piece, and above.',
  ),
  besideM: measure('lengthM', 0, 20, 'Belayer from the wall'),
  ledgeM: measure('lengthM', 0, 200, 'Ground or ledge below the climber', 'Height of what the feet would meet first.'),
  step: choice({ stands: 'Stands still', 'steps-up': 'Steps up with the pull' }, 'The belayer'),
});
export type FallQuestion = z.infer<typeof fallQuestionSchema>;

/** What cannot be so at one time, a sentence each; empty when it can. */
export function questionIssues({ climberM, lastPieceM, firstPieceM, secondPieceM, ledgeM }: FallQuestion): string[] {
  return [
    ...(firstPieceM > lastPieceM ? ['The first piece stands above the last one.'] : []),
    ...(secondPieceM !== null && secondPieceM < firstPieceM ? ['The second piece stands below the first one.'] : []),
    ...(ledgeM >= climberM ? ['Ground or ledge stands above the climber.'] : []),
  ];
}
