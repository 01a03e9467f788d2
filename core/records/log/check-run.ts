import {
  checkPartOf,
  FOUR,
  HALVES,
  halvesOf,
  isOpen,
  looksOf,
  type CheckItem,
  type Half,
} from '../../answers/check/index.ts';
import { spread } from '../../foundations/units/index.ts';
import { confirmers, itemStatus, type Answered } from './item-status.ts';
import type { CheckRecord } from './check-record.ts';

type Begun = Pick<CheckRecord, 'id' | 'mode' | 'setup' | 'verdict' | 'items' | 'startedAt'> &
  Partial<Pick<CheckRecord, 'depth' | 'since' | 'leftOut' | 'half' | 'planted'>>;

/** A check that begins: the whole one, unless it is said how much is looked at. */
export const beginCheck = (begun: Begun): CheckRecord => ({
  depth: 'whole',
  since: null,
  leftOut: [],
  half: null,
  heard: [],
  planted: null,
  ...begun,
  events: [],
  endedAt: null,
  outcome: 'running',
  note: '',
});

type Running = Answered & Pick<CheckRecord, 'items' | 'planted'>;
/** The first item that is not done, or null when all are. */
export const nextItem = (record: Running): CheckItem | null =>
  record.items.find((item) => itemStatus(record, item).state !== 'done') ?? null;

/** What the plan left open and nobody has answered yet: that comes before the check. */
export const openBefore = (record: Running): CheckItem[] =>
  record.items.filter((item) => isOpen(item) && itemStatus(record, item).state !== 'done');

/** What one of the two is asked for, look by look. */
export const looksFor = (record: Omit<Running, 'events' | 'planted'>, half: Half): CheckItem[][] =>
  looksOf(record.items.filter((item) => !isOpen(item) && confirmers(record, item).includes(half)));

/** The fault that was planted and is not put right yet; null: there is none. */
export function stillPlanted({ planted, events }: Omit<Running, 'items'>): CheckRecord['planted'] {
  return planted?.at && !events.some((e) => e.type === 'fixed' && e.itemId === planted.itemId) ? planted : null;
}

/** One of the two has still to answer it. The one who planted a fault does not look at it until it is put right. */
export function waitsFor(record: Running, item: CheckItem, half: Half): boolean {
  const planted = stillPlanted(record);
  const own = planted?.by === half && planted.itemId === item.id;
  return !own && confirmers(record, item).includes(half) && !itemStatus(record, item).confirmed.includes(half);
}

/**
 * The look that one of the two stands before: where something failed, that, for both; else the first in which they
 * have something to answer. null: there is nothing left for them.
 */
export function nextLook(record: Running, half: Half): CheckItem[] | null {
  const failed = record.items.find((item) => itemStatus(record, item).state === 'failed');
  if (failed) return [failed];
  return looksFor(record, half).find((look) => look.some((item) => waitsFor(record, item, half))) ?? null;
}

/** Of how many checks one has an item that comes back the other way round. */
const TURNED_ONE_IN = 4;
/**
 * What comes back to one of the two, now and then, when nothing else is left: one item, asked for what was not seen.
 * Which check and which item depends on the id of the record, so that a reload does not change it. null: nothing does.
 */
export function turnedFor(record: Pick<CheckRecord, 'id' | 'depth'> & Running, half: Half): CheckItem | null {
  const chance = spread(`turned/${record.id}/${half}`);
  if (record.depth === 'four-looks' || chance % TURNED_ONE_IN > 0) return null;
  if (record.events.some((e) => e.type === 'turned' && e.who === half)) return null;
  const fit = looksFor(record, half)
    .flat()
    .filter((item) => FOUR.includes(checkPartOf(item)) && item.others.length > 1);
  return fit[Math.floor(chance / TURNED_ONE_IN) % Math.max(1, fit.length)] ?? null;
}

/** All is looked at, and nothing comes back to those who answer here. */
export const nothingLeft = (record: CheckRecord): boolean =>
  nextItem(record) === null &&
  (record.half ? [record.half] : record.mode === 'alone' ? (['climber'] as const) : HALVES).every(
    (half) => turnedFor(record, half) === null,
  );

/** Names of the two who check each other. null: nobody is chosen. */
export const checkers = (setup: Pick<CheckRecord['setup'], 'persons'>): Readonly<Record<Half, string | null>> => {
  const { climber, partner } = halvesOf(setup);
  return { climber: climber?.item?.name ?? null, partner: partner?.item?.name ?? null };
};
