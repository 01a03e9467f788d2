import { finding, type Finding } from '../../foundations/finding/index.ts';
import { ropeLengthM, type Rope } from '../gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, minus } from '../../foundations/units/index.ts';
import { ropeLengthFinding } from './rope-length.ts';

export interface LineLengthInput {
  readonly rope: Rope;
  /** From the anchor along the rope to where one stands next, m, > 0. */
  readonly heightM: number;
  /** Rope needed over the height: 1 for one strand, 2 where it goes up and comes down again. */
  readonly perHeight: number;
  /** Rope beside the height, m: see `ropeLengthFinding`. */
  readonly extraM?: number;
  /** The rope is pulled down afterwards by its other strand, which has to reach as well. */
  readonly pulledDown: boolean;
  readonly end: 'knotted' | 'tied' | 'open' | 'unknown';
  readonly endsAt: 'ground' | 'ledge';
}

/** One rope on one line: long enough, its free end closed, and long enough to be pulled down. */
export function lineLengthFindings(input: LineLengthInput): Finding[] {
  const { rope, heightM, perHeight, extraM = 0, pulledDown } = input;
  return [
    ropeLengthFinding({ rope, heightM, perHeight, extraM }),
    endClosed(input),
    ...(pulledDown ? pullStrand(input) : []),
  ];
}

function endClosed({ rope, heightM, perHeight, extraM = 0, end, endsAt }: LineLengthInput): Finding {
  const subject = ['ropeEnds'] as const;
  if (end === 'knotted' || end === 'tied') {
    return finding(
      { code: 'geometry.ends-knotted', severity: 'clear', subject, because: 'It cannot run through the device.' },
      end === 'knotted'
        ? { says: 'The free end of the rope is knotted.', remedy: 'Untie it before you pull the rope down.' }
        : { says: 'The free end of the rope is tied in.' },
    );
  }
  if (end === 'unknown') {
    return finding({
      code: 'geometry.ends-unknown',
      severity: 'untested',
      subject,
      says: 'Not entered yet: whether the free end of the rope is knotted.',
      because: 'An open end that comes up short runs through the device.',
      remedy: 'Enter it, and knot the end before anyone uses the rope.',
    });
  }
  const toSpareM = minus(ropeLengthM(rope), exactly(perHeight * heightM + extraM));
  // Up and down again: the belayer stands aside, moves, and holds some rope in the hand.
  const spareM = threshold(perHeight > 1 ? 'closedSystemM' : 'ropeEndMarginM');
  const surelyDown = endsAt === 'ground' && toSpareM.low >= spareM;
  return finding(
    {
      code: 'geometry.ends-open',
      subject,
      says: 'The free end of the rope is not knotted.',
      remedy:
        perHeight > 1 ? 'Tie a stopper knot in the end, or tie the belayer in.' : 'Tie a stopper knot in the end.',
      numbers: [
        { key: 'spare', label: 'Rope to spare', quantity: 'lengthM', value: toSpareM },
        { key: 'asked', label: 'Asked for with an open end', quantity: 'lengthM', value: exactly(spareM) },
      ],
    },
    surelyDown
      ? {
          severity: 'mind',
          because: 'On the lengths entered there is {spare~} to spare, but a wrong length would go unnoticed.',
        }
      : {
          severity: 'stop',
          because:
            'With {spare~} to spare it is not certain that the rope reaches: its end can run through the device.',
        },
  );
}

function pullStrand({ rope, heightM }: LineLengthInput): Finding[] {
  const haveM = minus(ropeLengthM(rope), constant('endKnotM'));
  const needM = exactly(2 * heightM);
  const marginM = minus(haveM, needM);
  if (marginM.low >= 0) return [];
  return [
    finding({
      code: 'geometry.pull-strand-short',
      severity: 'mind',
      subject: ['ropeA', 'ropeEnds'],
      says: 'The rope is not twice the height: either your strand or the pull strand is too short.',
      because:
        'Both strands take {need}, knots apart there are {have~}. Blocked at its middle, it ends above the stance.',
      remedy:
        'Block it so that your strand reaches, and see its end there. Tie a second rope or a cord to the strand that is pulled, take a longer rope, or leave this one.',
      numbers: [
        { key: 'margin', label: 'Both strands beyond the stance', quantity: 'lengthM', value: marginM },
        { key: 'need', label: 'Needed', quantity: 'lengthM', value: needM },
        { key: 'have', label: 'There is', quantity: 'lengthM', value: haveM },
      ],
    }),
  ];
}
