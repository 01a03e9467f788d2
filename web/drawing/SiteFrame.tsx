import { scaleLinear } from 'd3-scale';
import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { Ref } from '@core/finding';
import { printInterval, printQuantity } from '@core/units';
import { usePreferences } from '../app/preferences';
import type { DrawingProps } from './drawing-props';
import { marksFor } from './marks';
import { Dimension, Marker } from './parts';
import { rigView } from './rig-view';
import { BOTTOM, forceAt, ForceChart, HEIGHT, TOP, WIDTH } from './site-parts';
import { add, vec, type Vec } from './vector';

/** Where things lie in a site: from the anchor down in px, with the place of the person who is moved along the rope. */
export interface SiteGeometry {
  readonly y: (depthM: number) => number;
  readonly stanceY: number;
  readonly descentM: number;
  readonly onLedge: boolean;
  readonly depthM: number;
}

export interface SiteScene {
  /** x of the rope that carries whoever is moved. */
  readonly ropeX: number;
  /** Whoever is moved, in words: "Climber". */
  readonly mover: string;
  readonly figure: ReactNode;
  readonly draw: (geometry: SiteGeometry) => ReactNode;
  /** Where the findings are marked. */
  readonly parts: (geometry: SiteGeometry) => Readonly<Record<Ref, Vec>>;
  /** Which of them stand out to the left. */
  readonly left: ReadonlySet<Ref>;
  readonly startShare: number;
}

interface SiteFrameProps extends DrawingProps {
  readonly scene: SiteScene;
}

/** A site to scale in metres, with somebody who is dragged along the rope and the force that the brake hand then needs. */
export function SiteFrame({ setup, assessment, chosen, onChoose, scene }: SiteFrameProps) {
  const { system } = usePreferences();
  const { figures, findings } = assessment;
  const descentM = figures.descentM;
  const svg = useRef<SVGSVGElement>(null);
  const [share, setShare] = useState(scene.startShare);

  if (descentM <= 0)
    return (
      <p className="rounded-lg bg-untested-wash p-4 text-untested">
        The next stance is not below the anchor. Correct the heights to see the site.
      </p>
    );

  const y = scaleLinear([0, descentM], [TOP, BOTTOM]);
  const depthM = share * descentM;
  const geometry: SiteGeometry = {
    y: (m) => y(m),
    stanceY: y(descentM),
    descentM,
    onLedge: setup.site.stanceHeightM > 0,
    depthM,
  };
  const brake = figures.brake[rigView(setup).main.id] ?? null;
  const now = brake ? forceAt(brake.profile, depthM) : null;
  const say = (m: number) => printQuantity(m, 'lengthM', system);
  const parts = scene.parts(geometry);
  const marks = marksFor(findings, new Set(Object.keys(parts)), chosen);
  const moveTo = (event: PointerEvent<SVGElement>) => {
    const box = svg.current!.getBoundingClientRect();
    const at = ((event.clientY - box.top) / box.height) * HEIGHT;
    setShare(Math.min(1, Math.max(0, y.invert(at) / descentM)));
  };
  const onKey = (event: KeyboardEvent<SVGElement>) => {
    const step = { ArrowDown: 0.02, ArrowUp: -0.02, PageDown: 0.1, PageUp: -0.1, Home: -1, End: 1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    setShare((s) => Math.min(1, Math.max(0, s + step)));
  };
  const reading = now
    ? `At ${say(depthM)} the brake hand needs ${printInterval(now, 'forceN', system)}.`
    : `At ${say(depthM)} below the anchor.`;

  return (
    <figure className="min-w-0">
      <figcaption className="flex min-h-11 items-center justify-between gap-3 sm:min-h-9">
        <span className="font-bold">Site</span>
        <span className="no-print text-sm text-ink-2">drag the {scene.mover.toLowerCase()}</span>
      </figcaption>
      <svg
        ref={svg}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="mt-1 w-full"
        role="group"
        aria-label={`Drawing of the site. Descent ${say(descentM)}. ${reading}`}
      >
        {scene.draw(geometry)}
        <Dimension
          from={vec(scene.ropeX + 3, TOP)}
          to={vec(scene.ropeX + 3, geometry.stanceY)}
          offset={-40}
          label={say(descentM)}
          shift={120}
        />
        {brake && (
          <ForceChart
            profile={brake.profile}
            hand={brake.handN}
            measured={brake.handMeasured}
            y={geometry.y}
            depthM={depthM}
            now={now!}
          />
        )}
        <g
          role="slider"
          tabIndex={0}
          aria-label={`${scene.mover} along the rope`}
          aria-orientation="vertical"
          aria-valuemin={0}
          aria-valuemax={Math.round(descentM * 10) / 10}
          aria-valuenow={Math.round(depthM * 10) / 10}
          aria-valuetext={reading}
          className="cursor-grab touch-none"
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            moveTo(event);
          }}
          onPointerMove={(event) => event.buttons > 0 && moveTo(event)}
          onKeyDown={onKey}
          transform={`translate(${scene.ropeX} ${y(depthM)})`}
        >
          <rect x="-26" y="-30" width="52" height="64" fill="transparent" />
          {scene.figure}
        </g>
        {marks.map((mark) => {
          const at = parts[mark.part]!;
          const left = scene.left.has(mark.part);
          return (
            <Marker
              key={mark.part}
              mark={mark}
              at={at}
              sign={add(at, vec(left ? -48 : 34, at.y < TOP + 4 ? -16 : 6))}
              onChoose={onChoose}
            />
          );
        })}
      </svg>
      <p className="min-h-6 text-center text-sm" aria-live="off">
        {reading}
      </p>
    </figure>
  );
}
