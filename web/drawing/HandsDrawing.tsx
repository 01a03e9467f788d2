import { useState } from 'react';
import { ToggleGroup } from 'radix-ui';
import type { Severity } from '@core/foundations/finding';
import { isSpread, printNumber, printQuantity, type Interval } from '@core/foundations/units';
import { usePreferences } from '../app/preferences';
import type { DrawingProps } from './drawing-props';
import { handsLayout } from './hands-layout';
import { DeviceGlyph } from './glyphs';
import { ArmReach, Body, Hand, HitchAbove, HitchBelow } from './hands-parts';
import { marksFor } from './marks';
import { glyphOf, rigView } from './rig-view';
import { Dimension, hullPath, Label, Marker } from './parts';
import { add, mul, normal, vec, type Vec } from './vector';

const WIDTH = 320;
/** A sign at the edge would be cut in half. */
const inside = (p: Vec): Vec => vec(Math.min(WIDTH - 14, Math.max(14, p.x)), p.y);
const HEIGHT = 540;

/**
 * The set-up within arm's reach, to scale: extension, device, hitch, leg loop, with the clearances the engine computed.
 */
export function HandsDrawing({ setup, assessment, chosen, onChoose }: DrawingProps) {
  const { system } = usePreferences();
  const { figures, findings } = assessment;
  const view = rigView(setup);
  const { below } = view;
  const clearance = below ? (figures.clearance[below.attachment.id] ?? null) : null;
  const extension = figures.extensionMm[view.main.id] ?? null;
  const reach = below ? (figures.reach[below.attachment.id] ?? null) : null;
  const kneeIsWorst = clearance !== null && clearance.kneeRaisedMm.best < clearance.hangingMm.best;
  const kneeMatters =
    findings.some((f) => f.severity !== 'clear' && f.code.startsWith('geometry.hitch')) && kneeIsWorst;
  const [picked, setPicked] = useState<'hanging' | 'knee' | null>(null);
  const pose = picked ?? (kneeMatters ? 'knee' : 'hanging');
  const layout = handsLayout(view, figures, pose === 'knee');
  const { side, lip, attach, along, coilHigh } = layout;

  const topMm = Math.max(layout.extensionMm + 150, (layout.above?.highMm ?? 0) + 60, 330);
  const bottomMm = Math.min(layout.hand.y, -170) - 80;
  const scale = Math.min(HEIGHT / (topMm - bottomMm), 0.72);
  // A hitch and its dimensions need room beside the leg; without one both legs are shown whole.
  const aside = below ? side * 34 : 0;
  const px = (p: Vec): Vec => vec(WIDTH / 2 - aside + p.x * scale, (topMm - p.y) * scale);
  const out = normal(along);
  const beside = (p: Vec, mm: number) => px(add(p, mul(out, mm)));
  const line = (...points: Vec[]) => `M${points.map((p) => `${p.x} ${p.y}`).join('L')}`;

  const say = (i: Interval) =>
    isSpread(i)
      ? `${printNumber(i.low, 'lengthMm', system)} to ${printQuantity(i.high, 'lengthMm', system)}`
      : printQuantity(i.best, 'lengthMm', system);
  const toneOf = (prefix: string): Severity | 'plain' => {
    const found = findings.find((f) => f.code.startsWith(prefix));
    return !found || found.severity === 'clear' ? 'plain' : found.severity;
  };
  const clear = pose === 'knee' ? clearance?.kneeRaisedMm : clearance?.hangingMm;
  const clearTone = clear && clear.best <= 0 ? 'stop' : clear && clear.low < 30 ? 'mind' : 'plain';

  const ropeWidth = Math.max(3, view.ropeA.diameterMm * scale);
  const strandGap = ropeWidth / scale / 2 + 0.8;
  const ropeB = view.joined ? 'var(--rope-b)' : 'var(--rope-a)';
  const sides = view.strands === 2 ? [-1, 1] : [0];
  const cordWidth = Math.max(2.2, (below?.hitch.item?.nominalDiameterMm ?? 6) * scale);
  const ghost = { strokeDasharray: '5 4' };
  const broadUp = view.connector?.loadedEnd !== 'narrow';
  const broad = Math.max(14, (view.connector?.item?.broadInsideWidthMm ?? 40) / 2) * scale;
  const narrow = 9 * scale;
  const connectorTop = px(vec(0, layout.extensionMm));
  const connectorLow = px(vec(0, layout.extensionMm - layout.connectorMm));
  const rTop = broadUp ? broad : narrow;
  const rLow = broadUp ? narrow : broad;
  const gateSide = view.connector?.faces === 'rope' ? side : -side;

  const parts = new Set(Object.keys(layout.parts));
  const marks = marksFor(findings, parts, chosen);
  const locked = view.connector?.gate === 'locked';
  const hitchRefs = new Set([below?.hitch.id, below?.connector?.id]);
  const summary = `Seen from behind the person. ${extension ? `Extension ${say(extension)}.` : ''} ${reach ? `Hitch reaches ${say(reach.reachMm)}.` : ''} ${clear ? `Clearance ${pose === 'knee' ? 'with the knee raised' : 'hanging'} ${say(clear)}.` : ''}`;

  return (
    <figure className="min-w-0">
      <figcaption className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
        <span className="font-bold">{view.belays ? 'At the belayer' : 'Hands'}</span>
        {below && (
          <ToggleGroup.Root
            type="single"
            aria-label="Pose"
            value={pose}
            onValueChange={(value) => value && setPicked(value as 'hanging' | 'knee')}
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
        )}
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="mt-1 w-full"
        role="group"
        aria-label={`Drawing of the hands. ${summary}`}
      >
        <Body layout={layout} px={px} scale={scale} kneeRaised={pose === 'knee'} />
        {/* strands from the anchor into the device */}
        {sides.map((k) => (
          <path
            key={k}
            d={line(px(vec(k * 7, topMm)), px(vec(k * 7, layout.extensionMm + 8)))}
            stroke={k <= 0 ? 'var(--rope-a)' : ropeB}
            strokeWidth={ropeWidth}
          />
        ))}
        {/* brake strands: lip, past the hitch, to the hand */}
        {sides.map((k) => (
          <path
            key={k}
            d={line(
              beside(lip, k * strandGap),
              ...(view.braker ? [beside(attach, k * strandGap + side * -14)] : []),
              ...(view.braker
                ? [
                    px(add(layout.hand, vec(k * strandGap, 0))),
                    px(add(layout.hand, vec(side * 16 + k * strandGap, -75))),
                  ]
                : [px(vec(side * 20, bottomMm))]),
            )}
            fill="none"
            stroke={k <= 0 ? 'var(--rope-a)' : ropeB}
            strokeWidth={ropeWidth}
            strokeLinejoin="round"
          />
        ))}
        {/* extension */}
        <path
          d={line(px(vec(0, -4)), connectorLow)}
          stroke="var(--textile)"
          strokeWidth={Math.max(6, 14 * scale)}
          strokeLinecap="round"
          {...(layout.guessed.extension ? ghost : {})}
        />
        {Array.from({ length: view.extension?.knots ?? 0 }, (_, i) => {
          const at = px(
            vec(0, ((layout.extensionMm - layout.connectorMm) * (i + 1)) / ((view.extension?.knots ?? 0) + 1)),
          );
          return (
            <ellipse
              key={i}
              cx={at.x}
              cy={at.y}
              rx={12 * scale + 4}
              ry={10 * scale + 3}
              fill="var(--textile)"
              stroke="var(--surface)"
            />
          );
        })}
        {/* device connector with its gate */}
        <path
          d={hullPath(
            vec(connectorTop.x, connectorTop.y + rTop),
            rTop,
            vec(connectorLow.x, connectorLow.y - rLow),
            rLow,
          )}
          fill="none"
          stroke="var(--metal)"
          strokeWidth="5"
          {...(layout.guessed.extension ? ghost : {})}
        />
        <path
          d={line(
            vec(connectorTop.x + gateSide * rTop, connectorTop.y + rTop),
            vec(connectorLow.x + gateSide * rLow, connectorLow.y - rLow),
          )}
          stroke={locked ? 'var(--ink)' : 'var(--surface)'}
          strokeWidth={locked ? 8 : 5}
          strokeDasharray={locked ? '16 100' : '9 3'}
          strokeDashoffset={locked ? -8 : 0}
        />
        <DeviceGlyph at={px(vec(0, layout.extensionMm + 12))} scale={scale} side={side} {...glyphOf(view.device)} />
        {layout.above && (
          <HitchAbove layout={layout} px={px} scale={scale} cordWidth={cordWidth} wraps={view.above!.hitch.wraps} />
        )}
        {below && <HitchBelow layout={layout} view={below} px={px} scale={scale} cordWidth={cordWidth} />}
        {view.braker && (
          <>
            <Hand at={px(layout.hand)} scale={scale} />
            <Label at={add(px(layout.hand), vec(side * -38, 22))} anchor={side > 0 ? 'end' : 'start'}>
              brake hand
            </Label>
          </>
        )}
        {/* dimensions */}
        {extension && view.extension && (
          <Dimension
            from={px(vec(0, 0))}
            to={px(vec(0, layout.extensionMm))}
            offset={-side * 46}
            label={['extension', printQuantity(extension.best, 'lengthMm', system)]}
            anchor={side > 0 ? 'end' : 'start'}
            tone={toneOf('geometry.device-')}
          />
        )}
        {reach && (
          <Dimension
            from={px(attach)}
            to={px(coilHigh)}
            offset={side * 36}
            label={['hitch reach', printQuantity(reach.reachMm.best, 'lengthMm', system)]}
            anchor={side > 0 ? 'start' : 'end'}
          />
        )}
        {clear && (
          <Dimension
            from={px(layout.overlapMm > 0 ? lip : coilHigh)}
            to={px(layout.overlapMm > 0 ? coilHigh : lip)}
            offset={side * 36}
            label={
              clear.best <= 0
                ? ['touches', `${printQuantity(-clear.best, 'lengthMm', system)} over`]
                : ['gap', printQuantity(clear.best, 'lengthMm', system)]
            }
            tone={clearTone}
            anchor={side > 0 ? 'start' : 'end'}
            shift={-10}
          />
        )}
        {layout.armReachMm !== null && (view.extension || view.above) && (
          <ArmReach
            layout={layout}
            px={px}
            topMm={topMm}
            label={`arm ${printQuantity(layout.armReachMm, 'lengthMm', system)}`}
          />
        )}
        {marks.map((mark) => {
          const at = px(layout.parts[mark.part]!);
          const outward = mark.part === view.connector?.id && !hitchRefs.has(mark.part) ? side : -side;
          return (
            <Marker
              key={mark.part}
              mark={mark}
              at={at}
              sign={inside(add(at, vec(outward * 34, mark.part === view.main.end.id ? -18 : 4)))}
              onChoose={onChoose}
            />
          );
        })}
      </svg>
    </figure>
  );
}
