import type { StrokeFigures } from '@core/rigs/pairs';
import { deviceOf, type Attachment } from '@core/rigs/rig';
import { printInterval, printNumber, printQuantity, type Interval } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { DeviceGlyph } from '../../../drawing/glyphs';
import { Dimension, Label } from '../../../drawing/parts';
import { glyphOf } from '../../../drawing/rig-view';
import { vec, type Vec } from '../../../drawing/vector';

const WIDTH = 360;
const HEIGHT = 400;
const MARGIN = 24;
/** Shoulders and head above the tie-in, as a share of its height above the soles. */
const SHOULDER = 0.42;
const HEAD = 0.62;

/**
 * Hanging in the tether and standing in the foot loop, to scale: what lies between is the stroke. With the foot loop at
 * the lower grip the upper one is pushed up meanwhile.
 */
export function StrokeDrawing({ figures }: { figures: StrokeFigures }) {
  const { system } = usePreferences();
  const {
    tetherMm,
    footLoopMm,
    standingGapMm,
    strokeMm,
    strokes,
    lostStrokes,
    lostM,
    heightM,
    grip,
    above,
    aboveMm,
    person,
  } = figures;
  const tieInMm = person.tieInHeightMm!;
  // Standing, the head is above the upper grip; the foot loop hangs below it in both poses.
  const pushedMm = aboveMm ? aboveMm.best - standingGapMm.best : 0;
  const overMm = Math.max(80, HEAD * tieInMm - standingGapMm.best + 90, pushedMm + 60);
  const scale = (HEIGHT - 2 * MARGIN) / (overMm + footLoopMm.best);
  const y = (belowGripMm: number) => MARGIN + (overMm + belowGripMm) * scale;
  const gripY = y(0);
  const say = (i: Interval) => printQuantity(i.best, 'lengthMm', system);
  const glyph = (a: Attachment) => glyphOf(deviceOf(a)?.item ?? null);
  const tone = strokeMm.best <= 0 ? 'stop' : standingGapMm.best < 50 ? 'mind' : 'plain';
  const poses = [
    { x: 130, tieIn: tetherMm.best, label: 'Hanging' },
    { x: 262, tieIn: standingGapMm.best, label: 'Standing' },
  ] as const;
  return (
    <figure className="mt-4 rounded-xl border border-line bg-surface p-3">
      <figcaption className="font-bold">A stroke</figcaption>
      <div className="grid items-center gap-4 sm:grid-cols-[3fr_2fr]">
        <svg
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          className="w-full"
          role="img"
          aria-label={`Hanging and standing. Tether ${say(tetherMm)}, foot loop ${say(footLoopMm)}, a stroke gains ${say(strokeMm)}.`}
        >
          {poses.map(({ x, tieIn, label }) => {
            const tie = vec(x - 22, y(tieIn));
            const foot = vec(x - 4, y(footLoopMm.best));
            // What one hangs in: the grip with the foot loop, or the one above it.
            const heldY = aboveMm ? y(tieIn - aboveMm.best) : gripY;
            return (
              <g key={label} fill="none" strokeLinecap="round" strokeLinejoin="round">
                <path d={`M${x} 0V${HEIGHT}`} stroke="var(--rope-a)" strokeWidth="5" />
                {/* the foot loop, and the tether: tight when hanging, in a bow when standing */}
                <path d={`M${x + 6} ${gripY}L${foot.x} ${foot.y}`} stroke="var(--cord)" strokeWidth="4" />
                <path
                  d={
                    label === 'Hanging'
                      ? `M${x - 4} ${heldY + 8}L${tie.x} ${tie.y}`
                      : `M${x - 4} ${heldY + 8}C${x - 70} ${heldY + 30} ${x - 60} ${tie.y + 50} ${tie.x} ${tie.y}`
                  }
                  stroke="var(--textile)"
                  strokeWidth="5"
                />
                <Figure tie={tie} foot={foot} hand={vec(x, heldY)} headUpPx={tieInMm * scale} />
                <DeviceGlyph at={vec(x, gripY)} scale={Math.min(0.5, scale * 1.4)} side={1} {...glyph(grip)} />
                {above && (
                  <DeviceGlyph at={vec(x, heldY)} scale={Math.min(0.5, scale * 1.4)} side={1} {...glyph(above)} />
                )}
                <Label at={vec(x + 8, 14)}>{label}</Label>
              </g>
            );
          })}
          <Dimension
            from={vec(130, y(tetherMm.best))}
            to={vec(130, gripY)}
            offset={-62}
            anchor="end"
            label={[above ? 'lower' : 'tether', say(tetherMm)]}
          />
          <Dimension
            from={vec(130, y(footLoopMm.best))}
            to={vec(130, gripY)}
            offset={28}
            label={['foot loop', say(footLoopMm)]}
          />
          {strokeMm.best > 0 && (
            <Dimension
              from={vec(262, y(tetherMm.best))}
              to={vec(262, y(standingGapMm.best))}
              offset={30}
              label={['stroke', say(strokeMm)]}
              tone={tone}
            />
          )}
        </svg>
        <dl className="grid gap-x-4 [&_dd]:mb-2">
          <dt className="text-ink-2">A stroke gains</dt>
          <dd className="num">{printInterval(strokeMm, 'lengthMm', system)}</dd>
          <dt className="text-ink-2">Standing, left to the grip</dt>
          <dd className="num">{printInterval(standingGapMm, 'lengthMm', system)}</dd>
          {strokes && lostStrokes && (
            <>
              <dt className="text-ink-2">For {printQuantity(heightM, 'lengthM', system)}</dt>
              <dd className="num">{printNumber(Math.ceil(strokes.best), 'count', system)} strokes</dd>
              <dt className="text-ink-2">Before you leave the ground</dt>
              <dd className="num">
                {printNumber(Math.ceil(lostStrokes.best), 'count', system)} strokes,{' '}
                {printInterval(lostM, 'lengthM', system)} of stretch
              </dd>
            </>
          )}
        </dl>
      </div>
    </figure>
  );
}

/** Somebody seen from the side: the leg bends as far as the foot loop makes it. */
function Figure({ tie, foot, hand, headUpPx }: { tie: Vec; foot: Vec; hand: Vec; headUpPx: number }) {
  const shoulder = vec(tie.x - 14, tie.y - headUpPx * SHOULDER);
  const head = vec(tie.x - 12, tie.y - headUpPx * HEAD);
  // Thigh and shank share the leg; a bent knee points to the rope's side.
  const legPx = headUpPx * 0.5;
  const down = foot.y - tie.y;
  const bend = Math.sqrt(Math.max(0, legPx * legPx - (down / 2) * (down / 2)));
  const knee = vec((tie.x + foot.x) / 2 + bend + 3, (tie.y + foot.y) / 2);
  return (
    <g stroke="var(--ink)" strokeWidth="7">
      <path d={`M${tie.x} ${tie.y}L${shoulder.x} ${shoulder.y}`} strokeWidth="12" />
      <path d={`M${tie.x} ${tie.y}L${knee.x} ${knee.y}L${foot.x} ${foot.y}l10 0`} />
      <path d={`M${shoulder.x} ${shoulder.y}L${hand.x} ${hand.y}`} strokeWidth="5" />
      <circle cx={head.x} cy={head.y} r="9" fill="var(--ink)" stroke="none" />
    </g>
  );
}
