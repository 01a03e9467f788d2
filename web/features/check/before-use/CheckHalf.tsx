import { useState } from 'react';
import {
  answersInOrder,
  FOUR,
  mayBeAccepted,
  partnersCheck,
  CHECK_PARTS,
  checkPartOf,
  type CheckItem,
} from '@core/answers/check';
import { fillTemplate } from '@core/foundations/finding';
import type { CheckRecord, ItemStatus, Who } from '@core/records/log';
import { usePlace } from '../../../app/place';
import { usePreferences } from '../../../app/preferences';
import { SeverityMark } from '../../../ui/SeverityMark';
import { useSettled } from '../../../ui/useSettled';
import { FoldedThreadings } from '../../../drawing/threaded/lazy';
import { threadingOfItem } from './threading-of-item';
import { begun } from '../../../ui/useDraftedText';
import { Written } from './Written';

interface CheckHalfProps {
  readonly record: CheckRecord;
  readonly item: CheckItem;
  readonly status: ItemStatus;
  readonly who: Who;
  readonly name: string;
  readonly turned: boolean;
  /** False while the check runs in another tab. */
  readonly answers: boolean;
  readonly onAnswer: (answer: string) => void;
  readonly onAccept: (reason: string) => void;
  readonly onFixed: (note: string) => void;
}

const KIND_WORDS = {
  look: 'Look and touch',
  'function-test': 'Function test',
  'open-finding': 'Left open by the plan',
} as const;

/** Which of the four systems that two partners go through, or what comes after them. */
function systemWords(item: CheckItem): string {
  const system = checkPartOf(item);
  const place = FOUR.indexOf(system);
  if (item.kind === 'open-finding') return KIND_WORDS[item.kind];
  return place < 0 ? CHECK_PARTS[system] : `${CHECK_PARTS[system]}, ${place + 1} of ${FOUR.length}`;
}

/** One person's half of the check: what to look at and touch, and what was seen. */
export function CheckHalf({
  record,
  item,
  status,
  who,
  name,
  turned,
  answers,
  onAnswer,
  onAccept,
  onFixed,
}: CheckHalfProps) {
  const { name: place } = usePlace();
  const settled = useSettled(item.id);
  const drawing = threadingOfItem(record, item);
  const reader = usePreferences();
  const say = (text: string) => fillTemplate(text, item.numbers, reader);
  const answered = status.confirmed.includes(who);
  const number = record.items.findIndex((i) => i.id === item.id) + 1;
  return (
    <section
      aria-label={`Half of ${name}`}
      data-half={who}
      className={`flex min-h-0 flex-1 flex-col overflow-y-auto px-4 py-3 ${turned ? 'rotate-180' : ''} ${status.state === 'failed' ? 'bg-stop-wash' : ''}`}
    >
      <p className="flex justify-between gap-3 text-sm text-ink-2">
        <span>
          {name} · {partnersCheck(record.setup) ? systemWords(item) : KIND_WORDS[item.kind]}
        </span>
        <span className="num">
          {number}/{record.items.length}
        </span>
      </p>
      <h2 className="text-xl leading-tight">{item.title}</h2>
      {status.state === 'failed' ? (
        <Repair
          draftKey={`${place}/repair/${record.id}/${item.id}`}
          answer={say(status.failedAnswer!)}
          fixer={who === 'climber' && answers}
          onFixed={onFixed}
        />
      ) : (
        <>
          <WhereToLook look={say(item.look)} touch={say(item.touch)} folded={record.depth !== 'whole'} />
          {drawing && (
            <FoldedThreadings
              {...drawing}
              summary="How the rope runs"
              className="mt-1"
              summaryClass="flex items-center text-ink-2 underline"
            />
          )}
          <div className="mt-auto pt-2">
            {answered ? (
              <p className="rounded-lg bg-sunk px-3 py-3">
                Your answer is kept. It is shown when the other half has answered.
              </p>
            ) : (
              <div role="group" aria-label={say(item.question)}>
                <p className="mb-1.5 font-bold">{say(item.question)}</p>
                <div className="grid gap-1.5">
                  {answersInOrder(item, record.id + who).map((answer) => (
                    <button
                      key={answer}
                      type="button"
                      className="btn min-h-12 justify-start text-left leading-tight"
                      disabled={!answers || !settled}
                      onClick={() => onAnswer(answer)}
                    >
                      {say(answer)}
                    </button>
                  ))}
                </div>
                {mayBeAccepted(item) && (
                  <Accept
                    draftKey={`${place}/accept/${record.id}/${item.id}/${who}`}
                    name={name}
                    disabled={!answers}
                    onAccept={onAccept}
                  />
                )}
              </div>
            )}
          </div>
        </>
      )}
    </section>
  );
}

/** Where to look and what to touch; whoever was told so in the whole check today finds it folded away. */
function WhereToLook({ look, touch, folded }: { look: string; touch: string; folded: boolean }) {
  const text = (
    <>
      <p className="mt-1">{look}</p>
      {touch && <p className="mt-1 font-semibold">{touch}</p>}
    </>
  );
  if (!folded) return text;
  return (
    <details className="mt-1">
      <summary className="flex min-h-12 cursor-pointer items-center text-ink-2 underline">Where to look</summary>
      {text}
    </details>
  );
}

interface AcceptProps {
  readonly draftKey: string;
  readonly name: string;
  readonly disabled: boolean;
  readonly onAccept: (reason: string) => void;
}

/** Going on with a known risk as it is: by name, with a reason, which stays in the record. */
function Accept({ draftKey, name, disabled, onAccept }: AcceptProps) {
  // Open from the start where a reason was begun; then whoever reads it opens and closes it.
  const [there] = useState(() => begun(draftKey) !== '');
  return (
    <details className="mt-2" open={there || undefined}>
      <summary className="flex min-h-12 cursor-pointer items-center text-ink-2 underline">
        Go on with it as it is
      </summary>
      <Written
        draftKey={draftKey}
        label="Why can it stay so? It stands in the record with your name."
        button={`Accepted by ${name}`}
        least={5}
        most={300}
        disabled={disabled}
        onWritten={onAccept}
      />
    </details>
  );
}

interface RepairProps {
  readonly draftKey: string;
  readonly answer: string;
  /** The half on which the repair is written down; one note is enough. */
  readonly fixer: boolean;
  readonly onFixed: (note: string) => void;
}

function Repair({ draftKey, answer, fixer, onFixed }: RepairProps) {
  return (
    <div className="mt-2 grid gap-2">
      <p className="flex items-start gap-2 text-stop">
        <SeverityMark severity="stop" />
        <span>
          <strong>Stop.</strong> Seen: {answer}. Nobody goes down like this.
        </span>
      </p>
      {fixer ? (
        <Written
          draftKey={draftKey}
          label="What was put right?"
          button="Put right: check it again"
          least={1}
          most={500}
          main
          onWritten={onFixed}
        />
      ) : (
        <p>Put it right together; then both look at it again.</p>
      )}
    </div>
  );
}
