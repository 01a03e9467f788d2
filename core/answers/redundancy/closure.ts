import type { HoldModel, Hold } from './model.ts';

/** These faults and everything that follows from them, to the end. */
export function closure(
  { consequences }: Pick<HoldModel, 'consequences'>,
  faults: Iterable<string>,
): ReadonlySet<string> {
  const happened = new Set(faults);
  for (let grew = true; grew;) {
    grew = false;
    for (const { when, then } of consequences) {
      if (happened.has(then) || !when.every((id) => happened.has(id))) continue;
      happened.add(then);
      grew = true;
    }
  }
  return happened;
}

/** The ways by which the person is still held after these faults. */
export function standing(model: Pick<HoldModel, 'consequences' | 'holds'>, faults: Iterable<string>): Hold[] {
  const happened = closure(model, faults);
  return model.holds.filter(({ needs }) => !needs.some((id) => happened.has(id)));
}

/** True when some way of being held survives. */
export const held = (model: Pick<HoldModel, 'consequences' | 'holds'>, faults: Iterable<string>): boolean =>
  standing(model, faults).length > 0;
