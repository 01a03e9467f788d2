import type { Item, Person } from '@core/things/gear';
import { FamilyPicture } from './FamilyPicture';
import { measureView } from './measures/views';

const SIZE = 48;
const MARGIN = 4;
/** One scale for connectors, so that a small one looks small beside a large one. */
const CONNECTOR_MM = 125;

/** Belt, leg loops and belay loop. */
const Harness = () => (
  <svg viewBox="0 0 48 48" className="size-12" aria-hidden fill="none" stroke="var(--textile)" strokeLinecap="round">
    <path d="M7 15q17 9 34 0" strokeWidth="7" />
    <ellipse cx="14" cy="35" rx="9" ry="6" strokeWidth="5" />
    <ellipse cx="34" cy="35" rx="9" ry="6" strokeWidth="5" />
    <path d="M24 18v14" stroke="var(--ink-2)" strokeWidth="3.5" />
  </svg>
);

/** The field whose drawing shows the whole thing. */
const WHOLE: Readonly<Record<string, string>> = {
  rope: 'lengthM',
  connector: 'insideLengthMm',
  sling: 'loopLengthMm',
  cord: 'cutLengthM',
  person: 'tieInHeightMm',
};

/** Something of the locker, small, so that one picks it by its look. */
export function ItemPicture({ thing }: { thing: Item | Person }) {
  const kind = 'kind' in thing ? thing.kind : 'person';
  if (kind === 'harness') return <Harness />;
  if ('family' in thing) return <FamilyPicture family={thing.family} size={SIZE} />;
  const view = measureView(kind, WHOLE[kind]!, thing);
  if (!view) return null;
  const [x0, y0, x1, y1] = view.box;
  const [w, h] = [x1 - x0, y1 - y0];
  // What is long lies from corner to corner: a sling is seen to be one.
  const tilt = kind === 'sling' ? -45 : 0;
  const room = SIZE - 2 * MARGIN;
  const scale =
    kind === 'connector' ? room / CONNECTOR_MM : tilt ? (room * 1.3) / Math.max(w, h) : room / Math.max(w, h);
  return (
    <svg viewBox={`0 0 ${SIZE} ${SIZE}`} className="size-12" aria-hidden>
      <g
        transform={`translate(${SIZE / 2} ${SIZE / 2}) rotate(${tilt}) scale(${scale}) translate(${-(x0 + x1) / 2} ${-(y0 + y1) / 2})`}
      >
        {view.body}
      </g>
    </svg>
  );
}
