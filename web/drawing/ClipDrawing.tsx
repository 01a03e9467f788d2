import { useId } from 'react';
import { seatKind, wayName, type Way } from '@core/things/connector';
import type { Connector, Device } from '@core/things/gear';
import { printQuantity } from '@core/foundations/units';
import { usePreferences } from '../app/preferences';
import { clipLayout } from './clip-layout';
import { Dimension, hullPath, Label } from './parts';
import { vec, type Vec } from './vector';

interface ClipDrawingProps {
  readonly connector: Connector;
  readonly device: Device;
  readonly way: Way;
  readonly brakeHand: 'right' | 'left';
}

const WIDTH = 440;
const HEIGHT = 470;

/** One connector in one device one way, to scale, with the millimetres that decide. */
export function ClipDrawing({ connector, device, way, brakeHand }: ClipDrawingProps) {
  const { system } = usePreferences();
  const title = useId();
  const l = clipLayout(connector, device, way, brakeHand);
  const mm = (value: number) => printQuantity(value, 'diameterMm', system);
  const below = 78;
  const scale = Math.min(2.3, (HEIGHT - 40) / (l.lengthMm + l.stockMm + below + 14));
  const px = ({ x, y }: Vec): Vec => vec(WIDTH / 2 + x * scale, HEIGHT - 26 - (y + below) * scale);
  const [a, b] = [px(l.loadedCentre), px(l.farCentre)];
  const plates = seatKind(device) === 'plates';
  const rect = (x0: number, x1: number, y0: number, y1: number, key: string, className: string) => {
    const [p, q] = [px(vec(x0, y1)), px(vec(x1, y0))];
    return (
      <rect
        key={key}
        x={p.x}
        y={p.y}
        width={Math.max(1, q.x - p.x)}
        height={Math.max(1, q.y - p.y)}
        className={className}
      />
    );
  };
  // The hole bears on the inner bend: its upper edge lies there, its lower edge one hole further down.
  const holeTop = l.bearingY;
  const holeBottom = holeTop - l.eyeMm;
  const outer = l.plates.length > 0 ? Math.max(...l.plates.map((p) => p.x1)) : l.loadedRadiusMm * 0.5;
  const away = -l.gateSide;
  const labelX = (side: number) => WIDTH / 2 + side * (WIDTH / 2 - 8);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-labelledby={title}>
      <title id={title}>{`${connector.name} in ${device.name}: ${wayName(way, connector, device)}.`}</title>
      <path
        d={hullPath(b, l.farRadiusMm * scale, a, l.loadedRadiusMm * scale)}
        fill="none"
        stroke="var(--metal)"
        strokeWidth={l.stockMm * scale}
        opacity="0.85"
      />
      {l.sleeve && (
        <path
          d={`M${px(l.sleeve.from).x} ${px(l.sleeve.from).y}L${px(l.sleeve.to).x} ${px(l.sleeve.to).y}`}
          stroke="var(--ink-2)"
          strokeWidth={l.sleeve.widthMm * scale}
        />
      )}
      {plates ? (
        l.plates.flatMap(({ x0, x1 }, i) => [
          rect(x0, x1, holeTop, holeTop + l.coverMm, `rim${i}`, 'fill-(--act) opacity-80'),
          rect(x0, x1, -below + 14, holeBottom, `body${i}`, 'fill-(--act) opacity-80'),
          <path
            key={`hole${i}`}
            d={[x0, x1]
              .map(
                (x) =>
                  `M${px(vec(x, holeTop)).x} ${px(vec(x, holeTop)).y}L${px(vec(x, holeBottom)).x} ${px(vec(x, holeBottom)).y}`,
              )
              .join('')}
            stroke="var(--act)"
            strokeDasharray="3 3"
          />,
        ])
      ) : (
        <>
          {[-1, 1].map((s) => (
            <path
              key={s}
              d={`M${px(vec(s * 5.5, -below + 14)).x} ${px(vec(0, -below + 14)).y}L${px(vec(s * 5.5, 3)).x} ${px(vec(0, 3)).y}`}
              stroke="var(--rope-a)"
              strokeWidth={9 * scale}
              strokeLinecap="round"
              opacity="0.9"
            />
          ))}
        </>
      )}
      <path
        d={`M${px(vec(l.side * outer, -34)).x} ${px(vec(0, -34)).y}Q${px(l.brakeStrand).x} ${px(vec(0, -40)).y} ${px(l.brakeStrand).x} ${HEIGHT - 18}`}
        fill="none"
        stroke="var(--rope-a)"
        strokeWidth={9 * scale * 0.7}
        strokeLinecap="round"
        opacity="0.55"
      />
      <Label at={vec(px(l.brakeStrand).x + l.side * 14, HEIGHT - 24)} anchor={l.side > 0 ? 'start' : 'end'}>
        brake strand
      </Label>
      <Label at={vec(WIDTH / 2, 14)} anchor="middle">
        to the harness or anchor
      </Label>
      <Label at={vec(labelX(l.gateSide), b.y + 4)} anchor={l.gateSide > 0 ? 'end' : 'start'}>
        {['gate', ...(connector.lock === 'none' ? ['no lock'] : [])]}
      </Label>
      <Label at={vec(labelX(away), b.y + 4)} anchor={away > 0 ? 'end' : 'start'}>
        spine
      </Label>
      {l.sleeve && connector.sleeveMm !== null && (
        <Label
          at={vec(labelX(l.gateSide), (px(l.sleeve.from).y + px(l.sleeve.to).y) / 2)}
          anchor={l.gateSide > 0 ? 'end' : 'start'}
        >
          {['sleeve', mm(connector.sleeveMm)]}
        </Label>
      )}
      {plates && (
        <>
          {device.eyeMm !== null && (
            <Dimension
              from={px(vec(away * outer, away > 0 ? holeBottom : holeTop))}
              to={px(vec(away * outer, away > 0 ? holeTop : holeBottom))}
              offset={58}
              label={[
                'hole',
                mm(l.eyeMm),
                ...(l.playMm !== null && Number.isFinite(l.playMm) ? [`play ${mm(l.playMm)}`] : []),
              ]}
              tone={l.playMm !== null && l.playMm < 0 ? 'stop' : 'plain'}
              anchor={away > 0 ? 'start' : 'end'}
            />
          )}
          {device.gapMm !== null && device.gapMm > 0 && (
            <Label at={px(vec(0, -below + 2))} anchor="middle">{`gap ${mm(l.gapMm)}`}</Label>
          )}
          {device.coverMm !== null && (
            <Label at={px(vec(0, holeTop + l.coverMm + 13))} anchor="middle">
              {['covers', mm(l.coverMm)]}
            </Label>
          )}
        </>
      )}
      {!plates && connector.broadInsideWidthMm !== null && (
        <Label at={px(vec(0, l.loadedCentre.y + 8))} anchor="middle">
          {`inside ${mm(2 * l.loadedRadiusMm - l.stockMm)}`}
        </Label>
      )}
      {l.guessed.length > 0 && (
        <Label
          at={vec(8, HEIGHT - 6)}
          colour="var(--untested)"
        >{`Drawn by guess, not measured: ${l.guessed.join(', ')}`}</Label>
      )}
    </svg>
  );
}
