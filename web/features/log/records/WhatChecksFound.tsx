import { format, subWeeks } from 'date-fns';
import { useMemo, useState } from 'react';
import { fillTemplate } from '@core/foundations/finding';
import { checksFound, type CheckRecord, type FoundThing } from '@core/records/log';
import { usePreferences } from '../../../app/preferences';

const WEEKS = { 4: 'the last 4 weeks', 12: 'the last 12 weeks', 520: 'all the time' } as const;

/** Over weeks: what checks found, and how often nothing could be found because nobody looked. */
export function WhatChecksFound({ checks }: { checks: readonly CheckRecord[] }) {
  const [weeks, setWeeks] = useState<keyof typeof WEEKS>(12);
  const found = useMemo(() => checksFound(checks, subWeeks(new Date(), weeks)), [checks, weeks]);
  return (
    <section aria-labelledby="found-title" className="mt-5 border-y border-line-2 py-3">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="found-title">What checks found</h2>
        <label className="flex items-center gap-2 text-sm">
          in
          <select
            className="field w-auto"
            value={weeks}
            onChange={(event) => setWeeks(Number(event.target.value) as keyof typeof WEEKS)}
          >
            {Object.entries(WEEKS).map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </select>
        </label>
      </div>
      <p className="mt-1">{inWords(found)}</p>
      {found.things.length > 0 && (
        <ol className="mt-2 divide-y divide-line">
          {found.things.slice(0, 8).map((thing) => (
            <Thing key={thing.item.id + thing.answer} thing={thing} />
          ))}
        </ol>
      )}
    </section>
  );
}

const times = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

function inWords({ checks, withFault, notLooked, planted }: ReturnType<typeof checksFound>): string {
  if (checks === 0) return 'No check has ended in this time.';
  const plants = planted.found + planted.missed;
  return [
    `${times(checks, 'check')}: ${withFault === 0 ? 'nothing was found wrong' : `${withFault} found something wrong`}.`,
    ...(notLooked > 0
      ? [`In ${notLooked} nothing could be found: half the answers or more came quicker than anybody can look.`]
      : []),
    ...(plants > 0
      ? [
          `Of ${times(plants, 'planted fault')} ${planted.found === plants ? 'all were' : `${planted.found} ${planted.found === 1 ? 'was' : 'were'}`} found.`,
        ]
      : []),
  ].join(' ');
}

function Thing({ thing: { item, answer, times: often, lastAt, putRight } }: { thing: FoundThing }) {
  const reader = usePreferences();
  const say = (text: string) => fillTemplate(text, item.numbers, reader);
  return (
    <li className="grid grid-cols-[2.5rem_1fr] gap-x-3 py-2 sm:grid-cols-[2.5rem_1fr_auto]">
      <span className="num font-semibold">{often}×</span>
      <span>
        {say(item.question)} <span className="font-semibold">{say(answer)}</span>
        {putRight && <span className="block text-ink-2">Put right: {putRight}</span>}
      </span>
      <span className="num col-start-2 text-sm text-ink-2 sm:col-start-3">last {format(lastAt, 'd MMM')}</span>
    </li>
  );
}
