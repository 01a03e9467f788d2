import { useState } from 'react';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { typicalItems, typicalPerson, type Item, type Person } from '@core/things/gear';
import { usePreferences } from '../../../app/preferences';
import { useTitle } from '../../../app/useTitle';
import { ItemPicture } from '../../../drawing/ItemPicture';
import { useWorkspace } from '../../../store/hooks';
import { LongList } from '../../../ui/LongList';
import { factsOf, KINDS, LOCKER_KINDS, type LockerKind } from './kinds';

function Rows({ kind, things }: { kind: LockerKind; things: readonly (Item | Person)[] }) {
  const { system } = usePreferences();
  if (things.length === 0) return <Empty kind={kind} />;
  return (
    <LongList
      items={things}
      keyOf={(thing) => thing.id}
      rowPx={65}
      row={(thing) => (
        <Link
          to={`${kind}/${thing.id}`}
          className="grid grid-cols-[3rem_1fr] items-center gap-x-4 px-2 py-2 hover:bg-sunk sm:grid-cols-[3rem_14rem_1fr]"
        >
          <span className="row-span-2 sm:row-span-1">
            <ItemPicture thing={thing} />
          </span>
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

/** What will stand there, as it will look: a shape and what is asked, so that one knows what to go and fetch. */
function Empty({ kind }: { kind: LockerKind }) {
  const [like] = useState(() =>
    kind === 'person'
      ? typicalPerson('like', '', { massKg: 75, brakeHand: 'right' })
      : typicalItems(() => 'like').find((item) => item.kind === kind),
  );
  return (
    <div className="grid grid-cols-[3rem_1fr] items-center gap-x-4 px-2 py-2 text-ink-2">
      <span className="opacity-50">{like && <ItemPicture thing={like} />}</span>
      <p>None yet. {WILL_STAND[kind]}</p>
    </div>
  );
}
const WILL_STAND: Readonly<Record<LockerKind, string>> = {
  rope: 'Each rope with its thickness and length, measured where you measured it.',
  device: 'Each device with the ropes that its maker declares it for.',
  connector: 'Each connector with its shape, its lock and how long it is inside.',
  sling: 'Each sling with its fibre and its length.',
  cord: 'Each cord for a hitch with its thickness and the length of its loop.',
  harness: 'Each harness with its attachment points.',
  person: 'Each person with mass, the hand that brakes and how strong it is.',
};

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
            <div className="mb-1.5 flex flex-wrap items-end justify-between gap-3">
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
