import { isFootLoop, soloCurves, strokeFigures, type SoloCurve } from '@core/between';
import type { Finding } from '@core/finding';
import { contextOf } from '@core/parts';
import type { ComponentProps } from 'react';
import type { Setup } from '@core/rig';
import { part } from '../../ui/part';
import type { Captures as CapturesView } from './Captures';
import { gripsIn, RopeOrder } from './RopeOrder';
import { StrokeDrawing } from './StrokeDrawing';

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

/** For whoever climbs on what grips by itself: the order along the rope, and a fall at each height. */
export function OnTheRope({ setup, findings, onChange }: OnTheRopeProps) {
  const ctx = contextOf(setup);
  return (
    <>
      {gripsIn(setup, findings).length > 1 && <RopeOrder setup={setup} findings={findings} onChange={onChange} />}
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
      {soloCurves(ctx).map((curve) => (
        <SoloChart key={curve.ref} curve={curve} />
      ))}
    </>
  );
}
