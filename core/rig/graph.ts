import type { Ref } from '../finding/index.ts';
import type { Setup } from './setup.ts';

/** One part of the rig as it stands in this set-up. */
export interface RigNode {
  readonly part: Ref;
  readonly name: string;
}

/** How one part is made fast to another. `carries`: body weight hangs on it all the way; a backup carries only when needed. */
export interface RigEdge {
  readonly from: Ref;
  readonly to: Ref;
  readonly how: string;
  readonly carries: boolean;
}

export interface RigGraph {
  readonly nodes: readonly RigNode[];
  readonly edges: readonly RigEdge[];
}

/**
 * What is connected to what, from the harness up to the anchor and down to the rope ends. Parts that are not chosen have no node,
 * and an edge that lacks an end is left out.
 */
export function rigGraph({ gear, rig, people, situation }: Setup): RigGraph {
  const joined = rig.ropeUse === 'joined';
  const nodes: RigNode[] = [];
  const node = (part: Ref, name: string | undefined) => {
    if (name !== undefined) nodes.push({ part, name });
  };
  node('climber', people.climber?.name);
  node('harness', gear.harness?.name);
  node('extension', gear.extension?.name);
  node('deviceConnector', gear.deviceConnector?.name);
  node('extraConnector', gear.extraConnector?.name);
  node('device', gear.device?.name);
  node('ropeA', gear.ropeA?.name);
  if (joined) {
    node('ropeB', gear.ropeB?.name);
    node('joiningKnot', 'Joining knot');
  }
  node('hitch', gear.hitchCord?.name);
  node('hitchConnector', gear.hitchConnector?.name);
  if (rig.hitchAt === 'leg-loop') node('legLoop', 'Leg loop');
  node('anchor', situation.anchorRope === 'textile' ? 'Textile sling' : 'Rings or links');
  node('ropeEnds', 'Rope ends');

  const hitchPoint: Ref = rig.hitchAt === 'leg-loop' ? 'legLoop' : 'harness';
  const all: RigEdge[] = [
    { from: 'climber', to: 'harness', how: 'worn, buckled', carries: true },
    {
      from: 'harness',
      to: 'extension',
      how: `${rig.extensionMethod === 'girth' ? 'girth hitch' : 'doubled through'} ${gear.harness?.attachment === 'two-points' ? 'both tie-in points' : 'the belay loop'}`,
      carries: true,
    },
    { from: 'extension', to: 'deviceConnector', how: 'clipped, every strand of the sling', carries: true },
    {
      from: 'deviceConnector',
      to: 'device',
      how: `clipped through ${rig.deviceStrands === 'one' ? 'one bight' : 'both bights'} and the keeper of the device`,
      carries: true,
    },
    ...(gear.extraConnector
      ? [
          {
            from: 'extraConnector',
            to: 'device',
            how: 'clipped beside the first, gates opposed',
            carries: true,
          } as const,
        ]
      : []),
    { from: 'device', to: 'ropeA', how: joined ? 'one slot' : 'both slots', carries: true },
    ...(joined
      ? [
          { from: 'device', to: 'ropeB', how: 'the other slot', carries: true } as const,
          { from: 'ropeA', to: 'joiningKnot', how: 'tied', carries: true } as const,
          { from: 'ropeB', to: 'joiningKnot', how: 'tied', carries: true } as const,
        ]
      : []),
    { from: 'ropeA', to: 'anchor', how: 'passed through', carries: true },
    {
      from: 'hitch',
      to: 'ropeA',
      how: `${rig.hitchWraps} wraps around ${rig.hitchStrands === 'one' ? 'one strand' : 'both strands'} below the device`,
      carries: false,
    },
    {
      from: 'hitch',
      to: 'hitchConnector',
      how: rig.hitchEyes === 'one' ? 'one end clipped' : 'both ends clipped',
      carries: false,
    },
    { from: 'hitchConnector', to: hitchPoint, how: 'clipped', carries: false },
    ...(rig.hitchAt === 'leg-loop'
      ? [{ from: 'legLoop', to: 'harness', how: 'part of it', carries: false } as const]
      : []),
    { from: 'ropeA', to: 'ropeEnds', how: rig.ends, carries: false },
  ];
  const present = new Set(nodes.map((n) => n.part));
  return { nodes, edges: all.filter((edge) => present.has(edge.from) && present.has(edge.to)) };
}
