import { nanoid } from '@reduxjs/toolkit';
import { format, isSameDay } from 'date-fns';
import { Dialog } from 'radix-ui';
import { Smartphone, User, Users, type LucideIcon } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { assess, type Assessment } from '@core/answers/assess';
import {
  buildCheck,
  costOf,
  HALVES,
  isOpen,
  itemsOfFourLooks,
  itemsOfNextGo,
  plantable,
  SINCE,
  sincesFor,
  titlesLeftOut,
  turnsRound,
  withOneInTurn,
  type CheckDepth,
  type CheckItem,
  type Since,
  otherOf,
} from '@core/answers/check';
import {
  agedWords,
  agreedToday,
  beginCheck,
  checkers,
  endCheck,
  goOn,
  setupAfter,
  sinceCheck,
  stillPlanted,
  WHOLE_BECAUSE,
  type CheckRecord,
  type GoOn,
} from '@core/records/log';
import type { Setup } from '@core/rigs/rig';
import { usePreferences } from '../../../app/preferences';
import { usePlace } from '../../../app/place';
import { canPack } from '../../../share/link';
import { put } from '../../../storage/changes';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { recorded } from '../../../store/workspace-slice';
import { SeverityMark } from '../../../ui/SeverityMark';
import { renderFinding } from '@core/foundations/finding';
import { spread } from '@core/foundations/units';

interface StartDialogProps {
  readonly setup: Setup;
  readonly assessment: Assessment;
  readonly onClose: () => void;
}

/** What a check is begun with. */
type Begun = Pick<CheckRecord, 'setup' | 'verdict' | 'items'> &
  Partial<Pick<CheckRecord, 'depth' | 'since' | 'leftOut' | 'planted' | 'half'>>;

/** How many looks it is, and how long it takes whoever has more to do, as one says it. */
function costWords(items: readonly CheckItem[], depth: CheckDepth, setup: Setup) {
  const { things, seconds } = costOf(items, depth, setup);
  return {
    things: `${things} ${things === 1 ? 'thing' : 'things'}`,
    time: seconds < 90 ? 'about a minute' : `about ${Math.round(seconds / 60)} minutes`,
  };
}

/** What has to be looked at of a set-up that was checked today and changed since; somebody new is checked whole. */
function onlyChanged(setup: Setup, { verdict }: Assessment, way: GoOn, whole: readonly CheckItem[]) {
  if (way.how !== 'whole' || way.from === null) return null;
  const since = sinceCheck(way.from, setup, whole);
  if (since === null || since.kinds.has('people')) return null;
  const items = itemsOfNextGo(whole, setup, 'changed', way, since.again);
  const begun: Begun = {
    setup,
    verdict,
    items,
    depth: 'next-go',
    since: { check: way.from.id, at: way.from.endedAt!, what: 'changed' },
    leftOut: titlesLeftOut(whole, items),
    half: way.from.half,
  };
  return { mode: way.from.mode, begun };
}

/** Why this check, and what it takes. */
function leadWords(way: GoOn, setup: Setup, whole: readonly CheckItem[]): string {
  if (way.how === 'on') return `Checked at ${format(way.from.endedAt!, 'HH:mm')}. What happened since?`;
  const { things, time } = costWords(whole, 'whole', setup);
  const open = whole.filter(isOpen).length;
  return [
    ...(way.because === 'never' ? [] : [way.from ? agedWords(way.from, setup) : WHOLE_BECAUSE[way.because]]),
    `The whole check: ${things}, ${time}. Each is closed by saying what you saw.`,
    ...(open > 0 ? [`Before it you are asked what the plan left open: ${open}.`] : []),
  ].join(' ');
}

/** Asks what happened since the last check, or how the whole one is done, and begins its record. */
export function StartDialog({ setup, assessment, onClose }: StartDialogProps) {
  const { name } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const data = useWorkspace();
  const [way] = useState(() => goOn(setup, data, new Date()));
  const built = buildCheck(setup, assessment.findings);
  const agreed = agreedToday(setup, built, data.checks, new Date());
  const whole = built.filter((i) => !agreed.includes(i));
  const { things, time } = costWords(whole, 'whole', setup);
  const unfinished = data.checks.filter((c) => c.outcome === 'running' && c.setup.id === setup.id);

  const start = (mode: CheckRecord['mode'], begun: Begun) => {
    const now = new Date().toISOString();
    // Whoever begins the first check by two phones is the climber.
    const half = mode === 'two-phones' ? (begun.half ?? 'climber') : null;
    const record = beginCheck({ ...begun, id: nanoid(), mode, half, startedAt: now });
    // One check of a set-up at a time: what was begun before stays in the log, as unfinished.
    const ended = unfinished.map((old) => put('checks', old, endCheck(old, 'abandoned', now)));
    dispatch(recorded([...ended, put('checks', null, record)]));
    void navigate(`/${name}/check/${record.id}`);
  };
  const begunWhole: Begun = {
    setup,
    verdict: assessment.verdict,
    items: whole,
    leftOut: titlesLeftOut(built, whole),
  };
  const startWhole = (mode: CheckRecord['mode']) => start(mode, begunWhole);

  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 max-h-[calc(100dvh-2rem)] w-[min(30rem,calc(100vw-2rem))] -translate-1/2 overflow-y-auto rounded-xl bg-surface p-5 text-ink shadow-2xl">
          <Dialog.Title className="text-lg font-bold">Check “{setup.name}”</Dialog.Title>
          <Dialog.Description className="mt-1 text-ink-2">
            {leadWords(way, setup, whole)}
            {agreed.length > 0 && ` Agreed today already, in another check: ${agreed.map((i) => i.title).join(', ')}.`}
            {unfinished.length > 0 && ' The check that was begun before ends unfinished, and stays in the log.'}
            {unfinished.some(stillPlanted) && ' Its planted fault is still there: put it right first.'}
          </Dialog.Description>
          {way.how === 'on' ? (
            <>
              <NextGo setup={setup} way={way} onStart={(begun) => start(way.from.mode, begun)} />
              <Folded summary={`The whole check again: ${things}, ${time}`}>
                <Modes setup={setup} onStart={startWhole} />
                <Planting
                  {...{ setup, items: whole }}
                  onStart={(planted) => start('face-to-face', { ...begunWhole, planted })}
                />
              </Folded>
            </>
          ) : (
            <Whole {...{ setup, assessment, way, whole, begunWhole }} onStart={start} />
          )}
          <Dialog.Close className="btn mt-3 w-full border-0">Not now</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

interface WholeProps {
  readonly setup: Setup;
  readonly assessment: Assessment;
  readonly way: GoOn;
  readonly whole: readonly CheckItem[];
  readonly begunWhole: Begun;
  readonly onStart: (mode: CheckRecord['mode'], begun: Begun) => void;
}

/** The whole check; what changed alone, where that is all; a glance, for those who say that they did the whole one. */
function Whole({ setup, assessment, way, whole, begunWhole, onStart }: WholeProps) {
  const { verdict } = assessment;
  const only = onlyChanged(setup, assessment, way, whole);
  const glance = itemsOfFourLooks(whole, way.failed);
  const leftOut = titlesLeftOut(whole, glance);
  return (
    <>
      {only && (
        <button
          type="button"
          className="btn btn-act mt-3 min-h-14 w-full justify-between gap-3 px-4 text-left"
          onClick={() => onStart(only.mode, only.begun)}
        >
          <span>{SINCE.changed}</span>
          <span className="num text-sm font-normal whitespace-nowrap">
            {costWords(only.begun.items, 'next-go', setup).things}
          </span>
        </button>
      )}
      <Modes main={only === null} setup={setup} onStart={(mode) => onStart(mode, begunWhole)} />
      <Planting
        {...{ setup, items: whole }}
        onStart={(planted) => onStart('face-to-face', { ...begunWhole, planted })}
      />
      {way.how === 'whole' && (way.because === 'never' || way.because === 'day') && (
        <FourLooks
          setup={setup}
          items={glance}
          onStart={(mode, items) => onStart(mode, { setup, verdict, items, depth: 'four-looks', leftOut })}
        />
      )}
    </>
  );
}

const Folded = ({ summary, children }: { summary: string; children: ReactNode }) => (
  <details className="mt-3">
    <summary className="flex min-h-12 cursor-pointer items-center text-ink-2 underline">{summary}</summary>
    {children}
  </details>
);

interface NextGoProps {
  readonly setup: Setup;
  readonly way: Extract<GoOn, { how: 'on' }>;
  readonly onStart: (begun: Begun) => void;
}

/** One tap says what happened since the last check; what was opened by it is looked at, and what failed before. */
function NextGo({ setup, way, onStart }: NextGoProps) {
  const reader = usePreferences();
  const { checks } = useWorkspace();
  const choices = sincesFor(setup).map((since) => choiceOf(setup, way, since, checks));
  return (
    <div className="mt-3 grid gap-2">
      {choices.map(({ since, begun, inTurn, stop }) =>
        stop ? (
          <p key={since} className="flex items-start gap-2 rounded-lg bg-stop-wash px-4 py-2 text-stop">
            <SeverityMark severity="stop" />
            <span>
              <strong>{SINCE[since]}: Stop.</strong> {renderFinding(stop, reader).says}
            </span>
          </p>
        ) : (
          <button
            key={since}
            type="button"
            className="btn min-h-14 justify-between gap-3 px-4 text-left"
            onClick={() => onStart(begun)}
          >
            <span className="font-semibold">{SINCE[since]}</span>
            <span className="num text-sm font-normal whitespace-nowrap text-ink-2">
              {costWords(begun.items, 'next-go', begun.setup).things}
              {inTurn && ', one in turn'}
            </span>
          </button>
        ),
      )}
      <p className="text-ink-2">Other weather, another place or person: change that in the set-up first.</p>
    </div>
  );
}

/** What is checked when this happened since, and the Stop that the two meet in each other’s place. */
function choiceOf(setup: Setup, way: Extract<GoOn, { how: 'on' }>, since: Since, checks: readonly CheckRecord[]) {
  const now = new Date();
  const after = setupAfter(setup, way.from, turnsRound(since));
  const { findings, verdict } = assess(after);
  const whole = buildCheck(after, findings);
  const agreed = agreedToday(after, whole, checks, now).map((i) => i.id);
  const opened = itemsOfNextGo(whole, after, since, { ...way, known: new Set([...way.known, ...agreed]) });
  const today = checks.filter((c) => c.setup.id === setup.id && isSameDay(c.startedAt, now)).length;
  const { items, inTurn } = withOneInTurn(whole, opened, after, today);
  const begun: Begun = {
    setup: after,
    verdict,
    items,
    depth: 'next-go',
    since: { check: way.from.id, at: way.from.endedAt!, what: since },
    leftOut: titlesLeftOut(whole, items),
    half: way.from.half && (turnsRound(since) ? otherOf(way.from.half) : way.from.half),
  };
  return { since, begun, inTurn, stop: findings.find((f) => f.severity === 'stop') ?? null };
}

interface ModesProps {
  readonly main?: boolean;
  readonly setup: Setup;
  readonly onStart: (mode: CheckRecord['mode']) => void;
}

function Modes({ main = false, setup, onStart }: ModesProps) {
  const two = checkers(setup);
  const mode = (id: CheckRecord['mode'], Icon: LucideIcon, title: string, text: string) => (
    <button
      type="button"
      className={`btn min-h-14 justify-start px-4 text-left ${main && id === 'face-to-face' ? 'btn-act' : ''}`}
      onClick={() => onStart(id)}
    >
      <Icon aria-hidden className="size-6 shrink-0" />
      <span>
        {title} <span className="block text-sm font-normal">{text}</span>
      </span>
    </button>
  );
  return (
    <div className="mt-3 grid gap-3">
      {mode('face-to-face', Users, 'Face to face', 'the phone lies between you, each answers on their half')}
      {canPack() &&
        setup.persons.length > 1 &&
        mode(
          'two-phones',
          Smartphone,
          'By two phones',
          `this one is ${two.climber ?? 'the climber'}’s; the other one reads a code`,
        )}
      {mode('alone', User, 'Alone', 'when nobody else is there')}
    </div>
  );
}

interface PlantingProps {
  readonly setup: Setup;
  readonly items: readonly CheckItem[];
  readonly onStart: (planted: NonNullable<CheckRecord['planted']>) => void;
}

/** By agreement, one of the two leaves something wrong on purpose, and the other finds it. */
function Planting({ setup, items, onStart }: PlantingProps) {
  const who = checkers(setup);
  // Another one each time the dialog opens.
  const [seed] = useState(() => nanoid());
  const planters = HALVES.map((by) => ({ by, fit: plantable(items, setup, by) })).filter(({ fit }) => fit.length > 0);
  if (planters.length === 0) return null;
  return (
    <Folded summary="For practice: with a planted fault">
      <p>
        One of you leaves one thing wrong, on purpose and on the ground. The other one finds it. Only with both agreed.
      </p>
      <div className="mt-2 grid gap-2">
        {planters.map(({ by, fit }) => (
          <button
            key={by}
            type="button"
            className="btn min-h-14"
            onClick={() => onStart({ by, itemId: fit[spread(seed) % fit.length]!.id, at: null })}
          >
            {who[by] ?? 'The other one'} plants it
          </button>
        ))}
      </div>
    </Folded>
  );
}

interface FourLooksProps {
  readonly setup: Setup;
  readonly items: readonly CheckItem[];
  readonly onStart: (mode: CheckRecord['mode'], items: CheckItem[]) => void;
}

/** For those who did the whole check today without writing it down here; the record says that they said so. */
function FourLooks({ items, setup, onStart }: FourLooksProps) {
  return (
    <Folded summary="We did the whole check today, without Zevrin">
      <p>
        Then {costWords(items, 'four-looks', setup).things} at a glance, of knot, device, gate and closed system. The
        record says that the rest was not looked at here.
      </p>
      <Modes setup={setup} onStart={(mode) => onStart(mode, [...items])} />
    </Folded>
  );
}
