import {
  isFootLoop,
  ropeWalkFigures,
  soloCurves,
  strokeFigures,
  type RopeWalkFigures,
  type SoloCurve,
} from '@core/between';
import type { Finding } from '@core/finding';
import { contextOf } from '@core/parts';
import type { ComponentProps } from 'react';
import { Link } from 'react-router';
import { traitsOf } from '@core/gear';
import { deviceOf, ropesIn, indexOf, type Setup } from '@core/rig';
import { usePlace } from '../../app/place';
import { part } from '../../ui/part';
import type { Captures as CapturesView } from './Captures';
import { gripsIn, RopeOrder } from './RopeOrder';
import { StrokeDrawing } from './StrokeDrawing';

const ThirdHand = part<{ setup: Setup }>('The third hand', () => import('./ThirdHand').then((m) => m.ThirdHand));

const RopeWalkLengths = part<{ figures: RopeWalkFigures }>('Lengths', () =>
  import('./RopeWalkLengths').then((m) => m.RopeWalkLengths),
);

const SoloChart = part<{ curve: SoloCurve }>('The chart of a fall', () =>
  import('./SoloChart').then((m) => m.SoloChart),
);

const Captures = part<ComponentProps<typeof CapturesView>>('The comparison', () =>
  import('./Captures').then((m) => m.Captures),
);

const BenchTests = part<{ setup: Setup }>('Own tries', () => import('./BenchTests').then((m) => m.BenchTests));

interface OnTheRopeProps {
  readonly setup: Setup;
  readonly findings: readonly Finding[];
  readonly onChange: (next: Setup) => void;
}

/** Leads from a bollard to its tuning to this very rope. */
function TuneLinks({ setup }: { setup: Setup }) {
  const { name } = usePlace();
  const index = indexOf(setup);
  return setup.attachments.flatMap((a) => {
    const item = deviceOf(a)?.item;
    const rope = item && traitsOf(item.family).tuned ? ropesIn(index, a.end)?.ropeA : null;
    return item && rope
      ? [
          <p key={a.id} className="mt-4">
            <Link className="btn" to={`/${name}/locker/device/${item.id}/tune?rope=${rope.id}`}>
              Tune {item.name} to this rope
            </Link>
          </p>,
        ]
      : [];
  });
}

/** For whoever climbs on what grips by itself: the order along the rope, and a fall at each height. */
export function OnTheRope({ setup, findings, onChange }: OnTheRopeProps) {
  const ctx = contextOf(setup);
  const walk = ropeWalkFigures(ctx);
  return (
    <>
      {gripsIn(setup, findings).length > 1 && <RopeOrder setup={setup} findings={findings} onChange={onChange} />}
      <TuneLinks setup={setup} />
      <BenchTests setup={setup} />
      {setup.attachments.filter(isFootLoop).flatMap((loop) => {
        const figures = strokeFigures(loop, ctx);
        return figures
          ? [
              <StrokeDrawing key={loop.id} figures={figures} />,
              <Captures key={`${loop.id}/captures`} setup={setup} loop={loop} onChange={onChange} />,
            ]
          : [];
      })}
      {setup.job === 'pick-off' && <ThirdHand setup={setup} />}
      {walk && <RopeWalkLengths figures={walk} />}
      {soloCurves(ctx).map((curve) => (
        <SoloChart key={curve.ref} curve={curve} />
      ))}
    </>
  );
}
