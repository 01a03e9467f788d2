import { differenceInCalendarDays } from 'date-fns';
import type { Workspace } from '@core/records/files';
import type { WorkspaceName } from '../../../storage/database';

const keyOf = (name: WorkspaceName) => `zevrin-copy-${name}`;

/** Remembers that a copy of a workspace was taken now. */
export function copyTaken(name: WorkspaceName, now: Date): void {
  try {
    localStorage.setItem(keyOf(name), now.toISOString());
  } catch {
    // Storage that is refused or full: then the reminder comes too early, and nothing is lost.
  }
}

/** Days since the last copy of a workspace; null when none was taken, or when that is not known. */
export function daysSinceCopy(name: WorkspaceName, now: Date): number | null {
  try {
    const at = Date.parse(localStorage.getItem(keyOf(name)) ?? '');
    return Number.isNaN(at) ? null : Math.max(0, differenceInCalendarDays(now, at));
  } catch {
    return null;
  }
}

/**
 * Is a copy due? Without one, the days count from the first set-up on; where nothing stands there is nothing to copy.
 */
export function copyDue(
  data: Pick<Workspace, 'setups'>,
  days: number | null,
  remindDays: number | null,
  now: Date,
): boolean {
  if (remindDays === null || data.setups.length === 0) return false;
  const first = Math.min(...data.setups.map((s) => Date.parse(s.createdAt)));
  return (days ?? differenceInCalendarDays(now, first)) >= remindDays;
}
