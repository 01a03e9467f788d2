import type { KeyboardEvent, PointerEvent, ReactNode } from 'react';
import { vec, type Vec } from './vector';

interface DraggedProps {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  /** One press of an arrow key; Page up and down move by five of them. */
  readonly step: number;
  /** The value as it is read out. */
  readonly text: string;
  readonly upright?: boolean;
  /** +1: arrow down raises the value, as a depth; -1: arrow up does. */
  readonly sense?: 1 | -1;
  /** Where it is, px of the drawing, and the value of a place. */
  readonly at: Vec;
  readonly valueAt: (place: Vec) => number;
  readonly onMove: (value: number) => void;
  readonly children: ReactNode;
}

/** A place in px of the drawing under the pointer. */
function placeOf(event: PointerEvent<SVGElement>): Vec {
  const svg = event.currentTarget.ownerSVGElement!;
  const box = svg.getBoundingClientRect();
  const view = svg.viewBox.baseVal;
  return vec(
    ((event.clientX - box.left) / box.width) * view.width + view.x,
    ((event.clientY - box.top) / box.height) * view.height + view.y,
  );
}

/** Something in a drawing that is moved as in life: with a finger, or with the arrow keys. */
export function Dragged(props: DraggedProps) {
  const { label, value, min, max, step, text, upright = true, sense = 1, at, valueAt, onMove, children } = props;
  const move = (to: number) => onMove(Math.min(max, Math.max(min, to)));
  const moveTo = (event: PointerEvent<SVGElement>) => move(valueAt(placeOf(event)));
  const onKey = (event: KeyboardEvent<SVGElement>) => {
    const steps = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1, PageDown: 5, PageUp: -5 }[event.key];
    if (event.key === 'Home') move(min);
    else if (event.key === 'End') move(max);
    else if (steps !== undefined) move(value + sense * steps * step);
    else return;
    event.preventDefault();
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation={upright ? 'vertical' : 'horizontal'}
      aria-valuemin={min}
      aria-valuemax={Math.round(max * 10) / 10}
      aria-valuenow={Math.round(value * 10) / 10}
      aria-valuetext={text}
      className="cursor-grab touch-none"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        moveTo(event);
      }}
      onPointerMove={(event) => event.buttons > 0 && moveTo(event)}
      onKeyDown={onKey}
      transform={`translate(${at.x} ${at.y})`}
    >
      {children}
    </g>
  );
}
