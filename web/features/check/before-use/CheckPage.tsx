import { format } from 'date-fns';
import { useState, type ReactNode } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { checkPartOf, isOpen, looksOf, partnersCheck, withFacts, otherOf } from '@core/answers/check';
import {
  checkers,
  endCheck,
  itemStatus,
  nothingLeft,
  openBefore,
  putRight,
  sameRig,
  saw,
  sawNot,
  seenIn,
  stillPlanted,
  withEvent,
  type CheckRecord,
} from '@core/records/log';
import { NotFound } from '../../../app/NotFound';
import { useTitle } from '../../../app/useTitle';
import { SaveIndicator } from '../../../app/SaveIndicator';
import { usePlace } from '../../../app/place';
import { put } from '../../../storage/changes';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { changeSetup } from '../../../store/edits';
import { fitsShape } from '../../../storage/fits';
import { edited, recorded } from '../../../store/workspace-slice';
import { ConfirmButton } from '../../../ui/ConfirmButton';
import { SeverityMark } from '../../../ui/SeverityMark';
import { tabsAreToldApart, useOneTab } from '../../../ui/useOneTab';
import { useSettled } from '../../../ui/useSettled';
import { useWakeLock } from '../../../ui/useWakeLock';
import { BeforeCheck } from './BeforeCheck';
import { CheckHalf } from './CheckHalf';
import type { Handlers } from './handlers';
import { PhoneCode } from './PhoneCode';
import { Plant } from './Plant';
import { isFirst, isWaiting, TwoPhones } from './TwoPhones';

export function CheckPage() {
  const { checkId } = useParams();
  const { name } = usePlace();
  const record = useWorkspace().checks.find((c) => c.id === checkId);
  if (!record)
    return (
      <main>
        <NotFound what="This check" />
      </main>
    );
  if (record.outcome !== 'running') return <Navigate to={`/${name}/log/${record.id}`} replace />;
  return <RunningCheck record={record} />;
}

function RunningCheck({ record }: { record: CheckRecord }) {
  useTitle(`Check of ${record.setup.name}`);
  const { name } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { setups } = useWorkspace();
  useWakeLock();
  const { holder, takeOver } = useOneTab(`zevrin-check-${name}-${record.id}`);
  const save = (next: CheckRecord) => {
    if (next !== record) dispatch(recorded([put('checks', record, next)]));
  };
  const now = () => new Date().toISOString();
  const setup = setups.find((s) => s.id === record.setup.id);
  const end = (outcome: 'complete' | 'abandoned') => {
    const ended = endCheck(record, outcome, now());
    save(ended);
    // What was seen and nobody had entered stands in the set-up from now on: one step, which can be undone.
    const seen = seenIn(ended);
    const filled = setup && seen.length > 0 && sameRig(setup, ended.setup) ? withFacts(setup, seen) : null;
    if (setup && filled && fitsShape('setups', filled)) dispatch(edited(changeSetup(setup, filled, now(), null)));
    void navigate(`/${name}/log/${record.id}`);
  };
  const who = checkers(record.setup);
  const names = {
    climber: who.climber ?? 'Climber',
    partner: who.partner ?? 'Partner',
  };
  const handlers: Handlers = {
    onSaw: (item, who, answer) => {
      const next = saw(record, item, who, answer, now());
      // A Stop is felt, too: whoever looks at the rope does not look at the screen.
      if (itemStatus(next, item).state === 'failed') navigator.vibrate?.([200, 100, 200]);
      save(next);
    },
    onSawNot: (item, who, not) => save(sawNot(record, item, who, not, now())),
    onAccept: (item, who, reason) =>
      save(withEvent(record, { type: 'accepted', itemId: item.id, who, reason, at: now() })),
    onFixed: (item, note) => save(putRight(record, item, note, now())),
  };
  const running = { record, names, answers: holder === 'here', ...handlers };

  return (
    <main className="mx-auto flex h-dvh max-w-3xl flex-col bg-surface">
      <h1 className="sr-only">Check of {record.setup.name}</h1>
      {holder === 'elsewhere' && (
        <p role="status" className="flex flex-wrap items-center gap-3 bg-mind-wash px-4 py-2 text-mind">
          <span className="min-w-0 shrink grow basis-52">
            This check runs in another tab. Here it can be read, not answered.
          </span>
          <button type="button" className="btn" onClick={takeOver}>
            Go on in this tab
          </button>
        </p>
      )}
      {!tabsAreToldApart() && (
        <p className="bg-sunk px-4 py-1 text-sm text-ink-2">
          This browser does not tell whether the check is open in another tab too. Answer in one only.
        </p>
      )}
      {!nothingLeft(record) ? (
        <Running {...running} onPlanted={(planted) => save({ ...record, planted })}>
          <div className="flex items-center gap-3 border-y-2 border-ink bg-paper px-3 py-1">
            <Link to={`/${name}/setups/${record.setup.id}`} className="btn border-0 bg-transparent px-2">
              Leave
            </Link>
            <Progress record={record} />
            <SaveIndicator />
            <ConfirmButton
              className="btn border-0 bg-transparent px-2"
              title="End this check unfinished?"
              text={`It is kept in the log as unfinished. A new check begins from the start.${stillPlanted(record) ? ' The planted fault is still there: put it right first.' : ''}`}
              confirm="End it"
              onConfirm={() => end('abandoned')}
            >
              End
            </ConfirmButton>
          </div>
        </Running>
      ) : (
        <div className="m-auto grid max-h-full max-w-md gap-4 overflow-y-auto p-6 text-center">
          <p className="text-2xl font-bold">
            All {looksOf(record.items.filter((i) => !isOpen(i))).length} things looked at
          </p>
          <p className="text-ink-2">
            {record.mode === 'alone'
              ? `${names.climber} said what was seen. Nobody else looked.`
              : `${names.climber} and ${names.partner} each said what they saw.`}{' '}
            {restOf(record)}
          </p>
          {record.verdict !== 'clear' && (
            <p className="flex items-center justify-center gap-2">
              The plan was <SeverityMark severity={record.verdict} withWord />
            </p>
          )}
          <Close onClose={() => end('complete')} disabled={holder !== 'here'} />
          {record.half && (
            <details className="text-left" open>
              <summary className="flex min-h-12 cursor-pointer items-center text-ink-2 underline">
                The code for {names[otherOf(record.half)]}, so that it is complete there too
              </summary>
              <PhoneCode record={record} other={names[otherOf(record.half)]} first={false} />
            </details>
          )}
        </div>
      )}
    </main>
  );
}

interface RunningProps extends Handlers {
  readonly record: CheckRecord;
  readonly names: Readonly<Record<'climber' | 'partner', string>>;
  readonly answers: boolean;
  readonly onPlanted: (planted: CheckRecord['planted']) => void;
  /** The bar between the two halves. */
  readonly children: ReactNode;
}

/** What stands on the screen of a check that is not done: what comes before it, the codes of two phones, or looks. */
function Running({ children, onPlanted, ...running }: RunningProps) {
  const { record, names, answers } = running;
  const [codes, setCodes] = useState(isFirst(record));
  const own = record.half ?? 'climber';
  const planted = record.planted?.at === null ? record.planted : null;
  if (openBefore(record).length > 0)
    return (
      <>
        {children}
        <BeforeCheck {...running} />
      </>
    );
  if (planted)
    return (
      <>
        {children}
        <Plant
          {...{ record, names }}
          disabled={!answers}
          onDone={() => onPlanted({ ...planted, at: new Date().toISOString() })}
          onNone={() => onPlanted(null)}
        />
      </>
    );
  const waiting = isWaiting(record);
  if (record.half && (codes || waiting))
    return (
      <>
        {children}
        <TwoPhones {...{ record, names }} onBegin={waiting ? null : () => setCodes(false)} />
      </>
    );
  return (
    <>
      {record.mode === 'face-to-face' && <CheckHalf {...running} who="partner" upsideDown />}
      {children}
      <CheckHalf {...running} who={own} upsideDown={false} />
      {record.half && (
        <button type="button" className="btn m-2" onClick={() => setCodes(true)}>
          The code for {names[otherOf(record.half)]}
        </button>
      )}
    </>
  );
}

/** Look by look, system by system. */
function Progress({ record }: { record: CheckRecord }) {
  const looks = looksOf(record.items.filter((i) => !isOpen(i))).map((look) => ({
    look,
    states: look.map((i) => itemStatus(record, i).state),
  }));
  const systems = partnersCheck(record.setup);
  return (
    <div
      className="flex flex-1 gap-0.5"
      role="progressbar"
      aria-label="Things looked at"
      aria-valuemin={0}
      aria-valuemax={looks.length}
      aria-valuenow={looks.filter(({ states }) => states.every((s) => s === 'done')).length}
    >
      {looks.map(({ look: [first], states }, place) => {
        const next = place > 0 && systems && checkPartOf(first!) !== checkPartOf(looks[place - 1]!.look[0]!);
        const colour = states.includes('failed')
          ? 'bg-stop'
          : states.every((s) => s === 'done')
            ? 'bg-act'
            : states.some((s) => s === 'done')
              ? 'bg-ink-2'
              : 'bg-line';
        return <span key={first!.id} className={`h-2.5 flex-1 rounded-sm ${next ? 'ml-1.5' : ''} ${colour}`} />;
      })}
    </div>
  );
}

/** What is to be said of all that was not looked at this time. */
const restOf = ({ depth, since, leftOut }: Pick<CheckRecord, 'depth' | 'since' | 'leftOut'>): string =>
  depth === 'whole'
    ? leftOut.length > 0
      ? `Agreed today already, in another check: ${leftOut.join(', ')}. Nothing else was looked at.`
      : 'Nothing else was looked at.'
    : since
      ? `${leftOut.length} other things were not opened since ${format(since.at, 'HH:mm')}, as you said, and were not looked at again.`
      : `You said that the whole check was done today: ${leftOut.length} other things were not looked at here.`;

/** Not at once: the tap that answered the last item must not close what nobody has read. */
function Close({ onClose, disabled }: { onClose: () => void; disabled: boolean }) {
  const settled = useSettled('close');
  return (
    <button type="button" className="btn btn-act min-h-14 text-lg" disabled={disabled || !settled} onClick={onClose}>
      Close the check
    </button>
  );
}
