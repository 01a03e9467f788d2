import type { Glyph } from './rig-view';
import type { Vec } from './vector';

interface DeviceGlyphProps {
  readonly at: Vec;
  readonly scale: number;
  readonly side: 1 | -1;
  readonly glyph: Glyph;
  readonly grooved: boolean;
  readonly teeth: boolean;
  /** Of an eight. */
  readonly ears: boolean;
}

/** The device as its family looks from the front, drawn at about its size; an empty outline while none is chosen. */
export function DeviceGlyph({ at, scale, side, glyph, grooved, teeth, ears }: DeviceGlyphProps) {
  const { x, y } = at;
  const mm = (value: number) => value * scale;
  const body = { fill: 'var(--metal)', stroke: 'var(--ink)', strokeWidth: 1.4 } as const;
  const hole = { fill: 'var(--surface)', stroke: 'var(--ink)', strokeWidth: 1 } as const;
  switch (glyph) {
    case 'none':
      return <path d={tubePath(x, y, mm(54), mm(40))} {...body} fill="none" strokeDasharray="4 3" />;
    case 'tube':
      return (
        <g>
          <path d={tubePath(x, y, mm(54), mm(40))} {...body} />
          {[-0.33, 0.07].map((k) => (
            <rect
              key={k}
              x={x + k * mm(54)}
              y={y - mm(11)}
              width={mm(14)}
              height={mm(12)}
              rx="2"
              fill="var(--surface)"
            />
          ))}
          {grooved && (
            <path
              d={`M${x + side * mm(22.5)} ${y + mm(4)}l${-side * 5} ${mm(4)}l${side * 4} ${mm(3)}l${-side * 5} ${mm(4)}l${side * 3} ${mm(3)}`}
              fill="none"
              stroke="var(--surface)"
              strokeWidth="2"
            />
          )}
        </g>
      );
    case 'eight':
      return (
        <g fill="none" stroke="var(--metal)" strokeLinecap="round">
          <circle cx={x} cy={y - mm(34)} r={mm(30)} strokeWidth={mm(13)} />
          <circle cx={x} cy={y + mm(22)} r={mm(16)} strokeWidth={mm(12)} />
          {(ears ? [-1, 1] : []).map((k) => (
            <path key={k} d={`M${x + k * mm(30)} ${y - mm(52)}l${k * mm(16)} ${-mm(16)}`} strokeWidth={mm(11)} />
          ))}
        </g>
      );
    case 'munter':
      return (
        <g fill="none" stroke="var(--rope-a)" strokeWidth={Math.max(3, mm(10))} strokeLinecap="round">
          <path
            d={`M${x - mm(14)} ${y + mm(34)}C${x - mm(24)} ${y - mm(8)} ${x - mm(4)} ${y - mm(22)} ${x + mm(12)} ${y - mm(10)}C${x + mm(26)} ${y} ${x + mm(18)} ${y + mm(16)} ${x} ${y + mm(12)}C${x - mm(16)} ${y + mm(8)} ${x - mm(10)} ${y - mm(16)} ${x + mm(6)} ${y - mm(16)}`}
          />
        </g>
      );
    case 'plate':
      return (
        <g>
          <path
            d={`M${x - mm(16)} ${y - mm(46)}h${mm(32)}q${mm(8)} 0 ${mm(8)} ${mm(8)}v${mm(74)}q0 ${mm(8)} ${-mm(8)} ${mm(8)}h${-mm(32)}q${-mm(8)} 0 ${-mm(8)} ${-mm(8)}v${-mm(74)}q0 ${-mm(8)} ${mm(8)} ${-mm(8)}z`}
            {...body}
          />
          <rect x={x - mm(9)} y={y - mm(34)} width={mm(18)} height={mm(34)} rx={mm(8)} {...hole} />
          <circle cx={x} cy={y + mm(24)} r={mm(9)} {...hole} />
        </g>
      );
    case 'cam':
      return (
        <g>
          <path
            d={`M${x - mm(34)} ${y - mm(40)}q${mm(36)} ${-mm(16)} ${mm(64)} ${mm(6)}q${mm(14)} ${mm(32)} ${-mm(4)} ${mm(66)}l${-mm(26)} ${mm(14)}l${-mm(30)} ${-mm(20)}z`}
            {...body}
          />
          <circle cx={x + mm(2)} cy={y - mm(6)} r={mm(17)} {...hole} />
          <path
            d={`M${x - mm(30)} ${y - mm(20)}L${x - mm(58)} ${y + mm(8)}`}
            stroke="var(--ink)"
            strokeWidth={Math.max(3, mm(9))}
            strokeLinecap="round"
          />
        </g>
      );
    case 'bollard':
      return (
        <g>
          <rect x={x - mm(20)} y={y - mm(60)} width={mm(40)} height={mm(118)} rx={mm(14)} {...body} />
          {[-40, -4, 32].map((dy, i) => (
            <circle key={dy} cx={x + (i % 2 ? mm(6) : -mm(6))} cy={y + mm(dy)} r={mm(10)} {...hole} />
          ))}
          <path
            d={`M${x + mm(16)} ${y - mm(20)}L${x + mm(58)} ${y - mm(38)}`}
            stroke="var(--ink)"
            strokeWidth={Math.max(3, mm(10))}
            strokeLinecap="round"
          />
        </g>
      );
    case 'clamp':
      return (
        <g>
          <path
            d={`M${x - mm(26)} ${y - mm(48)}h${mm(46)}v${mm(96)}h${-mm(46)}q${-mm(12)} ${-mm(48)} 0 ${-mm(96)}z`}
            {...body}
          />
          <path
            d={`M${x - mm(4)} ${y - mm(24)}l${mm(22)} ${mm(10)}l${-mm(14)} ${mm(30)}z`}
            fill="var(--surface)"
            stroke="var(--ink)"
            strokeDasharray={teeth ? '2 2' : undefined}
          />
        </g>
      );
  }
}

const tubePath = (x: number, y: number, w: number, h: number) =>
  `M${x - w / 2} ${y - h / 2}h${w}l${-0.12 * w} ${h}h${-0.76 * w}z`;
