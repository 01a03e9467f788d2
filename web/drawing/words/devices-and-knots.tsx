import type { Family } from '@core/things/gear';
import { Hand } from '../hands-parts';
import { above, ends, pairs, tail, wraps } from '../looks/answers-drawn';
import { ConnectorDrawn, CordDrawn, DeviceDrawn, RopeDrawn, Web } from '../looks/parts';
import { vec } from '../vector';
import { Arrow, KnotDrawn, Meant, Somebody } from './word-parts';

const device = (family: Family) => <DeviceDrawn family={family} x={80} y={60} size={1.6} />;
/** A device on a rope. */
const onRope = (family: Family) => (
  <>
    <RopeDrawn d="M80 0V120" />
    <DeviceDrawn family={family} x={80} y={60} size={1.3} />
  </>
);

export const DEVICES_AND_KNOTS = {
  tube: device('tube-grooved'),
  'guide-plate': device('guide-plate'),
  'guide-mode': above(true),
  cam: device('assisted-cam'),
  eight: device('plain-eight'),
  munter: (
    <>
      <ConnectorDrawn x={80} y={52} oval={false} height={96} />
      <RopeDrawn d="M52 120Q56 84 66 78Q98 66 100 86Q98 104 70 96Q56 90 84 74Q104 66 112 118" width={8} />
    </>
  ),
  ascender: onRope('clamp-toothed-handle'),
  'rope-grab': onRope('rope-grab'),
  capture: (
    <>
      {onRope('capture-pulley')}
      <Arrow from={[128, 84]} to={[128, 36]} />
    </>
  ),
  'foot-loop': (
    <>
      <RopeDrawn d="M80 0V30" />
      <Web d="M80 30V70" width={5} />
      <Meant d="M80 70Q58 84 58 104Q80 112 102 104Q102 84 80 70" width={6} />
      <path d="M52 98Q56 86 78 92Q104 92 108 104H52Z" fill="var(--body)" stroke="var(--body-line)" strokeWidth="1.5" />
    </>
  ),
  'figure-eight': pairs(5, false),
  'friction-hitch': (
    <>
      {wraps(4)}
      <CordDrawn d="M104 36Q140 50 140 90M104 82Q130 86 140 90" />
    </>
  ),
  backup: (
    <>
      <RopeDrawn d="M80 0V120" />
      <DeviceDrawn family="tube-grooved" x={80} y={30} size={0.8} />
      <path d="M68 76h24M68 86h24M68 96h24" stroke="var(--act)" strokeWidth="7" strokeLinecap="round" />
      <CordDrawn d="M92 78Q124 76 130 58" />
    </>
  ),
  'stopper-knot': ends(true, true),
  'flat-overhand': (
    <>
      <RopeDrawn d="M52 120Q58 70 76 64" width={8} />
      <RopeDrawn d="M108 120Q102 70 84 64" second width={8} />
      <KnotDrawn x={80} y={56} />
      <RopeDrawn d="M74 44Q66 24 50 8" width={8} />
      <RopeDrawn d="M84 44Q78 22 66 6" second width={8} />
    </>
  ),
  'clove-hitch': (
    <>
      <path d="M6 56H154" stroke="var(--metal)" strokeWidth="12" strokeLinecap="round" />
      <RopeDrawn d="M54 120V36M58 36L104 78M106 78V2" width={9} />
      <RopeDrawn d="M56 36Q62 26 70 34L98 78Q106 88 106 76" width={9} />
    </>
  ),
  'mule-knot': (
    <>
      <RopeDrawn d="M80 0V120" width={9} />
      <Meant d="M128 118Q124 70 92 62Q60 56 62 40Q70 26 96 36Q132 52 128 14" width={7} />
    </>
  ),
  tail: (
    <>
      {tail(50)}
      <Meant d="M94 72V112" width={10} />
    </>
  ),
  belay: (
    <>
      <RopeDrawn d="M30 100V30Q30 12 76 12Q124 12 124 40V52" width={5} />
      <Somebody x={124} y={68} />
      <Somebody x={30} y={96} />
      <Hand at={vec(48, 96)} scale={0.22} />
    </>
  ),
  lead: (
    <>
      <RopeDrawn d="M60 104L70 72L88 44L104 26" width={5} />
      {[
        [70, 72],
        [88, 44],
      ].map(([x, y]) => (
        <circle key={x} cx={x} cy={y} r="6" fill="none" stroke="var(--metal)" strokeWidth="4" />
      ))}
      <Somebody x={110} y={26} />
      <Somebody x={50} y={98} />
    </>
  ),
} as const;
