import type { ElementId } from '@core/foundations/finding';
import { contextOf, guides } from '@core/rigs/elements';
import { withFields, type DeviceEnd, type Setup } from '@core/rigs/rig';
import { printQuantity } from '@core/foundations/units';
import { usePreferences } from '../../app/preferences';
import { Dragged } from '../Dragged';
import type { DrawingProps } from '../drawing-props';
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

/**
 * The second rope beside the first: side by side or crossing it, and through one connector with it where one gathers
 * both.
 */
function secondRope(y: SiteGeometry['y'], otherM: number, crossed: boolean, gatheredM: number | null): string {
  const from = crossed ? `M${ROPE_X - 3} ${TOP + 18}` : `M${ROPE_X + 7} ${TOP + 18}`;
  const end = Math.max(TOP + 40, y(otherM));
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

/** Where a connector that gathers both ropes is offered: inside the range that is common practice. */
const OFFERED_M = 4;

interface GatherHandleProps {
  readonly setup: Setup;
  readonly end: ElementId;
  /** null: nothing gathers them yet; the handle then offers where it helps. */
  readonly gatheredM: number | null;
  readonly geometry: SiteGeometry;
  readonly change: NonNullable<DrawingProps['onChange']>;
}

/** The connector that gathers both ropes is moved along them, by tenths of a metre. */
function GatherHandle({ setup, end, gatheredM, geometry: { y, depthAt, descentM }, change }: GatherHandleProps) {
  const { system } = usePreferences();
  const atM = Math.min(descentM, gatheredM ?? OFFERED_M);
  return (
    <Dragged
      label="Connector that gathers both ropes"
      value={atM}
      min={0}
      max={Math.min(20, descentM)}
      step={0.5}
      text={gatheredM === null ? 'none yet' : `${printQuantity(gatheredM, 'lengthM', system)} below the device`}
      at={vec(ROPE_X + 5, y(atM))}
      valueAt={(place) => depthAt(place.y)}
      onMove={(m) => change(withFields(setup, end, { gatheredM: Math.round(m * 10) / 10 }), `${end}/gatheredM`)}
    >
      <rect x="-22" y="-14" width="44" height="28" rx="14" fill="transparent" />
      <path d="M-16 -6v12M16 -6v12" stroke="var(--ink)" strokeWidth="2.5" strokeLinecap="round" />
      {gatheredM === null && (
        <g>
          <rect x="-9" y="-8" width="18" height="16" rx="8" fill="none" stroke="var(--ink)" strokeDasharray="3 3" />
          <Label at={vec(-20, 4)} anchor="end" colour="var(--ink-2)">
            gather here
          </Label>
        </g>
      )}
    </Dragged>
  );
}

/** Below this depth whoever follows reaches the anchor and is clipped to it. */
const ARRIVES_M = 1.5;
const ARRIVING: Readonly<Record<DeviceEnd['arriving'], readonly string[]>> = {
  'in-the-air': ['clove hitch', 'tied in the air'],
  lanyard: ['own lanyard', 'clipped first'],
  'on-connector': ['hitch laid on the', 'connector: the strand', 'is led up'],
  unknown: ['how one is clipped', 'is not said'],
};

/** How somebody who arrives is attached to the anchor. */
function Arriving({ x, y, how }: { x: number; y: number; how: DeviceEnd['arriving'] }) {
  const bad = how === 'on-connector';
  const tone = bad ? 'var(--stop)' : how === 'unknown' ? 'var(--untested)' : 'var(--ink)';
  return (
    <g data-testid="arriving">
      <path
        d={`M${ROPE_X + 8} ${TOP - 4}Q${x + 18} ${TOP + 4} ${x + 2} ${y}`}
        fill="none"
        stroke={how === 'lanyard' ? 'var(--textile)' : tone}
        strokeWidth="3"
        strokeDasharray={how === 'unknown' ? '4 4' : undefined}
      />
      <Label at={vec(x + 34, TOP + 4)} colour={tone} strong={bad}>
        {ARRIVING[how]}
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
  const draw = ({ y, stanceY, onLedge, depthM, otherM }: SiteGeometry) => {
    const arrivesAt = depthM <= ARRIVES_M ? 'first' : second && otherM <= ARRIVES_M ? 'other' : null;
    return (
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
          {second && <path d={secondRope(y, otherM, crossed, gatheredM)} stroke="var(--rope-b)" />}
        </g>
        {gatheredM !== null && <Gathering at={y(Math.min(gatheredM, depthM))} belowM={gatheredM} />}
        {gripping && end && arrivesAt !== null && (
          <Arriving
            x={arrivesAt === 'other' ? SECOND_X : ROPE_X + 3}
            y={y(arrivesAt === 'other' ? otherM : depthM)}
            how={end.arriving}
          />
        )}
        {belayer && <Standing x={TOP_X} y={TOP - 4} flip />}
        <Label at={vec(4, stanceY + 38)} colour="var(--ink-2)">
          {gripping
            ? 'the plate grips hands-off'
            : redirected
              ? 'brake strand led up and over'
              : 'brake strand beside the load'}
        </Label>
      </>
    );
  };
  const parts = ({ y, stanceY, descentM, depthM }: SiteGeometry): Record<ElementId, Vec> => ({
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
    ...(second ? { other: { mover: 'Other person', x: SECOND_X, figure: <Hanging flip />, startShare: 0.75 } } : {}),
    ...(second && gripping && end && (gatheredM !== null || crossed)
      ? {
          handles: (geometry, change) => <GatherHandle {...{ setup, gatheredM, geometry, change }} end={end.id} />,
        }
      : {}),
  };
}
