import type { Setup } from '@core/rigs/rig';
import { FamilyGlyph } from './FamilyPicture';
import { DeviceGlyph } from './glyphs';
import { hullPath } from './parts';
import { glyphOf, rigView, type HitchView } from './rig-view';
import { vec } from './vector';

const WIDTH = 96;
const HEIGHT = 168;
const X = 46;
/** px of a millimetre, across a rope and along a connector. */
const THICK = 0.42;
const LONG = 0.32;
/** Of the drawing of a family. */
const size = 0.72;

/** Coils of a hitch around its strands, and the legs to what it hangs on. */
function Coil({ view, x, y, to }: { view: HitchView; x: number; y: number; to: readonly [number, number] }) {
  const cord = Math.max(1.8, (view.hitch.item?.nominalDiameterMm ?? 6) * 0.36);
  const coils = Math.min(9, view.hitch.wraps);
  return (
    <g fill="none" stroke="var(--cord)" strokeWidth={cord} strokeLinecap="round">
      <path d={`M${x} ${y + coils * 1.6}L${to[0]} ${to[1]}`} />
      {Array.from({ length: coils }, (_, i) => (
        <path key={i} d={`M${x - 6} ${y - coils * 1.6 + i * 3.4}l12 2`} />
      ))}
    </g>
  );
}

/**
 * A whole combination as it hangs, small: rope by its thickness, hitches, device, connector by its size, extension,
 * harness or anchor. For the eye; what matters stands beside it in words.
 */
export function CombinationPicture({ setup, height = 132 }: { setup: Setup; height?: number }) {
  const view = rigView(setup);
  const { device, connector, extension, below, above, wearer, strands, joined, ropeA, line } = view;
  const rope = Math.max(2, ropeA.diameterMm * THICK);
  const chosen = line.kind === 'doubled' ? line.ropeA.item !== null : line.rope.item !== null;
  const lines = strands === 2 ? [-1, 1] : [0];
  const colour = (k: number) => (k > 0 && joined ? 'var(--rope-b)' : 'var(--rope-a)');
  const atAnchor = wearer === null;
  const inside = (connector?.item?.insideLengthMm ?? 95) * LONG;
  const oval = connector?.item?.shape === 'oval';
  const deviceY = atAnchor ? 70 : 66;
  const foot = 150;
  const eye = deviceY + 12;
  const ring = atAnchor ? deviceY - 12 : eye + inside;
  const harnessY = extension ? foot : Math.min(foot, ring + 6);
  const hand = vec(18, atAnchor ? 150 : Math.min(148, harnessY));
  const leg = vec(X - 26, harnessY + 4);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} style={{ height }} className="w-auto" aria-hidden data-combination-picture>
      {atAnchor ? (
        <>
          <path d="M20 8H72" stroke="var(--rock-line)" strokeWidth="5" strokeLinecap="round" />
          <path
            d={hullPath(vec(X, 22), 8, vec(X, 22 + inside), oval ? 8 : 6)}
            fill="none"
            stroke="var(--metal)"
            strokeWidth="3.6"
          />
        </>
      ) : (
        <>
          <path d={`M8 ${harnessY + 4}H84`} stroke="var(--textile)" strokeWidth="9" strokeLinecap="round" />
          {extension && <path d={`M${X} ${ring - 2}V${harnessY}`} stroke="var(--textile)" strokeWidth="5" />}
        </>
      )}
      {lines.map((k) => (
        <g
          key={k}
          stroke={colour(k)}
          strokeWidth={rope}
          fill="none"
          strokeLinecap="round"
          strokeDasharray={chosen ? undefined : '4 4'}
        >
          {atAnchor ? (
            <path d={`M${X + 10 + k * 4} ${deviceY}L${X + 26 + k * 4} 164`} />
          ) : (
            <path d={`M${X + k * 4} 2V${deviceY}`} />
          )}
          <path d={`M${X - 6 + k * 4} ${deviceY + 6}L${hand.x + k * 4} ${hand.y + 12}`} />
        </g>
      ))}
      {!atAnchor && (
        <path
          d={
            oval ? hullPath(vec(X, eye + 7), 7, vec(X, ring - 7), 7) : hullPath(vec(X, eye + 8), 9, vec(X, ring - 5), 5)
          }
          fill="none"
          stroke="var(--metal)"
          strokeWidth="3.6"
          strokeDasharray={connector?.item ? undefined : '4 3'}
        />
      )}
      {device ? (
        <g transform={`translate(${X - 32 * size} ${deviceY - 33 * size}) scale(${size})`}>
          <FamilyGlyph family={device.family} />
        </g>
      ) : (
        <DeviceGlyph at={vec(X, deviceY)} scale={0.5} side={1} {...glyphOf(null)} />
      )}
      {below && <Coil view={below} x={(X - 6 + hand.x) / 2} y={(deviceY + hand.y) / 2 + 8} to={[leg.x - 4, leg.y]} />}
      {above && <Coil view={above} x={X} y={24} to={[X + 16, harnessY]} />}
    </svg>
  );
}
