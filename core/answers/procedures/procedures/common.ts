import { fact, flag, is, lane, not, step, to, wrong } from '../build.ts';
import type { Condition, Step } from '../procedure.ts';

/** A lanyard to the master point of the anchor. */
export const lanyardLane = lane('lanyard', 'Lanyard', [[is('lanyard.at', 'anchor')]]);
export const lanyardFact = fact('lanyard.at', ['nowhere', 'anchor', 'gear-loop'], {
  anchor: 'the lanyard runs from the belay loop to the master point',
});

/** Clip, lock and weigh the lanyard. `before` says what must be true to reach the anchor. */
export const lanyardOn = (...before: Condition[]): Step[] => [
  step(
    'lanyard-clip',
    'Clip the lanyard to the master point.',
    'It runs from the belay loop to the master point, over no edge.',
    {
      can: [is('lanyard.on', 'no'), ...before],
      sets: [to('lanyard.on', 'yes'), to('lanyard.at', 'anchor')],
      wrongs: [
        wrong(
          'gear-loop',
          'its other end hangs on a gear loop',
          to('lanyard.on', 'yes'),
          to('lanyard.at', 'gear-loop'),
        ),
      ],
    },
  ),
  step('lanyard-lock', 'Lock the lanyard’s connector.', 'Pull at the gate of the lanyard’s connector: it stays shut.', {
    can: [is('lanyard.on')],
    sets: [to('lanyard.locked', 'yes')],
  }),
  step(
    'lanyard-weigh',
    'Lean into the lanyard with your whole weight.',
    'Harness, lanyard and anchor carry you, and you have looked at each.',
    {
      can: [is('lanyard.on')],
      tests: 'lanyard',
    },
  ),
];

/**
 * A rope on which somebody hangs cannot be moved through the rings, nor can one that runs through a device that is
 * clipped.
 */
export const ropeIsFree = [not('weight', 'device', 'hitch'), is('device.on', 'no')];

/** Whoever goes down has said so, hanging on the device and ready, and was answered. */
export const callFacts = [
  flag('called', 'you called that you are going, and were answered'),
  flag('down', 'you stand below, off the rope'),
];
export const callGoing = (does: string, see: string): Step =>
  step('call-going', does, see, { can: [is('weight', 'device')], sets: [to('called', 'yes')] });

/** Takes the lanyard off; whoever hangs on it stands up for that. */
export const lanyardOff = (does: string, see: string, mustHold: number): Step =>
  step('lanyard-off', does, see, {
    can: [is('lanyard.on')],
    sets: [
      to('lanyard.on', 'no'),
      to('lanyard.locked', 'no'),
      to('lanyard.tested', 'no'),
      to('weight', 'feet', is('weight', 'lanyard')),
    ],
    mustHold,
  });

/** A device on an extension with both strands of a doubled rope in it. */
export const doubledDevice = {
  /** `carries`: what the rope may run through and still hold, well or badly. */
  lane: (...carries: string[]) =>
    lane('device', 'Device', [[is('device.strands', 'both'), is('rope.through', ...carries)]]),
  fact: fact('device.strands', ['none', 'one', 'both'], {
    both: 'both strands run through the device, and the connector holds both and the retaining loop',
    none: 'no rope is in the device',
  }),
  steps: (where: string): Step[] => [
    step(
      'device-thread',
      `Put the device on both strands, on ${where}.`,
      'Both strands in their slots; the carabiner goes through both bights and the keeper loop.',
      {
        can: [is('rope.down'), is('device.on', 'no')],
        sets: [to('device.on', 'yes'), to('device.strands', 'both')],
        wrongs: [
          wrong(
            'one-strand',
            'only one of the two strands is in the device',
            to('device.on', 'yes'),
            to('device.strands', 'one'),
          ),
        ],
      },
    ),
    step('device-lock', 'Lock the device connector.', 'Gate shut and locked, away from rope and rock.', {
      can: [is('device.on')],
      sets: [to('device.locked', 'yes')],
    }),
  ],
};

/** A friction hitch below the device, on the leg loop. */
export const HITCH_BELOW_STEP = {
  lane: (...carries: string[]) =>
    lane('hitch', 'Hitch', [
      [
        is('hitch.strands', 'both'),
        is('hitch.clear'),
        is('device.on'),
        is('device.strands', 'both'),
        is('rope.through', ...carries),
      ],
    ]),
  facts: [
    fact('hitch.strands', ['none', 'one', 'both'], { both: 'the hitch is around both strands' }),
    flag('hitch.clear', 'loaded and with the knee up, the hitch stays clear of the device'),
  ],
  steps: (): Step[] => [
    step(
      'hitch-tie',
      'Tie the hitch around both strands below the device and clip both its ends.',
      'Wraps lie side by side; loaded it stays clear of the device, also with the knee up.',
      {
        can: [is('rope.down'), is('hitch.on', 'no')],
        sets: [to('hitch.on', 'yes'), to('hitch.strands', 'both'), to('hitch.clear', 'yes')],
        wrongs: [
          wrong(
            'one-strand',
            'it holds one strand only',
            to('hitch.on', 'yes'),
            to('hitch.strands', 'one'),
            to('hitch.clear', 'yes'),
          ),
          wrong(
            'too-long',
            'its loop is long enough to reach the device',
            to('hitch.on', 'yes'),
            to('hitch.strands', 'both'),
          ),
        ],
      },
    ),
    step('hitch-lock', 'Lock the hitch connector.', 'Gate shut and locked; both ends of the loop in it.', {
      can: [is('hitch.on')],
      sets: [to('hitch.locked', 'yes')],
    }),
    step(
      'device-weigh',
      'Sit on the device, brake hand on, while the lanyard is still there.',
      'Both strands are tight above the device; the lanyard hangs slack.',
      {
        can: [is('device.on')],
        tests: 'device',
      },
    ),
    step(
      'hitch-test',
      'With the lanyard still clipped and slack, let the hitch grip and take your brake hand off.',
      'The hitch holds without the hand, and lets go again when it is pushed.',
      {
        can: [is('hitch.on'), not('weight', 'feet')],
        tests: 'hitch',
        // The hitch holds the brake strands; the weight itself stays on the device.
        carries: 'device',
      },
    ),
  ],
};

/** Whoever belays off the ground hangs on the anchor by an attachment of their own. */
export const belayerFact = flag('belayerOn', 'the belayer hangs on the anchor by their own attachment');
export const belayerOn = step(
  'belayer-on',
  'Attach yourself to the anchor.',
  'Your own attachment is locked and carries you.',
  { who: 'belayer', sets: [to('belayerOn', 'yes')] },
);
/** The call before somebody climbs; `more` says what stands by then. */
export const callClimb = (...more: Condition[]) =>
  step('call-climb', 'Call that you climb, with the name, and hear the answer.', 'The answer came from your belayer.', {
    who: 'both',
    can: [is('rope.on'), ...more],
    sets: [to('called', 'yes')],
  });
/** Up on a rope from above, with no slack left in it. */
export const climbTight = (who: string, does: string) =>
  step('climb', does, 'At most a hand’s width of slack.', {
    who,
    can: [is('rope.on'), is('where', 'ground')],
    sets: [to('where', 'up'), to('weight', 'rope')],
    wrongs: [wrong('slack', 'slack is left hanging', to('where', 'up'), to('weight', 'rope'), to('slack', 'yes'))],
  });
export const clipLock = step('clip-lock', 'Lock the connector of the hitch.', 'Gate shut and locked.', {
  who: 'belayer',
  can: [is('clip.on')],
  sets: [to('clip.locked', 'yes')],
});
