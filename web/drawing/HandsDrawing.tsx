import { useState } from 'react';
import { ToggleGroup } from 'radix-ui';
import type { Finding, FindingCode } from '@core/foundations/finding';
import { isSpread, printNumber, printQuantity, type Interval, type UnitSystem } from '@core/foundations/units';
import { usePreferences } from '../app/preferences';
import type { DrawingProps } from './drawing-props';
import { handsLayout } from './hands-layout';
import { DeviceGlyph } from './glyphs';
import { handsFrame, inside, HANDS_SHEET } from './hands-frame';
import { HandsDimensions } from './HandsDimensions';
import { ArmReach, Body, DeviceConnector, Extension, Hand, HitchAbove, HitchBelow, Strands } from './hands-parts';
import { glyphOf, rigView } from './rig-view';
import { Label, Marks } from './parts';
import { add, vec } from './vector';

type Pose = 'hanging' | 'knee';

/** Found where the hitch comes near the device. */
const NEAR: ReadonlySet<FindingCode> = new Set([
  'geometry.hitch-near-device',
  'geometry.hitch-reaches-device',
  'geometry.hitch-may-reach',
]);
const isNear = (findings: readonly Finding[]) => findings.some((f) => f.severity !== 'clear' && NEAR.has(f.code));

const printed = (i: Interval, system: UnitSystem) =>
  isSpread(i)
    ? `${printNumber(i.low, 'lengthMm', system)} to ${printQuantity(i.high, 'lengthMm', system)}`
    : printQuantity(i.best, 'lengthMm', system);

/**
 * The set-up within arm's reach, to scale: extension, device, hitch, leg loop, with the clearances the engine computed.
 */
export function HandsDrawing({ setup, assessment, chosen, onChoose }: DrawingProps) {
  const { system } = usePreferences();
  const { figures, findings } = assessment;
  const view = rigView(setup);
  const { below } = view;
  const clearance = (below && figures.clearance[below.attachment.id]) ?? null;
  const kneeIsWorst = clearance !== null && clearance.kneeRaisedMm.best < clearance.hangingMm.best;
  const [picked, setPicked] = useState<Pose | null>(null);
  const pose = picked ?? (kneeIsWorst && isNear(findings) ? 'knee' : 'hanging');
  const layout = handsLayout(view, figures, pose === 'knee');
  const frame = handsFrame(view, layout);
  const { side } = layout;
  const { px, scale } = frame;
  const extension = figures.extensionMm[view.main.id];
  const reach = below ? figures.reach[below.attachment.id] : undefined;
  const clear = pose === 'knee' ? clearance?.kneeRaisedMm : clearance?.hangingMm;
  const hitchParts = new Set([below?.hitch.id, below?.connector?.id]);
  const summary = [
    'Seen from behind the person.',
    extension ? `Extension ${printed(extension, system)}.` : '',
    reach ? `Hitch reaches ${printed(reach.reachMm, system)}.` : '',
    clear ? `Clearance ${pose === 'knee' ? 'with the knee raised' : 'hanging'} ${printed(clear, system)}.` : '',
  ].join(' ');

  return (
    <figure className="min-w-0">
      <figcaption className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
        <span className="font-bold">{view.belays ? 'At the belayer' : 'Hands'}</span>
        {below && <Poses pose={pose} onPick={setPicked} />}
      </figcaption>
      <svg
        viewBox={`0 0 ${HANDS_SHEET.width} ${HANDS_SHEET.height}`}
        className="mt-1 w-full"
        role="group"
        aria-label={`Drawing of the hands. ${summary}`}
      >
        <Body layout={layout} px={px} scale={scale} kneeRaised={pose === 'knee'} />
        <Strands view={view} layout={layout} frame={frame} />
        <Extension view={view} layout={layout} frame={frame} />
        <DeviceConnector view={view} layout={layout} frame={frame} />
        <DeviceGlyph at={px(vec(0, layout.extensionMm + 12))} scale={scale} side={side} {...glyphOf(view.device)} />
        {layout.above && <HitchAbove layout={layout} frame={frame} wraps={view.above!.hitch.wraps} />}
        {below && <HitchBelow layout={layout} view={below} frame={frame} />}
        {view.braker && (
          <>
            <Hand at={px(layout.hand)} scale={scale} />
            <Label at={add(px(layout.hand), vec(side * -38, 22))} anchor={side > 0 ? 'end' : 'start'}>
              brake hand
            </Label>
          </>
        )}
        <HandsDimensions
          view={view}
          layout={layout}
          frame={frame}
          findings={findings}
          extension={extension}
          reach={reach?.reachMm}
          clear={clear}
        />
        {layout.armReachMm !== null && (view.extension || view.above) && (
          <ArmReach
            layout={layout}
            px={px}
            topMm={frame.topMm}
            label={`arm ${printQuantity(layout.armReachMm, 'lengthMm', system)}`}
          />
        )}
        <Marks
          findings={findings}
          parts={Object.fromEntries(Object.entries(layout.parts).map(([part, at]) => [part, px(at)]))}
          chosen={chosen}
          away={(part, at) => {
            const outward = part === view.connector?.id && !hitchParts.has(part) ? side : -side;
            const sign = inside(add(at, vec(outward * 34, part === view.main.end.id ? -18 : 4)));
            return vec(sign.x - at.x, sign.y - at.y);
          }}
          onChoose={onChoose}
        />
      </svg>
    </figure>
  );
}

/** Hanging, or with the knee raised: the hitch on a leg loop comes up with it. */
function Poses({ pose, onPick }: { pose: Pose; onPick: (pose: Pose) => void }) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label="Pose"
      value={pose}
      onValueChange={(value) => value && onPick(value as Pose)}
      className="no-print flex overflow-hidden rounded-md border border-line-2"
    >
      {(['hanging', 'knee'] as const).map((p) => (
        <ToggleGroup.Item
          key={p}
          value={p}
          className="min-h-11 bg-surface px-3 text-sm data-[state=on]:bg-ink data-[state=on]:font-bold data-[state=on]:text-paper sm:min-h-9"
        >
          {p === 'hanging' ? 'Hanging' : 'Knee raised'}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
