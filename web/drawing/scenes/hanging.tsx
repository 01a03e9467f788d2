import type { Figures } from '@core/answers/assess';
import type { ElementId } from '@core/foundations/finding';
import { ropeLengthM } from '@core/things/gear';
import { ropeSlots, type RigLine, type Setup, casualtyOf } from '@core/rigs/rig';
import { printQuantity, type UnitSystem } from '@core/foundations/units';
import { Dimension, Label } from '../parts';
import { rigView } from '../rig-view';
import { AnchorGlyph, Hanging, TOP } from '../site-parts';
import type { SiteGeometry, SiteScene } from '../SiteFrame';
import { vec, type Vec } from '../vector';
import { Casualty, casualtyParts } from './casualty';
import { LimbDrawing, LimbHandles } from './limb';
import { coil, Rock, TreeTrunk } from './rock';

const ROPE_X = 104;
const SECOND_X = 150;

interface Strand {
  readonly lengthM: number;
  readonly knotted: boolean;
  readonly colour: string;
}

/**
 * The strands of a line as they hang: length below the anchor, and whether a knot closes the end. Empty while the rope
 * is not chosen.
 */
function strandsOf(line: RigLine, figures: Figures): Strand[] {
  if (line.kind === 'doubled') {
    const budget = figures.budget[line.id];
    if (!budget) return [];
    const b = line.use === 'joined' ? 'var(--rope-b)' : 'var(--rope-a)';
    return [
      {
        lengthM: budget.strandAM.best,
        knotted: line.ends.state === 'both-knotted' || line.ends.state === 'one-knotted',
        colour: 'var(--rope-a)',
      },
      { lengthM: budget.strandBM.best, knotted: line.ends.state === 'both-knotted', colour: b },
    ];
  }
  const rope = line.rope.item;
  if (!rope) return [];
  const knotted = line.end.state === 'knotted' || line.end.state === 'tied';
  const lengthM = ropeLengthM(rope).best;
  const blocked = line.kind === 'fixed' && line.fastening.how === 'blocked';
  // Of a blocked rope, and of one that moves over the fork, the other strand hangs beside it, with what is left.
  return blocked || line.kind === 'over'
    ? [
        { lengthM: lengthM / 2, knotted, colour: 'var(--rope-a)' },
        { lengthM: lengthM / 2, knotted: false, colour: 'var(--rope-a)' },
      ]
    : [{ lengthM, knotted, colour: 'var(--rope-a)' }];
}

function Strands({ x, strands, geometry }: { x: number; strands: readonly Strand[]; geometry: SiteGeometry }) {
  const { y, stanceY, descentM } = geometry;
  const shown = strands.length > 0 ? strands : [{ lengthM: descentM * 0.8, knotted: false, colour: 'var(--rope-a)' }];
  return (
    <g>
      {shown.map(({ lengthM, knotted, colour }, i) => {
        const at = x + i * 7;
        const reaches = lengthM >= descentM;
        const end = Math.min(y(lengthM), stanceY + 26);
        const k = i ? 1 : -1;
        return (
          <g
            key={i}
            stroke={colour}
            fill="none"
            strokeWidth="3"
            strokeDasharray={strands.length > 0 ? undefined : '6 4'}
          >
            <path d={`M${at} ${TOP}V${reaches ? stanceY - 2 : end}`} />
            {reaches && <path d={coil(at, stanceY, k)} />}
            {knotted && (
              <circle
                cx={reaches ? at + k * 14 : at}
                cy={reaches ? stanceY + 14 : end}
                r="4.5"
                fill="currentColor"
                stroke="var(--surface)"
                style={{ color: colour }}
              />
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Somebody hangs on a line that is fast at the top: rappels, ascending, trees; further lines stand beside it. */
export function hangingScene(setup: Setup, figures: Figures, system: UnitSystem, tree: boolean): SiteScene {
  const view = rigView(setup);
  const [line, ...others] = setup.lines;
  const strands = strandsOf(line!, figures);
  const say = (m: number) => printQuantity(m, 'lengthM', system);
  const anchor = setup.anchors.find((a) => a.id === line!.anchor) ?? setup.anchors[0]!;
  const climbs = view.main.end.kind === 'device' && view.main.end.hand === null;
  const lengths = strands.map((s) => s.lengthM);
  const budget = line!.kind === 'doubled' ? figures.budget[line!.id] : undefined;
  const draw = (geometry: SiteGeometry) => {
    const { stanceY, descentM, onLedge, y } = geometry;
    const shortest = lengths.length > 0 ? Math.min(...lengths) : null;
    const marginM = budget ? budget.marginM.best : shortest === null ? null : shortest - descentM;
    const short = marginM !== null && marginM < 0;
    return (
      <>
        {tree ? (
          <TreeTrunk stanceY={stanceY} forkX={ROPE_X} />
        ) : (
          <Rock stanceY={stanceY} onLedge={onLedge} edge={setup.site.edge} />
        )}
        {setup.site.tree?.limbs.map((limb) => (
          <LimbDrawing key={limb.id} ropeX={ROPE_X + 3} {...{ limb, geometry, system }} />
        ))}
        <AnchorGlyph x={ROPE_X + 3} y={TOP - 4} anchor={anchor} />
        <Strands x={ROPE_X} strands={strands} geometry={geometry} />
        {line!.kind === 'doubled' && line!.use === 'joined' && (
          <circle cx={ROPE_X + 7} cy={TOP + 9} r="6" fill="var(--rope-b)" stroke="var(--surface)" />
        )}
        {line!.kind === 'fixed' && line!.fastening.how !== 'unknown' && (
          <circle cx={ROPE_X + 3} cy={TOP + 5} r="6" fill="var(--rope-a)" stroke="var(--surface)" />
        )}
        {line!.kind === 'fixed' && line!.fastening.how === 'blocked' && line!.fastening.backup === 'clipped' && (
          // The connector through the knot and around the strand one goes down.
          <ellipse cx={ROPE_X} cy={TOP + 15} rx="5" ry="8" fill="none" stroke="var(--ink-2)" strokeWidth="2.5" />
        )}
        {others.map((other, i) => (
          <g key={other.id}>
            <AnchorGlyph
              x={SECOND_X + i * 16}
              y={TOP - 4}
              anchor={setup.anchors.find((a) => a.id === other.anchor) ?? anchor}
            />
            <path
              d={`M${SECOND_X + i * 16} ${TOP}V${other.kind === 'straight' ? y(geometry.depthM) - 6 : stanceY}${other.kind === 'straight' ? `L${ROPE_X + 12} ${y(geometry.depthM)}` : ''}`}
              stroke="var(--rope-b)"
              strokeWidth="3"
              fill="none"
              strokeDasharray={ropeSlots(other)[0]?.item ? undefined : '6 4'}
            />
          </g>
        ))}
        {shortest !== null && short && (
          <Dimension
            from={vec(ROPE_X, Math.min(y(shortest), stanceY))}
            to={vec(ROPE_X, stanceY)}
            offset={20}
            label={[say(-marginM), 'short']}
            shift={-14}
            tone="stop"
            anchor="end"
          />
        )}
        {marginM !== null && (
          <g data-testid="strand-lengths">
            <Label
              at={vec(4, stanceY + (onLedge ? 44 : 38))}
              strong={marginM < 1}
              colour={short ? 'var(--stop)' : marginM < 1 ? 'var(--mind)' : 'var(--ink)'}
            >
              {[
                `${lengths.length > 1 ? 'strands' : 'rope'} ${lengths.map(say).join(', ')}`,
                ...(short ? [] : [`${lengths.length > 1 ? 'shorter end' : 'end'} ${say(marginM)} over`]),
              ]}
            </Label>
          </g>
        )}
      </>
    );
  };
  const casualty = casualtyOf(setup);
  const parts = ({ y, stanceY, descentM, depthM }: SiteGeometry): Record<ElementId, Vec> => {
    const shortest = lengths.length > 0 ? Math.min(...lengths) : null;
    const end = vec(
      ROPE_X + 5,
      shortest === null ? stanceY : Math.min(y(Math.min(shortest, descentM + 0.2)), stanceY + 26),
    );
    return {
      [anchor.id]: vec(ROPE_X, TOP - 12),
      edge: vec(ROPE_X - 3, TOP + 22),
      ...(setup.site.tree ? { tree: vec(72, y((setup.site.tree.limbs[0]!.belowM ?? descentM / 3) * 0.7)) } : {}),
      ground: vec(ROPE_X - 34, stanceY),
      ...lineParts(line!, y(descentM * 0.2), end),
      ...Object.fromEntries(
        others.flatMap((o, i) =>
          Object.entries(lineParts(o, y(descentM * 0.3), vec(SECOND_X + i * 16, stanceY), SECOND_X + i * 16)),
        ),
      ),
      ...Object.fromEntries(others.map((o, i) => [o.anchor, vec(SECOND_X + i * 16, TOP - 12)])),
      ...offstage(setup, view.wearer?.id ?? '', vec(SECOND_X + 8, TOP + 40)),
      ...casualtyParts(setup, vec(ROPE_X + 3, y(depthM))),
    };
  };
  return {
    ropeX: ROPE_X + 3,
    mover: casualty ? 'Rescuer' : 'Climber',
    figure: casualty ? (
      <>
        <Casualty {...{ setup, casualty }} />
        <Hanging />
      </>
    ) : (
      <Hanging />
    ),
    draw,
    parts,
    left: new Set(['edge', 'ground', 'tree', anchor.id]),
    startShare: climbs ? 0.7 : 0.45,
    ...(tree
      ? {
          handles: (geometry, change) => <LimbHandles ropeX={ROPE_X + 3} {...{ setup, geometry, system, change }} />,
        }
      : {}),
  };
}

/** Places of a line and of what it is made of. */
export function lineParts(line: RigLine, atY: number, end: Vec, x = ROPE_X): Record<ElementId, Vec> {
  if (line.kind === 'doubled')
    return {
      [line.joint.id]: vec(x + 6, TOP + 10),
      [line.id]: vec(x + 3, atY + 8),
      [line.ropeA.id]: vec(x, atY),
      [line.ropeB.id]: vec(x + 7, atY + 30),
      [line.ends.id]: end,
    };
  return {
    [line.id]: vec(x + 3, atY + 8),
    [line.rope.id]: vec(x, atY),
    [line.end.id]: end,
    ...(line.kind === 'fixed' ? { [line.fastening.id]: vec(x + 3, TOP + 5) } : {}),
  };
}

/**
 * Parts of attachments that the drawing of the hands does not show: at the place given, so that nothing found goes
 * unmarked.
 */
export function offstage(setup: Setup, wearer: ElementId, at: Vec): Record<ElementId, Vec> {
  const view = rigView(setup);
  const shown = new Set([view.main.id, view.below?.attachment.id, view.above?.attachment.id]);
  return Object.fromEntries([
    ...setup.attachments
      .filter((a) => !shown.has(a.id))
      .flatMap((a) => [a.end.id, ...a.pieces.map((p) => p.id)])
      .map((id) => [id, at] as const),
    ...setup.persons
      .filter((p) => p.id !== wearer)
      .flatMap((p) => [p.id, p.harnessId, p.legLoopId, ...(p.id === view.braker?.id ? [] : [p.handId])])
      .map((id) => [id, at] as const),
  ]);
}
