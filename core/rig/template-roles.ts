import type { Ref } from '../finding/index.ts';
import type { Role } from './person-elements.ts';

const ALONE = [
  ['climber', 'climber'],
  ['partner', 'partner'],
] as const;
const BELAYED = [
  ['climber', 'climber'],
  ['belayer', 'belayer'],
] as const;

/**
 * Who is in the rig of each template, by id. A set-up of it that lacks one of them, or calls them by another role, would be judged as another job. A partner may be missing. Stands apart from
 * the templates, which are not loaded to read a set-up; a test holds both together.
 */
export const ROLES_OF = {
  'rappel-double': ALONE,
  'rappel-single': ALONE,
  'rappel-fixed': ALONE,
  lower: BELAYED,
  'lower-ground': BELAYED,
  'belay-top-rope': BELAYED,
  'belay-leader': BELAYED,
  'belay-second': [
    ['climber', 'second'],
    ['belayer', 'belayer'],
  ],
  'belay-seconds': [
    ['climber', 'second'],
    ['second', 'second'],
    ['belayer', 'belayer'],
  ],
  ascend: ALONE,
  'self-belay-top-rope': ALONE,
  'tree-stationary': ALONE,
  'tree-moving': ALONE,
  'tree-rappel': ALONE,
  'pick-off': [
    ['climber', 'rescuer'],
    ['casualty', 'casualty'],
  ],
} as const satisfies Record<string, readonly (readonly [Ref, Role])[]>;
