import { finding, literal, type Finding, type ElementId } from '../../foundations/finding/index.ts';
import { ropeLengthM, type Connector } from '../../things/gear/index.ts';
import { claimOf, connectorAt, connectors, type Context, type Judge } from '../elements/index.ts';
import { ropesOf, type LineOf } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly, minus } from '../../foundations/units/index.ts';

const inTree = ({ setup }: Context): boolean => setup.site.tree !== null;

/** Least strength of a connector that a person works on in a tree, kN: ANSI Z133. */
const LIFE_KN = 22.2;

/** Connectors that a person hangs on while working in a tree, by the standard that asks most of them. */
export const treeConnectorJudge: Judge = {
  id: 'tree-connector',
  subjects: (ctx) => (inTree(ctx) ? connectors(ctx) : []),
  claims: (ref) => [claimOf(ref, 'tree')],
  judge: (ref, ctx) => {
    const { item } = connectorAt(ref, ctx);
    return item && ctx.index.ownerOf(ref)!.use !== 'aid' ? lifeConnector(ref, item) : [];
  },
  reads: (ref) => [ref],
};

function lifeConnector(ref: ElementId, { name, lock, strengthMajorKn }: Connector): Finding[] {
  const locksItself = lock === 'two-action' || lock === 'three-action' || lock === 'magnetic';
  const weak = strengthMajorKn !== null && strengthMajorKn < LIFE_KN;
  // What is not known is said by gate and strength.
  if ((locksItself || lock === 'unknown') && !weak) return [];
  return [
    finding({
      code: 'connector.tree-life',
      severity: 'stop',
      subject: [ref],
      says: `${literal(name)} does not meet ANSI Z133 (USA) for tree climbing; other countries differ.`,
      because: `ANSI Z133 asks for ${[
        ...(weak ? ['at least {least}, and this one holds {major}'] : []),
        ...(locksItself || lock === 'unknown'
          ? []
          : ['a gate that closes and locks by itself and takes two actions to open']),
      ].join('; and for ')}. Other countries have rules of their own.`,
      remedy:
        'Use a connector that locks by itself in two actions or more, of 23 kN or more. Ask what holds where you work.',
      numbers: weak
        ? [
            { key: 'least', label: 'Asked for', quantity: 'strengthKn', value: exactly(LIFE_KN) },
            { key: 'major', label: 'Strength along', quantity: 'strengthKn', value: exactly(strengthMajorKn) },
          ]
        : [],
    }),
  ];
}

/** A line that is tied at the base of the tree goes up and comes down again. */
export const baseTieJudge: Judge = {
  id: 'base-tie',
  subjects: (ctx) => (inTree(ctx) ? ctx.setup.lines.filter((l) => l.kind === 'fixed').map((l) => l.id) : []),
  claims: (ref) => [claimOf(ref, 'base-tie')],
  judge: (ref, ctx) => {
    const line = ctx.line(ref) as LineOf<'fixed'>;
    const ropes = ropesOf(line);
    if (!ropes || ctx.descentM <= 0) return [];
    const haveM = ropeLengthM(ropes.ropeA);
    const needM = 2 * ctx.descentM + threshold('baseTieExtraM');
    const { tiedAt } = line.fastening;
    if (tiedAt === 'top' || haveM.low >= needM) return [];
    const atBase = tiedAt === 'base';
    const never = haveM.high < needM;
    return [
      finding({
        code: 'geometry.base-tie',
        severity: atBase ? (never ? 'stop' : 'mind') : 'untested',
        subject: [line.id],
        says: atBase
          ? `Tied at the base of the tree the line ${never ? 'does not reach' : 'may not reach'} the ground again.`
          : 'Not entered yet: where the line is tied, and for a tie at the base it is too short.',
        because: 'Tied at the base it takes {need} and the way to the base; there are {have~}, {margin~} to spare.',
        remedy: 'Anchor it in the canopy and plan how to lower a casualty, or use a longer rope.',
        numbers: [
          { key: 'need', label: 'Needed for a tie at the base', quantity: 'lengthM', value: exactly(needM) },
          { key: 'have', label: 'There is', quantity: 'lengthM', value: haveM },
          { key: 'margin', label: 'Line to spare', quantity: 'lengthM', value: minus(haveM, exactly(needM)) },
        ],
      }),
    ];
  },
  reads: (ref, ctx) => {
    const line = ctx.line(ref) as LineOf<'fixed'>;
    return [line.rope.id];
  },
};
