import type { HoldModel, Stop } from './model.ts';

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
export function standing(model: Pick<HoldModel, 'consequences' | 'stops'>, faults: Iterable<string>): Stop[] {
  const happened = closure(model, faults);
  return model.stops.filter(({ needs }) => !needs.some((id) => happened.has(id)));
}

/** True when some Stop survives. */
export const holds = (model: Pick<HoldModel, 'consequences' | 'stops'>, faults: Iterable<string>): boolean =>
  standing(model, faults).length > 0;
