import {
  isFootLoop,
  ropeWalkFigures,
  selfBelayCurves,
  strokeFigures,
  type RopeWalkFigures,
  type SelfBelayCurve,
} from '@core/rigs/pairs';
import type { Finding } from '@core/foundations/finding';
import { contextOf } from '@core/rigs/elements';
import type { ComponentProps } from 'react';
import { Link, useNavigate } from 'react-router';
import { traitsOf, JOB_FACTS } from '@core/things/gear';
import { deviceOf, ropesIn, indexOf, type Setup } from '@core/rigs/rig';
import { usePlace } from '../../../app/place';
import { keepAll } from '../../../store/edits';
import { useWorkspace } from '../../../store/hooks';
import { lazyPart } from '../../../ui/part';
import { useUndoable } from '../../../ui/useUndoable';
import type { Captures as CapturesView } from './Captures';
import { gripsIn, RopeOrder } from './RopeOrder';
import { StrokeDrawing } from './StrokeDrawing';

const ThirdHand = lazyPart<{ setup: Setup }>('The mini haul', () => import('./ThirdHand').then((m) => m.ThirdHand));

const RopeWalkLengths = lazyPart<{ figures: RopeWalkFigures }>('Lengths', () =>
  import('./RopeWalkFigure').then((m) => m.RopeWalkFigure),
);

const SoloChart = lazyPart<{ curve: SelfBelayCurve }>('The chart of a fall', () =>
  import('./SelfBelayChart').then((m) => m.SelfBelayChart),
);

const Captures = lazyPart<ComponentProps<typeof CapturesView>>('The comparison', () =>
  import('./Captures').then((m) => m.Captures),
);

const BenchTests = lazyPart<{ setup: Setup }>('Own tries', () => import('./BenchTests').then((m) => m.BenchTests));

interface OnTheRopeProps {
  readonly setup: Setup;
  readonly findings: readonly Finding[];
  readonly onChange: (next: Setup) => void;
}

/**
 * Leads from a bollard to its tuning to this very rope; what stands in this set-up alone goes into the locker with it.
 */
function TuneLinks({ setup }: { setup: Setup }) {
  const { name } = usePlace();
  const { items } = useWorkspace();
  const act = useUndoable();
  const navigate = useNavigate();
  const index = indexOf(setup);
  return setup.attachments.flatMap((a) => {
    const item = deviceOf(a)?.item;
    const rope = item && traitsOf(item.family).tuned ? ropesIn(index, a.end)?.ropeA : null;
    if (!item || !rope) return [];
    const to = `/${name}/locker/device/${item.id}/tune?rope=${rope.id}`;
    const loose = [item, rope].filter(({ id }) => items.every((i) => i.id !== id));
    const says = `Tune ${item.name} to this rope`;
    return [
      <p key={a.id} className="mt-4">
        {loose.length === 0 ? (
          <Link className="btn" to={to}>
            {says}
          </Link>
        ) : (
          <button
            type="button"
            className="btn"
            onClick={() => {
              act(keepAll(loose), `In the locker now: ${loose.map((i) => i.name).join(' and ')}.`);
              void navigate(to);
            }}
          >
            {says}: put {loose.length === 1 ? 'it' : 'both'} into the locker first
          </button>
        )}
      </p>,
    ];
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
      {JOB_FACTS[setup.job].casualty && <ThirdHand setup={setup} />}
      {walk && <RopeWalkLengths figures={walk} />}
      {selfBelayCurves(ctx).map((curve) => (
        <SoloChart key={curve.ref} curve={curve} />
      ))}
    </>
  );
}
