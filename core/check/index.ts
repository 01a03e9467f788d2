export { buildCheck } from './build-check.ts';
export { answersInOrder, checkItemSchema, type CheckItem } from './check-item.ts';
