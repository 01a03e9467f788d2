import type { Condition } from '../procedure.ts';
import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';
import { lanyardFact, lanyardLane, lanyardOff, lanyardOn } from './common.ts';

/** The rope by which somebody is lowered holds when it is tied in and runs the right way round through the device. */
export const tiedAndThreaded = [is('tie', 'finished'), is('threaded', 'right')];
export const facts = [
  fact('tie', ['none', 'unfinished', 'finished'], {
    finished: 'the knot is finished, through both tie-in points, five pairs and a tail',
    none: 'nobody is tied in',
  }),
  fact('threaded', ['none', 'right', 'backwards'], {
    right: 'load strand and brake strand lie as the maker shows',
    none: 'no rope is in the device',
  }),
  fact('ends', ['open', 'closed'], { closed: 'the free end is knotted or tied in' }),
  flag('slack', 'slack lies between device and person', 'the rope is tight from the device to the person'),
  flag('agreed', 'both said that it is lowering, and by which word'),
  flag('going'),
  flag('down', 'the person stands below, off the rope'),
];
export const openEnd = never('end', 'fall', 'The free end runs through the device.', is('going'), is('ends', 'open'));
export const neverAlone = never(
  'misunderstood',
  'fall',
  'One thinks of lowering, the other takes the rope out of the device.',
  is('going'),
  is('agreed', 'no'),
);

export const tieInStep = (who: string, ...more: Condition[]) =>
  step(
    'tie-in',
    'Tie in with a figure eight through both tie-in points.',
    'Five pairs of strands, a tail longer than a fist.',
    {
      who,
      can: [is('tie', 'none'), ...more],
      sets: [to('tie', 'finished')],
      wrongs: [wrong('unfinished', 'the knot is not traced to the end', to('tie', 'unfinished'))],
    },
  );
export const endKnot = step(
  'end-knot',
  'Knot the free end of the rope, or tie into it.',
  'A stopper with a long tail; by the lengths the rope reaches.',
  { who: 'belayer', sets: [to('ends', 'closed')] },
);
export const lock = step(
  'device-lock',
  'Lock the connector of the device.',
  'Gate shut and locked, away from rope and rock.',
  {
    who: 'belayer',
    can: [not('threaded', 'none')],
    sets: [to('rope.locked', 'yes')],
  },
);
export const agree = step(
  'call-lower',
  'Agree that it is lowering, with name and word, and hear the answer.',
  'Both have said “lower”.',
  { who: 'both', sets: [to('agreed', 'yes')] },
);
export const lowerStep = (...more: Condition[]) =>
  step('lower', 'Lower slowly, brake hand on the rope all the time.', 'The person is in sight, or in hearing.', {
    who: 'belayer',
    can: [is('weight', 'rope'), is('where', 'up'), ...more],
    sets: [to('going', 'yes')],
  });
export const ground = step(
  'ground',
  'Stand on the ground and take the weight off the rope.',
  'The person stands by themselves.',
  {
    can: [is('going')],
    sets: [to('where', 'ground'), to('weight', 'feet'), to('going', 'no'), to('down', 'yes')],
    mustHold: 0,
  },
);
export const untie = step('untie', 'Untie and call that the rope is free.', 'The belayer has heard it.', {
  can: [is('down')],
  sets: [to('tie', 'none'), to('rope.on', 'no')],
});

export const lowerFromAnchor = procedure({
  id: 'lower-anchor',
  title: 'Lower a person from an anchor',
  purpose: 'Device at the anchor, brake strand led up through a connector above it; the person waits clipped in.',
  lanes: [lanyardLane, lane('rope', 'Rope', [[...tiedAndThreaded, is('brake', 'over')]])],
  variants: [],
  variables: [
    lanyardFact,
    ...facts,
    fact('brake', ['beside', 'over'], {
      over: 'the brake strand goes up through a connector above the device, then to the hand',
    }),
  ],
  start: { slack: 'yes' },
  invariants: [
    openEnd,
    neverAlone,
    never(
      'beside',
      'fall',
      'Brake strand and load side by side: the hand cannot hold the person.',
      is('going'),
      is('brake', 'beside'),
    ),
    never('shock', 'drop', 'Slack is left: the person drops into it.', is('weight', 'rope'), is('slack')),
    never(
      'unagreed',
      'fall',
      'The lanyard is off and it was not agreed that it is lowering: the belayer may take the rope out of the device.',
      is('where', 'up'),
      is('weight', 'rope'),
      is('lanyard.on', 'no'),
      is('agreed', 'no'),
    ),
  ],
  steps: [
    ...lanyardOn(),
    step('edge', 'Step to the edge on the lanyard.', 'Edge looked at; the rope will lie over something round.', {
      sets: [to('where', 'up'), to('weight', 'lanyard', is('lanyard.on'))],
    }),
    tieInStep('you'),
    endKnot,
    step(
      'device-thread',
      'Put the rope into the device at the anchor.',
      'Load strand to the person, brake strand to the hand, as the maker shows.',
      {
        who: 'belayer',
        can: [is('threaded', 'none')],
        sets: [to('rope.on', 'yes'), to('threaded', 'right')],
        wrongs: [
          wrong('backwards', 'load and brake strand are swapped', to('rope.on', 'yes'), to('threaded', 'backwards')),
        ],
      },
    ),
    lock,
    step(
      'brake-led',
      'Lead the brake strand up through a locked connector above the device.',
      'From the device up, through the connector, down to the hand.',
      { who: 'belayer', can: [not('threaded', 'none')], sets: [to('brake', 'over')] },
    ),
    step('take-in', 'Take in until the rope is tight.', 'Tight from the device to the person.', {
      who: 'belayer',
      can: [not('threaded', 'none')],
      sets: [to('slack', 'no')],
    }),
    step(
      'device-weigh',
      'Lean back with your whole weight, the lanyard still clipped.',
      'The rope holds you; it did not creep; the lanyard hangs slack.',
      { can: [is('rope.on')], tests: 'rope' },
    ),
    agree,
    lanyardOff('Unclip the lanyard.', 'You hang on the rope; the belayer has the brake strand in the hand.', 1),
    lowerStep(is('lanyard.on', 'no')),
    ground,
    untie,
  ],
});

export const lowerFromGround = procedure({
  id: 'lower-ground',
  title: 'Climb on a top rope and be lowered',
  purpose: 'The rope runs over an anchor above; the belayer stands below with the device on the harness.',
  lanes: [lane('rope', 'Rope', [tiedAndThreaded])],
  variants: [],
  variables: [...facts, flag('topCalled', 'the call from the top was answered, and the rope went tight')],
  start: { slack: 'yes' },
  invariants: [
    openEnd,
    neverAlone,
    never(
      'shock',
      'drop',
      'Slack is left: the climber drops into it.',
      is('weight', 'rope'),
      is('slack'),
      is('where', 'up'),
    ),
  ],
  steps: [
    tieInStep('climber'),
    endKnot,
    step(
      'device-thread',
      'Put the rope into the device on the belay loop.',
      'Load strand to the climber, brake strand to the hand, as the maker shows.',
      {
        who: 'belayer',
        can: [is('threaded', 'none')],
        sets: [to('rope.on', 'yes'), to('threaded', 'right')],
        wrongs: [
          wrong('backwards', 'load and brake strand are swapped', to('rope.on', 'yes'), to('threaded', 'backwards')),
        ],
      },
    ),
    lock,
    agree,
    step('take-in', 'Take in until the rope is tight.', 'Tight from the device over the anchor to the climber.', {
      who: 'belayer',
      can: [not('threaded', 'none')],
      sets: [to('slack', 'no')],
    }),
    step(
      'device-weigh',
      'Half a metre up, let go and hang in the rope.',
      'The rope holds; the belayer stands firm and the brake hand does not slip.',
      { can: [is('rope.on')], sets: [to('where', 'low')], tests: 'rope' },
    ),
    step('climb', 'Climb; the belayer takes in at once.', 'At most a hand’s width of slack.', {
      can: [is('rope.on'), is('down', 'no')],
      sets: [to('where', 'up'), to('weight', 'rope')],
      wrongs: [wrong('slack', 'slack is left hanging', to('where', 'up'), to('weight', 'rope'), to('slack', 'yes'))],
    }),
    step(
      'call-top',
      'At the top call, hear the answer, and feel the rope go tight.',
      'The rope pulls at the harness before you let go.',
      {
        can: [is('where', 'up')],
        sets: [to('topCalled', 'yes')],
      },
    ),
    lowerStep(is('topCalled')),
    ground,
    untie,
  ],
});
