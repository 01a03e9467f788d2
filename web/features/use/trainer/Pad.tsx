import type { PointerEvent } from 'react';
import { KEYS, type HandInput, type Side } from './hand-input';

interface PadProps {
  readonly side: Side;
  readonly title: string;
  /** What the upper and the lower half stand for. */
  readonly upper: string;
  readonly lower: string;
  readonly input: HandInput;
  /** Strip of the pad that keeps the thumb on the cam: on the side of the device. */
  readonly camStrip: boolean;
}

/** One thumb on one pad is one hand: on the glass it is closed, and it is as high as the thumb. */
export function Pad({ side, title, upper, lower, input, camStrip }: PadProps) {
  const move = (event: PointerEvent<HTMLDivElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const height = 1 - (2 * (event.clientY - box.top)) / box.height;
    input.pad(side, Math.min(1, Math.max(-1, height)));
    if (camStrip) {
      const inner = side === 'left' ? box.right - event.clientX : event.clientX - box.left;
      input.cam(inner < box.width * 0.3);
    }
  };
  const leave = () => {
    input.pad(side, null);
    if (camStrip) input.cam(false);
  };
  const [high, line, low] = KEYS[side];
  const beside = camStrip ? (side === 'left' ? 'pr-[32%]' : 'pl-[32%]') : '';
  return (
    <div
      className="relative flex-1 touch-none rounded-xl border-2 border-ink bg-surface select-none"
      data-pad={side}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        move(event);
      }}
      onPointerMove={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && move(event)}
      onPointerUp={leave}
      onPointerCancel={leave}
    >
      <div className="pointer-events-none absolute inset-x-0 top-1/2 border-t-2 border-dashed border-line-2" />
      {camStrip && (
        <div
          className={`pointer-events-none absolute inset-y-0 w-[30%] bg-mind-wash ${side === 'left' ? 'right-0 rounded-r-xl' : 'left-0 rounded-l-xl'}`}
        >
          <span className="absolute inset-x-1 top-1 text-center text-xs leading-tight text-mind">thumb on the cam</span>
        </div>
      )}
      <p className="pointer-events-none absolute inset-x-2 top-1/2 -translate-y-1/2 text-center font-bold">
        <span className="bg-surface px-1">{title}</span>
      </p>
      <p className={`pointer-events-none absolute inset-x-2 top-2 text-sm leading-tight text-ink-2 ${beside}`}>
        {upper}
      </p>
      <p className={`pointer-events-none absolute inset-x-2 bottom-2 text-sm leading-tight text-ink-2 ${beside}`}>
        {lower}
      </p>
      <p className="num pointer-events-none absolute right-2 bottom-2 hidden text-sm text-ink-2 sm:block">
        {high![1]} {line![1]} {low![1]}
      </p>
    </div>
  );
}
