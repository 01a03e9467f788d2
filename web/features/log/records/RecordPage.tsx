import { format } from 'date-fns';
import { Link, Navigate, useParams } from 'react-router';
import { CHECK_DEPTHS, looksOf, SINCE } from '@core/answers/check';
import { fillTemplate } from '@core/foundations/finding';
import {
  CHECK_MODES,
  checkers,
  itemStatus,
  quickAnswers,
  seenIn,
  type CheckEvent,
  type CheckRecord,
} from '@core/records/log';
import { slotsOf } from '@core/rigs/elements';
import { NotFound } from '../../../app/NotFound';
import { useTitle } from '../../../app/useTitle';
import { usePreferences } from '../../../app/preferences';
import { usePlace } from '../../../app/place';
import { useWorkspace } from '../../../store/hooks';
import { SeverityMark } from '../../../ui/SeverityMark';
import { CHECK_OUTCOMES } from './LogPage';

/** A check as it was: the set-up of its time, each item, who saw what and when, what was put right. */
export function RecordPage() {
  const { checkId } = useParams();
  const { name } = usePlace();
  const { checks, setups } = useWorkspace();
  const record = checks.find((c) => c.id === checkId);
  useTitle(record ? `Check of ${record.setup.name}` : 'Log');
  if (!record) return <NotFound what="This entry of the log" />;
  if (record.outcome === 'running') return <Navigate to={`/${name}/check/${record.id}`} replace />;
  const { setup } = record;
  const gear = slotsOf(setup).flatMap(({ kind, item }) => (kind !== 'person' && item ? [item] : []));
  return (
    <div className="mx-auto max-w-3xl px-4 py-6">
      <h1>{setup.name}</h1>
      <p className="mt-1 text-ink-2">
        {CHECK_DEPTHS[record.depth]}
        {record.since && ` (${SINCE[record.since.what].toLowerCase()})`}. {CHECK_OUTCOMES[record.outcome]},{' '}
        {CHECK_MODES[record.mode].toLowerCase()}, {format(record.startedAt, 'd MMM yyyy HH:mm')}
        {record.endedAt && ` to ${format(record.endedAt, 'HH:mm')}`}. The plan was then:{' '}
        <SeverityMark severity={record.verdict} withWord size={16} />
      </p>
      <Noted record={record} />
      <LeftOut record={record} />
      <Seen record={record} />
      <p className="mt-2">
        <span className="font-semibold">With</span> {gear.map((item) => item.name).join(', ')}.
      </p>
      <div className="mt-3 flex flex-wrap gap-3">
        <Link className="btn btn-act" to={`/${name}/log/use/new?setup=${setup.id}`}>
          Log the use
        </Link>
        {setups.some((s) => s.id === setup.id) && (
          <Link className="btn" to={`/${name}/setups/${setup.id}`}>
            To the set-up
          </Link>
        )}
      </div>
      <ol className="mt-5 divide-y divide-line border-y border-line">
        {looksOf(record.items).map((look) => (
          <li key={look[0]!.id} className="grid gap-x-4 px-2 py-2.5 sm:grid-cols-[13rem_1fr]">
            <span className="font-semibold">{look[0]!.title}</span>
            <ul className="grid gap-1">
              {look.map((item) => (
                <RecordItem key={item.id} record={record} item={item} />
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </div>
  );
}

/**
 * What whoever reads the record should see first: risks that were accepted, and answers that came too quickly to have
 * looked.
 */
function Noted({ record }: { record: CheckRecord }) {
  const accepted = record.events.filter((e) => e.type === 'accepted').length;
  const quick = quickAnswers(record).length;
  if (accepted + quick === 0) return null;
  return (
    <p className="mt-2 rounded-lg bg-mind-wash px-3 py-2 text-mind">
      {accepted > 0 &&
        `${accepted === 1 ? '1 risk was accepted as it is' : `${accepted} risks were accepted as they are`}, with a reason. `}
      {quick > 0 && `${quick} ${quick === 1 ? 'answer' : 'answers'} came too quickly to have looked.`}
    </p>
  );
}

/** What was seen and had not been entered in the set-up before. */
function Seen({ record }: { record: CheckRecord }) {
  const facts = seenIn(record).length;
  if (facts === 0) return null;
  return (
    <p className="mt-2">
      {facts === 1 ? '1 fact that nobody had entered was' : `${facts} facts that nobody had entered were`} seen here.
    </p>
  );
}

/** What a shorter check did not look at, and what it relied on. */
function LeftOut({ record: { depth, since, leftOut } }: { record: CheckRecord }) {
  const { name } = usePlace();
  if (leftOut.length === 0) return null;
  if (depth === 'whole')
    return <p className="mt-2">Agreed before on the same day, in another check: {leftOut.join(', ')}.</p>;
  return (
    <details className="mt-2">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold underline">
        Not looked at this time: {leftOut.length}
      </summary>
      <p>
        {since ? (
          <>
            It goes on from the{' '}
            <Link className="font-semibold text-act underline" to={`/${name}/log/${since.check}`}>
              check that ended at {format(since.at, 'HH:mm')}
            </Link>
            : they said that nothing else was opened since.
          </>
        ) : (
          'They said that the whole check was done that day. Zevrin has no record of it.'
        )}
      </p>
      <p className="mt-1 text-ink-2">{[...new Set(leftOut)].join('; ')}.</p>
    </details>
  );
}

function RecordItem({ record, item }: { record: CheckRecord; item: CheckRecord['items'][number] }) {
  const reader = usePreferences();
  const who = {
    climber: checkers(record.setup).climber ?? 'Climber',
    partner: checkers(record.setup).partner ?? 'Partner',
  };
  const { state } = itemStatus(record, item);
  const events = record.events.filter((e) => e.itemId === item.id);
  return (
    <li>
      <span className="block">{fillTemplate(item.question, item.numbers, reader)}</span>
      {events.length === 0 && <span className="text-ink-2">Not looked at</span>}
      {events.map((event, i) => (
        <span key={i} className="block">
          <span className="num text-sm text-ink-2">{format(event.at, 'HH:mm:ss')}</span>{' '}
          <Happened {...{ event, item, who }} because={(id) => record.items.find((i) => i.id === id)?.title ?? ''} />
        </span>
      ))}
      {events.length > 0 && state !== 'done' && <span className="font-semibold text-mind">Not closed</span>}
    </li>
  );
}

interface HappenedProps {
  readonly event: CheckEvent;
  readonly item: CheckRecord['items'][number];
  readonly who: Readonly<Record<'climber' | 'partner', string>>;
  /** Title of an item. */
  readonly because: (itemId: string) => string;
}

/** One event of a check, as it is told. */
function Happened({ event, item, who, because }: HappenedProps) {
  const reader = usePreferences();
  const say = (text: string) => fillTemplate(text, item.numbers, reader);
  switch (event.type) {
    case 'saw':
      return (
        <>
          {who[event.who]}:{' '}
          <span className={event.asExpected ? '' : 'font-semibold text-stop'}>{say(event.answer)}</span>
        </>
      );
    case 'accepted':
      return (
        <>
          <span className="font-semibold text-mind">Accepted as it is by {who[event.who]}:</span> {event.reason}
        </>
      );
    case 'again':
      return <>Looked at again: “{because(event.because)}” was put right</>;
    case 'fixed':
      return <>Put right: {event.note}</>;
    case 'hurried':
      return <>{who[event.who]} was asked again: quicker than anybody can look</>;
    case 'turned':
      return (
        <>
          {who[event.who]}, asked the other way round: not {event.not.map(say).join(', not ')}
          {!event.agrees && <span className="font-semibold text-mind"> (does not agree)</span>}
        </>
      );
    case 'missed':
      return <span className="font-semibold text-stop">The planted fault was not found by {who[event.who]}</span>;
  }
}
