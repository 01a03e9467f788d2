import { finding, literal, type Finding, type FindingNumber, type ElementId } from '../../foundations/finding/index.ts';
import { cordStrengthKn } from '../../things/friction/index.ts';
import type { Attachment } from '../rig/index.ts';
import { threshold, type ConstantId, type SourceId } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import type { Context } from './context.ts';
import type { Judge } from './judge.ts';

interface Piece {
  readonly ref: ElementId;
  readonly name: string;
  readonly what: string;
  readonly source: SourceId;
  readonly strengths: readonly { readonly label: string; readonly kn: number | null; readonly leastKn: number }[];
}

const least = (id: ConstantId): number => threshold(id);

/** What a person hangs on, or would: nothing of what only helps a foot. */
const pieces = ({ setup }: Context): Piece[] => setup.attachments.filter((a) => a.use !== 'aid').flatMap(piecesOf);

function piecesOf(a: Attachment): Piece[] {
  const found = a.pieces.flatMap((p): Piece[] => {
    if (!p.item) return [];
    if (p.kind === 'connector')
      return [
        {
          ref: p.id,
          name: p.item.name,
          what: 'connector',
          source: 'en-12275',
          strengths: [
            { label: 'Strength along', kn: p.item.strengthMajorKn, leastKn: least('connectorLeastAlongKn') },
            { label: 'Strength across', kn: p.item.strengthMinorKn, leastKn: least('connectorLeastAcrossKn') },
            { label: 'Strength, gate open', kn: p.item.strengthOpenKn, leastKn: least('connectorLeastOpenKn') },
          ],
        },
      ];
    return [
      {
        ref: p.id,
        name: p.item.name,
        what: 'sling',
        source: 'en-566',
        strengths: [{ label: 'Strength', kn: p.item.strengthKn, leastKn: least('slingLeastKn') }],
      },
    ];
  });
  if (a.end.kind !== 'hitch' || !a.end.item) return found;
  const { name, declaredStrengthKn, nominalDiameterMm } = a.end.item;
  // A cord that is thinner than any of the standard is judged by its diameter.
  const leastKn = Math.floor(cordStrengthKn(nominalDiameterMm) * 10) / 10;
  return [
    ...found,
    {
      ref: a.end.id,
      name,
      what: `cord of ${nominalDiameterMm} mm`,
      source: 'en-564',
      strengths: [{ label: 'Strength of one strand', kn: declaredStrengthKn, leastKn }],
    },
  ];
}

/**
 * Life gear below what its standard asks is a Stop, whatever margin the load of this job leaves: it was never meant to
 * carry a person. What is not declared is said where the strength is judged. The least of any class of a standard
 * counts.
 */
export const leastClassJudge: Judge = {
  id: 'least-class',
  subjects: (ctx) => pieces(ctx).map((p) => p.ref),
  claims: () => [],
  judge: (ref, ctx): Finding[] => {
    const piece = pieces(ctx).find((p) => p.ref === ref)!;
    const below = piece.strengths.filter((s): s is typeof s & { kn: number } => s.kn !== null && s.kn < s.leastKn);
    const [first] = below;
    if (!first) return [];
    return [
      finding({
        code: 'rig.below-class',
        severity: 'stop',
        subject: [ref],
        says: `${literal(piece.name)} is weaker than any ${piece.what} made to hold a person.`,
        because: `${first.label}: {kn0}; the standard asks at least {least0}.`,
        remedy: `Use a ${piece.what.replace(/ of .*/, '')} made to its standard, and read its marks. If the figure is a mistake, correct it.`,
        numbers: below.flatMap(({ label, kn, leastKn }, i): FindingNumber[] => [
          { key: `kn${i}`, label, quantity: 'strengthKn', value: exactly(kn) },
          { key: `least${i}`, label: `${label}: least`, quantity: 'strengthKn', value: exactly(leastKn) },
        ]),
        sources: [piece.source],
      }),
    ];
  },
  reads: (ref) => [ref],
};
