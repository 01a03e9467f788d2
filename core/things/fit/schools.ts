import type { FindingCode } from '../../foundations/finding/index.ts';
import type { Job } from '../gear/index.ts';

/** One side of a question on which careful people disagree. */
export interface SchoolSide {
  readonly label: string;
  readonly reasons: readonly string[];
  readonly against: readonly string[];
  /** Findings in which the engine judges this side, where it does. */
  readonly judgedBy?: readonly FindingCode[];
}

/**
 * A question on which practice is divided (`practice-families`: common practice). Zevrin shows the reasons and what it
 * finds in a set-up, and takes no side; the maker’s way comes first.
 */
export interface School {
  readonly question: string;
  readonly jobs: readonly Job[];
  readonly sides: readonly SchoolSide[];
}

const SCHOOLS: readonly School[] = [
  {
    question: 'What captures progress when belaying or hauling from above?',
    jobs: ['belay-second', 'belay-seconds', 'ascend', 'pick-off'],
    sides: [
      {
        label: 'Guide plate',
        reasons: ['holds hands-off', 'takes two ropes; you carry it anyway'],
        against: ['hard to pull rope through', 'hard to release under load', 'a thin half rope can flip inside'],
      },
      {
        label: 'Assisted cam',
        reasons: ['released by its handle under load', 'pulls through with little effort'],
        against: ['one rope only', 'brakes less on thin or slick rope; keep the brake hand on the rope'],
      },
      {
        label: 'Toothed pulley',
        reasons: ['rope runs through easily, good for hauling'],
        against: ['does not release under load', 'teeth hurt the sheath when shock-loaded', 'does not lower'],
      },
    ],
  },
  {
    question: 'What backs up a rappel?',
    jobs: ['rappel-double', 'rappel-single', 'rappel-fixed'],
    sides: [
      {
        label: 'Hitch below the device',
        reasons: ['holds at once where one is', 'frees both hands for a while'],
        against: [
          'useless if it reaches the device',
          'a frightened hand squeezes it open',
          'one more thing to rig and to test',
        ],
      },
      {
        label: 'Knots in the strands below',
        reasons: ['nothing to tune', 'a knot also closes the end'],
        against: ['holds only at the next knot', 'knots must be untied or passed, and catch when the rope is pulled'],
      },
    ],
  },
  {
    question: 'Munter hitch or a device for going down from a tree?',
    jobs: ['tree-stationary', 'rappel-single'],
    sides: [
      {
        label: 'Munter hitch',
        reasons: ['needs a connector only: nothing to drop or forget', 'brakes most with both strands parallel'],
        against: ['twists the rope', 'running rope can work the gate open'],
      },
      {
        label: 'Device',
        reasons: ['does not twist the rope', 'friction is set before leaving'],
        against: ['must be on the person and tethered, since it can be dropped', 'has to fit this rope'],
      },
    ],
  },
  {
    question: 'Where is the brake hand while rope is taken in or paid out?',
    jobs: ['belay-top-rope', 'belay-leader'],
    sides: [
      {
        label: 'As the maker shows it for this device',
        reasons: ['the device was tested that way', 'partners who learned it from the instructions expect it'],
        against: ['it differs from device to device, and habits of the other one come back in a fright'],
        judgedBy: ['fit.threaded', 'fit.handed'],
      },
      {
        label: 'Below the device at every moment, thumb towards it',
        reasons: ['a fall finds the hand where it brakes', 'the same for tube and cam'],
        against: ['paying out quickly needs practice', 'the hand can come close to a tube, where skin is drawn in'],
        judgedBy: ['friction.hand-too-weak', 'friction.hand-close', 'friction.hand-holds', 'catch.hand'],
      },
      {
        label: 'Above the device while paying out, then back down',
        reasons: ['rope runs out fast and easily'],
        against: ['a fall in that moment meets a tube that hardly brakes', 'a frightened hand stays where it is'],
        judgedBy: ['friction.hand-too-weak', 'friction.hand-close', 'friction.hand-holds', 'catch.hand'],
      },
    ],
  },
  {
    question: 'How is rope paid out quickly through an assisted cam?',
    jobs: ['belay-leader'],
    sides: [
      {
        label: 'With the thumb on the cam for a moment',
        reasons: ['a clip is not short-roped', 'the other three fingers stay around the rope'],
        against: [
          'a fall in that second is not held while the thumb is on the cam',
          'a hand that cramps keeps it open',
        ],
        judgedBy: ['catch.hand', 'hold.hand-alone'],
      },
      {
        label: 'Never a finger on the cam: a step forward, slack ready',
        reasons: ['nothing keeps the cam from closing'],
        against: ['slower', 'slack lies ready, and makes a fall longer'],
        judgedBy: ['catch.clearance', 'belay.stance'],
      },
    ],
  },
  {
    question: 'Is a belayer on the ground tied to an anchor?',
    jobs: ['belay-top-rope', 'belay-leader'],
    sides: [
      {
        label: 'Free to move',
        reasons: ['a catch that lifts the belayer is softer', 'steps aside from stones'],
        against: ['a light belayer is drawn to the wall or into the first piece'],
        judgedBy: ['belay.masses', 'belay.stance', 'catch.first-piece'],
      },
      {
        label: 'Tied low and in line with the pull',
        reasons: ['holds somebody much heavier', 'is not drawn to the first piece'],
        against: ['a hard catch', 'cannot step aside; badly tied it twists the belayer around'],
        judgedBy: ['belay.masses', 'catch.first-piece'],
      },
    ],
  },
  {
    question: 'Where does the belay hang when a second follows?',
    jobs: ['belay-second', 'belay-seconds'],
    sides: [
      {
        label: 'On the anchor directly',
        reasons: ['the belayer is not pulled about', 'holds hands-off in a plate or cam made for it'],
        against: ['the anchor takes the whole load', 'hard to let out under load'],
        judgedBy: ['guide.load-strand', 'guide.slack', 'rig.anchor-one-point', 'rig.anchor-as-entered'],
      },
      {
        label: 'On the harness, redirected through the anchor',
        reasons: ['felt at once, let down easily', 'goes on to the next lead without a change'],
        against: ['two thirds more load on the anchor', 'the belayer is pulled to it, and may be held there'],
        judgedBy: ['belay.masses', 'rig.anchor-one-point', 'rig.anchor-as-entered'],
      },
      {
        label: 'On the harness directly',
        reasons: ['little load on a poor anchor'],
        against: [
          'the pull is down on your body: your stance and tether must take it',
          'your hand is on the wrong side to brake a tube',
        ],
        judgedBy: ['friction.hand-too-weak', 'friction.hand-close', 'friction.hand-holds', 'belay.masses'],
      },
    ],
  },
  {
    question: 'Which words are called?',
    jobs: ['belay-top-rope', 'belay-leader', 'belay-second', 'belay-seconds'],
    sides: [
      {
        label: 'Few words, each answered, with the name',
        reasons: ['an answer proves that it was heard', 'a name sorts out the party beside you'],
        against: ['takes longer, and has to be learned together'],
        judgedBy: ['crew.calls', 'crew.down'],
      },
      {
        label: 'No words: tugs or a fixed order of what is done',
        reasons: ['works where nobody hears anybody'],
        against: ['tugs get lost over edges', 'rope pulled up for a clip feels like one'],
        judgedBy: ['crew.calls', 'crew.down'],
      },
    ],
  },
  {
    question: 'What stands behind one grip on the rope?',
    jobs: ['ascend', 'self-belay-top-rope', 'tree-stationary'],
    sides: [
      {
        label: 'A second grip or a hitch',
        reasons: ['holds at once', 'nothing to tie on the way'],
        against: ['without teeth below, or a second rope, the upper one slides onto it and pushes it open'],
        judgedBy: ['between.cascade', 'hold.one-attachment'],
      },
      {
        label: 'Knots in the rope below, every few metres',
        reasons: ['nothing can push a knot open', 'simple to see'],
        against: ['a fall goes to the next knot', 'each has to be tied and untied with one hand'],
        judgedBy: ['hold.one-attachment'],
      },
    ],
  },
  {
    question: 'Both grabs on one rope, or one on each of two?',
    jobs: ['self-belay-top-rope'],
    sides: [
      {
        label: 'On one rope',
        reasons: ['one rope to hang and to watch', 'less drag'],
        against: ['rope and anchor are single', 'one can slide onto the other'],
        judgedBy: ['between.cascade', 'hold.single-point'],
      },
      {
        label: 'One on each of two ropes',
        reasons: ['survives a cut rope', 'neither can slide onto the other'],
        against: ['two ropes twist around each other', 'both over one edge are cut together'],
        judgedBy: ['between.cascade', 'hold.single-accepted'],
      },
    ],
  },
  {
    question: 'A long tether or a short one?',
    jobs: ['ascend', 'self-belay-top-rope'],
    sides: [
      {
        label: 'As long as the arm still works',
        reasons: ['long strokes', 'a gap to the one below'],
        against: ['out of reach once it is loaded and stretched', 'a fall onto it is longer'],
        judgedBy: ['geometry.hitch-out-of-reach', 'geometry.device-out-of-reach', 'ascend.stroke'],
      },
      {
        label: 'Short, close to the harness',
        reasons: ['always in reach', 'hardly any fall onto it'],
        against: ['short strokes', 'the two grips come close to each other, and to the chin'],
        judgedBy: ['ascend.stroke', 'between.cascade'],
      },
    ],
  },
  {
    question: 'Is a hitch pushed along by the grab above it?',
    jobs: ['ascend', 'self-belay-top-rope'],
    sides: [
      {
        label: 'Yes: it runs along by itself',
        reasons: ['both hands stay at the rock'],
        against: ['what pushes it along also pushes it open when the grab slips'],
        judgedBy: ['between.cascade', 'geometry.hitch-onto-device'],
      },
      {
        label: 'No: it is moved by hand, or hangs on another rope',
        reasons: ['nothing pushes it open'],
        against: ['a hand is busy with it', 'one forgets it, and slack gathers'],
        judgedBy: ['between.cascade', 'solo.fall'],
      },
    ],
  },
];

/** The open questions of one job. */
export const schoolsFor = (job: Job): readonly School[] => SCHOOLS.filter((school) => school.jobs.includes(job));
