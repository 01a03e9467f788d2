import { oneSpring, springsOf } from '../../things/gear/index.ts';
import { club } from '../../samples/index.ts';
import { interval } from '../../foundations/units/index.ts';
import type { FallQuestion, Scenario } from './index.ts';

export const QUESTION: FallQuestion = {
  from: 'ground',
  clipped: 'pieces',
  tetherM: 0.5,
  climberM: 10,
  lastPieceM: 8,
  firstPieceM: 3,
  secondPieceM: 5,
  slackM: 0.5,
  besideM: 1,
  ledgeM: 0,
  step: 'stands',
};
/** k 24.1 kN, known for sure. */
export const sureRope = { soft: oneSpring(24_100), best: oneSpring(24_100), hard: oneSpring(24_100) };
export const SCENARIO: Scenario = {
  question: QUESTION,
  climberKg: 80,
  belayerKg: 75,
  belayer: 'free',
  deviceOn: 'harness',
  springs: springsOf(club.longRope),
  slipKn: interval(0.7, 1.5, 3),
  slipPastKn: interval(0.3, 0.5, 0.8),
  handN: interval(150, 230, 330),
  ratio: interval(1.5, 1.8, 2.5),
  led: true,
  piecesM: [],
  reachM: 0.6,
};
