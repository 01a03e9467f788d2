import { Hand } from '../hands-parts';
import { gate, load, tied } from '../looks/answers-drawn';
import { Around, ConnectorDrawn, DeviceDrawn, Figure, RopeDrawn, Waist, Web } from '../looks/parts';
import { vec } from '../vector';
import { Arrow, Down, Meant, Ring, Somebody, Wall } from './word-parts';

/** A device with its two strands; the strand or the hand that is meant stands out. */
const braked = (meant: 'load' | 'brake' | 'none') => (
  <>
    <RopeDrawn d="M70 0V52" />
    <RopeDrawn d="M78 60Q112 66 118 116" />
    <DeviceDrawn family="tube-grooved" x={74} y={58} />
    {meant === 'load' && <Meant d="M70 2V36" width={10} />}
    {meant === 'brake' && <Meant d="M90 62Q112 70 117 114" width={10} />}
  </>
);

/** A rope cut across: sheath around a core of threads. */
const cut = (width: number, threads: number) => (
  <>
    <circle cx="80" cy="60" r={width} fill="var(--rope-a)" />
    <circle cx="80" cy="60" r={width - 7} fill="var(--surface)" />
    {Array.from({ length: threads }, (_, i) => {
      const turn = (i / threads) * 2 * Math.PI;
      const r = (width - 7) * 0.58;
      return (
        <circle
          key={i}
          cx={80 + r * Math.cos(turn)}
          cy={60 + r * Math.sin(turn)}
          r={(width - 7) * 0.3}
          fill="var(--rope-b)"
        />
      );
    })}
  </>
);

/** How far a rope gives under a weight. */
const stretch = (by: number) => (
  <>
    <Ring x={56} y={10} />
    <Ring x={112} y={10} />
    <RopeDrawn d="M56 18V60" />
    <RopeDrawn d={`M112 18V${60 + by}`} width={by > 20 ? 4.5 : 6} />
    <Somebody x={112} y={82 + by * 0.8} size={0.8} />
    <Arrow from={[84, 60]} to={[84, 60 + by]} />
  </>
);

/** Two ropes and how they are clipped on the way. */
const clippedTo = (twin: boolean) => (
  <>
    <Wall />
    <RopeDrawn d={twin ? 'M76 120V0' : 'M66 120Q64 70 64 0'} width={5} />
    <RopeDrawn d={twin ? 'M86 120V0' : 'M104 120Q106 50 106 0'} second width={5} />
    {[30, 84].map((y, i) => (
      <Ring key={y} x={twin ? 81 : i === 0 ? 64 : 105} y={y} r={twin ? 13 : 9} />
    ))}
  </>
);

export const HANDS_AND_GEAR = {
  'brake-hand': (
    <>
      {braked('none')}
      <Hand at={vec(116, 98)} scale={0.32} />
      <Around x={116} y={97} r={19} />
    </>
  ),
  'guide-hand': (
    <>
      {braked('none')}
      <Hand at={vec(70, 20)} scale={0.32} />
      <Around x={70} y={20} r={19} />
    </>
  ),
  'brake-strand': braked('brake'),
  'load-strand': braked('load'),
  strand: (
    <>
      <Ring x={80} y={14} />
      <RopeDrawn d="M66 120V30Q66 14 80 14Q94 14 94 30V120" />
      <Meant d="M94 40V118" width={9} />
    </>
  ),
  bight: (
    <>
      <RopeDrawn d="M8 40H70M8 84H70" width={9} />
      <Meant d="M70 40H104Q134 40 134 62Q134 84 104 84H70" width={9} />
    </>
  ),
  'hands-off': (
    <>
      {braked('none')}
      <Hand at={vec(136, 34)} scale={0.34} />
      <Meant d="M122 18L150 50" width={4} />
    </>
  ),
  slack: (
    <>
      <Wall />
      <Ring x={52} y={20} />
      <Meant d="M52 28Q56 118 84 100Q104 84 112 56" width={6} />
      <Somebody x={118} y={42} />
    </>
  ),
  creep: (
    <>
      <RopeDrawn d="M80 0V120" width={9} />
      <path d="M58 40h44M58 52h44M58 64h44" stroke="var(--cord)" strokeWidth="9" strokeLinecap="round" />
      <path d="M58 76h44" stroke="var(--cord)" strokeWidth="9" strokeLinecap="round" opacity="0.35" />
      <Arrow from={[126, 44]} to={[126, 84]} />
    </>
  ),
  carabiner: <ConnectorDrawn x={80} y={60} oval={false} height={104} />,
  gate: (
    <>
      {gate(0)}
      <Meant d="M95 26L102 88" width={7} />
    </>
  ),
  'screw-gate': (
    <>
      {gate(0)}
      <Meant d="M97 42L100 70" width={15} />
      <Arrow from={[124, 72]} to={[124, 44]} />
    </>
  ),
  'auto-locker': (
    <>
      {gate(14)}
      <Meant d="M83 42L96 68" width={15} />
      <Arrow from={[84, 98]} to={[112, 98]} />
    </>
  ),
  hms: load('broad', false),
  'cross-loading': load('across', false),
  harness: <Figure x={80} helmet={false} />,
  'belay-loop': (
    <>
      <Waist />
      <Meant d="M74 38V80Q80 88 86 80V38Q80 30 74 38" width={6} />
    </>
  ),
  'tie-in-points': tied('both'),
  'gear-loop': (
    <>
      <Web d="M6 34Q80 50 154 34" width={18} />
      <Meant d="M92 46Q96 88 124 84Q146 80 142 42" width={5} />
    </>
  ),
  'leg-loop': (
    <>
      <Waist y={8} />
      <Meant d="M24 82Q30 112 60 106Q78 100 80 84" width={10} />
    </>
  ),
  sling: <Web d="M80 8Q40 60 80 110Q120 60 80 8Z" width={8} />,
  lanyard: (
    <>
      <Ring x={26} y={18} />
      <Web d="M26 26L120 84" width={7} />
      <Somebody x={128} y={90} size={1.2} />
    </>
  ),
  dynamic: stretch(40),
  'low-stretch': stretch(8),
  'half-rope': clippedTo(false),
  'twin-rope': clippedTo(true),
  sheath: (
    <>
      {cut(46, 6)}
      <Meant d="M80 17A43 43 0 1 1 79.9 17" width={7} />
    </>
  ),
  'quick-link': (
    <>
      <rect x="52" y="10" width="56" height="100" rx="28" fill="none" stroke="var(--metal)" strokeWidth="11" />
      <Meant d="M108 46V76" width={19} />
    </>
  ),
  kn: (
    <>
      <Down at={[80]} to={44} />
      <path d="M56 58H104L116 112H44Z" fill="var(--metal)" />
      <text x="80" y="94" textAnchor="middle" fontSize="20" fontWeight="700" fill="var(--surface)">
        100 kg
      </text>
      <Ring x={80} y={50} />
    </>
  ),
} as const;
