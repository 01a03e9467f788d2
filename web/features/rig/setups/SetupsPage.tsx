import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { descentOf, templateOf, type Setup } from '@core/rigs/rig';
import { printQuantity, type UnitSystem } from '@core/foundations/units';
import { usePreferences, useWords } from '../../../app/preferences';
import { useTitle } from '../../../app/useTitle';
import { usePlace } from '../../../app/place';
import { useWorkspace } from '../../../store/hooks';
import { printDay } from '../../../ui/dates';
import { nextAction } from '../../../store/next-action';
import { engineInTurns } from './engine/in-turns';
import { KINDS } from '../../take/locker/kind-names';
import { LongList } from '../../../ui/LongList';
import { lazyPart } from '../../../ui/part';

// The engine is large: the list stands first, the verdicts follow.
const SetupVerdict = lazyPart(
  'The verdict',
  async () => {
    await engineInTurns();
    return (await import('./verdicts')).SetupVerdict;
  },
  { aside: true },
);

// What one opens, and what comes now and then.
const WhatToDo = lazyPart('What you can do', () => import('./WhatToDo').then((m) => m.WhatToDo));
const CopyReminder = lazyPart(
  'The reminder',
  () => import('../../around/settings/CopyReminder').then((m) => m.CopyReminder),
  {
    aside: true,
  },
);

/** What one is going to do, and all set-ups with their verdicts; while gear is missing, the one thing to do next. */
export function SetupsPage() {
  const inWords = useWords();
  useTitle('Set-ups');
  const data = useWorkspace();
  const { name } = usePlace();
  const { system } = usePreferences();
  const [adding, setAdding] = useState(false);
  const next = nextAction(data);
  const running = data.checks.filter((c) => c.outcome === 'running');
  const open = adding || next?.kind === 'add-setup';

  return (
    <div className="mx-auto max-w-4xl px-4 py-6">
      <div className="flex flex-wrap items-end gap-3">
        <h1 className="w-full sm:mr-auto sm:w-auto">Set-ups</h1>
        {!next && (
          <Link className="btn whitespace-nowrap" to={`/${name}/quick`}>
            First answer
          </Link>
        )}
        {next?.kind !== 'add-setup' && (
          <button
            type="button"
            className={`btn whitespace-nowrap ${next || adding ? '' : 'btn-act'}`}
            aria-expanded={adding}
            onClick={() => setAdding((now) => !now)}
          >
            {adding ? <X aria-hidden className="size-4" /> : <Plus aria-hidden className="size-4" />}
            {adding ? 'Close' : 'New set-up'}
          </button>
        )}
      </div>
      {open && (
        <div className="mt-5">
          <WhatToDo />
        </div>
      )}
      <CopyReminder />
      {running.map((check) => (
        <p
          key={check.id}
          className="mt-4 flex flex-wrap items-center gap-3 rounded-lg bg-mind-wash px-4 py-3 text-mind"
        >
          <span>The check of “{check.setup.name}” is not finished.</span>
          <Link className="btn" to={`/${name}/check/${check.id}`}>
            Go on with it
          </Link>
        </p>
      ))}
      {next && next.kind !== 'add-setup' && (
        <section className="mt-8 max-w-xl">
          <h2>An answer first</h2>
          <p className="mt-1 text-ink-2">
            A few questions about rope, device and the people on it. What you enter can go into the locker afterwards.
          </p>
          <Link className="btn btn-act mt-4 px-6 text-lg" to={`/${name}/quick`}>
            Ask me the six
          </Link>
          <h2 className="mt-8">
            Or, thoroughly: {next.kind === 'add-item' ? KINDS[next.item].add.toLowerCase() : 'add a person'}
          </h2>
          <p className="mt-1 text-ink-2">{next.why}</p>
          <Link
            className="btn mt-4 px-6 text-lg"
            to={`/${name}/locker/${next.kind === 'add-item' ? next.item : 'person'}/new`}
            state={{ back: `/${name}/setups` }}
          >
            {next.kind === 'add-item' ? KINDS[next.item].add : 'Add a person'}
          </Link>
        </section>
      )}
      {data.setups.length > 0 && (
        <LongList
          className="mt-5"
          items={[...data.setups].sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1))}
          keyOf={(setup) => setup.id}
          rowPx={77}
          row={(setup) => (
            <Link to={setup.id} className="grid gap-x-4 gap-y-1 px-2 py-3 hover:bg-sunk sm:grid-cols-[1fr_auto]">
              <span className="text-lg font-semibold">{setup.name}</span>
              <span className="min-h-6 sm:text-right">
                <SetupVerdict setup={setup} />
              </span>
              <span className="text-ink-2">{inWords(aboutSetup(setup, system))}</span>
              <span className="text-sm text-ink-2 sm:text-right">{printDay(setup.updatedAt)}</span>
            </Link>
          )}
        />
      )}
    </div>
  );
}

/** Job, height and who hangs on it. */
function aboutSetup(setup: Setup, system: UnitSystem): string {
  const descentM = descentOf(setup.site);
  const who = setup.persons.flatMap((p) => (p.item ? [p.item.name] : []));
  return [
    templateOf(setup).label,
    descentM > 0 ? printQuantity(descentM, 'lengthM', system) : 'height not said',
    who.length > 0 ? who.join(' and ') : 'nobody chosen',
  ].join(', ');
}
