import { Anchor, TrendingDown } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { assess, assumedInRig } from '@core/answers/assess';
import { findingKeys, overall, SEVERITIES, type Severity } from '@core/foundations/finding';
import { JOB_FACTS } from '@core/things/gear';
import { fallWords } from '../catch/fall-words';
import type { Setup } from '@core/rigs/rig';
import { LazyDrawings } from '../../../drawing/lazy';
import { printDay } from '../../../ui/dates';
import { SEVERITY_WORDS, SeverityMark } from '../../../ui/SeverityMark';
import { StartCheck } from '../../check/before-use/StartCheck';
import { VerdictBanner, verdictSentence } from './VerdictBanner';
import { lazyPart } from '../../../ui/part';
import { WayThroughRow } from './WayThroughRow';

const FindingList = lazyPart('The list of findings', () => import('./FindingList').then((m) => m.FindingList));
const Schools = lazyPart('The questions on which practice differs', () => import('./Schools').then((m) => m.Schools));
const StepsLink = lazyPart('The link to the order of steps', () => import('./StepsLink').then((m) => m.StepsLink));
const SetupForm = lazyPart('The form', () => import('./SetupForm').then((m) => m.SetupForm));

const OnTheRope = lazyPart('What is along the rope', () => import('../form/OnTheRope').then((m) => m.OnTheRope));

const Sharpen = lazyPart('What to find out first', () =>
  import('../form/MostWorthKnowing').then((m) => m.MostWorthKnowing),
);

const PANELS = { drawing: 'Drawing', findings: 'Findings', form: 'Change' } as const;
type Panel = keyof typeof PANELS;

/** Planning: what is chosen, what it looks like, what was found. On a phone one of the three at a time. */
export function SetupView({ setup, change }: { setup: Setup; change: (next: Setup, field: string | null) => void }) {
  const assessment = useMemo(() => assess(setup), [setup]);
  const [chosenKey, setChosenKey] = useState<string | null>(null);
  const [panel, setPanel] = useState<Panel>('drawing');
  // A finding is remembered by what it is about, since its place in the list changes with every edit.
  const keys = findingKeys(assessment.findings);
  const found = chosenKey === null ? -1 : keys.indexOf(chosenKey);
  const chosen = found < 0 ? null : found;
  const choose = (index: number | null) => setChosenKey(index === null ? null : keys[index]!);
  const fromDrawing = (index: number) => {
    choose(index);
    setPanel('findings');
  };
  const drawing = { setup, assessment, chosen, onChoose: fromDrawing };
  const open = assessment.findings.filter((f) => f.severity !== 'clear').length;

  return (
    <>
      <VerdictBanner assessment={assessment} action={<StartCheck setup={setup} assessment={assessment} />} />
      <WayThroughRow setup={setup} assessment={assessment} onForm={() => setPanel('form')} />
      <WhatIsOpen setup={setup} verdict={assessment.verdict} onForm={() => setPanel('form')} />
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
          <SetupForm setup={setup} onChange={change} />
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
            <LazyDrawings {...drawing} onChange={change} />
          </div>
          {(JOB_FACTS[setup.job].climbs || JOB_FACTS[setup.job].casualty) && (
            <OnTheRope setup={setup} findings={assessment.findings} onChange={(next) => change(next, null)} />
          )}
        </section>
        <section
          aria-label="Findings"
          className={`${panel === 'findings' ? '' : 'hidden'} lg:sticky lg:top-14 lg:block lg:max-h-[calc(100dvh-4rem)] lg:overflow-y-auto`}
        >
          <FindingList findings={assessment.findings} chosen={chosen} onChoose={choose} />
          <div className="mt-4 flex flex-wrap items-center gap-3">
            <Link className="btn" to="holds">
              <Anchor aria-hidden className="size-5" />
              What still holds
            </Link>
            {belayedFromBelow(setup) && (
              <Link className="btn" to="catch">
                <TrendingDown aria-hidden className="size-5" />
                {fallWords(setup)}
              </Link>
            )}
            <StepsLink setup={setup} />
          </div>
          <Schools job={setup.job} findings={assessment.findings} />
          <SinceTaken setup={setup} verdict={assessment.verdict} />
        </section>
      </div>
    </>
  );
}

/**
 * What is not known, and what hangs on it: open at once where values are only typical, since there it is what to do
 * next.
 */
function WhatIsOpen({ setup, verdict, onForm }: { setup: Setup; verdict: Severity; onForm: () => void }) {
  const typical = useMemo(() => assumedInRig(setup).length > 0, [setup]);
  const [wanted, setWanted] = useState<boolean | null>(null);
  const shown = wanted ?? typical;
  if (!typical && verdict !== 'untested' && wanted === null) return null;
  return (
    <details className="mt-3" open={shown} onToggle={(event) => setWanted(event.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer py-2.5 text-lg font-semibold">What to find out first</summary>
      {shown && <Sharpen setup={setup} onForm={onForm} />}
    </details>
  );
}

/** Somebody on the ground holds a leader, or somebody on a top rope. */
const belayedFromBelow = ({ job }: Setup) => JOB_FACTS[job].belayedFrom === 'below';

/**
 * Where more is judged, or known to be open, than on the day a combination was taken: that is said, so that nobody
 * wonders.
 */
function SinceTaken({ setup: { taken }, verdict }: { setup: Setup; verdict: Severity }) {
  if (!taken) return null;
  const then = overall(taken.findings);
  if (SEVERITIES.indexOf(verdict) >= SEVERITIES.indexOf(then)) return null;
  return (
    <p className="mt-4 text-sm text-ink-2">
      When this was taken from a plan on {printDay(taken.at)} the verdict was “{SEVERITY_WORDS[then]}”: a plan judges
      the parts as if they were rigged well. Now the whole rig is judged, and what nobody has said yet is open.
    </p>
  );
}
