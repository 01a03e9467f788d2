import { nanoid } from '@reduxjs/toolkit';
import { Plus } from 'lucide-react';
import { lazy, Suspense } from 'react';
import { Link, useNavigate } from 'react-router';
import { JOBS } from '@core/gear';
import { blankSetup, descentM, type Choice } from '@core/rig';
import { printQuantity } from '@core/units';
import { usePreferences } from '../../app/preferences';
import { usePlace } from '../../app/WorkspaceProvider';
import { addSetup } from '../../store/edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { printDay } from '../../ui/dates';
import { nextAction } from '../../store/next-action';
import { edited } from '../../store/workspace-slice';
import { KINDS } from '../locker/kinds';

// The engine is large: the list stands first, the verdicts follow.
const SetupVerdict = lazy(() => import('./verdicts').then((m) => ({ default: m.SetupVerdict })));
const ChoiceVerdict = lazy(() => import('./verdicts').then((m) => ({ default: m.ChoiceVerdict })));

/** All set-ups with their verdicts; while something is missing, the one thing to do next. */
export function SetupsPage() {
  const data = useWorkspace();
  const { name } = usePlace();
  const { system } = usePreferences();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const next = nextAction(data);
  const running = data.checks.filter((c) => c.outcome === 'running');

  const add = () => {
    const setup = blankSetup(nanoid(), `Rappel ${data.setups.length + 1}`, new Date().toISOString());
    dispatch(edited(addSetup(setup)));
    void navigate(setup.id);
  };

  return (
    <div className="mx-auto max-w-4xl px-4 py-6">
      <div className="flex items-end justify-between gap-3">
        <h1>Set-ups</h1>
        {!next && (
          <button type="button" className="btn btn-act" onClick={add}>
            <Plus aria-hidden className="size-4" />
            Plan a rappel
          </button>
        )}
      </div>
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
      {next && (
        <section className="mt-8 max-w-xl">
          <h2>
            Next:{' '}
            {next.kind === 'add-item'
              ? KINDS[next.item].add.toLowerCase()
              : next.kind === 'add-person'
                ? 'add a person'
                : 'plan the rappel'}
          </h2>
          <p className="mt-1 text-ink-2">{next.why}</p>
          {next.kind === 'add-setup' ? (
            <button type="button" className="btn btn-act mt-4 px-6 text-lg" onClick={add}>
              Plan a rappel
            </button>
          ) : (
            <Link
              className="btn btn-act mt-4 px-6 text-lg"
              to={`/${name}/locker/${next.kind === 'add-item' ? next.item : 'person'}/new`}
              state={{ back: `/${name}/setups` }}
            >
              {next.kind === 'add-item' ? KINDS[next.item].add : 'Add a person'}
            </Link>
          )}
        </section>
      )}
      {data.setups.length > 0 && (
        <ul className="mt-5 divide-y divide-line border-y border-line">
          {[...data.setups]
            .sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1))
            .map((setup) => {
              return (
                <li key={setup.id}>
                  <Link
                    to={setup.id}
                    className="grid gap-x-4 gap-y-1 px-2 py-3.5 hover:bg-sunk sm:grid-cols-[1fr_auto]"
                  >
                    <span className="text-lg font-semibold">{setup.name}</span>
                    <span className="min-h-6 sm:text-right">
                      <Suspense fallback={null}>
                        <SetupVerdict setup={setup} />
                      </Suspense>
                    </span>
                    <span className="text-ink-2">
                      Rappel on two strands,{' '}
                      {descentM(setup.situation) > 0
                        ? printQuantity(descentM(setup.situation), 'lengthM', system)
                        : 'no descent'}
                      , {setup.people.climber?.name ?? 'nobody chosen'}
                    </span>
                    <span className="text-sm text-ink-2 sm:text-right">{printDay(setup.updatedAt)}</span>
                  </Link>
                </li>
              );
            })}
        </ul>
      )}
      {data.choices.length > 0 && <Choices choices={data.choices} />}
    </div>
  );
}

/** What was taken for jobs whose whole rig is not assessed yet. */
function Choices({ choices }: { choices: readonly Choice[] }) {
  const { name } = usePlace();
  const { system } = usePreferences();
  return (
    <section className="mt-8" aria-labelledby="choices">
      <h2 id="choices">Chosen for other jobs</h2>
      <ul className="mt-1 divide-y divide-line border-y border-line">
        {[...choices]
          .sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1))
          .map((choice) => {
            return (
              <li key={choice.id}>
                <Link
                  to={`/${name}/plan/${choice.id}`}
                  className="grid gap-x-4 gap-y-1 px-2 py-3.5 hover:bg-sunk sm:grid-cols-[1fr_auto]"
                >
                  <span className="text-lg font-semibold">{choice.name}</span>
                  <span className="min-h-6 sm:text-right">
                    <Suspense fallback={null}>
                      <ChoiceVerdict choice={choice} />
                    </Suspense>
                  </span>
                  <span className="text-ink-2">
                    {JOBS[choice.question.job]}, {printQuantity(choice.question.heightM, 'lengthM', system)},{' '}
                    {choice.gear.device?.name ?? 'no device'}
                  </span>
                </Link>
              </li>
            );
          })}
      </ul>
    </section>
  );
}
