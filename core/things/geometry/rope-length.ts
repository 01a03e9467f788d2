import { finding, type Finding, literal, tooLittle } from '../../foundations/finding/index.ts';
import { ropeLengthM, type Rope } from '../gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, minus } from '../../foundations/units/index.ts';

export interface RopeLengthInput {
  readonly rope: Rope;
  /** Height of the site along the rope, m, > 0. */
  readonly heightM: number;
  /** Rope needed over the height: 1 for one strand, 2 where it goes up and comes down again. */
  readonly perHeight: number;
  /** Rope beside the height, m, >= 0: a tie-in knot, the way from the wall to the belayer. Left out: none. */
  readonly extraM?: number;
}

/** Is one rope long enough for a job, its end knot taken off? The doubled rappel is judged by `ropeBudget` instead. */
export function ropeLengthFinding({ rope, heightM, perHeight, extraM = 0 }: RopeLengthInput): Finding {
  const needM = perHeight * heightM + extraM;
  const haveM = minus(ropeLengthM(rope), constant('endKnotM'));
  const marginM = minus(haveM, exactly(needM));
  const severity = tooLittle(marginM, { stop: 0, mind: threshold('ropeEndMarginM') });
  const code =
    severity === 'stop'
      ? 'geometry.rope-too-short'
      : severity !== 'clear'
        ? 'geometry.rope-barely-reaches'
        : 'geometry.rope-reaches';
  return finding({
    code,
    severity,
    subject: ['ropeA', 'ropeEnds'],
    says:
      severity === 'stop'
        ? `${literal(rope.name)} is too short for this height.`
        : severity !== 'clear'
          ? `${literal(rope.name)} may be too short for this height.`
          : `${literal(rope.name)} is long enough, by {margin~}.`,
    because: `You need {need}${perHeight > 1 ? ', up and down' : ''}${extraM > 0 ? ', with the tie-in knot and the belayer’s way from the wall' : ''}; after the end knot you have {have~}.`,
    remedy:
      severity === 'clear'
        ? 'Knot the end anyway.'
        : severity === 'untested'
          ? 'Measure the rope, or see its end where it has to reach; knot the end before anybody trusts it.'
          : 'Use a longer rope, and knot the end before anybody trusts it.',
    numbers: [
      { key: 'margin', label: 'Rope to spare', quantity: 'lengthM', value: marginM },
      { key: 'need', label: 'Needed', quantity: 'lengthM', value: exactly(needM) },
      { key: 'have', label: 'There is', quantity: 'lengthM', value: haveM },
    ],
  });
}
