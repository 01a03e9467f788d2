import { Hand } from '../hands-parts';
import { Around, ConnectorDrawn, CordDrawn, DeviceDrawn, Ground, Rings, RopeDrawn, Web } from '../looks/parts';
import { vec } from '../vector';
import { Arrow, GroundLine, KnotDrawn, Meant, Ring, Somebody, TreeDrawn, Wall, Wheel } from './word-parts';

/** A rope from the last piece to a falling leader, with how much is out below it. */
const falling = (
  <>
    <Wall />
    <Ring x={46} y={56} />
    <RopeDrawn d="M46 118V56L92 22" width={5} />
    <Somebody x={100} y={24} />
  </>
);

export const ON_THE_ROPE = {
  'top-rope': (
    <>
      <Ring x={80} y={10} />
      <RopeDrawn d="M112 50Q108 10 80 10Q54 12 44 92" width={5} />
      <Somebody x={112} y={66} />
      <Somebody x={42} y={98} />
      <GroundLine />
    </>
  ),
  second: (
    <>
      <Wall />
      <Somebody x={62} y={26} />
      <RopeDrawn d="M68 34Q82 60 104 84" width={5} />
      <Somebody x={108} y={96} />
      <Arrow from={[136, 104]} to={[136, 62]} />
    </>
  ),
  piece: (
    <>
      <Wall />
      <path d="M30 48H50" stroke="var(--metal)" strokeWidth="8" strokeLinecap="round" />
      <ConnectorDrawn x={58} y={66} oval height={46} />
      <RopeDrawn d="M64 120V86Q60 78 70 60L96 0" width={6} />
    </>
  ),
  anchor: (
    <>
      <Ground d="M0 0H160V28Q120 36 80 30Q40 24 0 32Z" />
      <Ring x={46} y={34} />
      <Ring x={114} y={34} />
      <Web d="M46 42L80 92L114 42" />
      <Ring x={80} y={100} r={11} />
    </>
  ),
  'fall-factor': (
    <>
      {falling}
      <Arrow from={[126, 24]} to={[126, 92]} />
      <Meant d="M62 60V116" width={3} dashed />
    </>
  ),
  'impact-force': (
    <>
      <Ring x={80} y={10} />
      <RopeDrawn d="M80 18V58" width={5} />
      <Somebody x={80} y={76} />
      <Arrow from={[110, 92]} to={[110, 46]} />
      <Arrow from={[50, 92]} to={[50, 46]} />
    </>
  ),
  'shock-load': (
    <>
      <Ring x={50} y={12} />
      <RopeDrawn d="M50 20V86" width={5} />
      <Meant d="M66 96L76 84M84 104L98 96M34 96L24 84" width={4} />
      <path d="M38 90H62L68 116H32Z" fill="var(--metal)" />
      <RopeDrawn d="M110 20Q126 64 110 50" width={5} />
      <Ring x={110} y={12} />
    </>
  ),
  'rope-drag': (
    <>
      <Wall />
      <RopeDrawn d="M70 120L110 84L58 52L112 18" width={6} />
      {(
        [
          [110, 84],
          [58, 52],
        ] as const
      ).map(([x, y]) => (
        <Ring key={y} x={x} y={y} />
      ))}
      <Meant d="M118 74L128 70M48 44L40 38" width={4} />
    </>
  ),
  'back-clip': (
    <>
      <Wall />
      <Web d="M40 20L74 52" width={6} />
      <ConnectorDrawn x={80} y={76} oval height={52} />
      <RopeDrawn d="M60 0Q66 60 80 84Q98 104 104 120" width={6} />
      <Arrow from={[64, 8]} to={[52, 44]} />
    </>
  ),
  edge: (
    <>
      <Ground d="M0 40H84L92 120H0Z" />
      <RopeDrawn d="M0 34H84Q94 36 96 120" width={7} />
      <Meant d="M74 24L96 22L102 44" width={4} />
    </>
  ),
  rappel: (
    <>
      <Ring x={80} y={8} />
      <RopeDrawn d="M80 14V120" width={5} />
      <DeviceDrawn family="tube-grooved" x={80} y={50} size={0.5} />
      <Somebody x={100} y={66} />
      <Arrow from={[130, 48]} to={[130, 92]} />
    </>
  ),
  extension: (
    <>
      <RopeDrawn d="M60 0V120" width={6} />
      <DeviceDrawn family="tube-grooved" x={60} y={26} size={0.7} />
      <Meant d="M66 36L114 92" width={6} />
      <Somebody x={122} y={94} size={1.1} />
    </>
  ),
  fireman: (
    <>
      <RopeDrawn d="M80 0V84" width={5} />
      <Somebody x={94} y={30} size={0.9} />
      <Somebody x={58} y={90} />
      <Hand at={vec(80, 82)} scale={0.24} />
      <Around x={80} y={82} r={17} />
      <GroundLine />
    </>
  ),
  'middle-mark': (
    <>
      <Rings />
      <RopeDrawn d="M66 120V62Q66 46 80 46Q94 46 94 62V120" width={8} />
      <path d="M70 50Q80 40 90 50" fill="none" stroke="var(--ink)" strokeWidth="9" />
      <Meant d="M80 16V32" width={4} />
    </>
  ),
  'knot-block': (
    <>
      <Rings />
      <RopeDrawn d="M58 120V60Q58 44 64 42" width={7} />
      <RopeDrawn d="M102 120V60" width={7} />
      <KnotDrawn x={102} y={64} />
      <Arrow from={[134, 66]} to={[134, 106]} />
    </>
  ),
  landing: (
    <>
      <RopeDrawn d="M60 0V92" width={5} />
      <Ground d="M30 96H130L120 112H40Z" />
      <Somebody x={60} y={48} />
      <Arrow from={[90, 40]} to={[90, 88]} />
    </>
  ),
  'tie-in-point': (
    <>
      <TreeDrawn />
      <RopeDrawn d="M52 120V26Q52 14 60 16Q66 18 66 40V120" width={5} />
      <Meant d="M42 22A18 18 0 1 1 78 24A18 18 0 1 1 42 22" width={3} dashed />
    </>
  ),
  'stationary-line': (
    <>
      <TreeDrawn />
      <RopeDrawn d="M100 120V22" width={6} />
      <Somebody x={114} y={84} />
      <Arrow from={[138, 96]} to={[138, 56]} />
    </>
  ),
  'moving-line': (
    <>
      <TreeDrawn />
      <RopeDrawn d="M90 96V28Q90 14 100 16Q110 18 110 30V120" width={6} />
      <Somebody x={92} y={92} />
      <Arrow from={[128, 52]} to={[128, 96]} />
      <Arrow from={[74, 74]} to={[74, 46]} />
    </>
  ),
  redirect: (
    <>
      <TreeDrawn />
      <RopeDrawn d="M58 26L126 64L122 120" width={5} />
      <Ring x={124} y={64} />
      <Web d="M124 56V26" width={4} />
    </>
  ),
  'base-tie': (
    <>
      <TreeDrawn />
      <RopeDrawn d="M48 108Q64 50 90 18Q100 14 104 28V120" width={5} />
      <Meant d="M14 104Q30 114 48 104" width={7} />
    </>
  ),
  bridge: (
    <>
      <Web d="M14 40Q80 56 146 40" width={14} />
      <Meant d="M34 50Q80 118 126 50" width={6} />
      <RopeDrawn d="M80 0V70" width={5} />
      <Ring x={80} y={80} />
    </>
  ),
  bollard: (
    <>
      <RopeDrawn d="M80 0V120" />
      <DeviceDrawn family="multi-ascender" x={80} y={60} size={1.3} />
    </>
  ),
  'pick-off': (
    <>
      <Ring x={80} y={8} />
      <RopeDrawn d="M74 14V120M86 14V120" width={4} />
      <Somebody x={56} y={54} />
      <Somebody x={104} y={82} />
      <Meant d="M62 62L98 80" width={5} />
    </>
  ),
  'mini-haul': (
    <>
      <Wheel x={80} y={22} />
      <Wheel x={80} y={86} />
      <CordDrawn d="M80 12V2M70 22V86M90 86V22M90 86Q104 60 112 20" />
      <Somebody x={80} y={110} size={0.7} />
      <Arrow from={[124, 62]} to={[124, 22]} />
    </>
  ),
  tackle: (
    <>
      <RopeDrawn d="M100 0V120" width={6} />
      <DeviceDrawn family="multi-ascender" x={100} y={38} size={0.9} />
      <Wheel x={62} y={70} />
      <CordDrawn d="M86 46L62 62M70 78L40 112" />
      <Arrow from={[128, 36]} to={[128, 66]} />
    </>
  ),
} as const;
