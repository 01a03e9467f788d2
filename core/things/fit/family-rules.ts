import { finding, type Finding, literal } from '../../foundations/finding/index.ts';
import { diameterOf, JOB_FACTS, JOBS, traitsOf, type FamilyTraits, type Job } from '../gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { isDeclared } from './declared.ts';
import { handOffIn, inGuideMode } from './mode.ts';
import type { RopeInDeviceInput } from './rope-in-device-input.ts';

/**
 * Everything that follows from the traits of a family, whatever the model declares. Rules ask for traits, never for a
 * family.
 */
export function familyRules(input: RopeInDeviceInput): Finding[] {
  const traits = traitsOf(input.device.family);
  return [
    ...forThisJob(input, traits),
    ...strandsAndPersons(input, traits),
    ...where(input),
    ...downOnly(input, traits),
    ...upOnly(input, traits),
    ...guideMode(input),
    ...turningCam(input, traits),
    ...tuning(input, traits),
    ...groove(input, traits),
    ...teeth(input, traits),
  ];
}

const diameterNumber = (input: RopeInDeviceInput) =>
  ({ key: 'diameter', label: 'Diameter', quantity: 'diameterMm', value: diameterOf(input.rope).diameterMm }) as const;

function forThisJob({ device, load }: RopeInDeviceInput, traits: FamilyTraits): Finding[] {
  const job = load.use;
  const what = `${literal(device.name)} (${traits.label.toLowerCase()})`;
  if (traits.made.includes(job)) {
    if (!traits.aidOnly) return [];
    return [
      finding({
        code: 'fit.aid-only',
        severity: 'mind',
        subject: ['device'],
        says: `${what} only helps you move up; never hang on it alone.`,
        because: 'It carries a foot or keeps the body upright. What holds the person is another device.',
        remedy: 'Choose what holds the person as well.',
      }),
    ];
  }
  if (!traits.declaredOnly.includes(job)) {
    return [
      finding({
        code: 'fit.job-not-for-family',
        severity: 'stop',
        subject: ['device'],
        says: `${what} is not for this job: ${JOBS[job].toLowerCase()}.`,
        because: `Such devices serve: ${traits.made.map((j) => JOBS[j].toLowerCase()).join(', ')}.`,
        remedy: 'Use a device made for this job.',
      }),
    ];
  }
  if (traits.tied || device.declarations.some((d) => d.job === job)) return [];
  return [
    finding({
      code: 'fit.job-only-if-declared',
      severity: 'untested',
      subject: ['device'],
      says: `${what} serves this job only where its maker says so.`,
      because: `No declaration is entered for: ${JOBS[job].toLowerCase()}.`,
      remedy: 'Look it up in the instructions and enter it, or take a device made for this job.',
    }),
  ];
}

function strandsAndPersons({ device, load: facts }: RopeInDeviceInput, traits: FamilyTraits): Finding[] {
  const findings: Finding[] = [];
  if (facts.strands === 'two' && traits.strands === 'one') {
    findings.push(
      finding({
        code: 'fit.one-strand-only',
        severity: 'stop',
        subject: ['device', 'rope'],
        says: `${literal(device.name)} takes one strand only.`,
        because: 'With two strands in it, it may hold neither.',
        remedy: 'Use a device for two strands, or fix the rope and go down one strand.',
      }),
    );
  }
  const persons = device.personsRated === 'unknown' ? traits.persons : device.personsRated;
  if (facts.persons === 'two' && persons === 'one') {
    findings.push(
      finding({
        code: 'fit.one-person-only',
        severity: 'stop',
        subject: ['device'],
        says: `${literal(device.name)} is made for one person.`,
        because: 'Such devices are not made to hold or release two people.',
        remedy: 'Use a device that its maker declares for two.',
      }),
    );
  }
  if (facts.persons === 'two' && persons === null && !traits.tied) {
    findings.push(
      finding({
        code: 'fit.persons-not-declared',
        severity: 'untested',
        subject: ['device'],
        says: `It is not declared for how many persons ${literal(device.name)} is rated.`,
        because: 'This job puts two people on it.',
        remedy: 'Look it up in the instructions and enter it in the locker.',
      }),
    );
  }
  return findings;
}

/** The device hangs on the harness of whoever works it, or on the anchor; a maker may allow only one. */
function where({ device, load }: RopeInDeviceInput): Finding[] {
  const on = load.hangsOn;
  const { tied, handOff } = traitsOf(device.family);
  if (
    device.attachTo === 'unknown' &&
    on === 'anchor' &&
    !tied &&
    handOff !== 'runs' &&
    !inGuideMode(device, load.use)
  ) {
    return [
      finding({
        code: 'fit.attached-elsewhere',
        severity: 'untested',
        subject: ['device'],
        says: `It is not entered whether ${literal(device.name)} may hang on an anchor.`,
        because: 'Some self-locking devices may only be used on a harness: hung on an anchor they can be pushed open.',
        remedy: 'Look it up in the instructions and enter it in the locker.',
        sources: ['maker-declaration'],
      }),
    ];
  }
  if (device.attachTo === 'unknown' || device.attachTo === 'both' || device.attachTo === on) return [];
  return [
    finding({
      code: 'fit.attached-elsewhere',
      severity: 'stop',
      subject: ['device'],
      says: `${literal(device.name)} may be attached to the ${device.attachTo} only.`,
      because: `Here it hangs on the ${on}.`,
      remedy: `Take a device that may hang on the ${on}.`,
      sources: ['maker-declaration'],
    }),
  ];
}

function downOnly({ device, load }: RopeInDeviceInput, traits: FamilyTraits): Finding[] {
  const job = load.use;
  if (!load.climbs || traits.aidOnly || handOffIn(device, job) !== 'runs') return [];
  if (!traits.made.includes(job) && !traits.declaredOnly.includes(job)) return [];
  return [
    finding({
      code: 'fit.down-only',
      severity: 'mind',
      subject: ['device'],
      says: `${literal(device.name)} brings you down; it does not hold you on the way up.`,
      because: 'When the hand lets go the rope runs through it.',
      remedy: 'Choose what holds you while you climb as well.',
    }),
  ];
}

/** On a line in a tree the same device has to bring its person back down. */
const upAndDown = (job: Job): boolean => {
  const { up } = JOB_FACTS[job];
  return up === 'stationary-line' || up === 'moving-line';
};

function upOnly({ device, load }: RopeInDeviceInput, traits: FamilyTraits): Finding[] {
  if (!upAndDown(load.use) || traits.aidOnly || traits.goesDown || traits.tied) return [];
  return [
    finding({
      code: 'fit.up-only',
      severity: 'mind',
      subject: ['device'],
      says: `${literal(device.name)} holds you on the way up; it does not bring you down.`,
      because: 'Loaded, it neither opens nor slides: a tired or hurt climber hangs there until somebody comes.',
      remedy: 'Have a device for going down on the harness, and change onto it before you work.',
    }),
  ];
}

/**
 * Where no range is declared for this rope, what is known of thin rope in such devices; a limit of one model is
 * nobody's common practice.
 */
function guideMode(input: RopeInDeviceInput): Finding[] {
  const { device, rope, part } = input;
  const limitMm = threshold('thinRopeMm');
  if (!inGuideMode(device, input.load.use) || diameterOf(rope).diameterMm.best >= limitMm || isDeclared(input))
    return [];
  return [
    finding({
      code: 'fit.guide-mode-thin',
      severity: 'untested',
      subject: ['device', part],
      says: 'Thin ropes can flip or pinch in guide mode in some plates.',
      because: `${literal(rope.name)} is {diameter~} thick, and no range is entered that covers it in ${literal(device.name)}.`,
      remedy: 'Check the smallest diameter your plate’s instructions give for guide mode.',
      numbers: [diameterNumber(input)],
    }),
  ];
}

function turningCam(input: RopeInDeviceInput, traits: FamilyTraits): Finding[] {
  if (!traits.turningCam) return [];
  const { device, rope, part } = input;
  const job = input.load.use;
  const thin = diameterOf(rope).diameterMm.best < threshold('thinRopeMm') && !isDeclared(input);
  const known = [
    thin ? 'the rope is thin ({diameter~})' : '',
    rope.sheath === 'new-treated' ? 'its sheath is new and slick' : '',
    device.wear === 'worn' ? 'the device is worn' : '',
  ].filter(Boolean);
  const open = [
    rope.sheath === 'unknown' ? 'the sheath of the rope' : '',
    device.wear === 'unknown' ? 'the wear of the device' : '',
  ].filter(Boolean);
  if (known.length + open.length === 0) return [];
  return [
    finding(
      {
        code: 'fit.cam-brakes-less',
        subject: ['device', part],
        because: `The cam grips thin or slick rope less; water and a heavy climber make it worse${known.length > 0 ? `: ${known.join(', ')}` : ''}.`,
        remedy:
          JOB_FACTS[job].goesDown && !JOB_FACTS[job].casualty
            ? 'Add friction: lead the brake strand over another connector.'
            : 'Keep the hand on the brake strand, and add friction before lowering.',
        numbers: thin ? [diameterNumber(input)] : [],
      },
      known.length > 0
        ? { severity: 'mind', says: `${literal(device.name)} brakes less on ${literal(rope.name)}.` }
        : {
            severity: 'untested',
            says: `Not entered yet: ${open.join(' and ')}. ${literal(device.name)} brakes less on slick rope and when worn.`,
          },
    ),
  ];
}

function tuning({ device, rope, part }: RopeInDeviceInput, traits: FamilyTraits): Finding[] {
  if (!traits.tuned) return [];
  const findings: Finding[] = [
    finding({
      code: 'fit.multi-needs-tuning',
      severity: 'untested',
      subject: ['device', part],
      says: `${literal(device.name)} holds ${literal(rope.name)} only when it is tuned to it.`,
      because: 'Its bollard is set for one rope, as that rope is now. Which ropes it takes stands in its instructions.',
      remedy: 'Tune it low above the ground with your weight on it, and use that tuning for this rope only.',
    }),
  ];
  if (rope.sheath === 'fuzzy' || rope.sheath === 'new-treated') {
    const soft = rope.sheath === 'fuzzy';
    findings.push(
      finding(
        {
          code: 'fit.multi-soft-sheath',
          severity: 'mind',
          subject: ['device', part],
          because: 'Firm round rope holds the tuning best.',
        },
        soft
          ? {
              says: `The soft sheath of ${literal(rope.name)} flattens in ${literal(device.name)}.`,
              remedy: 'Tune for this rope alone and try it low.',
            }
          : {
              says: `New treated rope runs otherwise in ${literal(device.name)} than after washing.`,
              remedy: 'Try it low, and tune again after the first wash.',
            },
      ),
    );
  }
  return findings;
}

function groove(input: RopeInDeviceInput, traits: FamilyTraits): Finding[] {
  if (!traits.grooves) return [];
  const { device, rope, part } = input;
  return [
    finding({
      code: 'fit.groove',
      severity: 'clear',
      subject: ['device', part],
      numbers: [diameterNumber(input)],
      says: `${literal(device.name)} has a wide and a narrow groove: use the one its instructions give for ${literal(rope.name)}.`,
      because: 'The rope is {diameter~} thick. The narrow groove brakes thin rope more; thick rope jams in it.',
      remedy:
        'Through the slot and around the body, connector in the lower hole; around the connector only is too little for most adults.',
    }),
  ];
}

function teeth({ device, rope, load, part }: RopeInDeviceInput, traits: FamilyTraits): Finding[] {
  if (!traits.teeth || JOB_FACTS[load.use].fallFactor === null) return [];
  return [
    finding({
      code: 'fit.teeth',
      // Where one falls onto it, how hard is judged by its force; elsewhere it is slack that nobody measures.
      severity: load.fall ? 'clear' : 'mind',
      subject: ['device', part],
      says: `${literal(device.name)} has teeth: a fall into slack can hurt the sheath of ${literal(rope.name)}.`,
      because: 'Teeth begin to hurt the sheath at about {force~}.',
      remedy: 'Keep the rope tight.',
      numbers: [
        { key: 'force', label: 'Sheath damaged from', quantity: 'strengthKn', value: constant('teethHurtSheathKn') },
      ],
    }),
  ];
}
