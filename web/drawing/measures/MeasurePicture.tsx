import { memo } from 'react';
import { mul, normal, sub, unit, vec, type Vec } from '../vector';
import { measureView, type Values } from './views';

const WIDTH = 112;
const USUAL_HEIGHT = 84;
/** Somebody from head to foot. */
const TALL_HEIGHT = 150;
const MARGIN = 9;

interface MeasurePictureProps {
  readonly kind: string;
  readonly field: string;
  readonly values: Values;
}

/** The item with the line that a field asks for, to scale with what was typed: which two places the caliper goes to. */
export const MeasurePicture = memo(function MeasurePicture({ kind, field, values }: MeasurePictureProps) {
  const view = measureView(kind, field, values);
  if (!view) return null;
  const [x0, y0, x1, y1] = view.box;
  // What is long is laid down: the field is wider than it is high.
  const lying = !view.upright && y1 - y0 > x1 - x0;
  const tall = view.upright === true && y1 - y0 > 1000;
  const height = tall ? TALL_HEIGHT : USUAL_HEIGHT;
  const [w, h] = lying ? [y1 - y0, x1 - x0] : [x1 - x0, y1 - y0];
  const scale = Math.min((WIDTH - 2 * MARGIN) / w, (height - 2 * MARGIN) / h);
  const px = ({ x, y }: Vec): Vec => {
    const [dx, dy] = [(x - (x0 + x1) / 2) * scale, (y - (y0 + y1) / 2) * scale];
    return lying ? vec(WIDTH / 2 + dy, height / 2 - dx) : vec(WIDTH / 2 + dx, height / 2 + dy);
  };
  const [origin, from, to] = [px(vec(0, 0)), px(view.from), px(view.to)];
  const along = unit(sub(to, from));
  const tick = mul(normal(along), 5);
  const line = `M${from.x} ${from.y}L${to.x} ${to.y}${[from, to].map((p) => `M${p.x - tick.x} ${p.y - tick.y}L${p.x + tick.x} ${p.y + tick.y}`).join('')}`;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className={`w-28 shrink-0 self-center rounded border border-line bg-surface ${tall ? 'h-37.5' : 'h-21'}`}
      aria-hidden
      data-measure={field}
    >
      <g transform={`translate(${origin.x} ${origin.y}) scale(${scale})${lying ? ' rotate(-90)' : ''}`}>{view.body}</g>
      <path d={line} stroke="var(--surface)" strokeWidth="6" strokeLinecap="round" />
      <path d={line} stroke="var(--stop)" strokeWidth="2.4" strokeLinecap="round" />
    </svg>
  );
});
