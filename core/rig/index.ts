export { choiceSchema, questionSchema, type Choice, type Question } from './choice.ts';
export { extensionStrength } from './extension-strength.ts';
export { rigGraph, type RigEdge, type RigGraph, type RigNode } from './graph.ts';
export { rigFindings } from './rig-findings.ts';
export {
  blankSetup,
  descentM,
  GEAR_ROLES,
  rigSchema,
  setupGearSchema,
  setupPeopleSchema,
  setupSchema,
  situationSchema,
  type GearRole,
  type Rig,
  type Setup,
  type SetupGear,
  type SetupPeople,
  type Situation,
} from './setup.ts';
