export { baseTieJudge, treeConnectorJudge } from './tree.ts';
export { stanceJudge } from './stance.ts';
export { massesJudge } from './masses.ts';
export { clearanceJudge, handAboveJudge, stands } from './clearance.ts';
export { besideJudge, seatJudge, wayJudge, waysLeft } from './connector-device.ts';
export { strandsAlikeJudge } from './strands.ts';
export { heldBelowJudge, lanyardJudge } from './behind.ts';
export { hitchAboveJudge, hitchReachJudge } from './hitch-above-device.ts';
