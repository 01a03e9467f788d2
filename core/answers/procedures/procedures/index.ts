import type { Procedure } from '../procedure.ts';
import type { ProcedureId } from '../sequence.ts';
import { selfBelayAgain } from './self-belay-again.ts';
import { selfBelayTopRope } from './self-belay-top-rope.ts';
import { cleanAnchor } from './clean-anchor.ts';
import { downOnClamps } from './down-on-clamps.ts';
import { doubledRappel } from './doubled-rappel.ts';
import { eight } from './eight.ts';
import { hitchFirst } from './hitch-first.ts';
import { lowerFromAnchor, lowerFromGround } from './lowering.ts';
import { leaderFromGround } from './leader-ground.ts';
import { leaderFromStance } from './leader-stance.ts';
import { lowerSecond } from './lower-second.ts';
import { pickOff } from './pick-off.ts';
import { secondUp } from './second-up.ts';
import { singleRappel } from './single-rappel.ts';
import { stopAndGo } from './stop-and-go.ts';
import { tieOff } from './tie-off.ts';
import { treeDescent } from './tree-descent.ts';
import { treeWalk } from './tree-walk.ts';
import { twoSeconds } from './two-seconds.ts';
import { upOnClamps } from './up-on-clamps.ts';

/**
 * The procedures that come with Zevrin, by id. Common practice (`practice-stances`), in our own words; local teaching
 * may differ.
 */
export const PROCEDURES = {
  'doubled-rappel': doubledRappel,
  'clean-anchor': cleanAnchor,
  eight,
  'tree-descent': treeDescent,
  'hitch-first': hitchFirst,
  'stop-and-go': stopAndGo,
  'single-rappel': singleRappel,
  'lower-anchor': lowerFromAnchor,
  'lower-ground': lowerFromGround,
  'second-up': secondUp,
  'leader-ground': leaderFromGround,
  'leader-stance': leaderFromStance,
  'two-seconds': twoSeconds,
  'lower-second': lowerSecond,
  'tie-off': tieOff,
  'up-on-clamps': upOnClamps,
  'down-on-clamps': downOnClamps,
  'alone-top-rope': selfBelayTopRope,
  'alone-again': selfBelayAgain,
  'tree-walk': treeWalk,
  'pick-off': pickOff,
} as const satisfies Record<ProcedureId, Procedure>;
