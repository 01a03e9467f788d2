import { z } from 'zod';
import { choice, measure } from '../gear/index.ts';
import { threshold } from '../sources/index.ts';

/** The moment that is asked about: where everybody is when the climber lets go. Heights above the ground or the stance the belayer stands on. */
export const fallQuestionSchema = z.strictObject({
  from: choice({ ground: 'On the ground', stance: 'At a stance, tied to its anchor' }, 'Where the belayer is'),
  clipped: choice(
    { pieces: 'At least one piece', none: 'Nothing above the stance' },
    'The leader has clipped',
    'Without a piece a fall goes past the belayer.',
  ),
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
  tetherM: measure(
    'lengthM',
    0,
    5,
    'Slack in the belayer’s tether',
    'How far the belayer can be drawn from the stance before the anchor holds.',
  ),
  ledgeM: measure(
    'lengthM',
    -200,
    200,
    'Ground or ledge below the climber',
    'Height of what the feet would meet first; from a stance, below it with a minus.',
  ),
  step: choice({ stands: 'Stands still', 'steps-up': 'Steps up with the pull' }, 'The belayer'),
});
export type FallQuestion = z.infer<typeof fallQuestionSchema>;

/** Is what a key holds one of some words, and not a number? */
export const isChoiceKey = (key: string): boolean => ['step', 'from', 'clipped'].includes(key);

/** Does a fall go past the belayer, with no piece to hold it before the belay itself? */
export const pastBelay = ({ from, clipped }: FallQuestion): boolean => from === 'stance' && clipped === 'none';

/** What cannot be so at one time, a sentence each; empty when it can. */
export function questionIssues(question: FallQuestion): string[] {
  const { climberM, lastPieceM, firstPieceM, secondPieceM, ledgeM } = question;
  const past = pastBelay(question);
  return [
    ...(past && climberM < threshold('deviceHeightM') ? ['The climber is below the belay: nobody leads there.'] : []),
    ...(question.from === 'ground' && ledgeM < 0
      ? ['Ground or ledge lies below the ground the belayer stands on.']
      : []),
    ...(!past && firstPieceM > lastPieceM ? ['The first piece stands above the last one.'] : []),
    ...(!past && secondPieceM !== null && secondPieceM < firstPieceM
      ? ['The second piece stands below the first one.']
      : []),
    ...(ledgeM >= climberM ? ['Ground or ledge stands above the climber.'] : []),
  ];
}
