import { kindOf, type CheckItem } from '@core/answers/check';
import { threadingsOf, type ThreadingMode } from '@core/things/fit';
import type { Device } from '@core/things/gear';
import type { CheckRecord } from '@core/records/log';
import { contextOf, guides } from '@core/rigs/elements';
import { brakerOf, deviceOf } from '@core/rigs/rig';

/** Items that ask how the rope lies in a device. */
const ABOUT_ROPE: ReadonlySet<string> = new Set(['device-strands', 'device-around', 'device-pull', 'load-strand']);

/** The drawing that belongs to an item of a check; null where there is none. */
export function threadingOfItem(
  { setup }: CheckRecord,
  item: CheckItem,
): { family: Device['family']; mode: ThreadingMode; hand: 'right' | 'left' } | null {
  if (!ABOUT_ROPE.has(kindOf(item) ?? '')) return null;
  const ctx = contextOf(setup);
  const a = ctx.index.ownerOf(item.part);
  const end = a ? deviceOf(a) : null;
  if (!a || !end?.item) return null;
  const mode = guides(a, ctx) ? 'guides' : 'brakes';
  if (threadingsOf(end.item.family, mode).length === 0) return null;
  return { family: end.item.family, mode, hand: brakerOf(ctx.index, end)?.item?.brakeHand ?? 'right' };
}
