export { buildCheck, neverLeftOut } from './build-check.ts';
export { ordersOf, sequenceOf } from './consequences.ts';
export {
  allItems,
  changedOver,
  CHECK_DEPTHS,
  costOf,
  costOfLook,
  isLeast,
  itemsOfFourLooks,
  itemsOfNextGo,
  SINCE,
  sincesFor,
  tellsWhatToDo,
  titlesLeftOut,
  turnsRound,
  withOneInTurn,
  type CheckCost,
  type CheckDepth,
  type Since,
} from './depth.ts';
export { askedOf, HALVES, halvesOf, isOpen, looksOf, otherOf, type Half } from './looks.ts';
export { answersInOrder, checkItemSchema, mayBeAccepted, type CheckItem } from './check-item.ts';
export { factsSeen, withFacts, type SeenFact } from './seen-facts.ts';
export { kindOf } from './item.ts';
export { plantable, plantWords } from './plant.ts';
export { againAfter, FOUR, partnersCheck, CHECK_PARTS, checkPartOf, type CheckPartId } from './systems.ts';
