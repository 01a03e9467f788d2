import {
  finding,
  type Finding,
  type FindingNumber,
  literal,
  strengthAgainst,
  tooLittle,
} from '../../foundations/finding/index.ts';
import { diameterOf, type Cord, type Harness, type Person, type Rope } from '../gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, scale, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../../foundations/units/index.ts';
import { sheathOfBoth, type Weather } from './conditions.ts';
import { cordStrengthKn, hitchGripMargin } from './hitch-grip.ts';
import { HITCH_FACTS, HITCHES, type HitchKind } from './hitch-kinds.ts';

/** A cord tied around a rope: what can be judged before it hangs on anything. */
export interface HitchOnRopeInput {
  readonly cord: Cord;
  readonly ropeA: Rope;
  readonly ropeB: Rope | null;
  readonly climber: Person;
  readonly weather: Weather;
  readonly kind: HitchKind;
  readonly wraps: number;
  /** Strands that it is tied around; two when left out. */
  readonly around?: 'one' | 'two';
}

export interface HitchInput extends HitchOnRopeInput {
  readonly harness: Harness;
  readonly strands: 'both' | 'one' | 'unknown';
  readonly eyes: 'both' | 'one' | 'unknown';
  readonly attachedTo: 'leg-loop' | 'belay-loop';
}

const LOW_MELTING: ReadonlySet<Cord['material']> = new Set(['uhmwpe']);
/**
 * Wraps that practice asks for around one strand or two, and above which a hitch is slow to let go
 * (`practice-hitch-wraps`).
 */
const WRAPS_LEAST = { one: 4, two: 3 } as const;
const WRAPS_MANY = { one: 6, two: 5 } as const;

/** Every judgement about the friction hitch itself; its clearance to the device is judged in `geometry`. */
export const hitchFindings = (input: HitchInput): Finding[] => [
  ...onRope(input),
  ...wiring(input),
  ...release(input),
  ...legLoop(input),
];

/** The judgements that need only cord, rope and person. */
export const hitchOnRope = (input: HitchOnRopeInput): Finding[] => [...onRope(input), ...release(input)];

const onRope = (input: HitchOnRopeInput): Finding[] => [
  grip(input),
  ...wraps(input),
  ...ratio(input),
  ...material(input),
  ...small(input),
  strength(input),
];

function ropeDiameterMm({ ropeA, ropeB }: HitchOnRopeInput): number {
  // The thicker strand gives the lower cord-to-rope ratio, the thinner one the poorer bite: judge the bite.
  const a = diameterOf(ropeA).diameterMm.best;
  return ropeB ? Math.min(a, diameterOf(ropeB).diameterMm.best) : a;
}

function grip(input: HitchOnRopeInput): Finding {
  const { cord, ropeA, ropeB, weather } = input;
  const sheath = sheathOfBoth(ropeA, ropeB);
  const cordDiameterMm = diameterOf(cord).diameterMm.best;
  const margin = hitchGripMargin({
    cordDiameterMm,
    ropeDiameterMm: ropeDiameterMm(input),
    wraps: input.wraps,
    material: cord.material,
    weather,
    sheath,
  });
  const numbers: FindingNumber[] = [
    { key: 'margin', label: 'Wraps there over wraps needed', quantity: 'ratio', value: margin },
    { key: 'wraps', label: 'Wraps', quantity: 'count', value: exactly(input.wraps) },
  ];
  const because = 'Estimated from wraps, fibre, diameters and conditions: {margin~} of the wraps needed.';
  const severity = tooLittle(margin, { stop: 1 });
  if (severity === 'stop') {
    return finding({
      code: 'hitch.slips',
      severity: 'stop',
      subject: ['hitch'],
      because,
      numbers,
      says: 'This hitch is likely to slip.',
      remedy: 'Add wraps or take a more supple cord of the right diameter, then test it on this rope.',
    });
  }
  if (severity !== 'clear') {
    return finding({
      code: 'hitch.grip-doubtful',
      severity,
      subject: ['hitch'],
      because,
      numbers,
      says: 'This hitch may slip.',
      remedy: 'Add a wrap, and test it on this rope with the other hand holding the rope below.',
    });
  }
  return finding({
    code: 'hitch.grips',
    severity: 'clear',
    subject: ['hitch'],
    because,
    numbers,
    says: `By the estimate ${input.wraps} wraps are enough for this cord on this rope.`,
    remedy: 'Test it anyway: it must grip before you trust it.',
  });
}

function wraps(input: HitchOnRopeInput): Finding[] {
  const around = input.around ?? 'two';
  if (input.wraps >= WRAPS_LEAST[around]) return [];
  return [
    finding(
      {
        code: 'hitch.few-wraps',
        severity: 'mind',
        subject: ['hitch'],
        says: `Only ${input.wraps} ${input.wraps === 1 ? 'wrap' : 'wraps'} around the rope.`,
      },
      around === 'two'
        ? { because: 'Practice takes three to four around both brake strands.', remedy: 'Make it three or four.' }
        : { because: 'Practice takes four to five around one strand.', remedy: 'Make it four or five.' },
    ),
  ];
}

function ratio(input: HitchOnRopeInput): Finding[] {
  const cordMm = diameterOf(input.cord).diameterMm;
  const ropeMm = ropeDiameterMm(input);
  const value = scale(cordMm, 1 / ropeMm);
  const numbers: FindingNumber[] = [
    { key: 'ratio', label: 'Cord over rope', quantity: 'ratio', value },
    { key: 'cord', label: 'Cord', quantity: 'diameterMm', value: cordMm },
    { key: 'rope', label: 'Rope', quantity: 'diameterMm', value: exactly(ropeMm) },
  ];
  if (value.best > threshold('hitchRatioHigh')) {
    const stop = value.best >= threshold('hitchRatioTooHigh');
    return [
      finding({
        code: 'hitch.cord-thick',
        severity: stop ? 'stop' : 'mind',
        subject: ['hitch'],
        numbers,
        says: 'The cord is thick for this rope and bites poorly.',
        because: '{cord} cord on {rope} rope is a ratio of {ratio}; practice takes 0.6 to 0.8.',
        remedy: 'Use a thinner cord.',
      }),
    ];
  }
  if (value.best < threshold('hitchRatioLow')) {
    return [
      finding({
        code: 'hitch.cord-thin',
        severity: 'mind',
        subject: ['hitch'],
        numbers,
        says: 'The cord is thin for this rope: it binds hard and is hard to free.',
        because: '{cord} cord on {rope} rope is a ratio of {ratio}; practice takes 0.6 to 0.8.',
        remedy: 'Use a thicker cord.',
      }),
    ];
  }
  return [];
}

function material({ cord }: HitchOnRopeInput): Finding[] {
  if (LOW_MELTING.has(cord.material)) {
    return [
      finding({
        code: 'hitch.low-melting',
        severity: 'stop',
        subject: ['hitch'],
        says: `${literal(cord.name)} melts at a low temperature: not as a sliding hitch.`,
        because: 'UHMWPE softens at about 145 °C, which a hitch that slides can reach, and it is slippery.',
        remedy: 'Use a cord with a polyamide, polyester or aramid sheath.',
      }),
    ];
  }
  if (cord.material === 'unknown') {
    return [
      finding({
        code: 'hitch.material-unknown',
        severity: 'untested',
        subject: ['hitch'],
        says: `It is not known what ${literal(cord.name)} is made of.`,
        because: 'Some fibres melt when a hitch slides.',
        remedy: 'Find out and enter it, or take a cord that you know.',
      }),
    ];
  }
  return [];
}

/** The smaller of label and measurement: a cord that was thinner than its label once has lost something. */
const cordMm = ({ nominalDiameterMm, measuredDiameterMm }: Cord): number =>
  Math.min(nominalDiameterMm, measuredDiameterMm ?? nominalDiameterMm);

function small({ cord }: HitchOnRopeInput): Finding[] {
  const leastMm = threshold('hitchCordLeastMm');
  if (cordMm(cord) >= leastMm) return [];
  return [
    finding({
      code: 'hitch.cord-small',
      severity: 'stop',
      subject: ['hitch'],
      says: `${literal(cord.name)} is too thin to hold a person.`,
      because: 'It is {cord}; {least} is the usual minimum for a hitch that must hold a person.',
      remedy: 'Use a cord of 5 to 7 mm that suits the rope.',
      numbers: [
        { key: 'cord', label: 'Cord', quantity: 'diameterMm', value: exactly(cordMm(cord)) },
        { key: 'least', label: 'Least', quantity: 'diameterMm', value: exactly(leastMm) },
      ],
    }),
  ];
}

function strength({ cord, climber }: HitchOnRopeInput): Finding {
  // The standard is what a cord of that kind must hold; whether this one is such a cord only its label tells.
  const known = cord.declaredStrengthKn;
  if (known === null) {
    return finding({
      code: 'hitch.strength-unknown',
      severity: 'untested',
      subject: ['hitch'],
      says: `The strength of ${literal(cord.name)} is not known.`,
      because:
        cord.material === 'unknown'
          ? 'No strength is entered and the fibre is not known.'
          : 'No strength is entered. A cord after EN 564 of this diameter holds {standard} at least; whether this one is such a cord is not known.',
      remedy: 'Read the label and enter it.',
      numbers:
        cord.material === 'unknown'
          ? []
          : [
              {
                key: 'standard',
                label: 'Least after EN 564',
                quantity: 'strengthKn',
                value: exactly(cordStrengthKn(cordMm(cord))),
              },
            ],
    });
  }
  const knot: Interval = cord.closure === 'sewn' ? exactly(1) : constant('strengthLeftInKnot');
  // Two parts of the loop carry, the weaker of them through the knot.
  const loopKn = scale(knot, 2 * known);
  const loadKn = (threshold('jerkFactor') * climber.massKg * STANDARD_GRAVITY_M_PER_S2) / 1000;
  const margin = scale(loopKn, 1 / loadKn);
  const severity = strengthAgainst(loopKn, loadKn);
  return finding({
    code: 'hitch.strength',
    severity,
    subject: ['hitch'],
    says: severity === 'clear' ? 'The cord is strong enough for this load.' : 'The cord is weak for this load.',
    because: `The loop holds {loop~}, a shock load is {load}.`,
    remedy: severity === 'clear' ? '' : 'Use a thicker or stronger cord.',
    numbers: [
      { key: 'loop', label: 'Strength of the loop', quantity: 'strengthKn', value: loopKn },
      { key: 'load', label: 'Shock load', quantity: 'strengthKn', value: exactly(loadKn) },
      { key: 'margin', label: 'Strength over load', quantity: 'ratio', value: margin },
    ],
  });
}

function wiring({ strands, eyes, around = 'two' }: HitchInput): Finding[] {
  const findings: Finding[] = [];
  if (around === 'two' && strands !== 'both') {
    findings.push(
      finding(
        {
          code: 'hitch.strands',
          subject: ['hitch'],
          because: 'The strand outside the hitch runs on when the hand lets go, and the rope pulls through the anchor.',
          remedy: 'Wrap the cord around both brake strands together.',
        },
        strands === 'one'
          ? { severity: 'stop', says: 'The hitch holds only one of the two strands.' }
          : { severity: 'untested', says: 'Not entered yet: whether the hitch holds both strands.' },
      ),
    );
  }
  if (eyes !== 'both') {
    findings.push(
      finding(
        {
          code: 'hitch.eyes',
          subject: ['hitch', 'hitchConnector'],
          because: 'With one end clipped the wraps unroll under load.',
          remedy: 'Clip both ends of the loop into the connector.',
        },
        eyes === 'one'
          ? { severity: 'stop', says: 'Only one end of the cord loop is clipped.' }
          : { severity: 'untested', says: 'Not entered yet: whether both ends of the cord loop are clipped.' },
      ),
    );
  }
  return findings;
}

function release({ kind, wraps: count, around = 'two' }: HitchOnRopeInput): Finding[] {
  const many = count > WRAPS_MANY[around];
  if (HITCH_FACTS[kind].letsGo && !many) return [];
  return [
    finding(
      {
        code: 'hitch.hard-to-release',
        severity: 'mind',
        subject: ['hitch'],
        because: 'After stopping you must be able to release it on your own.',
      },
      many
        ? {
            says: `${count} wraps will be slow to let go and drag all the way.`,
            remedy: `Take ${around === 'two' ? 'three or four' : 'four or five'} wraps.`,
          }
        : {
            says: `A ${HITCHES[kind]} is hard to release once it holds your weight.`,
            remedy: 'Use a French Prusik (autoblock) below the device, or carry what you need to unweight it.',
          },
    ),
  ];
}

function legLoop({ attachedTo, harness }: HitchInput): Finding[] {
  if (attachedTo !== 'leg-loop' || harness.legBuckleTakesLoad === 'sewn' || harness.legBuckleTakesLoad === 'rated')
    return [];
  const known = harness.legBuckleTakesLoad === 'not-rated';
  return [
    finding(
      {
        code: known ? 'hitch.leg-loop-buckle' : 'hitch.leg-loop-unknown',
        subject: ['legLoop', 'harness'],
        because: 'When you let go, the hitch pulls on the leg loop.',
      },
      known
        ? {
            severity: 'stop',
            says: `The leg-loop buckle of ${literal(harness.name)} is not made to take load.`,
            remedy: 'Clip the hitch to the belay loop and make the extension longer.',
          }
        : {
            severity: 'untested',
            says: `It is not known whether the leg-loop buckle of ${literal(harness.name)} takes load.`,
            remedy: 'Look it up in the instructions of the harness.',
          },
    ),
  ];
}
