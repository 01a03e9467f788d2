import { Anchor } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { assess } from '@core/assess';
import type { Setup } from '@core/rig';
import { NotFound } from '../../app/NotFound';
import { LazyDrawings } from '../../drawing/lazy';
import { changeSetup } from '../../store/edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited } from '../../store/workspace-slice';
import { NameField } from '../../ui/NameField';
import { SeverityMark } from '../../ui/SeverityMark';
import { StartCheck } from '../check/StartCheck';
import { VerdictBanner, verdictSentence } from './VerdictBanner';

const FindingList = lazy(() => import('./FindingList').then((m) => ({ default: m.FindingList })));
const SetupActions = lazy(() => import('./SetupActions').then((m) => ({ default: m.SetupActions })));
const SetupForm = lazy(() => import('./SetupForm').then((m) => ({ default: m.SetupForm })));

export function SetupPage() {
  const { setupId } = useParams();
  const setup = useWorkspace().setups.find((s) => s.id === setupId);
  return setup ? <SetupView key={setup.id} setup={setup} /> : <NotFound what="This set-up" />;
}

const PANELS = { drawing: 'Drawing', findings: 'Findings', form: 'Change' } as const;
type Panel = keyof typeof PANELS;

/** Planning: what is chosen, what it looks like, what was found. On a phone one of the three at a time. */
function SetupView({ setup }: { setup: Setup }) {
  const dispatch = useAppDispatch();
  const assessment = useMemo(() => assess(setup), [setup]);
  const [chosenKey, setChosenKey] = useState<string | null>(null);
  const [panel, setPanel] = useState<Panel>('drawing');
  // A finding is remembered by what it is about, since its place in the list changes with every edit.
  const keys = assessment.findings.map((f) => `${f.code}/${f.subject.join()}`);
  const found = chosenKey === null ? -1 : keys.indexOf(chosenKey);
  const chosen = found < 0 ? null : found;
  const choose = (index: number | null) => setChosenKey(index === null ? null : keys[index]!);
  const fromDrawing = (index: number) => {
    choose(index);
    setPanel('findings');
  };
  const change = (next: Setup, field: string | null) =>
    dispatch(edited(changeSetup(setup, next, new Date().toISOString(), field)));
  const drawing = { setup, assessment, chosen, onChoose: fromDrawing };
  const open = assessment.findings.filter((f) => f.severity !== 'clear').length;

  return (
    <div className="mx-auto max-w-[1500px] px-3 pt-3 pb-8 sm:px-5">
      <SetupHead setup={setup} onRename={(name) => change({ ...setup, name }, 'name')} />
      <VerdictBanner assessment={assessment} action={<StartCheck setup={setup} assessment={assessment} />} />
      <div
        className="mt-3 grid grid-cols-3 overflow-hidden rounded-lg border border-line-2 lg:hidden"
        role="group"
        aria-label="Part of the page"
      >
        {(Object.keys(PANELS) as Panel[]).map((p) => (
          <button
            key={p}
            type="button"
            aria-pressed={panel === p}
            className={`min-h-12 ${panel === p ? 'bg-ink font-bold text-paper' : 'bg-surface'}`}
            onClick={() => setPanel(p)}
          >
            {PANELS[p]}
            {p === 'findings' && open > 0 ? <span className="num"> {open}</span> : ''}
          </button>
        ))}
      </div>
      <div className="mt-4 grid gap-5 lg:grid-cols-[17rem_minmax(0,1fr)_20rem]">
        <section aria-label="Change the set-up" className={`min-w-0 ${panel === 'form' ? '' : 'hidden'} lg:block`}>
          <Suspense>
            <SetupForm setup={setup} onChange={change} />
          </Suspense>
          <p
            aria-hidden
            className="sticky bottom-17 z-10 mt-3 flex items-center gap-3 rounded-lg border border-line-2 bg-surface px-3 py-2 shadow-md lg:hidden"
          >
            <SeverityMark severity={assessment.verdict} withWord />
            <span className="min-w-0 flex-1 truncate">
              {assessment.verdict === 'clear' ? '' : verdictSentence(assessment)}
            </span>
          </p>
        </section>
        <section aria-label="Drawing" className={`${panel === 'drawing' ? '' : 'hidden'} lg:block`}>
          <div className="grid gap-4 rounded-xl border border-line bg-surface p-3 sm:grid-cols-2">
            <LazyDrawings {...drawing} />
          </div>
        </section>
        <section
          aria-label="Findings"
          className={`${panel === 'findings' ? '' : 'hidden'} lg:sticky lg:top-14 lg:block lg:max-h-[calc(100dvh-4rem)] lg:overflow-y-auto`}
        >
          <Suspense>
            <FindingList findings={assessment.findings} chosen={chosen} onChoose={choose} />
          </Suspense>
          <Link className="btn mt-4" to="holds">
            <Anchor aria-hidden className="size-5" />
            What still holds
          </Link>
        </section>
      </div>
      <div className="mt-6 grid gap-2 sm:hidden">
        <Suspense>
          <SetupActions setup={setup} words />
        </Suspense>
      </div>
      <p className="mt-6 max-w-prose text-sm text-ink-2">
        Calculated from what was entered. The instructions of the makers, local codes and licensed practice come first;
        nothing here replaces training.
      </p>
    </div>
  );
}

function SetupHead({ setup, onRename }: { setup: Setup; onRename: (name: string) => void }) {
  return (
    <div className="mb-2 flex items-center gap-1">
      <NameField label="Name of the set-up" name={setup.name} onRename={onRename} />
      <div className="hidden sm:flex">
        <Suspense>
          <SetupActions setup={setup} words={false} />
        </Suspense>
      </div>
    </div>
  );
}
