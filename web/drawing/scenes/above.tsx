import type { Ref } from '@core/finding';
import { contextOf, guides } from '@core/parts';
import type { Setup } from '@core/rig';
import { printQuantity } from '@core/units';
import { usePreferences } from '../../app/preferences';
import { Label } from '../parts';
import { rigView } from '../rig-view';
import { AnchorGlyph, Hanging, Standing, TOP } from '../site-parts';
import type { SiteGeometry, SiteScene } from '../SiteFrame';
import { vec, type Vec } from '../vector';
import { lineParts, offstage } from './hanging';
import { Rock } from './rock';

const ROPE_X = 104;
const SECOND_X = 134;
const TOP_X = 42;

/** The second rope beside the first: side by side or crossing it, and through one connector with it where one gathers both. */
function secondRope(y: SiteGeometry['y'], depthM: number, crossed: boolean, gatheredM: number | null): string {
  const from = crossed ? `M${ROPE_X - 3} ${TOP + 18}` : `M${ROPE_X + 7} ${TOP + 18}`;
  const end = y(Math.min(1, depthM) + depthM * 0.6);
  const at = gatheredM === null ? null : y(gatheredM);
  if (at === null || at >= end) return `${from}L${SECOND_X} ${TOP + 40}V${end}`;
  return `${from}L${ROPE_X + 9} ${at}L${SECOND_X} ${Math.min(end, at + 24)}V${end}`;
}

/** A connector around both ropes, with how far below the device it hangs. */
function Gathering({ at, belowM }: { at: number; belowM: number }) {
  const { system } = usePreferences();
  return (
    <g>
      <rect
        x={ROPE_X - 4}
        y={at - 8}
        width="18"
        height="16"
        rx="8"
        fill="none"
        stroke="var(--metal)"
        strokeWidth="3.5"
      />
      <Label at={vec(ROPE_X - 12, at + 4)} anchor="end">
        {['gathered', printQuantity(belowM, 'lengthM', system)]}
      </Label>
    </g>
  );
}

/** The device hangs at the anchor above; one or two are lowered, or follow. */
export function aboveScene(setup: Setup): SiteScene {
  const view = rigView(setup);
  const [line, second] = setup.lines;
  const anchor = setup.anchors.find((a) => a.id === line!.anchor) ?? setup.anchors[0]!;
  const end = view.main.end.kind === 'device' ? view.main.end : null;
  const gripping = guides(view.main, contextOf(setup));
  const redirected = end?.brakeLed === 'redirected' && !gripping;
  const crossed = end?.strandsLie === 'crossed';
  const gatheredM = second && gripping ? (end?.gatheredM ?? null) : null;
  const chosen = line!.kind !== 'doubled' && line!.rope.item !== null;
  const belayer = view.braker;
  const draw = ({ y, stanceY, onLedge, depthM }: SiteGeometry) => (
    <>
      <Rock stanceY={stanceY} onLedge={onLedge} edge={setup.site.edge} />
      <AnchorGlyph x={ROPE_X} y={TOP - 4} anchor={anchor} />
      {/* brake strand: straight down beside the load, or up and over */}
      <path
        d={
          redirected
            ? `M${ROPE_X - 4} ${TOP + 14}L${ROPE_X - 16} ${TOP - 18}L${TOP_X + 14} ${TOP - 30}`
            : `M${ROPE_X - 4} ${TOP + 14}L${ROPE_X - 12} ${TOP + 34}L${TOP_X + 14} ${TOP - 30}`
        }
        fill="none"
        stroke="var(--rope-a)"
        strokeWidth="3"
        opacity="0.75"
      />
      <rect x={ROPE_X - 9} y={TOP + 2} width="18" height="16" rx="4" fill="var(--metal)" stroke="var(--ink)" />
      <g fill="none" strokeWidth="3" strokeDasharray={chosen ? undefined : '6 4'}>
        {/* Crossed, the one that begins on the outside lies over the other. */}
        <path
          d={
            crossed
              ? `M${ROPE_X + 9} ${TOP + 18}L${ROPE_X + 3} ${TOP + 40}V${y(depthM)}`
              : `M${ROPE_X + 3} ${TOP + 18}V${y(depthM)}`
          }
          stroke="var(--rope-a)"
        />
        {second && <path d={secondRope(y, depthM, crossed, gatheredM)} stroke="var(--rope-b)" />}
      </g>
      {gatheredM !== null && <Gathering at={y(Math.min(gatheredM, depthM))} belowM={gatheredM} />}
      {second && (
        <g transform={`translate(${SECOND_X} ${y(Math.min(1, depthM) + depthM * 0.6)})`}>
          <Hanging flip />
        </g>
      )}
      {belayer && <Standing x={TOP_X} y={TOP - 4} flip />}
      <Label at={vec(4, stanceY + 38)} colour="var(--ink-2)">
        {gripping
          ? 'the plate grips by itself'
          : redirected
            ? 'brake strand led up and over'
            : 'brake strand beside the load'}
      </Label>
    </>
  );
  const parts = ({ y, stanceY, descentM, depthM }: SiteGeometry): Record<Ref, Vec> => ({
    [anchor.id]: vec(ROPE_X - 6, TOP - 14),
    edge: vec(ROPE_X - 18, TOP + 26),
    ground: vec(ROPE_X - 34, stanceY),
    ...lineParts(line!, y(descentM * 0.2), vec(TOP_X + 14, TOP - 24)),
    ...(second ? lineParts(second, y(descentM * 0.3), vec(TOP_X + 14, TOP - 24), SECOND_X) : {}),
    ...offstage(setup, '', vec(ROPE_X + 12, y(depthM))),
    ...(belayer ? { [belayer.id]: vec(TOP_X, TOP - 30), [belayer.harnessId]: vec(TOP_X, TOP - 26) } : {}),
  });
  return {
    ropeX: ROPE_X + 3,
    mover: 'Person',
    figure: <Hanging />,
    draw,
    parts,
    left: new Set(['edge', 'ground', anchor.id]),
    startShare: 0.5,
  };
}
