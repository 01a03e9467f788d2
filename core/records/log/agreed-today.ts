import equal from 'fast-deep-equal';
import { checkPartOf, type CheckItem } from '../../answers/check/index.ts';
import type { Setup } from '../../rigs/rig/index.ts';
import type { CheckRecord } from './check-record.ts';
import { itemStatus } from './item-status.ts';

/** All that is said of an item, but for what follows when it is passed over. */
const asked = ({ id, title, look, touch, question, expected }: CheckItem) => [
  id,
  title,
  look,
  touch,
  question,
  expected,
];

/**
 * What was agreed by the same people in another check of the same day, in the same words: calls, and who comes down
 * how. It is asked once a visit, not once a set-up.
 *
 * @param whole the items of a whole check of the set-up.
 */
export function agreedToday(
  setup: Setup,
  whole: readonly CheckItem[],
  checks: readonly CheckRecord[],
  now: Date,
): CheckItem[] {
  const people = ({ persons }: Setup) => persons.map((p) => p.item?.id ?? null).join();
  const today = checks.filter(
    (c) =>
      c.outcome === 'complete' &&
      c.setup.id !== setup.id &&
      new Date(c.startedAt).toDateString() === now.toDateString() &&
      people(c.setup) === people(setup),
  );
  return whole.filter(
    (item) =>
      checkPartOf(item) === 'agreed' &&
      today.some((c) => c.items.some((was) => equal(asked(was), asked(item)) && itemStatus(c, was).state === 'done')),
  );
}
