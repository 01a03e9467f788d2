import { ListOrdered } from 'lucide-react';
import { Link } from 'react-router';
import type { Setup } from '@core/rigs/rig';
import { usePlace } from '../../../app/place';
import { useWords } from '../../../app/preferences';
import { useOrders } from './useOrder';

/** Leads to the order of steps that makes this set-up, and to those that follow on it. */
export function StepsLink({ setup }: { setup: Setup }) {
  const { name: place } = usePlace();
  const inWords = useWords();
  const [first, ...more] = useOrders(setup);
  return first ? (
    <>
      <button type="button" className="btn" onClick={first.go}>
        <ListOrdered aria-hidden className="size-5 shrink-0" />
        Order of steps
      </button>
      {more.map(({ title, go }) => (
        <button key={title} type="button" className="btn" onClick={go}>
          <ListOrdered aria-hidden className="size-5 shrink-0" />
          {inWords(title)}
        </button>
      ))}
    </>
  ) : (
    <p className="text-sm text-ink-2">
      No order of steps is shipped for this rig yet.{' '}
      <Link className="text-act underline" to={`/${place}/steps`}>
        Those there are
      </Link>
    </p>
  );
}
