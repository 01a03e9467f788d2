import { fact, flag, is, never, not, procedure, step, to, wrong } from '../build.ts';
import {
  callFacts,
  callGoing,
  doubledDevice,
  HITCH_BELOW_STEP,
  lanyardFact,
  lanyardLane,
  lanyardOff,
  lanyardOn,
  ropeIsFree,
} from './common.ts';

export const doubledRappel = procedure({
  id: 'doubled-rappel',
  title: 'Set up and descend a doubled rappel',
  purpose: 'From flat ground above the edge: rope doubled through rings, device on an extension, hitch below it.',
  lanes: [lanyardLane, doubledDevice.lane('rings', 'sling'), HITCH_BELOW_STEP.lane('rings', 'sling')],
  variants: [{ id: 'rope', label: 'Rope', options: { folded: 'One rope, folded', joined: 'Two ropes, joined' } }],
  variables: [
    lanyardFact,
    fact('rope.through', ['nothing', 'sling', 'rings'], { rings: 'the rope runs through metal' }),
    flag('rope.middle', 'the middle, or the knot, lies at the rings'),
    fact('rope.knot', ['none', 'short', 'long'], { long: 'the joining knot is dressed, with long tails' }),
    fact('ends', ['open', 'one', 'both'], { both: 'both ends are knotted', open: 'both ends are free of knots' }),
    flag('rope.down', 'both strands hang down to the ground'),
    flag('going'),
    ...callFacts,
    flag('pulled'),
    doubledDevice.fact,
    ...HITCH_BELOW_STEP.facts,
  ],
  invariants: [
    never('end', 'fall', 'A rope’s end without a knot runs through the device.', is('going'), not('ends', 'both')),
    never(
      'short',
      'fall',
      'One strand is short: its end comes first and pulls through.',
      is('going'),
      is('rope.middle', 'no'),
      not('ends', 'both'),
    ),
    never(
      'short-knotted',
      'stranded',
      'One strand is short: its knot stops you above the ground.',
      is('going'),
      is('rope.middle', 'no'),
      is('ends', 'both'),
    ),
    never(
      'roll',
      'fall',
      'A flat overhand with short tails can roll off the ends.',
      is('going'),
      is('rope.knot', 'short'),
    ),
    never(
      'burn',
      'stranded',
      'Pulling the rope through a sling burns it, or it does not run.',
      is('pulled'),
      is('rope.through', 'sling'),
    ),
    never(
      'jam',
      'stranded',
      'A knot in the end jams at the rings: the rope stays up.',
      is('pulled'),
      not('ends', 'open'),
    ),
  ],
  steps: [
    ...lanyardOn(),
    step('edge', 'Step to the edge.', 'You stand where you can reach the rings; nothing loose lies about.', {
      can: [is('where', 'ground'), is('down', 'no')],
      sets: [to('where', 'up'), to('weight', 'lanyard', is('lanyard.on'))],
    }),
    step('rope-thread', 'Pass the rope through both rings.', 'Rope over metal, not over cord or sling.', {
      // A knot in the end does not go through the rings.
      can: [is('where', 'up'), is('rope.through', 'nothing'), is('ends', 'open')],
      sets: [to('rope.through', 'rings')],
      wrongs: [wrong('sling', 'it runs through the sling instead of the rings', to('rope.through', 'sling'))],
    }),
    step('rope-join', 'Join the two ropes.', 'Knot dressed and pulled tight strand by strand; tails a forearm long.', {
      only: { rope: 'joined' },
      can: [is('rope.down', 'no')],
      sets: [to('rope.knot', 'long')],
      wrongs: [wrong('short', 'the tails are short', to('rope.knot', 'short'))],
    }),
    step('rope-middle', 'Bring the middle to the rings.', 'The middle mark lies at the rings.', {
      only: { rope: 'folded' },
      can: [not('rope.through', 'nothing'), ...ropeIsFree],
      sets: [to('rope.middle', 'yes')],
      wrongs: [wrong('guessed', 'the middle is guessed and missed')],
    }),
    step(
      'rope-knot',
      'Bring the knot close to the rings, on the side that will be pulled.',
      'Both partners know which strand is pulled.',
      {
        only: { rope: 'joined' },
        can: [not('rope.through', 'nothing'), not('rope.knot', 'none'), ...ropeIsFree],
        sets: [to('rope.middle', 'yes')],
      },
    ),
    step('ends-knot', 'Knot both ends.', 'A knot in each end, pulled tight.', {
      can: [is('rope.down', 'no')],
      sets: [to('ends', 'both')],
      wrongs: [wrong('one', 'only one end gets a knot', to('ends', 'one'))],
    }),
    step('throw', 'Look, call “Rope!”, wait, and throw both strands.', 'Nobody below; both ends lie on the ground.', {
      can: [not('rope.through', 'nothing')],
      sets: [to('rope.down', 'yes')],
    }),
    ...doubledDevice.steps('the extension'),
    ...HITCH_BELOW_STEP.steps(),
    lanyardOff(
      'Unclip the lanyard and stow it.',
      'You hang on the device, hand on the strands; hitch and device were both tried.',
      2,
    ),
    callGoing(
      'Call that you are going, and hear the answer.',
      'Partner answers; hair, straps and gloves are clear of the device.',
    ),
    step(
      'go',
      'Rappel smoothly. Brake hand on the rope; the other hand pushes the hitch from above and never grips it.',
      'You see both ends before you reach them.',
      {
        can: [is('lanyard.on', 'no'), is('weight', 'device'), is('called')],
        sets: [to('going', 'yes')],
      },
    ),
    step('ground', 'Stand on the ground and take device and hitch off.', 'You are clear of rockfall.', {
      can: [is('going')],
      sets: [
        to('where', 'ground'),
        to('weight', 'feet'),
        to('device.on', 'no'),
        to('hitch.on', 'no'),
        to('going', 'no'),
        to('down', 'yes'),
      ],
      mustHold: 0,
    }),
    step('call-off', 'Call that the rope is free.', 'Partner has heard it.', { can: [is('down')] }),
    step('ends-untie', 'Take the knots out of both ends.', 'Both ends are free of knots and twists.', {
      can: [is('down')],
      sets: [to('ends', 'open')],
    }),
    step('pull', 'Pull the rope down from the side that was agreed, out of its fall.', 'It runs.', {
      can: [is('down')],
      sets: [to('pulled', 'yes')],
    }),
  ],
});
