import { finding, literal, type Finding, type FindingNumber, type Ref } from '../finding/index.ts';
import type { Cord, Rope } from '../gear/index.ts';
import { hitchOf, ropeSlots } from '../rig/index.ts';
import { threshold } from '../sources/index.ts';
import { exactly } from '../units/index.ts';
import type { Context } from './context.ts';
import { about, type Judge } from './judge.ts';

const labelled = ({ setup }: Context): { readonly ref: Ref; readonly item: Rope | Cord | null }[] => [
  ...setup.lines.flatMap((l) => ropeSlots(l).map(({ id, item }) => ({ ref: id, item }))),
  ...setup.attachments.flatMap((a) => {
    const hitch = hitchOf(a);
    return hitch ? [{ ref: hitch.id, item: hitch.item }] : [];
  }),
];

/** A label and a measurement that cannot both be true: which of them is wrong is not known, and everything else rests on it. */
export const labelJudge: Judge = {
  id: 'label',
  subjects: (ctx) => labelled(ctx).map((l) => l.ref),
  claims: (ref) => [about(ref, 'label')],
  judge: (ref, ctx) => {
    const item = labelled(ctx).find((l) => l.ref === ref)!.item;
    return item ? [...diameter(ref, item), ...(item.kind === 'rope' ? length(ref, item) : [])] : [];
  },
  reads: (ref) => [ref],
};

const contradicts = (ref: Ref, name: string, what: string, numbers: readonly FindingNumber[]): Finding =>
  finding({
    code: 'rig.label-contradicts',
    severity: 'untested',
    subject: [ref],
    says: `Label and measurement of ${literal(name)} do not fit together: ${what}.`,
    because: 'On the label {label}, measured {measured}: one of them is a mistake, and it is not known which.',
    remedy: 'Measure again, and look whether it is the right label.',
    numbers,
  });

function diameter(ref: Ref, { name, nominalDiameterMm, measuredDiameterMm }: Rope | Cord): Finding[] {
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
function length(ref: Ref, { name, lengthM, measuredLengthM }: Rope): Finding[] {
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
