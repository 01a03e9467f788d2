import { finding, literal, type ElementId } from '../../foundations/finding/index.ts';
import type { Connector, Cord, Harness, Rope, Sling } from '../../things/gear/index.ts';
import { thingsOf } from '../rig/index.ts';
import type { Context } from './context.ts';
import { claimOf, type Judge } from './judge.ts';

type Worn = Rope | Cord | Sling | Harness | Connector;

/** Everything in a rig that is looked over by eye and hand, by where it stands. */
function lookedOver({ setup }: Context): { ref: ElementId; item: Worn | null }[] {
  return thingsOf(setup).flatMap((thing): { ref: ElementId; item: Worn | null }[] => {
    if (thing.kind === 'rope') return [{ ref: thing.id, item: thing.item }];
    if (thing.kind === 'harness') return [{ ref: thing.id, item: thing.person.harness }];
    if (thing.kind === 'sling' && thing.piece.kind === 'sling') return [{ ref: thing.id, item: thing.piece.item }];
    if (thing.kind === 'connector' && thing.piece.kind === 'connector')
      return [{ ref: thing.id, item: thing.piece.item }];
    return thing.kind === 'hitch' && thing.end.kind === 'hitch' ? [{ ref: thing.id, item: thing.end.item }] : [];
  });
}

const WHAT = { rope: 'rope', cord: 'cord', sling: 'sling', harness: 'harness', connector: 'connector' } as const;

/** The condition of ropes, cords, slings, harnesses and connectors, as it was looked over. */
export const conditionJudge: Judge = {
  id: 'condition',
  subjects: (ctx) => lookedOver(ctx).map((f) => f.ref),
  claims: (ref) => [claimOf(ref, 'condition')],
  judge: (ref, ctx) => {
    const item = lookedOver(ctx).find((f) => f.ref === ref)?.item;
    if (!item || item.condition === 'sound') return [];
    const name = literal(item.name);
    const severity = { damaged: 'stop', worn: 'mind', unknown: 'untested' } as const;
    return [
      finding({
        code: 'rig.condition',
        severity: severity[item.condition],
        subject: [ref],
        says: {
          damaged: `${name} is entered as damaged.`,
          worn: `${name} is entered as worn.`,
          unknown: `It is not entered in what condition ${name} is.`,
        }[item.condition],
        because:
          item.kind === 'connector'
            ? 'A groove that can be felt cuts rope and weakens the bar; a gate that sticks does not close, and a worn sleeve does not lock.'
            : 'Fibre is weakened by cuts, edges, heat, acid and sunlight, and some damage you can only feel: soft, stiff or flat spots.',
        remedy:
          item.condition === 'damaged'
            ? `Take another ${WHAT[item.kind]}, and mark this one so that nobody uses it.`
            : item.kind === 'connector'
              ? 'Feel along the bar for grooves and edges, let the gate snap shut ten times, lock it, and compare with the maker’s retirement limits. Then enter it.'
              : `Run all of it through your hands, look at every seam, and compare with the maker’s retirement limits. Then enter it.`,
      }),
    ];
  },
  reads: (ref) => [ref],
};
