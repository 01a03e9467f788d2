import { fact, flag, is, never, procedure, step, to, wrong } from '../build.ts';
import { selfBelayFacts, selfBelayLanes, selfBelayNever, selfBelayUp } from './self-belay-up.ts';

/**
 * Once more alone on a top rope, after coming down it: what carried last time is looked at, what belongs to the way
 * down comes off, and the system is tried as on the first time. Common practice: a hitch that has held binds and is
 * tied anew, and every device is looked at after a fall.
 */
export const selfBelayAgain = procedure({
  id: 'alone-again',
  title: 'Alone on a top rope: setting it up again',
  purpose:
    'You have come down and go up once more: rope and grabs looked at, device and hitch off, both grabs tried anew.',
  lanes: [...selfBelayLanes],
  variants: [],
  variables: [
    fact('rope', ['unseen', 'fixed', 'running'], {
      fixed: 'the strand you climb on is the one that is fixed; you saw its knot when you left the anchor',
      unseen: 'nobody has said which strand is fixed',
      running: 'the rope only runs through the anchor',
    }),
    flag('felt', 'you felt along the rope that carried you: no flat, soft or furry place'),
    flag('looked', 'both grabs, their slings and connectors were looked at after the last time'),
    fact('old', ['on', 'off'], {
      on: 'the device or the hitch of the way down is still on the rope',
      off: 'device and hitch of the way down are off the rope',
    }),
    ...selfBelayFacts,
    flag('down'),
  ],
  invariants: [
    ...selfBelayNever,
    never(
      'old',
      'stranded',
      'Device or hitch of the way down is still on the rope: the rope cannot feed and you cannot climb up.',
      is('where', 'up'),
      is('old', 'on'),
    ),
    never('felt', 'untested', 'Nobody felt along the rope that carried you.', is('where', 'up'), is('felt', 'no')),
    never(
      'looked',
      'untested',
      'Nobody looked at the grabs since they carried last.',
      is('where', 'up'),
      is('looked', 'no'),
    ),
  ],
  steps: [
    step('old-off', 'Take device and hitch of the way down off the rope.', 'Nothing of yours is on the rope.', {
      can: [is('where', 'ground')],
      sets: [to('old', 'off')],
    }),
    step(
      'rope-fix',
      'Say aloud which strand is fixed and what its knot looked like. Then load-test it.',
      'It does not come down. After somebody else used it: look at the anchor again.',
      {
        can: [is('where', 'ground')],
        sets: [to('rope', 'fixed')],
        wrongs: [wrong('other', 'it is the strand that only runs through the anchor', to('rope', 'running'))],
      },
    ),
    step(
      'rope-feel',
      'Draw the rope that carried you through your hand, and look up at where it lies on rock.',
      'No flat, soft or furry place; what lay on an edge is moved.',
      {
        can: [is('where', 'ground')],
        sets: [to('felt', 'yes')],
      },
    ),
    step(
      'grabs-look',
      'Look at both grabs: cam, teeth, spring, catch, sling, connector. Untie a hitch that has held, and tie it anew.',
      'All move as they did when new; no sling is furred.',
      {
        can: [is('where', 'ground')],
        sets: [to('looked', 'yes')],
      },
    ),
    ...selfBelayUp,
  ],
});
