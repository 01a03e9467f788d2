import { format } from 'date-fns';
import { ClipboardList, Plus, Route as RouteIcon } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { CHECK_DEPTHS, SINCE } from '@core/answers/check';
import { fieldMeta } from '@core/things/gear';
import { CHECK_MODES, checkers, usageSchema, type CheckRecord, type UseRecord } from '@core/records/log';
import { usePlace } from '../../../app/place';
import { useTitle } from '../../../app/useTitle';
import { useWorkspace } from '../../../store/hooks';
import { LongList } from '../../../ui/LongList';
import { WhatChecksFound } from './WhatChecksFound';

const OUTCOMES = fieldMeta(usageSchema.shape.outcome)!.options!;
export const CHECK_OUTCOMES: Readonly<Record<CheckRecord['outcome'], string>> = {
  running: 'Not finished',
  complete: 'Complete',
  abandoned: 'Ended unfinished',
};

type Entry = { readonly at: string } & (
  { readonly kind: 'check'; readonly check: CheckRecord } | { readonly kind: 'use'; readonly use: UseRecord }
);

/** Checks and uses, newest first. */
export function LogPage() {
  useTitle('Log');
  const { checks, uses } = useWorkspace();
  const { name } = usePlace();
  const [only, setOnly] = useState<'all' | 'check' | 'use'>('all');
  const entries = useMemo<Entry[]>(
    () =>
      [
        ...checks.map((check): Entry => ({ kind: 'check', at: check.startedAt, check })),
        ...uses.map((use): Entry => ({ kind: 'use', at: use.at, use })),
      ].sort((a, b) => (a.at < b.at ? 1 : -1)),
    [checks, uses],
  );
  const filtered = only === 'all' ? entries : entries.filter((e) => e.kind === only);
  return (
    <div className="mx-auto max-w-4xl px-4 py-6">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h1>Log</h1>
        <Link to="use/new" className="btn btn-act">
          <Plus aria-hidden className="size-4" />
          Log a use
        </Link>
      </div>
      {checks.some((c) => c.outcome !== 'running') && <WhatChecksFound checks={checks} />}
      <label className="mt-3 flex items-center gap-2 text-sm font-semibold">
        Show
        <select
          className="field w-auto font-normal"
          value={only}
          onChange={(event) => setOnly(event.target.value as typeof only)}
        >
          <option value="all">checks and uses</option>
          <option value="check">checks</option>
          <option value="use">uses</option>
        </select>
      </label>
      {filtered.length === 0 && (
        <div className="mt-6 text-ink-2">
          <p>Nothing here yet. A check before use and a use are kept here with their date.</p>
          <ul aria-hidden className="mt-3 divide-y divide-line border-y border-line opacity-60">
            {[
              'Checked: everything as expected, by two',
              'Used: three times down, as planned',
              'Checked: stopped at the gate',
            ].map((line) => (
              <li key={line} className="grid gap-x-4 px-2 py-3 sm:grid-cols-[9rem_1fr]">
                <span className="h-4 w-24 self-center rounded bg-sunk" />
                <span>{line}</span>
              </li>
            ))}
          </ul>
          <p className="mt-3">
            Begin with a{' '}
            <Link className="font-semibold text-act underline" to="../setups">
              set-up
            </Link>
            : its check leads here.
          </p>
        </div>
      )}
      {filtered.length > 0 && (
        <LongList
          className="mt-4"
          items={filtered}
          keyOf={(entry) => `${entry.kind}/${entry.kind === 'check' ? entry.check.id : entry.use.id}`}
          rowPx={73}
          row={(entry) =>
            entry.kind === 'check' ? <CheckRow check={entry.check} base={`/${name}`} /> : <UseRow use={entry.use} />
          }
        />
      )}
    </div>
  );
}

const row = 'grid gap-x-4 px-2 py-3 sm:grid-cols-[8.5rem_1fr_auto]';

function When({ at }: { at: string }) {
  return (
    <time dateTime={at} className="num text-sm text-ink-2">
      {format(at, 'd MMM yyyy')}
      <span className="sm:block"> {format(at, 'HH:mm')}</span>
    </time>
  );
}

function CheckRow({ check, base }: { check: CheckRecord; base: string }) {
  const failed = check.events.filter((e) => e.type === 'saw' && !e.asExpected).length;
  const { climber, partner } = checkers(check.setup);
  const to = check.outcome === 'running' ? `${base}/check/${check.id}` : `${base}/log/${check.id}`;
  return (
    <Link to={to} className={`${row} hover:bg-sunk`}>
      <When at={check.startedAt} />
      <span>
        <span className="flex items-center gap-2 font-semibold">
          <ClipboardList aria-hidden className="size-4 shrink-0" />
          {check.setup.name}
        </span>
        <span className="text-ink-2">
          {CHECK_DEPTHS[check.depth]}
          {check.since && ` (${SINCE[check.since.what].toLowerCase()})`}, {CHECK_MODES[check.mode].toLowerCase()}:{' '}
          {[climber, check.mode === 'alone' ? null : partner].filter(Boolean).join(', ')}
          {failed > 0 && `; ${failed} put right on the way`}
        </span>
      </span>
      <span className={check.outcome === 'complete' ? 'text-ink-2' : 'font-semibold text-mind'}>
        {CHECK_OUTCOMES[check.outcome]}
      </span>
    </Link>
  );
}

function UseRow({ use }: { use: UseRecord }) {
  return (
    <div className={row}>
      <When at={use.at} />
      <span>
        <span className="flex items-center gap-2 font-semibold">
          <RouteIcon aria-hidden className="size-4 shrink-0" />
          {use.setupName || 'Without a set-up'}
        </span>
        <span className="text-ink-2">
          {use.descents === 1 ? 'Once' : `${use.descents} times`} on the rope
          {use.people.length > 0 && `: ${use.people.join(', ')}`}
        </span>
        {use.note && <span className="mt-1 block max-w-prose">{use.note}</span>}
      </span>
      <span className={use.outcome === 'as-planned' ? 'text-ink-2' : 'font-semibold text-mind'}>
        {OUTCOMES[use.outcome]}
      </span>
    </div>
  );
}
