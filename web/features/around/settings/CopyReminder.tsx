import { useState } from 'react';
import { Link } from 'react-router';
import { usePlace } from '../../../app/place';
import { CLEARED_AFTER_DAYS, KEEPING_WORDS, useKeeping } from '../../../storage/keeping';
import { usePreferences } from '../../../app/preferences';
import { useWorkspace } from '../../../store/hooks';
import { copyDue, daysSinceCopy } from './last-copy';

/** A copy is asked for twice before a browser clears what it keeps for a week. */
const BEFORE_IT_FORGETS_DAYS = Math.floor(CLEARED_AFTER_DAYS / 2);

/** Everything is in this browser alone: now and then a copy is asked for. */
export function CopyReminder() {
  const { name } = usePlace();
  const data = useWorkspace();
  const { remindDays } = usePreferences();
  const [now] = useState(() => new Date());
  const [later, setLater] = useState(false);
  const days = daysSinceCopy(name, now);
  const forgets = useKeeping() === 'a-week';
  // Before the browser forgets, whatever was set for one that does not.
  const within = forgets && remindDays !== null ? Math.min(remindDays, BEFORE_IT_FORGETS_DAYS) : remindDays;
  if (later || name === 'demo' || !copyDue(data, days, within, now)) return null;
  return (
    <p className="mt-4 flex flex-wrap items-center gap-3 rounded-lg bg-sunk px-4 py-2">
      <span className="min-w-0 shrink grow basis-52">
        {days === null ? 'No copy was taken yet' : `The last copy was taken ${days} days ago`}: everything is in this
        browser alone.{forgets && ` ${KEEPING_WORDS['a-week']}`}
      </span>
      <Link className="btn" to={`/${name}/files`}>
        Take a copy
      </Link>
      <button type="button" className="btn" onClick={() => setLater(true)}>
        Later
      </button>
    </p>
  );
}
