import { useEffect, useRef, type ReactNode } from 'react';
import {
  answersInOrder,
  FOUR,
  CHECK_PARTS,
  checkPartOf,
  partnersCheck,
  tellsWhatToDo,
  type CheckItem,
  otherOf,
} from '@core/answers/check';
import { fillTemplate } from '@core/foundations/finding';
import { itemStatus, looksFor, nextLook, turnedFor, waitsFor, type CheckRecord } from '@core/records/log';
import { usePlace } from '../../../app/place';
import { usePreferences } from '../../../app/preferences';
import { LazyLookPicture } from '../../../drawing/looks/lazy';
import { FoldedThreadings } from '../../../drawing/threaded/lazy';
import { useSettled } from '../../../ui/useSettled';
import type { Handlers } from './handlers';
import { LookQuestion } from './LookQuestion';
import { ReadAloud } from './ReadAloud';
import { Repair } from './Repair';
import { threadingOfItem } from './threading-of-item';
import { Turned } from './Turned';

interface CheckHalfProps extends Handlers {
  readonly record: CheckRecord;
  readonly who: 'climber' | 'partner';
  readonly names: Readonly<Record<'climber' | 'partner', string>>;
  /** The one who sits across reads it. */
  readonly upsideDown: boolean;
  /** False while the check runs in another tab. */
  readonly answers: boolean;
}

/** Which of the four systems that two partners go through, or what comes after them. */
function systemWords({ setup }: CheckRecord, item: CheckItem): string {
  const system = checkPartOf(item);
  const place = FOUR.indexOf(system);
  return place < 0 || !partnersCheck(setup)
    ? CHECK_PARTS[system]
    : `${CHECK_PARTS[system]}, ${place + 1} of ${FOUR.length}`;
}

/** The last that was said of it came sooner than anybody can look, or did not agree with what was said before. */
const askedAgain = (
  { events }: CheckRecord,
  item: CheckItem,
  who: 'climber' | 'partner',
): 'hurried' | 'turned' | null => {
  const last = events.findLast((e) => e.itemId === item.id && 'who' in e && e.who === who);
  return last?.type === 'hurried' ? 'hurried' : last?.type === 'turned' && !last.agrees ? 'turned' : null;
};

/** One person’s half of the check, at their own pace: one look at a time, and what was seen. */
export function CheckHalf(props: CheckHalfProps) {
  const { record, who, names, upsideDown } = props;
  const mine = looksFor(record, who);
  const look = nextLook(record, who);
  const failed = look !== null && itemStatus(record, look[0]!).state === 'failed';
  const turned = turnedFor(record, who);
  const left = mine.flat().filter((item) => waitsFor(record, item, who)).length + (turned ? 1 : 0);
  const number = look ? mine.findIndex((l) => l.some((i) => i.id === look[0]!.id)) + 1 : mine.length;
  return (
    <section
      aria-label={`Half of ${names[who]}`}
      data-half={who}
      data-left={left}
      className={`flex min-h-0 flex-1 flex-col overflow-y-auto px-4 py-3 ${upsideDown ? 'rotate-180' : ''} ${failed ? 'bg-stop-wash' : ''}`}
    >
      <p className="flex justify-between gap-3 text-sm text-ink-2">
        <span>
          {names[who]}
          {look && ` · ${systemWords(record, look[0]!)}`}
        </span>
        <span className="num">
          {number}/{mine.length}
        </span>
      </p>
      {look ? (
        <Look key={keyOf(record, look)} {...props} look={look} failed={failed} />
      ) : turned ? (
        <ComesBack {...props} item={turned} />
      ) : (
        <Done {...props} />
      )}
    </section>
  );
}

/** A look that begins anew after a repair is another one. */
const keyOf = ({ events }: CheckRecord, look: readonly CheckItem[]): string =>
  `${look[0]!.id}/${events.filter((e) => e.type === 'fixed').length}`;

function ComesBack({ record, who, answers, item, onSawNot }: CheckHalfProps & { readonly item: CheckItem }) {
  const settled = useSettled(`turned/${item.id}`);
  return (
    <Turned {...{ record, item, who }} disabled={!answers || !settled} onSaid={(not) => onSawNot(item, who, not)} />
  );
}

type LookProps = CheckHalfProps & { readonly look: readonly CheckItem[]; readonly failed: boolean };

function Look({ record, who, names, answers, look, failed, onSaw, onFixed }: LookProps) {
  const { name: place } = usePlace();
  const reader = usePreferences();
  const saidHere = look.filter((item) => itemStatus(record, item).confirmed.includes(who)).length;
  const asked = record.events.filter((e) => e.type === 'hurried' && e.who === who).length;
  // What was tapped twice must not answer the next question either.
  const settled = useSettled(`${look[0]!.id}/${saidHere}/${asked}`);
  const questions = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (saidHere > 0) questions.current?.querySelector('[data-item]')?.scrollIntoView({ block: 'nearest' });
  }, [saidHere]);
  const [first] = look as [CheckItem];
  const isAsked = (item: CheckItem) => waitsFor(record, item, who) || itemStatus(record, item).confirmed.includes(who);
  const drawing = look.map((i) => threadingOfItem(record, i)).find((d) => d !== null);
  if (failed)
    return (
      <>
        <h2 className="text-xl leading-tight">{first.title}</h2>
        <Repair
          draftKey={`${place}/repair/${record.id}/${first.id}`}
          {...{ record, names }}
          item={first}
          fixer={who === (record.half ?? 'climber') && answers}
          onFixed={(note) => onFixed(first, note)}
        />
      </>
    );
  const facing = record.mode === 'face-to-face';
  const spoken = [
    first.title,
    ...look.map((i) =>
      fillTemplate(`${i.question} ${answersInOrder(i, record.id + who).join(', or ')}.`, i.numbers, reader),
    ),
  ];
  const picture = <LazyLookPicture setup={record.setup} look={look} />;
  return (
    <>
      <div className="flex items-start gap-3">
        <div className="min-w-0 flex-1">
          <div className="flex items-center justify-between gap-2">
            <Heading>{first.title}</Heading>
            <ReadAloud texts={spoken} />
          </div>
          <WhereToLook look={look}>
            {drawing && (
              <FoldedThreadings
                {...drawing}
                summary="How the rope runs"
                className="mt-1"
                summaryClass="flex items-center text-ink-2 underline"
              />
            )}
          </WhereToLook>
        </div>
        {facing && <div className="h-20 w-28 shrink-0 md:h-32 md:w-44">{picture}</div>}
      </div>
      {/* Alone there is room for it in the middle. */}
      <div className="min-h-0 flex-1">
        {!facing && <div className="mx-auto h-full max-h-72 max-w-md">{picture}</div>}
      </div>
      <div ref={questions} className="grid gap-2 pt-2">
        {look.filter(isAsked).map((item) => (
          <LookQuestion
            key={item.id}
            {...{ record, item, who }}
            again={askedAgain(record, item, who)}
            said={itemStatus(record, item).confirmed.includes(who)}
            disabled={!answers || !settled}
            small={facing}
            onAnswer={(answer) => onSaw(item, who, answer)}
          />
        ))}
      </div>
    </>
  );
}

/** Whoever reads it aloud or goes by keyboard stands at the new look, not where the last answer was. */
function Heading({ children }: { children: ReactNode }) {
  const ref = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    const half = ref.current?.closest('[data-half]');
    // Only where the answer was given in this half: the other one is not torn away from what it reads.
    if (document.activeElement === document.body || half?.contains(document.activeElement))
      ref.current?.focus({ preventScroll: true });
  }, []);
  return (
    <h2 ref={ref} tabIndex={-1} className="text-xl leading-tight outline-none">
      {children}
    </h2>
  );
}

/** Where to look and what to touch: what is tried says it at once, what is looked at has it folded away. */
function WhereToLook({ look, children }: { look: readonly CheckItem[]; children: ReactNode }) {
  const reader = usePreferences();
  const lines = look.map((item) => ({ item, say: (text: string) => fillTemplate(text, item.numbers, reader) }));
  const told = lines.filter(({ item }) => item.touch !== '' && tellsWhatToDo(item));
  return (
    <>
      {told.map(({ item, say }) => (
        <p key={item.id} className="mt-1 font-semibold">
          {say(item.touch)}
        </p>
      ))}
      <details>
        <summary className="flex min-h-12 cursor-pointer items-center text-ink-2 underline">Where to look</summary>
        {lines.map(({ item, say }) => (
          <p key={item.id} className="mt-1">
            {say(item.look)} {!tellsWhatToDo(item) && <strong className="font-semibold">{say(item.touch)}</strong>}
          </p>
        ))}
        {children}
      </details>
    </>
  );
}

/** Nothing is left for this half: what the other one looks at. */
function Done({ record, who, names }: CheckHalfProps) {
  const other = otherOf(who);
  const look = nextLook(record, other);
  return (
    <p className="m-auto max-w-xs text-center text-lg">
      Done here. {look && `${names[other]} is looking at: ${look[0]!.title}.`}
    </p>
  );
}
