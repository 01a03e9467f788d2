import type { ReactNode } from 'react';
import { kindOf, type CheckItem } from '@core/answers/check';
import { ConnectorDrawn, CordDrawn, RopeDrawn, Waist, Web } from './parts';

/** Strands side by side, with coils of cord around them. */
const strands = (n: number) =>
  n === 0 ? (
    <path d="M40 60h80" stroke="var(--line-2)" strokeWidth="5" strokeDasharray="8 8" />
  ) : (
    Array.from({ length: n }, (_, i) => {
      const x = 80 + (i - (n - 1) / 2) * 26;
      return <RopeDrawn key={i} d={`M${x} 4V116`} second={i > 0} width={14} />;
    })
  );
const wraps = (n: number) => (
  <>
    <RopeDrawn d="M80 0V120" width={16} />
    {Array.from({ length: n }, (_, i) => (
      <path
        key={i}
        d={`M54 ${60 + (i - (n - 1) / 2) * 15}l52 -5`}
        stroke="var(--cord)"
        strokeWidth="9"
        strokeLinecap="round"
      />
    ))}
  </>
);
/** Two ends of rope, each with a stopper knot or without. */
const ends = (a: boolean, b: boolean) => (
  <>
    {[a, b].map((knotted, i) => (
      <g key={i}>
        <RopeDrawn d={`M${52 + i * 56} 4V${knotted ? 110 : 84}`} second={i > 0} width={10} />
        {knotted && (
          <ellipse cx={52 + i * 56} cy="82" rx="15" ry="17" fill={i > 0 ? 'var(--rope-b)' : 'var(--rope-a)'} />
        )}
      </g>
    ))}
  </>
);
/** Rope or device in a connector: at an end, or across it. */
const load = (where: 'broad' | 'narrow' | 'across' | 'end' | 'gate', oval: boolean) => {
  const at = {
    broad: 'M56 96H104',
    end: 'M56 96H104',
    narrow: 'M62 22H98',
    across: 'M66 60H44',
    gate: 'M94 60H116',
  }[where];
  return (
    <>
      <ConnectorDrawn x={80} y={60} oval={oval} height={100} />
      <RopeDrawn d={at} width={12} />
    </>
  );
};
const pairs = (n: number, crossed: boolean) => (
  <>
    {Array.from({ length: n }, (_, i) => (
      <g key={i}>
        <RopeDrawn d={`M30 ${14 + i * 23}H130`} width={7} />
        <RopeDrawn
          d={crossed && i === 2 ? `M30 ${34 + i * 23}L130 ${2 + i * 23}` : `M30 ${23 + i * 23}H130`}
          width={7}
        />
      </g>
    ))}
  </>
);
const tied = (where: 'both' | 'one' | 'loop') => (
  <>
    <Waist />
    <RopeDrawn
      d={where === 'loop' ? 'M80 118Q104 92 84 66Q70 60 66 80' : `M110 4Q84 20 80 40V${where === 'both' ? 84 : 46}`}
      width={9}
    />
    {where === 'one' && <RopeDrawn d="M80 46Q98 58 112 46" width={9} />}
  </>
);
const clipped = (n: number) => (
  <>
    <ConnectorDrawn x={92} y={62} oval height={96} />
    {Array.from({ length: n }, (_, i) => (
      <CordDrawn key={i} d={`M20 ${18 + i * 26}Q50 ${22 + i * 20} 92 ${24 + i * 4}`} />
    ))}
    {n < 2 && <Web d={`M20 ${44 - n * 4}L60 ${84 - n * 6}`} width={4} />}
  </>
);

const COUNT: Readonly<Record<string, number>> = { None: 0, One: 1, Two: 2 };
/** Answers of these kinds are about counting or about where something lies: each is drawn as it would look. */
const DRAWN: Partial<Record<NonNullable<ReturnType<typeof kindOf>>, (answer: string) => ReactNode>> = {
  'device-around': (answer) => (answer in COUNT ? strands(COUNT[answer]!) : null),
  'hitch-strands': (answer) => (answer in COUNT ? strands(COUNT[answer]!) : null),
  'hitch-wraps': (answer) => (/^\d+$/.test(answer) ? wraps(Number(answer)) : null),
  'hitch-ends': (answer) => ({ 'Both ends': clipped(2), 'One end': clipped(1), Neither: clipped(0) })[answer] ?? null,
  'rope-ends': (answer) =>
    ({
      'Both ends': ends(true, true),
      'In both ends': ends(true, true),
      'One of them': ends(true, false),
      'In one': ends(true, false),
      Neither: ends(false, false),
      'In neither': ends(false, false),
    })[answer] ?? null,
  'connector-end': (answer) =>
    ({
      'Broad end': load('broad', false),
      'Narrow end': load('narrow', false),
      Across: load('across', false),
      'At its end': load('end', true),
      'On the gate': load('gate', true),
    })[answer] ?? null,
  'tie-in': (answer) =>
    ({ Five: pairs(5, false), 'Four or fewer': pairs(4, false), 'They cross': pairs(5, true) })[answer] ?? null,
  'tie-in-points': (answer) =>
    ({
      'Both tie-in points': tied('both'),
      'One of them': tied('one'),
      'A gear loop or the belay loop': tied('loop'),
    })[answer] ?? null,
};

/** An answer as it would look; nothing where words alone say it. */
export function AnswerPicture({ item, answer, small }: { item: CheckItem; answer: string; small: boolean }) {
  const drawn = DRAWN[kindOf(item)!]?.(answer);
  if (!drawn) return null;
  return (
    <svg
      viewBox="-4 -4 168 128"
      className={`shrink-0 ${small ? 'h-8 w-10' : 'h-11 w-14'}`}
      aria-hidden
      data-answer-picture
    >
      {drawn}
    </svg>
  );
}
