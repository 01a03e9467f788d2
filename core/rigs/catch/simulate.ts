import { pullN, storedJPerM, strainAt, type TwoSprings } from '../../things/gear/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { STANDARD_GRAVITY_M_PER_S2 } from '../../foundations/units/index.ts';
import type { CatchMoment, Caught, Fall } from './fall.ts';

const G = STANDARD_GRAVITY_M_PER_S2;
const DEVICE_AND_ARM_M = threshold('deviceAndArmM');
const AT_THE_WALL_M = threshold('atTheWallM');
const SHOE = threshold('shoeGrip');
/**
 * A step turns the fastest swing by at most this, rad: peak forces are then right to (0.05)^2 / 24, one part in ten
 * thousand.
 */
const STEP_RAD = 0.05;
/** Nor is a step longer, s: the belayer's way is followed to within a centimetre or two at any speed met here. */
const STEP_S = 0.004;
/** What has not come to rest by then is called unfinished, s. */
const LONGEST_S = 12;

/**
 * Way of the device to the first runner, m, never below 0: sqrt(x^2 + (h1 - hb)^2) - 0.5. Check x 1, h1 3, hb 1: 1.74
 * m.
 */
export const wayToPieceM = ({
  besideM,
  firstPieceM,
  deviceM,
}: Pick<Fall, 'besideM' | 'firstPieceM' | 'deviceM'>): number =>
  Math.max(0, Math.hypot(besideM, firstPieceM - deviceM) - DEVICE_AND_ARM_M);

/**
 * Force on the side of a runner that is pulled through, N, while both sides together are stretched by `stretchM` and
 * the other one carries 1 / r of it: the side that carries more passes its knee first. The other one has `otherM` of
 * rope.
 */
function sharedN(
  { firstN, secondN, kneeN }: TwoSprings,
  pulledM: number,
  otherM: number,
  r: number,
  stretchM: number,
): number {
  const soft = pulledM / firstN + otherM / (r * firstN);
  const first = kneeN * soft;
  if (stretchM <= first) return stretchM / soft;
  const mixed = pulledM / secondN + otherM / (r * firstN);
  const second = first + (r - 1) * kneeN * mixed;
  if (stretchM <= second) return kneeN + (stretchM - first) / mixed;
  return r * kneeN + (stretchM - second) / (pulledM / secondN + otherM / (r * secondN));
}

/**
 * One fall, from the moment the rope comes tight until climber and belayer have both turned. Two bodies; the rope two
 * springs in a row of loads, with a damper, on each side of the last runner, with dry friction over the runners (rope
 * moves only where the forces on both sides differ by more than the ratio) and in the device above its slip force; the
 * belayer a point that the rope pulls towards the first runner, standing on the ground with shoes that hold, stopped by
 * the wall, by a tether and by the runner. Leapfrog in time; friction by return to the limit in every step.
 *
 * Not in it: swing of the climber, rock under foot, knots drawing tight, rope over an edge, the body's own give, a hand
 * that lets go.
 *
 * @param each called for every moment, from the first one on; for drawings and tests.
 * @param untilS when given, it is followed so long, whatever has come to rest.
 */
export function simulateCatch(fall: Fall, each?: (moment: CatchMoment) => void, untilS?: number): Caught {
  const { climberKg: m1, belayerKg: m2, ratio: r, rope, slipN, besideM, roomM } = fall;
  const a = fall.climberSideM;
  const b = fall.belayerSideM;
  const fixed = fall.belayer === 'fixed';
  const { tetherM } = fall;
  const tethered = tetherM < Infinity;
  // The swing that damping is a share of, on a belay that does not give; the harder spring sets the pace.
  const k = Math.max(rope.firstN, rope.secondN);
  const effectiveM = a + b / r;
  const swing = Math.sqrt(k / (effectiveM * m1));
  const tauS = (2 * fall.dampingRatio) / swing;
  // The fastest swing there is: on the shorter side alone, or of the belayer.
  const fastest = fixed ? swing : Math.sqrt((k / effectiveM) * (1 / m1 + 1 / m2));
  const dt = Math.min(STEP_S, STEP_RAD / Math.max(fastest, Math.sqrt(k / (a * m1))));
  // A step's rope passes the runner or the device against the damper as well.
  const kappa = 1 + tauS / dt;
  const reachM = Math.hypot(besideM, fall.firstPieceM - fall.deviceM);
  const wayM = wayToPieceM(fall);
  const wallM = Math.min(besideM, AT_THE_WALL_M);

  let y = 0;
  let v = Math.sqrt(2 * G * fall.freeFallM);
  // The belayer, from the foot of the first runner: aside and below.
  let px = besideM;
  let py = fall.firstPieceM - fall.deviceM;
  const groundY = py;
  let vx = 0;
  let vy = fixed ? 0 : -fall.stepUpMPerS;
  let reach = reachM;
  let held = fixed;
  // Rope that passed the last runner towards the climber, and the device.
  let passed = 0;
  let slipped = 0;
  let t1: number;
  let t2: number;
  let ay = G;
  let ax2 = 0;
  let ay2 = 0;

  const caught = { climberN: 0, pieceN: 0, belayerN: 0, reachedPiece: false, reachedGround: false, unfinished: false };
  let liftM = 0;
  let downM = 0;
  let towardsWallM = 0;
  let time = 0;
  const steps = Math.ceil((untilS ?? LONGEST_S) / dt);

  for (let i = 0; ; i += 1) {
    // Forces where both are now; speeds of now, half a step after those that moved them here, by the forces of before.
    const half = i > 0 ? dt / 2 : 0;
    const closing = held || reach === 0 ? 0 : -(px * (vx + ax2 * half) + py * (vy + ay2 * half)) / reach;
    const w1 = y - passed + tauS * (v + ay * half);
    const w2 = passed - (reachM - reach) - slipped - tauS * closing;
    if (w1 + w2 <= 0) {
      // Loose rope runs as it likes: what is on either side is as loose as the other.
      t1 = 0;
      t2 = 0;
      passed += (b * w1 - a * w2) / (a + b) / kappa;
    } else if (b === 0) {
      // No runner: one spring, straight to the device.
      t1 = pullN(rope, (w1 + w2) / a);
      if (t1 > slipN) {
        slipped += (w1 + w2 - a * strainAt(rope, slipN)) / kappa;
        t1 = slipN;
      }
      t2 = t1;
      // Rope that runs through the device with less than the climber weighs never stops before the ground does: nobody
      // who looks on waits for it.
      if (!each && t1 === slipN && slipN < m1 * G && v > 0 && roomM < Infinity) {
        caught.reachedGround = true;
        // All of the way but what the rope is stretched by.
        slipped = Math.max(slipped, roomM - a * strainAt(rope, slipN));
        downM = roomM;
        caught.climberN = Math.max(caught.climberN, t1);
        caught.belayerN = Math.max(caught.belayerN, t2);
        caught.pieceN = Math.max(caught.pieceN, t1);
        break;
      }
    } else {
      t1 = pullN(rope, w1 / a);
      t2 = pullN(rope, w2 / b);
      if (t1 > r * t2) {
        t1 = sharedN(rope, a, b, r, w1 + w2);
        t2 = t1 / r;
        if (t2 <= slipN) passed += (w1 - a * strainAt(rope, t1)) / kappa;
      } else if (t1 * r < t2) {
        t2 = sharedN(rope, b, a, r, w1 + w2);
        t1 = t2 / r;
        if (t2 <= slipN) passed += (w1 - a * strainAt(rope, t1)) / kappa;
      }
      if (t2 > slipN) {
        // The device gives rope until its force is what it holds; the runners follow.
        t2 = slipN;
        t1 = Math.min(Math.max(pullN(rope, w1 / a), t2 / r), r * t2);
        const move = w1 - a * strainAt(rope, t1);
        passed += move / kappa;
        slipped += Math.max(0, w2 + move - b * strainAt(rope, t2)) / kappa;
      }
    }
    ay = G - t1 / m1;
    if (!held) {
      // Downwards is positive: the runner is above. Pulled along the line to it.
      const px1 = reach > 0 ? -px / reach : 0;
      const py1 = reach > 0 ? -py / reach : -1;
      ax2 = (t2 * px1) / m2;
      ay2 = G + (t2 * py1) / m2;
      if (py >= groundY && ay2 >= 0 && vy >= 0) {
        // On the ground, with shoes that hold as long as they are pressed down.
        const grip = SHOE * ay2;
        ay2 = 0;
        ax2 =
          Math.abs(vx) < 1e-9 && Math.abs(ax2) <= grip ? 0 : ax2 + grip * (vx < 0 || (vx === 0 && ax2 < 0) ? 1 : -1);
      }
      if (px <= wallM && ax2 < 0) ax2 = 0;
    }
    // The second half of the step before, and what is greatest now.
    if (i > 0) {
      v += (ay * dt) / 2;
      vx += (ax2 * dt) / 2;
      vy += (ay2 * dt) / 2;
    }
    if (t1 > caught.climberN) caught.climberN = t1;
    if (t2 > caught.belayerN) caught.belayerN = t2;
    if (b === 0 ? t1 > caught.pieceN : t1 + t2 > caught.pieceN) caught.pieceN = b === 0 ? t1 : t1 + t2;
    if (y > downM) downM = y;
    if (groundY - py > liftM) liftM = groundY - py;
    if (besideM - px > towardsWallM) towardsWallM = besideM - px;
    if (each) {
      const e1 = y - passed;
      const e2 = passed - (reachM - reach) - slipped;
      each({
        timeS: time,
        downM: y,
        climberMPerS: v,
        liftM: groundY - py,
        towardsWallM: besideM - px,
        belayerMPerS: Math.hypot(vx, vy),
        climberN: t1,
        belayerN: t2,
        slipM: slipped,
        stretchJ:
          e1 + e2 <= 0
            ? 0
            : b === 0
              ? a * storedJPerM(rope, (e1 + e2) / a)
              : a * storedJPerM(rope, e1 / a) + b * storedJPerM(rope, e2 / b),
      });
    }
    // Both have turned: nothing gets worse any more.
    if (untilS === undefined && i > 0 && v <= 0 && (held || (vy >= 0 && (vx >= 0 || px <= wallM)))) break;
    if (i >= steps) {
      caught.unfinished = untilS === undefined;
      break;
    }

    v += (ay * dt) / 2;
    y += v * dt;
    time += dt;
    if (y >= roomM) {
      caught.reachedGround = true;
      downM = roomM;
      break;
    }
    if (!held) {
      vx += (ax2 * dt) / 2;
      vy += (ay2 * dt) / 2;
      px += vx * dt;
      py += vy * dt;
      if (px < wallM) {
        px = wallM;
        vx = 0;
      }
      if (py > groundY) {
        py = groundY;
        vy = 0;
      }
      reach = Math.sqrt(px * px + py * py);
      const atPiece = reachM - reach >= wayM || py <= 0;
      if (atPiece || (tethered && Math.hypot(besideM - px, groundY - py) >= tetherM)) {
        caught.reachedPiece = atPiece;
        held = true;
        vx = 0;
        vy = 0;
      }
    }
  }
  return { ...caught, liftM, towardsWallM, downM, slipM: slipped };
}
