import { useState } from 'react';
import { isOpen, otherOf } from '@core/answers/check';
import { hasHeard, nextLook, turnedFor, type CheckRecord } from '@core/records/log';
import { PhoneCode } from './PhoneCode';

/** The phone on which it was begun shows the first code before anything is looked at. */
export const isFirst = (record: CheckRecord): boolean =>
  record.half !== null && !hasHeard(record) && record.events.every((e) => isOpen({ id: e.itemId }));

/** The own half is done, and the other one is not here yet. */
export const isWaiting = (record: CheckRecord): boolean =>
  record.half !== null && nextLook(record, record.half) === null && turnedFor(record, record.half) === null;

interface TwoPhonesProps {
  readonly record: CheckRecord;
  readonly names: Readonly<Record<'climber' | 'partner', string>>;
  /** Back to the looks; null where there is nothing to look at. */
  readonly onBegin: (() => void) | null;
}

/** The codes of a check by two phones, and what to do with them. */
export function TwoPhones({ record, names, onBegin }: TwoPhonesProps) {
  const [anew, setAnew] = useState(false);
  const other = names[otherOf(record.half!)];
  const first = anew || isFirst(record);
  return (
    <section
      aria-label="Code for the other phone"
      className="mx-auto min-h-0 w-full max-w-xl flex-1 overflow-y-auto p-4"
    >
      <h2 className="text-xl">{first ? `${other} reads this` : onBegin ? `For ${other}` : 'Your half is done'}</h2>
      <p className="mt-1">
        {first
          ? `${other} points the camera of the other phone at it. Then each answers on their own phone; at the end the phones read each other.`
          : `${other} reads this code, and you read theirs. Until both halves are together, nobody has checked the other.`}
      </p>
      {onBegin && (
        <button type="button" className="btn btn-act mt-3 min-h-14 w-full" onClick={onBegin}>
          {first ? 'Begin your half' : 'Back to your half'}
        </button>
      )}
      {!hasHeard(record) && !isFirst(record) && (
        <button type="button" className="btn mt-3" onClick={() => setAnew(!anew)}>
          {anew ? 'The code of your half' : `${other}’s phone does not know the check: show the first code`}
        </button>
      )}
      <PhoneCode record={record} other={other} first={first} />
    </section>
  );
}
