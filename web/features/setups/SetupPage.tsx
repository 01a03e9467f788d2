import { Copy, FileDown, Printer, Trash2 } from 'lucide-react';
import { nanoid } from '@reduxjs/toolkit';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { assess } from '@core/assess';
import { writeSetup } from '@core/files';
import type { Setup } from '@core/rig';
import { NotFound } from '../../app/NotFound';
import { usePlace } from '../../app/WorkspaceProvider';
import { LazyDrawings } from '../../drawing/lazy';
import { addSetup, changeSetup, removeSetup } from '../../store/edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited, fieldLeft, undone } from '../../store/workspace-slice';
import { downloadText } from '../../ui/download';
import { SeverityMark } from '../../ui/SeverityMark';
import { useToast } from '../../ui/Toasts';
import { StartCheck } from '../check/StartCheck';
import { FindingList } from './FindingList';
import { VerdictBanner, verdictSentence } from './VerdictBanner';

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
          <FindingList findings={assessment.findings} chosen={chosen} onChoose={choose} />
        </section>
      </div>
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

function SetupHead({ setup, onRename }: { setup: Setup; onRename: (name: string) => void }) {
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <div className="mb-2 flex items-center gap-1">
      <h1 className="min-w-0 flex-1">
        <input
          aria-label="Name of the set-up"
          className="w-full truncate rounded border border-transparent bg-transparent py-1 font-bold hover:border-line-2 focus:border-line-2 focus:bg-surface"
          value={typed ?? setup.name}
          maxLength={80}
          onChange={(event) => {
            setTyped(event.target.value);
            if (event.target.value.trim()) onRename(event.target.value.trim());
          }}
          onBlur={() => {
            setTyped(null);
            dispatch(fieldLeft());
          }}
        />
      </h1>
      <div className="hidden sm:flex">
        <SetupActions setup={setup} words={false} />
      </div>
    </div>
  );
}

/** What can be done with the set-up as a whole; with words on a phone, where they stand at the end. */
function SetupActions({ setup, words }: { setup: Setup; words: boolean }) {
  const { name } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const say = useToast();
  const copy = () => {
    const now = new Date().toISOString();
    const twin: Setup = {
      ...setup,
      id: nanoid(),
      name: `${setup.name.slice(0, 72)} (copy)`,
      createdAt: now,
      updatedAt: now,
    };
    dispatch(edited(addSetup(twin)));
    void navigate(`/${name}/setups/${twin.id}`);
  };
  const remove = () => {
    dispatch(edited(removeSetup(setup)));
    say(`${setup.name} is removed.`, { label: 'Undo', run: () => dispatch(undone()) });
    void navigate(`/${name}/setups`);
  };
  const look = words ? 'btn justify-start' : 'btn border-0 bg-transparent px-2.5';
  const label = (text: string) => (words ? <span>{text}</span> : <span className="sr-only">{text}</span>);
  return (
    <>
      <Link className={look} to="card" title="Set-up card to print">
        <Printer aria-hidden className="size-5" />
        {label('Set-up card to print')}
      </Link>
      <button
        type="button"
        className={look}
        title="Save as a file"
        onClick={() => downloadText(`${setup.name}.zevrin.json`, writeSetup(setup))}
      >
        <FileDown aria-hidden className="size-5" />
        {label('Save as a file')}
      </button>
      <button type="button" className={look} title="Make a copy" onClick={copy}>
        <Copy aria-hidden className="size-5" />
        {label('Make a copy')}
      </button>
      <button type="button" className={look} title="Remove this set-up" onClick={remove}>
        <Trash2 aria-hidden className="size-5" />
        {label('Remove this set-up')}
      </button>
    </>
  );
}
