import { scaleLinear } from 'd3-scale';
import { useState, type ReactNode } from 'react';
import type { ElementId } from '@core/foundations/finding';
import { printInterval, printQuantity } from '@core/foundations/units';
import { usePreferences } from '../app/preferences';
import { Dragged } from './Dragged';
import type { DrawingProps } from './drawing-props';
import { Dimension, Marks } from './parts';
import { rigView } from './rig-view';
import { BOTTOM, forceAt, ForceChart, HEIGHT, TOP, WIDTH } from './site-parts';
import { vec, type Vec } from './vector';

/** Where things lie in a site: from the anchor down in px, with the place of the person who is moved along the rope. */
export interface SiteGeometry {
  readonly y: (depthM: number) => number;
  readonly depthAt: (yPx: number) => number;
  readonly stanceY: number;
  readonly descentM: number;
  readonly onLedge: boolean;
  readonly depthM: number;
  /** Depth of whoever else is moved; 0 where nobody is. */
  readonly otherM: number;
}

export interface SiteScene {
  /** x of the rope that carries whoever is moved. */
  readonly ropeX: number;
  /** Whoever is moved, in words: "Climber". */
  readonly mover: string;
  readonly figure: ReactNode;
  readonly draw: (geometry: SiteGeometry) => ReactNode;
  /** Where the findings are marked. */
  readonly parts: (geometry: SiteGeometry) => Readonly<Record<ElementId, Vec>>;
  /** Which of them stand out to the left. */
  readonly left: ReadonlySet<ElementId>;
  readonly startShare: number;
  /** A second person with a rope of their own. */
  readonly other?: {
    readonly mover: string;
    readonly x: number;
    readonly figure: ReactNode;
    readonly startShare: number;
  };
  /** What else is moved: a fact of the set-up, so that only a drawing that may change it shows a handle. */
  readonly handles?: (geometry: SiteGeometry, change: NonNullable<DrawingProps['onChange']>) => ReactNode;
}

interface SiteFrameProps extends DrawingProps {
  readonly scene: SiteScene;
}

/**
 * A site to scale in metres, with somebody who is dragged along the rope and the force that the brake hand then needs.
 */
export function SiteFrame({ setup, assessment, chosen, onChoose, onChange, scene }: SiteFrameProps) {
  const { system } = usePreferences();
  const { figures, findings } = assessment;
  const descentM = figures.descentM;
  const [share, setShare] = useState(scene.startShare);
  const { other } = scene;
  const [otherShare, setOtherShare] = useState(other?.startShare ?? 0);

  if (descentM <= 0)
    return (
      <p className="rounded-lg bg-untested-wash p-4 text-untested">
        {setup.site.anchorHeightM === 0
          ? 'The height of the anchor is not said. With it the place is drawn.'
          : 'The next stance is not below the anchor. Correct the heights to see the site.'}
      </p>
    );

  const y = scaleLinear([0, descentM], [TOP, BOTTOM]);
  const depthM = share * descentM;
  const geometry: SiteGeometry = {
    y: (m) => y(m),
    depthAt: (px) => y.invert(px),
    stanceY: y(descentM),
    descentM,
    onLedge: setup.site.stanceHeightM > 0,
    depthM,
    otherM: otherShare * descentM,
  };
  const brake = figures.brake[rigView(setup).main.id] ?? null;
  const now = brake ? forceAt(brake.profile, depthM) : null;
  const say = (m: number) => printQuantity(m, 'lengthM', system);
  const parts = scene.parts(geometry);
  const reading = now
    ? `At ${say(depthM)} the brake hand needs ${printInterval(now, 'forceN', system)}.`
    : `At ${say(depthM)} below the anchor.`;

  return (
    <figure className="min-w-0">
      <figcaption className="flex min-h-11 flex-wrap items-center justify-between gap-3 sm:min-h-9">
        <span className="font-bold">Site</span>
        <span className="no-print text-sm text-ink-2">
          {other ? 'drag each person' : `drag the ${scene.mover.toLowerCase()}`}
        </span>
      </figcaption>
      <svg
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
        {other && (
          <Dragged
            label={`${other.mover} along the rope`}
            value={geometry.otherM}
            min={0}
            max={descentM}
            step={descentM / 50}
            text={`At ${say(geometry.otherM)} below the anchor.`}
            at={vec(other.x, y(geometry.otherM))}
            valueAt={(place) => y.invert(place.y)}
            onMove={(m) => setOtherShare(m / descentM)}
          >
            <rect x="-22" y="-30" width="44" height="64" fill="transparent" />
            {other.figure}
          </Dragged>
        )}
        <Dragged
          label={`${scene.mover} along the rope`}
          value={depthM}
          min={0}
          max={descentM}
          step={descentM / 50}
          text={reading}
          at={vec(scene.ropeX, y(depthM))}
          valueAt={(place) => y.invert(place.y)}
          onMove={(m) => setShare(m / descentM)}
        >
          <rect x="-26" y="-30" width="52" height="64" fill="transparent" />
          {scene.figure}
        </Dragged>
        {onChange && scene.handles?.(geometry, onChange)}
        <Marks
          findings={findings}
          parts={parts}
          chosen={chosen}
          away={(part, at) => vec(scene.left.has(part) ? -48 : 34, at.y < TOP + 4 ? -16 : 6)}
          onChoose={onChoose}
        />
      </svg>
      <p className="min-h-6 text-center text-sm" aria-live="off">
        {reading}
      </p>
    </figure>
  );
}
