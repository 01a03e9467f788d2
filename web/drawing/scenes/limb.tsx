import { limbSwing } from '@core/between';
import { templateOf, withFields, type Setup, type Tree } from '@core/rig';
import { threshold } from '@core/sources';
import { printNumber, printQuantity, type UnitSystem } from '@core/units';
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
  readonly tree: Tree;
  readonly ropeX: number;
  readonly geometry: SiteGeometry;
  readonly system: UnitSystem;
}

/** Where one stands on the limb, px; what is not said is drawn where it would be said first. */
function placeOf({ limbOutM, limbBelowM }: Tree, ropeX: number, geometry: SiteGeometry): Vec {
  const scale = scaleOf(geometry);
  const below = Math.min(limbBelowM ?? geometry.descentM / 3, geometry.descentM);
  return vec(Math.min(WIDTH - 12, ropeX + (limbOutM ?? 0) * scale), TOP + below * scale);
}

/** The limb one goes out along, the line to there, and the swing that follows a slip; nothing where nobody goes out. */
export function Limb({ tree, ropeX, geometry, system }: LimbProps) {
  const swing = limbSwing(tree);
  const at = placeOf(tree, ropeX, geometry);
  if (!swing || tree.limbBelowM! > geometry.descentM) return null;
  const scale = scaleOf(geometry);
  const radius = swing.lineM * scale;
  const say = (m: number) => printQuantity(m, 'lengthM', system);
  return (
    <g>
      <path
        d={`M${TRUNK_X} ${at.y + 16}Q${(TRUNK_X + at.x) / 2} ${at.y + 12} ${Math.min(WIDTH, at.x + 26)} ${at.y + 4}L${Math.min(WIDTH, at.x + 26)} ${at.y + 8}Q${(TRUNK_X + at.x) / 2} ${at.y + 20} ${TRUNK_X} ${at.y + 28}Z`}
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
      <path
        d={`M${at.x} ${at.y - 10}A${radius} ${radius} 0 0 1 ${ropeX} ${TOP + radius}`}
        fill="none"
        stroke="var(--mind)"
        strokeWidth="1.8"
        strokeDasharray="3 5"
      />
      <g stroke="var(--ink)" strokeWidth="4" strokeLinecap="round" fill="none">
        <path d={`M${at.x} ${at.y + 4}v-12l-2 -10M${at.x} ${at.y - 8}l5 12M${at.x - 2} ${at.y - 16}l-8 4`} />
        <circle cx={at.x - 2} cy={at.y - 24} r="4" fill="var(--ink)" stroke="none" />
      </g>
      <Dimension
        from={vec(ropeX, TOP + tree.limbBelowM! * scale)}
        to={vec(ropeX, TOP + radius)}
        offset={12}
        anchor="end"
        label={['down', say(swing.dropM)]}
        shift={14}
        tone={swing.dropM > threshold('limbStopM') ? 'stop' : swing.dropM > threshold('limbMindM') ? 'mind' : 'plain'}
      />
      <Label at={vec(Math.min(WIDTH - 6, at.x + 4), at.y - 36)} anchor={at.x > WIDTH - 90 ? 'end' : 'start'}>
        {[`${say(tree.limbOutM!)} out`, `${printNumber(Math.round(swing.angleDeg), 'angleDeg', system)}°`]}
      </Label>
    </g>
  );
}

/** Out along the limb, and the limb up and down the stem, moved as in life. */
export function LimbHandles({
  setup,
  ropeX,
  geometry,
  system,
  change,
}: Omit<LimbProps, 'tree'> & { readonly setup: Setup; readonly change: NonNullable<DrawingProps['onChange']> }) {
  const { tree } = setup.site;
  if (!tree || templateOf(setup).scene !== 'tree') return null;
  const scale = scaleOf(geometry);
  const at = placeOf(tree, ropeX, geometry);
  const say = (m: number) => printQuantity(m, 'lengthM', system);
  const set = (fields: Partial<Tree>, key: string) => change(withFields(setup, 'tree', fields), `tree.${key}`);
  const belowM = tree.limbBelowM ?? geometry.descentM / 3;
  const most = Math.min(40, geometry.descentM);
  return (
    <>
      <Dragged
        label="Out along the limb"
        value={tree.limbOutM ?? 0}
        min={0}
        max={Math.min(OUT_MOST_M, (WIDTH - 12 - ropeX) / scale)}
        step={STEP_M}
        upright={false}
        text={tree.limbOutM === null ? 'Not said' : `${say(tree.limbOutM)} out`}
        at={vec(at.x, at.y)}
        valueAt={(place) => (place.x - ropeX) / scale}
        onMove={(m) =>
          set(
            { limbOutM: rounded(m), ...(tree.limbBelowM === null ? { limbBelowM: rounded(belowM) } : {}) },
            'limbOutM',
          )
        }
      >
        <rect x="-22" y="-30" width="44" height="44" fill="transparent" />
        <circle cx="0" cy="6" r="7" fill="var(--surface)" stroke="var(--act)" strokeWidth="2.5" />
        <path d="M-11 6h-6m3 -3l-3 3l3 3M11 6h6m-3 -3l3 3l-3 3" fill="none" stroke="var(--act)" strokeWidth="1.8" />
      </Dragged>
      <Dragged
        label="Limb below the tie-in"
        value={belowM}
        min={0.5}
        max={most}
        step={STEP_M}
        text={tree.limbBelowM === null ? 'Not said' : `${say(belowM)} below`}
        at={vec(TRUNK_X - 8, at.y + 18)}
        valueAt={(place) => (place.y - 18 - TOP) / scale}
        onMove={(m) => set({ limbBelowM: Math.max(0.5, rounded(m)) }, 'limbBelowM')}
      >
        <rect x="-22" y="-22" width="44" height="44" fill="transparent" />
        <circle r="7" fill="var(--surface)" stroke="var(--act)" strokeWidth="2.5" />
        <path d="M0 -11v-6m-3 3l3 -3l3 3M0 11v6m-3 -3l3 3l3 -3" fill="none" stroke="var(--act)" strokeWidth="1.8" />
      </Dragged>
    </>
  );
}
