import { useParams } from 'react-router';
import { JOBS } from '@core/things/gear';
import type { Setup } from '@core/rigs/rig';
import { NotFound } from '../../../app/NotFound';
import { useTitle } from '../../../app/useTitle';
import { changeSetup } from '../../../store/edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { NameField } from '../../../ui/NameField';
import { lazyPart } from '../../../ui/part';

// The engines and the drawings follow: first one sees which set-up it is, and with what.
const SetupView = lazyPart('This set-up', () => import('./SetupView').then((m) => m.SetupView), {
  waiting: ({ setup }) => <AtFirst setup={setup} />,
});
const SetupActions = lazyPart('The actions', () => import('./SetupActions').then((m) => m.SetupActions));

export function SetupPage() {
  const { setupId } = useParams();
  const setup = useWorkspace().setups.find((s) => s.id === setupId);
  return setup ? <OneSetup key={setup.id} setup={setup} /> : <NotFound what="This set-up" />;
}

function OneSetup({ setup }: { setup: Setup }) {
  const dispatch = useAppDispatch();
  useTitle(setup.name);
  const change = (next: Setup, field: string | null) =>
    dispatch(edited(changeSetup(setup, next, new Date().toISOString(), field)));
  return (
    <div className="mx-auto max-w-[1500px] px-3 pt-3 pb-8 sm:px-5">
      <div className="mb-2 flex items-center gap-1">
        <NameField
          label="Name of the set-up"
          name={setup.name}
          onRename={(name) => change({ ...setup, name }, 'name')}
        />
        <div className="hidden sm:flex">
          <SetupActions setup={setup} words={false} />
        </div>
      </div>
      <SetupView setup={setup} change={change} />
      <div className="mt-6 grid gap-2 sm:hidden">
        <SetupActions setup={setup} words />
      </div>
      <p className="mt-6 max-w-prose text-sm text-ink-2">
        Calculated from what was entered. The instructions of the makers, local codes and licensed practice come first;
        nothing here replaces training.
      </p>
    </div>
  );
}

/** What stands there while the engines load: the job, the people and the gear. */
function AtFirst({ setup }: { setup: Setup }) {
  const people = setup.persons.flatMap((p) => (p.item ? [`${p.item.name} (${p.role})`] : []));
  const gear = setup.attachments.flatMap((a) => [
    ...(a.end.kind === 'device' || a.end.kind === 'hitch' ? [a.end.item?.name] : []),
    ...a.pieces.map((p) => p.item?.name),
  ]);
  return (
    <div className="min-h-[60dvh]">
      <p className="text-lg">{JOBS[setup.job]}. Judging …</p>
      <p className="mt-2 text-ink-2">{people.join(', ')}</p>
      <ul className="mt-2 text-ink-2">
        {gear.filter(Boolean).map((name) => (
          <li key={name}>{name}</li>
        ))}
      </ul>
    </div>
  );
}
