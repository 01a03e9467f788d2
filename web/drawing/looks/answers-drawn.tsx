import { Hand } from '../hands-parts';
import { hullPath } from '../parts';
import { vec } from '../vector';
import { ConnectorDrawn, CordDrawn, RopeDrawn, Waist, Web } from './parts';

/*
 * What an answer says, as it would look: in the same manner whether it is right or wrong here.
 */

/** Strands side by side, with coils of cord around them. */
export const strands = (n: number) =>
  n === 0 ? (
    <path d="M40 60h80" stroke="var(--line-2)" strokeWidth="5" strokeDasharray="8 8" />
  ) : (
    Array.from({ length: n }, (_, i) => {
      const x = 80 + (i - (n - 1) / 2) * 26;
      return <RopeDrawn key={i} d={`M${x} 4V116`} second={i > 0} width={14} />;
    })
  );
export const wraps = (n: number) => (
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
export const ends = (a: boolean, b: boolean) => (
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
export const load = (where: 'broad' | 'narrow' | 'across' | 'end' | 'gate', oval: boolean) => {
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
export const pairs = (n: number, crossed: boolean) => (
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
export const tied = (where: 'both' | 'one' | 'loop') => (
  <>
    <Waist />
    <RopeDrawn
      d={where === 'loop' ? 'M80 118Q104 92 84 66Q70 60 66 80' : `M110 4Q84 20 80 40V${where === 'both' ? 84 : 46}`}
      width={9}
    />
    {where === 'one' && <RopeDrawn d="M80 46Q98 58 112 46" width={9} />}
  </>
);
export const clipped = (n: number) => (
  <>
    <ConnectorDrawn x={92} y={62} oval height={96} />
    {Array.from({ length: n }, (_, i) => (
      <CordDrawn key={i} d={`M20 ${18 + i * 26}Q50 ${22 + i * 20} 92 ${24 + i * 4}`} />
    ))}
    {n < 2 && <Web d={`M20 ${44 - n * 4}L60 ${84 - n * 6}`} width={4} />}
  </>
);

/** A connector whose gate stays shut, gives way a little under the thumb, or stands open. */
export const gate = (inwards: number) => (
  <>
    <path d={hullPath(vec(80, 22), 15, vec(80, 94), 22)} fill="none" stroke="var(--metal)" strokeWidth="8" />
    {/* The gap that the gate leaves. */}
    {inwards > 0 && <path d="M94 22L101 88" stroke="var(--surface)" strokeWidth="12" />}
    <path d={`M${95 - inwards} 26L102 88`} stroke="var(--ink)" strokeWidth="6" strokeLinecap="round" />
  </>
);
/** Two connectors in one place, by where the gate of the second one is and whether it hangs the other way up. */
export const twoGates = (side: 1 | -1, reversed: boolean) =>
  [1, side].map((to, i) => {
    const flip = i > 0 && reversed ? -1 : 1;
    return (
      <g key={i} transform={`translate(${56 + i * 48} 60) scale(${to} ${flip})`}>
        <ConnectorDrawn x={0} y={0} oval={false} height={100} />
      </g>
    );
  });
/** A tube from the side, one of its edges with grooves; the brake strand leaves over one of the two. */
export const brakeSide = (grooves: boolean) => (
  <>
    <path d="M44 24H112V50L98 60L112 70L98 80L112 90L98 100H44Z" fill="var(--metal)" />
    <path d="M60 40H96" stroke="var(--surface)" strokeWidth="14" strokeLinecap="round" />
    <RopeDrawn d={grooves ? 'M70 0V40Q122 44 120 120' : 'M86 0V40Q34 44 36 120'} width={9} />
  </>
);
/** Plate at an anchor: which strand lies above, the one to a person or the one to the hand. */
export const above = (person: boolean) => {
  const [toPerson, toHand] = person ? [40, 76] : [76, 40];
  return (
    <>
      <rect x="10" y="22" width="54" height="76" rx="8" fill="var(--metal)" />
      <RopeDrawn d={`M40 ${toPerson}H122`} width={9} />
      <RopeDrawn d={`M40 ${toHand}H122`} width={9} />
      <circle cx="138" cy={toPerson - 6} r="8" fill="var(--body)" stroke="var(--body-line)" strokeWidth="2" />
      <path d={`M128 ${toPerson + 16}Q138 ${toPerson - 4} 148 ${toPerson + 16}Z`} fill="var(--body-line)" />
      <Hand at={vec(136, toHand)} scale={0.24} />
    </>
  );
};
/** Two ropes below a device. */
export const lie = (how: 'beside' | 'crossed' | 'over') => (
  <>
    <RopeDrawn d={{ beside: 'M66 4V116', crossed: 'M58 4L102 116', over: 'M80 4V116' }[how]} width={12} />
    <RopeDrawn
      d={{ beside: 'M94 4V116', crossed: 'M102 4L58 116', over: 'M94 4Q94 40 82 60V116' }[how]}
      second
      width={12}
    />
  </>
);
/** Where the brake strand goes from the device. */
export const brakeStrand = (how: 'down' | 'up' | 'edge') => (
  <>
    {how === 'edge' && <path d="M76 70H160V120H76Z" fill="var(--rock)" stroke="var(--rock-line)" strokeWidth="2" />}
    {how === 'up' && <ConnectorDrawn x={112} y={24} oval height={44} />}
    <rect x="30" y="36" width="30" height="34" rx="6" fill="var(--metal)" />
    <RopeDrawn
      d={{ down: 'M46 56Q64 64 64 112', up: 'M46 56Q60 60 112 38Q124 60 124 112', edge: 'M46 56Q66 66 150 66' }[how]}
      width={8}
    />
  </>
);
/** A knot with a tail of some length; null: its end is still inside. */
export const tail = (length: number | null) => (
  <>
    <RopeDrawn d="M80 0V40" width={10} />
    <ellipse cx="80" cy="52" rx="26" ry="20" fill="var(--rope-a)" />
    <path d="M58 50Q80 38 102 50M60 58Q80 46 100 60" fill="none" stroke="var(--surface)" strokeWidth="1.5" />
    {length !== null && <RopeDrawn d={`M94 64V${64 + length}`} width={10} />}
    <circle cx="40" cy="92" r="17" fill="none" stroke="var(--ink-2)" strokeWidth="2" strokeDasharray="4 3" />
  </>
);
/** The two slots of a device from above, with how many strands are in each, and of which rope. */
export const slots = (...filled: readonly (readonly ('a' | 'b')[])[]) => (
  <>
    <rect x="18" y="28" width="124" height="64" rx="16" fill="var(--metal)" />
    {[50, 110].map((x, i) => (
      <g key={x}>
        <rect x={x - 13} y="38" width="26" height="44" rx="10" fill="var(--surface)" />
        {(filled[i] ?? []).map((rope, at, { length }) => (
          <circle key={at} cx={x} cy={60 + (at - (length - 1) / 2) * 20} r="9" fill={`var(--rope-${rope})`} />
        ))}
      </g>
    ))}
  </>
);
/** Through what the rope runs. */
export const runsThrough = (metal: boolean, sling: boolean) => (
  <>
    {metal && <circle cx={sling ? 52 : 80} cy="46" r="26" fill="none" stroke="var(--metal)" strokeWidth="9" />}
    {sling && <Web d={metal ? 'M104 4Q84 66 108 70Q132 66 112 4' : 'M76 4Q52 66 80 70Q108 66 84 4'} width={8} />}
    <RopeDrawn
      d={metal && sling ? 'M40 118Q36 62 78 62Q122 62 118 118' : 'M62 118Q58 60 80 60Q102 60 98 118'}
      width={9}
    />
  </>
);
