import type { ElementId } from '../../foundations/finding/index.ts';
import type { Role } from './person-elements.ts';

const ALONE = [
  ['climber', 'climber'],
  ['partner', 'partner'],
] as const;
const BELAYED = [
  ['climber', 'climber'],
  ['belayer', 'belayer'],
] as const;

/** Groups of jobs as one thinks of them. */
export const TEMPLATE_GROUPS = { belay: 'Belay', down: 'Go down', up: 'Go up' } as const;
interface TemplateFacts {
  readonly group: keyof typeof TEMPLATE_GROUPS;
  /**
   * Who is in its rig, by id. A set-up of it that lacks one of them, or calls them by another role, would be judged as
   * another job. A partner may be missing.
   */
  readonly roles: readonly (readonly [ElementId, Role])[];
}

/**
 * What is known of each template without loading it, in the order in which they are offered; a test holds both
 * together.
 */
export const TEMPLATE_FACTS = {
  'belay-top-rope': { group: 'belay', roles: BELAYED },
  'belay-leader': { group: 'belay', roles: BELAYED },
  'belay-second': {
    group: 'belay',
    roles: [
      ['climber', 'second'],
      ['belayer', 'belayer'],
    ],
  },
  'belay-seconds': {
    group: 'belay',
    roles: [
      ['climber', 'second'],
      ['second', 'second'],
      ['belayer', 'belayer'],
    ],
  },
  'self-belay-top-rope': { group: 'belay', roles: ALONE },
  'rappel-double': { group: 'down', roles: ALONE },
  'rappel-single': { group: 'down', roles: ALONE },
  'rappel-fixed': { group: 'down', roles: ALONE },
  'tree-rappel': { group: 'down', roles: ALONE },
  lower: { group: 'down', roles: BELAYED },
  'lower-ground': { group: 'down', roles: BELAYED },
  'pick-off': {
    group: 'down',
    roles: [
      ['climber', 'rescuer'],
      ['casualty', 'casualty'],
    ],
  },
  ascend: { group: 'up', roles: ALONE },
  'tree-stationary': { group: 'up', roles: ALONE },
  'tree-moving': { group: 'up', roles: ALONE },
} as const satisfies Record<string, TemplateFacts>;

/** Templates by id; what they consist of is in `templates/`, which the first screen does not load. */
export type TemplateId = keyof typeof TEMPLATE_FACTS;
export const TEMPLATE_IDS = Object.keys(TEMPLATE_FACTS) as [TemplateId, ...TemplateId[]];
