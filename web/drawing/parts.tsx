import { renderSentence, type ElementId, type Finding } from '@core/foundations/finding';
import { usePreferences } from '../app/preferences';
import { SEVERITY_WORDS, SeverityShape } from '../ui/SeverityMark';
import { marksFor, type DrawnMark } from './marks';
import { add, length, mul, normal, sub, unit, type Vec } from './vector';

const TONES = {
  plain: 'var(--ink-2)',
  stop: 'var(--stop)',
  mind: 'var(--mind)',
  untested: 'var(--untested)',
  clear: 'var(--ink-2)',
} as const;

interface DimensionProps {
  readonly from: Vec;
  readonly to: Vec;
  /** Distance of the line from the measured points, to the left of the direction, px. */
  readonly offset: number;
  /** One line or several, the last one usually the number. */
  readonly label: string | readonly string[];
  readonly tone?: keyof typeof TONES;
  readonly anchor?: 'start' | 'middle' | 'end';
  readonly shift?: number;
}

/**
 * A dimension line between two points of the drawing, in px: witness lines, two slanted ticks and the number beside it.
 */
export function Dimension({ from, to, offset, label, tone = 'plain', anchor = 'start', shift = 0 }: DimensionProps) {
  const along = unit(sub(to, from));
  const out = mul(normal(along), offset);
  const [a, b] = [add(from, out), add(to, out)];
  const tick = mul(add(along, normal(along)), 4);
  const middle = add(mul(add(a, b), 0.5), { x: anchor === 'start' ? 7 : anchor === 'end' ? -7 : 0, y: 4 + shift });
  const colour = TONES[tone];
  return (
    <g stroke={colour} strokeWidth="1" fill="none">
      <path
        d={`M${from.x} ${from.y}L${a.x} ${a.y}M${to.x} ${to.y}L${b.x} ${b.y}`}
        strokeDasharray="2 3"
        opacity="0.8"
      />
      <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} strokeWidth={tone === 'plain' ? 1.2 : 2} />
      {[a, b].map((p, i) => (
        <path key={i} d={`M${p.x - tick.x} ${p.y - tick.y}L${p.x + tick.x} ${p.y + tick.y}`} strokeWidth="2" />
      ))}
      <Label at={middle} anchor={anchor} colour={tone === 'plain' ? 'var(--ink)' : colour} strong={tone !== 'plain'}>
        {label}
      </Label>
    </g>
  );
}

/** Text on a drawing, with a halo of the paper so that lines do not cross it out. */
export function Label({
  at,
  children,
  anchor = 'start',
  colour = 'var(--ink)',
  strong = false,
}: {
  at: Vec;
  children: string | readonly string[];
  anchor?: 'start' | 'middle' | 'end';
  colour?: string;
  strong?: boolean;
}) {
  return (
    <text
      x={at.x}
      y={at.y}
      textAnchor={anchor}
      fill={colour}
      stroke="var(--surface)"
      strokeWidth="4"
      paintOrder="stroke"
      strokeLinejoin="round"
      fontSize="12.5"
      fontWeight={strong ? 700 : 500}
      className="num"
    >
      {(typeof children === 'string' ? [children] : children).map((text, i) => (
        <tspan key={i} x={at.x} dy={i === 0 ? 0 : 14}>
          {text}
        </tspan>
      ))}
    </text>
  );
}

/** The outline around two circles, such as a connector with a broad and a narrow end. */
export function hullPath(a: Vec, ra: number, b: Vec, rb: number): string {
  const d = length(sub(b, a));
  if (d <= Math.abs(ra - rb)) return '';
  const base = Math.atan2(b.y - a.y, b.x - a.x);
  const turn = Math.acos((ra - rb) / d);
  const on = (c: Vec, r: number, angle: number) => `${c.x + r * Math.cos(angle)} ${c.y + r * Math.sin(angle)}`;
  const far = Number(ra > rb);
  return `M${on(a, ra, base + turn)}A${ra} ${ra} 0 ${far} 1 ${on(a, ra, base - turn)}L${on(b, rb, base - turn)}A${rb} ${rb} 0 ${1 - far} 1 ${on(b, rb, base + turn)}Z`;
}

interface MarkerProps {
  readonly mark: DrawnMark;
  /** The part it points at, and where the sign stands, px. */
  readonly at: Vec;
  readonly sign: Vec;
  readonly onChoose: (index: number) => void;
}

/** The sign of a finding where it sits; choosing it opens the finding. */
export function Marker({ mark, at, sign, onChoose }: MarkerProps) {
  const reader = usePreferences();
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${SEVERITY_WORDS[mark.severity]}: ${renderSentence(mark.says, reader)}`}
      aria-pressed={mark.chosen}
      data-mark={mark.part}
      className="cursor-pointer"
      onClick={() => onChoose(mark.index)}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          onChoose(mark.index);
        }
      }}
      style={{ color: `var(--${mark.severity})` }}
    >
      <path d={`M${at.x} ${at.y}L${sign.x} ${sign.y}`} stroke="currentColor" strokeWidth="1.6" />
      <circle cx={at.x} cy={at.y} r={mark.chosen ? 5 : 3} fill="currentColor" />
      <circle cx={sign.x} cy={sign.y} r="22" fill="transparent" />
      {mark.chosen && (
        <circle cx={sign.x} cy={sign.y} r="17" fill="var(--surface)" stroke="currentColor" strokeWidth="3" />
      )}
      <g transform={`translate(${sign.x - 10} ${sign.y - 10})`}>
        <SeverityShape severity={mark.severity} />
      </g>
    </g>
  );
}

/** The signs of all findings at the parts of a drawing. */
export function Marks({
  findings,
  parts,
  chosen,
  away,
  onChoose,
}: {
  findings: readonly Finding[];
  /** Where each part is drawn, px. */
  parts: Readonly<Record<ElementId, Vec>>;
  chosen: number | null;
  /** From the part to where its sign stands, px. */
  away: (part: ElementId, at: Vec) => Vec;
  onChoose: (index: number) => void;
}) {
  return marksFor(findings, new Set(Object.keys(parts)), chosen).map((mark) => {
    const at = parts[mark.part]!;
    return <Marker key={mark.part} mark={mark} at={at} sign={add(at, away(mark.part, at))} onChoose={onChoose} />;
  });
}
