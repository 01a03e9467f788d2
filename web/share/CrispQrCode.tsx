import { useLayoutEffect, useRef, useState } from 'react';
import { QrCode } from './QrCode';
import { QUIET, type Squares } from './squares';

/** Device pixels for one square of the code below which it is better to fill the room than to be exact. */
const LEAST = 2;

/**
 * Side of a code, in px of the page, at which each of its squares takes whole device pixels; null where the room is too
 * small for that.
 */
export function crispSide(roomPx: number, squares: number, pixelRatio: number): number | null {
  const each = Math.floor((roomPx * pixelRatio) / squares);
  return each < LEAST ? null : (each * squares) / pixelRatio;
}

/**
 * A QR code on a screen. Squares of 6.7 device pixels are drawn as sixes and sevens, and some readers lose their way in
 * a fine code then: each is drawn with as many whole ones as there is room for.
 */
export function CrispQrCode({ name, squares }: { name: string; squares: Squares }) {
  const room = useRef<HTMLDivElement>(null);
  const [sidePx, setSidePx] = useState<number | null>(null);
  useLayoutEffect(() => {
    const box = room.current!;
    const fit = () => setSidePx(crispSide(box.clientWidth, squares.size + 2 * QUIET, window.devicePixelRatio || 1));
    // Before the first paint: a code must not stand there for a moment in a size that a camera cannot read.
    fit();
    const observer = new ResizeObserver(fit);
    observer.observe(box);
    return () => observer.disconnect();
  }, [squares.size]);
  return (
    <div ref={room} className="grid size-full place-items-center">
      <div style={sidePx === null ? { width: '100%', height: '100%' } : { width: sidePx, height: sidePx }}>
        <QrCode name={name} squares={squares} />
      </div>
    </div>
  );
}
