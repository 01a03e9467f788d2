import { typicalDevice, type Family } from '@core/things/gear';
import { DeviceGlyph } from './glyphs';
import { glyphOf } from './rig-view';

const LINE = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 2.2, strokeLinecap: 'round' } as const;
const HOLE = { fill: 'var(--surface)', stroke: 'var(--ink)', strokeWidth: 1.4 } as const;

/** What tells families apart that are drawn with the same outline. */
const BESIDE: Partial<Record<Family, React.ReactNode>> = {
  'guide-plate': <circle cx="32" cy="16" r="8.5" fill="none" stroke="var(--metal)" strokeWidth="5" />,
  'assisted-cam-panic': <path d="M8 40l7 4M8 40l2 8" {...LINE} />,
  'clamp-toothed-handle': <rect x="22" y="52" width="18" height="9" rx="4" {...LINE} />,
  'clamp-smooth': <path d="M22 34q8 -6 14 4" {...LINE} />,
  'clamp-squeeze': <rect x="38" y="20" width="13" height="26" rx="6.5" {...LINE} />,
  'capture-pulley': <circle cx="30" cy="16" r="10" {...HOLE} />,
  'rope-grab': <circle cx="30" cy="50" r="4" {...HOLE} />,
  'hitch-reliever': <path d="M20 50c8 8 16 8 24 0" {...LINE} />,
  'body-ascender': <path d="M14 48q18 14 36 0" {...LINE} strokeWidth="4" />,
};

/** A family of devices, small, as somebody picks it by its look. */
export const FamilyPicture = ({ family, size = 64 }: { family: Family; size?: number }) => (
  <svg viewBox="0 0 64 64" width={size} height={size} aria-hidden>
    <FamilyGlyph family={family} />
  </svg>
);

/** The same, on a sheet of 64 by 64 of somebody else’s drawing. */
export function FamilyGlyph({ family }: { family: Family }) {
  const look = glyphOf(typicalDevice('picture', family));
  const tube = look.glyph === 'tube';
  return (
    <>
      <DeviceGlyph at={{ x: 32, y: tube ? 42 : 33 }} scale={tube ? 0.75 : 0.46} side={1} {...look} />
      {BESIDE[family]}
    </>
  );
}
