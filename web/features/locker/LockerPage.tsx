import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import type { Item, Person } from '@core/gear';
import { usePreferences } from '../../app/preferences';
import { useTitle } from '../../app/useTitle';
import { useWorkspace } from '../../store/hooks';
import { LongList } from '../../ui/LongList';
import { factsOf, KINDS, LOCKER_KINDS, type LockerKind } from './kinds';

function Rows({ kind, things }: { kind: LockerKind; things: readonly (Item | Person)[] }) {
  const { system } = usePreferences();
  if (things.length === 0) return <p className="py-2 text-ink-2">None yet.</p>;
  return (
    <LongList
      items={things}
      keyOf={(thing) => thing.id}
      rowPx={49}
      row={(thing) => (
        <Link to={`${kind}/${thing.id}`} className="grid gap-x-4 px-2 py-2.5 hover:bg-sunk sm:grid-cols-[14rem_1fr]">
          <span>
            <span className="font-semibold">{thing.name}</span>
            {thing.assumed.length > 0 && <span className="ml-2 text-sm text-untested">partly typical</span>}
            {'maker' in thing && thing.maker && <span className="block text-sm text-ink-2">{thing.maker}</span>}
          </span>
          <span className="flex flex-wrap gap-x-4 self-center text-ink-2">
            {factsOf(thing, system).map((fact) => (
              <span key={fact}>{fact}</span>
            ))}
          </span>
        </Link>
      )}
    />
  );
}

/** Everything a person owns and everybody they climb with. */
export function LockerPage() {
  useTitle('Locker');
  const { items, people } = useWorkspace();
  return (
    <div className="mx-auto max-w-4xl px-4 py-6">
      <h1>Locker</h1>
      <p className="mt-1 text-ink-2">Gear and people. What you measure beats what the label says.</p>
      {LOCKER_KINDS.map((kind) => {
        const things = kind === 'person' ? people : items.filter((item) => item.kind === kind);
        return (
          <section key={kind} aria-labelledby={`kind-${kind}`} className="mt-7">
            <div className="mb-1.5 flex items-end justify-between gap-3">
              <h2 id={`kind-${kind}`}>{KINDS[kind].many}</h2>
              <Link to={`${kind}/new`} className="btn">
                <Plus aria-hidden className="size-4" />
                {KINDS[kind].add}
              </Link>
            </div>
            <Rows kind={kind} things={[...things].sort((a, b) => a.name.localeCompare(b.name))} />
          </section>
        );
      })}
    </div>
  );
}
