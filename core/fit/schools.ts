import type { Job } from '../gear/index.ts';

/** One side of a question on which careful people disagree. */
export interface SchoolSide {
  readonly label: string;
  readonly reasons: readonly string[];
  readonly against: readonly string[];
}

/** A question on which practice is divided (`practice-families`: common practice). Zevrin shows the reasons and takes no side. */
export interface School {
  readonly question: string;
  readonly jobs: readonly Job[];
  readonly sides: readonly SchoolSide[];
}

export const SCHOOLS: readonly School[] = [
  {
    question: 'What captures progress when belaying or hauling from above?',
    jobs: ['belay-second', 'belay-seconds', 'ascend', 'pick-off'],
    sides: [
      {
        label: 'Guide plate',
        reasons: ['holds by itself', 'takes two ropes and is on the harness anyway'],
        against: ['hard to pull rope through', 'hard to release under load', 'a thin half rope can flip inside'],
      },
      {
        label: 'Assisted cam',
        reasons: ['released by its handle under load', 'pulls through with little effort'],
        against: ['one rope only', 'brakes less on thin or slick rope, and the hand stays on'],
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
];

/** The open questions of one job. */
export const schoolsFor = (job: Job): readonly School[] => SCHOOLS.filter((school) => school.jobs.includes(job));
