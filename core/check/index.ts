export { buildCheck } from './build-check.ts';
export { sequenceOf } from './consequences.ts';
export { answersInOrder, checkItemSchema, type CheckItem } from './check-item.ts';
