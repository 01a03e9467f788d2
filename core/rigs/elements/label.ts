import { finding, literal, type Finding, type FindingNumber, type ElementId } from '../../foundations/finding/index.ts';
import {
  diameterOf,
  ROPE_CONSTRUCTIONS,
  type Cord,
  type Rope,
  type RopeConstruction,
} from '../../things/gear/index.ts';
import { hitchOf, ropeSlots } from '../rig/index.ts';
import { constant, threshold, type ConstantId } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import type { Context } from './context.ts';
import { claimOf, type Judge } from './judge.ts';

const labelled = ({ setup }: Context): { readonly ref: ElementId; readonly item: Rope | Cord | null }[] => [
  ...setup.lines.flatMap((l) => ropeSlots(l).map(({ id, item }) => ({ ref: id, item }))),
  ...setup.attachments.flatMap((a) => {
    const hitch = hitchOf(a);
    return hitch ? [{ ref: hitch.id, item: hitch.item }] : [];
  }),
];

/**
 * What is entered of a rope or cord and cannot all be true: which of it is wrong is not known, and everything else
 * rests on it.
 */
export const labelJudge: Judge = {
  id: 'label',
  subjects: (ctx) => labelled(ctx).map((l) => l.ref),
  claims: (ref) => [claimOf(ref, 'label')],
  judge: (ref, ctx) => {
    const item = labelled(ctx).find((l) => l.ref === ref)!.item;
    return item
      ? [
          ...diameter(ref, item),
          ...(item.kind === 'rope' ? [...length(ref, item), ...size(ref, item), ...tests(ref, item)] : []),
        ]
      : [];
  },
  reads: (ref) => [ref],
};

const MADE_IN = {
  single: 'madeSingleMm',
  half: 'madeHalfMm',
  twin: 'madeTwinMm',
  'low-stretch': 'madeLowStretchMm',
} as const satisfies Partial<Record<RopeConstruction, ConstantId>>;

/** A diameter in which no rope of its kind is made; below all of them it is cord, whatever it is called. */
function size(ref: ElementId, rope: Rope): Finding[] {
  const { diameterMm } = diameterOf(rope);
  if (diameterMm.high < threshold('cordMm'))
    return [
      finding({
        code: 'rig.rope-size',
        severity: 'stop',
        subject: [ref],
        says: `${literal(rope.name)} is {diameter} thick: thinner than any rope that is made to carry a person.`,
        because: 'This is accessory cord, not a rope: it cuts, wears and melts easily and a hand can hardly grip it.',
        remedy: 'Use a rope. If the diameter is a mistake, put it right.',
        numbers: [{ key: 'diameter', label: 'Diameter', quantity: 'diameterMm', value: diameterMm }],
      }),
    ];
  if (rope.construction === 'other') return [];
  const made = constant(MADE_IN[rope.construction]);
  if (rope.nominalDiameterMm >= made.low && rope.nominalDiameterMm <= made.high) return [];
  return [
    finding({
      code: 'rig.rope-size',
      severity: 'untested',
      subject: [ref],
      says: `${literal(rope.name)} is entered as a ${ROPE_CONSTRUCTIONS[rope.construction].toLowerCase()} of {label}: that kind is made from {from} to {to}.`,
      because: 'The kind or the diameter is a mistake, and everything else rests on both.',
      remedy: 'Read the mark at the end of the rope, and measure it.',
      numbers: [
        {
          key: 'label',
          label: 'Diameter on the label',
          quantity: 'diameterMm',
          value: exactly(rope.nominalDiameterMm),
        },
        { key: 'from', label: 'Thinnest of its kind', quantity: 'diameterMm', value: exactly(made.low) },
        { key: 'to', label: 'Thickest of its kind', quantity: 'diameterMm', value: exactly(made.high) },
      ],
    }),
  ];
}

const TESTED = {
  single: ['impactSingleKn', 'stretchSingle'],
  half: ['impactHalfKn', 'stretchHalf'],
  twin: ['impactTwinKn', 'stretchTwin'],
  'low-stretch': ['impactLowKn', 'stretchLow'],
} as const satisfies Partial<Record<RopeConstruction, readonly [ConstantId, ConstantId]>>;

/**
 * What its standard does not allow a rope of this kind cannot stand on its label: every force and every stretch rests
 * on it.
 */
function tests(ref: ElementId, rope: Rope): Finding[] {
  if (rope.construction === 'other') return [];
  const [impact, stretch] = TESTED[rope.construction];
  const found: FindingNumber[] = [];
  const over = (
    key: string,
    label: string,
    quantity: FindingNumber['quantity'],
    value: number | null,
    most: number,
  ) => {
    if (value === null || value <= most) return;
    found.push(
      { key, label, quantity, value: exactly(value) },
      { key: `${key}Most`, label: `${label}: most that its standard allows`, quantity, value: exactly(most) },
    );
  };
  over('impact', 'Impact force on the label', 'strengthKn', rope.impactForceKn, constant(impact).high);
  if (rope.stretchTest === 'standard')
    over('stretch', 'Static stretch on the label', 'percent', rope.staticStretchPercent, constant(stretch).high * 100);
  const [first, most] = found;
  if (!first || !most) return [];
  return [
    finding({
      code: 'rig.label-contradicts',
      severity: 'untested',
      subject: [ref],
      says: `The label of ${literal(rope.name)} does not fit its kind: ${first.label.toLowerCase()} {${first.key}}.`,
      because: `The standard allows a ${ROPE_CONSTRUCTIONS[rope.construction].toLowerCase()} at most {${most.key}}. The kind or the figure is a mistake.`,
      remedy: 'Read the label again: kind of rope, impact force and static stretch.',
      numbers: found,
    }),
  ];
}

const contradicts = (ref: ElementId, name: string, what: string, numbers: readonly FindingNumber[]): Finding =>
  finding({
    code: 'rig.label-contradicts',
    severity: 'untested',
    subject: [ref],
    says: `Label and measurement of ${literal(name)} do not fit together: ${what}.`,
    because: 'On the label {label}, measured {measured}: one of them is a mistake, and it is not known which.',
    remedy: 'Measure again, and look whether it is the right label.',
    numbers,
  });

function diameter(ref: ElementId, { name, nominalDiameterMm, measuredDiameterMm }: Rope | Cord): Finding[] {
  if (measuredDiameterMm === null) return [];
  if (Math.abs(measuredDiameterMm - nominalDiameterMm) < threshold('diameterDoubtfulMm')) return [];
  return [
    contradicts(ref, name, 'the diameter', [
      { key: 'label', label: 'Diameter on the label', quantity: 'diameterMm', value: exactly(nominalDiameterMm) },
      { key: 'measured', label: 'Diameter, measured', quantity: 'diameterMm', value: exactly(measuredDiameterMm) },
    ]),
  ];
}

/** A rope may have been cut short; one that grew has another label. */
function length(ref: ElementId, { name, lengthM, measuredLengthM }: Rope): Finding[] {
  if (measuredLengthM === null) return [];
  const ratio = measuredLengthM / lengthM;
  if (ratio >= threshold('ropeLengthDoubtfulLow') && ratio <= threshold('ropeLengthDoubtfulHigh')) return [];
  return [
    contradicts(ref, name, 'the length', [
      { key: 'label', label: 'Length on the label', quantity: 'lengthM', value: exactly(lengthM) },
      { key: 'measured', label: 'Length, measured', quantity: 'lengthM', value: exactly(measuredLengthM) },
    ]),
  ];
}
