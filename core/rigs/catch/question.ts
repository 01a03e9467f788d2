import { z } from 'zod';
import { choice, measure } from '../../things/gear/index.ts';
import { threshold } from '../../foundations/sources/index.ts';

/**
 * The moment that is asked about: where everybody is when the climber lets go. Heights above the ground or the stance
 * the belayer stands on.
 */
export const fallQuestionSchema = z.strictObject({
  from: choice({ ground: 'On the ground', stance: 'At a stance, tied to its anchor' }, 'Where the belayer is'),
  clipped: choice(
    { pieces: 'At least one piece', none: 'Nothing yet' },
    'The leader has clipped',
    'With no piece clipped, a falling leader reaches the ground, or drops past a belayer at an anchor.',
  ),
  climberM: measure('lengthM', 0.5, 200, 'Climber’s tie-in', 'Height of the knot at the harness when the fall begins.'),
  lastPieceM: measure('lengthM', 0.5, 200, 'Last piece clipped'),
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
  tetherM: measure('lengthM', 0, 5, 'Slack in the belayer’s tether', 'Slack in the belayer’s tether.'),
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

/** Is the belayer on the ground? */
export const fromGround = ({ from }: FallQuestion): boolean => from === 'ground';

/** Does a fall go past the belayer, with no piece to hold it before the belay itself? */
export const pastBelay = ({ from, clipped }: FallQuestion): boolean => from === 'stance' && clipped === 'none';

/** Does a fall end on the ground because nothing is clipped that could hold it? */
export const groundFall = (q: FallQuestion): boolean => fromGround(q) && q.clipped === 'none';

/** What rope and wall can hold; null: not known. */
export interface FallLimits {
  readonly led: boolean;
  /** The whole rope, m. */
  readonly ropeM: number | null;
  /** Anchor or top of the wall above the ground, m. */
  readonly topM: number | null;
}

export interface QuestionIssue {
  readonly key: keyof FallQuestion;
  /** What was read and what is allowed. */
  readonly says: string;
}

/** Rope from the belayer's device to the climber's tie-in, m. */
export function ropeOutM({ climberM, firstPieceM, lastPieceM, besideM, slackM, clipped }: FallQuestion): number {
  const deviceM = threshold('deviceHeightM');
  if (clipped === 'none') return Math.hypot(besideM, Math.max(0, climberM - deviceM)) + slackM;
  return (
    Math.hypot(besideM, firstPieceM - deviceM) + (lastPieceM - firstPieceM) + Math.abs(climberM - lastPieceM) + slackM
  );
}

const metres = (m: number): string => `${Math.round(m * 10) / 10} m`;

/** What cannot be so at one time, each at the field that is to be changed; empty when it can. */
export function questionIssues(question: FallQuestion, { led, ropeM, topM }: FallLimits): QuestionIssue[] {
  const { climberM, lastPieceM, firstPieceM, secondPieceM, ledgeM, clipped } = question;
  const past = pastBelay(question);
  const pieces = clipped === 'pieces';
  const issues: QuestionIssue[] = [];
  const refuse = (when: boolean, key: keyof FallQuestion, says: string) => {
    if (when) issues.push({ key, says });
  };
  refuse(
    past && climberM < threshold('deviceHeightM'),
    'climberM',
    'The climber is below the belay: nobody leads there.',
  );
  refuse(fromGround(question) && ledgeM < 0, 'ledgeM', 'Ground or ledge lies below the ground the belayer stands on.');
  refuse(pieces && firstPieceM > lastPieceM, 'firstPieceM', 'The first piece stands above the last one.');
  refuse(
    pieces && secondPieceM !== null && secondPieceM < firstPieceM,
    'secondPieceM',
    'The second piece stands below the first one.',
  );
  const standsM = ledgeM + threshold('tieInAboveFeetM');
  refuse(
    climberM < standsM,
    'climberM',
    `The climber’s feet would be below ground or ledge. Read: tie-in at ${metres(climberM)}; at least ${metres(standsM)}.`,
  );
  refuse(
    !led && climberM > lastPieceM,
    'climberM',
    `On a top rope the climber is below the anchor. Read: ${metres(climberM)}; the anchor is at ${metres(lastPieceM)}.`,
  );
  if (topM !== null && fromGround(question)) {
    const highest = topM + threshold('tieInAboveFeetM');
    refuse(
      climberM > highest,
      'climberM',
      `The wall is not that high. Read: ${metres(climberM)}; the anchor is at ${metres(topM)}.`,
    );
    refuse(
      pieces && lastPieceM > highest,
      'lastPieceM',
      `The wall is not that high. Read: ${metres(lastPieceM)}; the anchor is at ${metres(topM)}.`,
    );
  }
  const outM = ropeOutM(question);
  refuse(
    ropeM !== null && outM > ropeM,
    'climberM',
    `The rope is too short for this: ${metres(outM)} would be out, and it is ${metres(ropeM ?? 0)} long.`,
  );
  return issues;
}
