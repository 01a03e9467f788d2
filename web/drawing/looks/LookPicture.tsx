import type { ReactNode } from 'react';
import { kindOf, type CheckItem } from '@core/answers/check';
import type { Family } from '@core/things/gear';
import { deviceOf, indexOf, mainConnector, strandsIn, type Attachment, type Setup } from '@core/rigs/rig';
import {
  Around,
  ConnectorDrawn,
  CordDrawn,
  DeviceDrawn,
  Look,
  Figure,
  Rings,
  Ground,
  RopeDrawn,
  SHEET,
  Touch,
  Waist,
  Web,
} from './parts';

/** What a picture takes from the set-up. */
interface Seen {
  readonly family: Family | null;
  readonly oval: boolean;
  /** Strands that run side by side. */
  readonly two: boolean;
  readonly atAnchor: boolean;
  readonly tree: boolean;
}
type Draw = (seen: Seen) => ReactNode;

const device = ({ family }: Seen, x: number, y: number) => family && <DeviceDrawn family={family} x={x} y={y} />;
const strands = ({ two }: Seen, d: string, beside: string) => (
  <>
    <RopeDrawn d={d} />
    {two && <RopeDrawn d={beside} second />}
  </>
);
const anchor: Draw = ({ tree }) =>
  tree ? <Ground d="M60 0H84V44Q120 30 160 34V48Q116 46 84 66V120H60Z" /> : <Rings />;

const person: Draw = () => (
  <>
    <Figure x={66} />
    <Touch x={100} y={22} towards={-90} />
    <Touch x={30} y={82} />
    <Touch x={104} y={80} towards={90} />
  </>
);
const atDevice: Draw = (seen) => (
  <>
    {device(seen, 60, 44)}
    {strands(seen, 'M56 0V30', 'M66 0V30')}
    {strands(seen, 'M66 58Q80 80 104 96', 'M74 52Q90 74 112 88')}
    <Look x={112} y={96} />
    <Around x={60} y={44} r={38} />
  </>
);
const knot: Draw = () => (
  <>
    <RopeDrawn d="M80 0V30M72 84V104M88 84V104" />
    <Look x={80} y={56} r={28} />
    <Touch x={80} y={12} towards={-90} />
    <Touch x={126} y={56} />
  </>
);
const tieIn: Draw = () => (
  <>
    <Waist />
    <Around x={80} y={38} r={15} />
    <Around x={80} y={82} r={15} />
    <Touch x={126} y={66} towards={180} />
  </>
);
const threaded: Draw = (seen) => (
  <>
    {strands(seen, 'M74 0V40', 'M86 0V40')}
    {strands(seen, 'M70 78Q62 100 34 118', 'M84 78Q70 104 46 118')}
    {device(seen, 80, 60)}
    <Around x={80} y={60} r={42} />
    <Touch x={118} y={14} towards={-90} />
  </>
);
const gate: Draw = ({ oval }) => (
  <>
    <ConnectorDrawn x={66} y={60} oval={oval} height={100} />
    <Touch x={112} y={58} towards={180} />
    <Around x={66} y={60} r={54} />
  </>
);
const hitch: Draw = (seen) => (
  <>
    {strands(seen, 'M60 0V120', 'M72 0V120')}
    <Look x={66} y={56} r={26} />
    <CordDrawn d="M90 64Q112 76 126 104" />
    <Touch x={112} y={30} towards={180} />
  </>
);
const hitchClip: Draw = (seen) => (
  <>
    <CordDrawn d="M20 8Q40 20 66 24" />
    <CordDrawn d="M20 26Q44 34 66 28" />
    <ConnectorDrawn x={66} y={56} oval={seen.oval} height={74} />
    <Web d="M20 104Q80 116 140 100" width={14} />
    <Touch x={110} y={54} towards={180} />
  </>
);
const through: Draw = (seen) => (
  <>
    {anchor(seen)}
    {!seen.atAnchor && <RopeDrawn d="M70 118V66M92 118V66" />}
    <Look x={seen.tree ? 72 : 80} y={54} r={24} />
    <Touch x={122} y={84} towards={90} />
  </>
);
const ends: Draw = (seen) => (
  <>
    {strands(seen, 'M60 0V78', 'M98 0V70')}
    <Ground d="M0 112H160V120H0Z" />
    <Look x={60} y={90} r={15} />
    {seen.two && <Look x={98} y={82} r={15} />}
    <Touch x={134} y={80} />
  </>
);
const above: Draw = () => (
  <>
    <Rings />
    <RopeDrawn d="M58 52V118" />
    <RopeDrawn d="M102 52V118" second />
    <Look x={80} y={66} r={18} />
    <Touch x={124} y={100} towards={90} />
  </>
);
const extended: Draw = (seen) => (
  <>
    <Waist y={64} />
    <Web d="M80 44V62" width={7} />
    {device(seen, 80, 22)}
    <Look x={80} y={86} r={20} />
    <Touch x={120} y={26} towards={-90} />
  </>
);
const sits: Draw = (seen) => (
  <>
    {anchor(seen)}
    <RopeDrawn d="M102 52V72" />
    {device(seen, 102, 78)}
    <Figure x={44} />
    <Touch x={44} y={104} towards={90} />
  </>
);
const leans: Draw = (seen) => (
  <>
    <RopeDrawn d="M46 0V74" />
    <Figure x={46} />
    {device(seen, 122, 66)}
    <RopeDrawn d="M122 34V0M126 84Q132 104 120 118" />
    <Touch x={78} y={104} towards={90} />
  </>
);
const bites: Draw = (seen) => (
  <>
    {strands(seen, 'M60 0V120', 'M72 0V120')}
    <CordDrawn d="M52 46h28M52 54h28M52 62h28M52 70h28M80 58Q108 70 124 104" />
    <Touch x={104} y={34} towards={90} />
  </>
);
const gap: Draw = (seen) => (
  <>
    {strands(seen, 'M60 36V118', 'M72 36V118')}
    {device(seen, 66, 24)}
    <CordDrawn d="M52 92h28M52 100h28M52 108h28M80 100Q100 108 122 112" />
    <path d="M106 44V88M100 44h12M100 88h12" stroke="var(--act)" strokeWidth="3.5" fill="none" strokeLinecap="round" />
  </>
);
const said: Draw = () => (
  <>
    <Figure x={38} />
    <Figure x={122} />
    <path
      d="M62 8H98V24H84L80 32L76 24H62Z"
      fill="var(--surface)"
      stroke="var(--act)"
      strokeWidth="3"
      strokeLinejoin="round"
    />
  </>
);
const edge: Draw = () => (
  <>
    <Ground d="M0 86H100L108 120H0Z" />
    <g transform="translate(40 -26)">
      <Figure x={30} />
    </g>
    <Web d="M48 54H8" width={5} />
    <Touch x={116} y={54} towards={0} />
  </>
);

/** Of the first thing of a look; what has no row is told in words alone. */
const PICTURES: Partial<Record<NonNullable<ReturnType<typeof kindOf>>, Draw>> = {
  helmet: person,
  harness: person,
  'harness-belt': person,
  'brake-hand': atDevice,
  'loose-things': atDevice,
  'edge-tied': edge,
  'tie-in': knot,
  'tie-in-tail': knot,
  'tie-in-points': tieIn,
  'device-strands': threaded,
  'device-around': threaded,
  'device-pull': threaded,
  'brake-side': threaded,
  'load-strand': threaded,
  'strands-lie': threaded,
  'brake-led': atDevice,
  'device-connector': gate,
  'connector-faces': gate,
  'connector-end': gate,
  'extra-connector': gate,
  'extra-gate': gate,
  'tether-gate': gate,
  'tether-to': gate,
  'link-gates': gate,
  anchor: through,
  'anchor-points': through,
  'tree-tried': through,
  fastening: through,
  'block-strand': through,
  middle: above,
  'joining-knot': above,
  'joining-tails': above,
  'pull-side': above,
  'rope-ends': ends,
  'end-weight': ends,
  'device-place': extended,
  extension: extended,
  'hitch-wraps': hitch,
  'hitch-strands': hitch,
  'hitch-connector': hitchClip,
  'hitch-ends': hitchClip,
  'hitch-place': hitchClip,
  'weigh-device': sits,
  'lanyard-on': sits,
  'hold-person': leans,
  'hitch-bites': bites,
  'hitch-lets-go': bites,
  'hitch-clear': gap,
  'hitch-clear-knee': gap,
  calls: said,
  'coming-down': said,
};

function ofAttachment(a: Attachment | undefined, part: string): Pick<Seen, 'family' | 'oval'> {
  const piece = a?.pieces.find((p) => p.id === part);
  const connector = piece?.kind === 'connector' ? piece : a && mainConnector(a);
  return { family: (a && deviceOf(a)?.item?.family) ?? null, oval: connector?.item?.shape === 'oval' };
}
const sideBySide = ({ lines }: Setup, end: Attachment['end'] | undefined): boolean =>
  end?.kind === 'device' || end?.kind === 'hitch'
    ? strandsIn(end) === 'two'
    : lines.length > 1 || lines.some((l) => l.kind === 'doubled');

function seenOf(setup: Setup, item: CheckItem): Seen {
  const own = indexOf(setup).ownerOf(item.part);
  const first = setup.attachments.find((a) => deviceOf(a)?.item);
  const mine = ofAttachment(own ?? first, item.part);
  return {
    ...mine,
    // A hitch or a tether is looked at beside the device.
    family: mine.family ?? ofAttachment(first, '').family,
    two: sideBySide(setup, own?.end),
    atAnchor: setup.lines.every((l) => l.kind === 'straight'),
    tree: setup.site.tree !== null,
  };
}

/**
 * Where to look and what to touch, drawn from this set-up: its device, connector, strands and anchor, with a hand at
 * the place. Never what is to be found there.
 */
export function LookPicture({ setup, look }: { setup: Setup; look: readonly CheckItem[] }) {
  const draw = PICTURES[kindOf(look[0]!)!];
  if (!draw) return null;
  return (
    <svg viewBox={`-4 -16 ${SHEET.width + 8} ${SHEET.height + 24}`} className="size-full" aria-hidden data-look-picture>
      {draw(seenOf(setup, look[0]!))}
    </svg>
  );
}
