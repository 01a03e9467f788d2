import type { ElementId } from '@core/foundations/finding';
import { ropeLengthM } from '@core/things/gear';
import type { Setup } from '@core/rigs/rig';
import { printQuantity, type UnitSystem } from '@core/foundations/units';
import { Label } from '../parts';
import { rigView } from '../rig-view';
import { AnchorGlyph, Hanging, Standing, TOP } from '../site-parts';
import type { SiteGeometry, SiteScene } from '../SiteFrame';
import { vec, type Vec } from '../vector';
import { lineParts, offstage } from './hanging';
import { coil, Rock } from './rock';

const ROPE_X = 104;
const BELAY_X = 156;

/** Belayed from the ground: over an anchor above, or up to a leader. */
export function belowScene(setup: Setup, system: UnitSystem): SiteScene {
  const view = rigView(setup);
  const { line } = view;
  const led = line.kind === 'led';
  const anchor = setup.anchors.find((a) => a.id === line.anchor) ?? setup.anchors[0]!;
  const rope = line.kind === 'doubled' ? null : line.rope.item;
  const closed = line.kind !== 'doubled' && (line.end.state === 'knotted' || line.end.state === 'tied');
  const hands = vec(BELAY_X - 12, 0);
  const draw = ({ y, stanceY, descentM, onLedge, depthM }: SiteGeometry) => {
    const grip = stanceY - 30;
    const turnY = led ? y(depthM) : TOP;
    const needM = 2 * descentM;
    const spareM = rope ? ropeLengthM(rope).best - needM : null;
    return (
      <>
        <Rock stanceY={stanceY} onLedge={onLedge} edge={setup.site.edge} />
        {!led && <AnchorGlyph x={ROPE_X + 3} y={TOP - 4} anchor={anchor} />}
        <g fill="none" stroke="var(--rope-a)" strokeWidth="3" strokeDasharray={rope ? undefined : '6 4'}>
          {!led && <path d={`M${ROPE_X} ${TOP}V${y(depthM)}`} />}
          <path d={`M${led ? ROPE_X : ROPE_X + 7} ${turnY}L${hands.x} ${grip}`} />
          <path d={`M${hands.x} ${grip}l6 14V${stanceY - 2}`} />
          <path d={coil(hands.x + 6, stanceY, 1)} />
          {closed && (
            <circle cx={hands.x + 20} cy={stanceY + 14} r="4.5" fill="var(--rope-a)" stroke="var(--surface)" />
          )}
        </g>
        <Standing x={BELAY_X} y={stanceY} />
        {spareM !== null && (
          <g data-testid="strand-lengths">
            <Label
              at={vec(4, stanceY + 38)}
              strong={spareM < 1}
              colour={spareM < 0 ? 'var(--stop)' : spareM < 1 ? 'var(--mind)' : 'var(--ink)'}
            >
              {[
                `up and down ${printQuantity(needM, 'lengthM', system)}`,
                spareM < 0
                  ? `${printQuantity(-spareM, 'lengthM', system)} short`
                  : `${printQuantity(spareM, 'lengthM', system)} to spare`,
              ]}
            </Label>
          </g>
        )}
      </>
    );
  };
  const parts = ({ y, stanceY, descentM, depthM }: SiteGeometry): Record<ElementId, Vec> => {
    const climber = vec(ROPE_X + 16, y(depthM));
    return {
      [anchor.id]: vec(ROPE_X, TOP - 12),
      edge: vec(ROPE_X - 3, TOP + 22),
      ground: vec(ROPE_X - 34, stanceY),
      ...lineParts(line, y(descentM * 0.2), vec(hands.x + 20, stanceY + 14)),
      ...offstage(setup, view.wearer?.id ?? '', climber),
    };
  };
  return {
    ropeX: ROPE_X,
    mover: 'Climber',
    figure: <Hanging />,
    draw,
    parts,
    left: new Set(['edge', 'ground', anchor.id]),
    startShare: 0.35,
  };
}
