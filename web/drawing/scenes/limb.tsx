import { limbName, limbSwing, standsBelowM } from '@core/rigs/pairs';
import { templateOf, withFields, type Limb, type Setup } from '@core/rigs/rig';
import { threshold } from '@core/foundations/sources';
import { printNumber, printQuantity, type UnitSystem } from '@core/foundations/units';
import { Dragged } from '../Dragged';
import type { DrawingProps } from '../drawing-props';
import { Dimension, Label } from '../parts';
import { TOP, WIDTH } from '../site-parts';
import type { SiteGeometry } from '../SiteFrame';
import { vec, type Vec } from '../vector';

const TRUNK_X = 58;
/** Half a step of a boot: how finely a place on a limb is said. */
const STEP_M = 0.25;
const OUT_MOST_M = 20;

const scaleOf = ({ stanceY, descentM }: SiteGeometry) => (stanceY - TOP) / descentM;
const rounded = (m: number) => Math.round(m / STEP_M) * STEP_M;

interface LimbProps {
  readonly limb: Limb;
  readonly ropeX: number;
  readonly geometry: SiteGeometry;
  readonly system: UnitSystem;
}

interface Places {
  /** Where the limb leaves the stem. */
  readonly stem: Vec;
  /** Where one stands on it. */
  readonly at: Vec;
}

/**
 * Where a limb leaves the stem and where one stands on it, px; what is not said is drawn where it would be said first.
 */
function placesOf({ outM, belowM, riseDeg }: Limb, ropeX: number, geometry: SiteGeometry): Places {
  const scale = scaleOf(geometry);
  const below = Math.min(belowM ?? geometry.descentM / 3, geometry.descentM);
  const out = outM ?? 0;
  const stands = Math.min(Math.max(0, standsBelowM(out, below, riseDeg)), geometry.descentM);
  return {
    stem: vec(TRUNK_X, TOP + below * scale),
    at: vec(Math.min(WIDTH - 12, ropeX + out * scale), TOP + stands * scale),
  };
}

/** A limb one goes out along, the line to there, and the swing that follows a slip; nothing where nobody goes out. */
export function LimbDrawing({ limb, ropeX, geometry, system }: LimbProps) {
  const swing = limbSwing(limb);
  const { stem, at } = placesOf(limb, ropeX, geometry);
  if (!limb.outM || limb.belowM === null || limb.belowM > geometry.descentM) return null;
  const scale = scaleOf(geometry);
  const say = (m: number) => printQuantity(m, 'lengthM', system);
  const tip = vec(Math.min(WIDTH, at.x + 26), at.y + ((at.y - stem.y) * 26) / Math.max(26, at.x - stem.x));
  const middle = vec((stem.x + at.x) / 2, (stem.y + at.y) / 2 + 12);
  const radius = swing ? swing.lineM * scale : 0;
  return (
    <g>
      <path
        d={`M${stem.x} ${stem.y + 16}Q${middle.x} ${middle.y} ${tip.x} ${tip.y + 4}L${tip.x} ${tip.y + 8}Q${middle.x} ${middle.y + 8} ${stem.x} ${stem.y + 28}Z`}
        fill="var(--rock)"
        stroke="var(--rock-line)"
        strokeWidth="1.4"
      />
      <path
        d={`M${ropeX} ${TOP}L${at.x} ${at.y - 10}`}
        stroke="var(--rope-a)"
        strokeWidth="2.5"
        strokeDasharray="7 4"
      />
      {swing && (
        <path
          d={`M${at.x} ${at.y - 10}A${radius} ${radius} 0 0 1 ${ropeX} ${TOP + radius}`}
          fill="none"
          stroke="var(--mind)"
          strokeWidth="1.8"
          strokeDasharray="3 5"
        />
      )}
      <g stroke="var(--ink)" strokeWidth="4" strokeLinecap="round" fill="none">
        <path d={`M${at.x} ${at.y + 4}v-12l-2 -10M${at.x} ${at.y - 8}l5 12M${at.x - 2} ${at.y - 16}l-8 4`} />
        <circle cx={at.x - 2} cy={at.y - 24} r="4" fill="var(--ink)" stroke="none" />
      </g>
      {swing && (
        <Dimension
          from={vec(ropeX, at.y)}
          to={vec(ropeX, TOP + radius)}
          offset={-12}
          label={['down', say(swing.dropM)]}
          shift={26}
          tone={swing.dropM > threshold('limbStopM') ? 'stop' : swing.dropM > threshold('limbMindM') ? 'mind' : 'plain'}
        />
      )}
      <Label at={vec(Math.min(WIDTH - 6, at.x + 4), at.y - 36)} anchor={at.x > WIDTH - 90 ? 'end' : 'start'}>
        {[
          `${say(limb.outM)} out`,
          swing ? `${printNumber(Math.round(swing.angleDeg), 'angleDeg', system)}°` : 'above the tie-in',
        ]}
      </Label>
    </g>
  );
}

/** Out along each limb, and each limb up and down the stem, moved as in life. */
export function LimbHandles({
  setup,
  ropeX,
  geometry,
  system,
  change,
}: Omit<LimbProps, 'limb'> & { readonly setup: Setup; readonly change: NonNullable<DrawingProps['onChange']> }) {
  const { tree } = setup.site;
  if (!tree || templateOf(setup).scene !== 'tree') return null;
  const scale = scaleOf(geometry);
  const say = (m: number) => printQuantity(m, 'lengthM', system);
  return (
    <>
      {tree.limbs.map((limb) => {
        const { stem, at } = placesOf(limb, ropeX, geometry);
        const { outM, belowM } = limb;
        const below = belowM ?? geometry.descentM / 3;
        const name = limbName(tree, limb);
        const set = (fields: Partial<Limb>, key: string) =>
          change(withFields(setup, limb.id, fields), `${limb.id}.${key}`);
        return (
          <g key={limb.id}>
            <Dragged
              label={`Out along ${name}`}
              value={outM ?? 0}
              min={0}
              max={Math.min(OUT_MOST_M, (WIDTH - 12 - ropeX) / scale)}
              step={STEP_M}
              upright={false}
              text={outM === null ? 'Not said' : `${say(outM)} out`}
              at={vec(at.x, at.y)}
              valueAt={(place) => (place.x - ropeX) / scale}
              onMove={(m) => set({ outM: rounded(m), ...(belowM === null ? { belowM: rounded(below) } : {}) }, 'outM')}
            >
              <rect x="-22" y="-30" width="44" height="44" fill="transparent" />
              <circle cx="0" cy="6" r="7" fill="var(--surface)" stroke="var(--act)" strokeWidth="2.5" />
              <path
                d="M-11 6h-6m3 -3l-3 3l3 3M11 6h6m-3 -3l3 3l-3 3"
                fill="none"
                stroke="var(--act)"
                strokeWidth="1.8"
              />
            </Dragged>
            <Dragged
              label={`${name.replace(/^./, (c) => c.toUpperCase()).replace('The limb', 'Limb')} below the tie-in`}
              value={below}
              min={0.5}
              max={Math.min(40, geometry.descentM)}
              step={STEP_M}
              text={belowM === null ? 'Not said' : `${say(below)} below`}
              at={vec(stem.x - 8, stem.y + 18)}
              valueAt={(place) => (place.y - 18 - TOP) / scale}
              onMove={(m) => set({ belowM: Math.max(0.5, rounded(m)) }, 'belowM')}
            >
              <rect x="-22" y="-22" width="44" height="44" fill="transparent" />
              <circle r="7" fill="var(--surface)" stroke="var(--act)" strokeWidth="2.5" />
              <path
                d="M0 -11v-6m-3 3l3 -3l3 3M0 11v6m-3 -3l3 3l3 -3"
                fill="none"
                stroke="var(--act)"
                strokeWidth="1.8"
              />
            </Dragged>
          </g>
        );
      })}
    </>
  );
}
