import { nanoid } from '@reduxjs/toolkit';
import { FileDown, Play, RotateCcw, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { writeSequence } from '@core/records/files';
import {
  PROCEDURES,
  shippedOrder,
  stepsOf,
  stepsToInsert,
  withOption,
  type Line,
  type Procedure,
  type Sequence,
  orderVerdict,
  walk,
} from '@core/answers/procedures';
import { NotFound } from '../../../app/NotFound';
import { useTitle } from '../../../app/useTitle';
import { usePlace } from '../../../app/place';
import { changeSequence, removeSequence } from '../../../store/sequence-edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { downloadText } from '../../../ui/download';
import { IconButton } from '../../../ui/IconButton';
import { NameField } from '../../../ui/NameField';
import { useDraftedText } from '../../../ui/useDraftedText';
import { SEVERITY_TEXT, SEVERITY_WASH, SEVERITY_WORDS, SeverityMark } from '../../../ui/SeverityMark';
import { useUndoable } from '../../../ui/useUndoable';
import { useExplored } from '../../../workers/useExplored';
import { Deviations } from './Deviations';
import { LanesView } from './LanesView';
import { OrderList } from './OrderList';
import { useWords } from '../../../app/preferences';

export function SequencePage() {
  const { sequenceId } = useParams();
  const sequence = useWorkspace().sequences.find((s) => s.id === sequenceId);
  return sequence ? <SequenceView key={sequence.id} sequence={sequence} /> : <NotFound what="This order" />;
}

type Looks = ReadonlyMap<string, readonly string[]>;
const NO_LOOKS: Looks = new Map();

/**
 * What is to be looked at before each step, by the step. While a changed order is explored, what was known of the one
 * before stays: lines that go and come again would move the steps under a finger, and the next press would meet another
 * one.
 */
function useLooks({ steps }: Sequence, state: ReturnType<typeof useExplored>['state']): Looks {
  const found = useMemo(
    () => (state.kind === 'done' ? new Map(state.result.pauses.map((p) => [steps[p.before]!.id, p.looks])) : null),
    [state, steps],
  );
  const [looks, setLooks] = useState(NO_LOOKS);
  if (found !== null && found !== looks) setLooks(found);
  return looks;
}

/**
 * One order of steps: its verdict, the attachments along it, the steps to move about, and what follows from a mistake.
 */
function SequenceView({ sequence }: { sequence: Sequence }) {
  const inWords = useWords();
  useTitle(sequence.name);
  const { name } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const act = useUndoable();
  const [chosen, setChosen] = useState<number | null>(null);
  const procedure: Procedure = PROCEDURES[sequence.procedure];
  const steps = useMemo(() => stepsOf(sequence), [sequence]);
  const moments = useMemo(() => walk(sequence), [sequence]);
  const {
    severity: verdict,
    troubles: wrong,
    missing,
  } = useMemo(() => orderVerdict(sequence, moments), [sequence, moments]);
  const { state, stop, again } = useExplored(sequence);
  const broken = wrong.length > 0;
  const looks = useLooks(sequence, state);
  const change = (next: Sequence, field: string | null = null) =>
    dispatch(edited(changeSequence(sequence, next, new Date().toISOString(), field)));
  const setLines = (lines: Line[]) => change({ ...sequence, steps: lines, at: null });
  const remove = () => {
    act(removeSequence(sequence), `${sequence.name} is removed.`);
    void navigate(`/${name}/steps`);
  };
  const does = (at: number) => {
    const line = sequence.steps[at]!;
    return line.kind === 'own' ? line.text : inWords(steps[at]?.does ?? line.id);
  };

  return (
    <div className="mx-auto max-w-[1500px] px-3 py-4 sm:px-5">
      <div className="mb-2 flex items-center gap-1">
        <NameField
          label="Name of the order"
          name={sequence.name}
          onRename={(text) => change({ ...sequence, name: text }, 'name')}
        />
        <IconButton
          Icon={RotateCcw}
          name="As shipped: put back the order that Zevrin comes with"
          onClick={() => setLines(shippedOrder(procedure, sequence.options).map((s) => ({ kind: 'step', id: s.id })))}
        />
        <IconButton
          Icon={FileDown}
          name="Save as a file"
          onClick={() => downloadText(`${sequence.name}.zevrin.json`, writeSequence(sequence))}
        />
        <IconButton Icon={Trash2} name="Remove this order" onClick={remove} />
      </div>
      <p className="mb-3 max-w-prose text-ink-2">{inWords(procedure.purpose)}</p>
      <section
        aria-label="Verdict"
        aria-live="polite"
        className={`flex flex-wrap items-center gap-x-5 gap-y-3 rounded-xl px-4 py-3 ${SEVERITY_WASH[verdict]} ${SEVERITY_TEXT[verdict]}`}
      >
        <SeverityMark severity={verdict} size={34} />
        <div className="min-w-0 shrink grow basis-60">
          <p className="text-xl leading-snug" data-testid="verdict">
            <strong>{SEVERITY_WORDS[verdict]}</strong>{' '}
            {broken
              ? `· step ${wrong[0]!.at + 1} of ${sequence.steps.length}: ${does(wrong[0]!.at)}`
              : verdict === 'untested'
                ? '· this order does not get done what it is for: nothing can be said of it.'
                : 'in this order, as far as these steps tell. It replaces no teaching.'}
          </p>
          {!broken && missing > 0 && (
            <p className="mt-0.5 text-ink">
              {missing === 1 ? 'One shipped step is' : `${missing} shipped steps are`} not in it.
            </p>
          )}
          {broken && (
            <p className="mt-0.5 text-ink">
              {inWords(wrong[0]!.says)}
              {wrong.length > 1 && ` And ${wrong.length - 1} more below.`}
            </p>
          )}
        </div>
        {broken ? (
          <p className="font-semibold">It can be gone through when no Stop is left.</p>
        ) : verdict === 'untested' ? (
          <p className="font-semibold">It can be gone through when it is complete.</p>
        ) : (
          <Link className="btn btn-act px-5" to="run">
            <Play aria-hidden className="size-5" />
            {sequence.at === null ? 'Go through it' : `Go on at step ${sequence.at + 1}`}
          </Link>
        )}
      </section>
      <div className="mt-4">
        <LanesView
          procedure={sequence.procedure}
          moments={moments}
          names={sequence.steps.map((_, i) => does(i))}
          broken={new Set(wrong.map((w) => w.at))}
          chosen={chosen}
          onChoose={setChosen}
        />
      </div>
      <div className="mt-6 grid gap-8 lg:grid-cols-2">
        <section aria-label="Steps">
          <div className="mb-3 grid gap-3 sm:grid-cols-2">
            {procedure.variants.map((variant) => (
              <label key={variant.id} className="text-sm font-semibold">
                {variant.label}
                <select
                  className="field mt-1 text-base font-normal"
                  value={sequence.options[variant.id]}
                  onChange={(event) => change(withOption(sequence, variant.id, event.target.value))}
                >
                  {Object.entries(variant.options).map(([key, label]) => (
                    <option key={key} value={key}>
                      {label}
                    </option>
                  ))}
                </select>
              </label>
            ))}
          </div>
          <OrderList
            lines={sequence.steps}
            steps={steps}
            troubles={wrong}
            looks={broken ? NO_LOOKS : looks}
            chosen={chosen}
            onChoose={(at) => setChosen(at === chosen ? null : at)}
            onChange={setLines}
          />
          <Insert sequence={sequence} procedure={procedure} chosen={chosen} onChange={setLines} />
        </section>
        <Deviations state={state} broken={broken} onStop={stop} onAgain={again} onChoose={setChosen} />
      </div>
      <p className="mt-8 max-w-prose text-sm text-ink-2">
        A small world of attachments, locks and ropes, not the rock. The instructions of the makers, local codes and
        licensed practice come first; learn it from an instructor.
      </p>
    </div>
  );
}

interface InsertProps {
  readonly sequence: Sequence;
  readonly procedure: Procedure;
  readonly chosen: number | null;
  readonly onChange: (lines: Line[]) => void;
}

/** Puts a step that was taken out, or one of one's own, behind the chosen step, or at the end. */
function Insert({ sequence, procedure, chosen, onChange }: InsertProps) {
  const inWords = useWords();
  const { name } = usePlace();
  const [text, setText] = useDraftedText(`${name}/own-step/${sequence.id}`);
  const at = chosen === null ? sequence.steps.length : chosen + 1;
  const put = (line: Line) => onChange([...sequence.steps.slice(0, at), line, ...sequence.steps.slice(at)]);
  const missing = stepsToInsert(procedure, sequence);
  const where = chosen === null ? 'at the end' : `behind step ${chosen + 1}`;
  return (
    <div className="mt-4 grid gap-3">
      {missing.length > 0 && (
        <label className="text-sm font-semibold">
          Put in, {where}
          <select
            className="field mt-1 text-base font-normal"
            value=""
            onChange={(event) => put({ kind: 'step', id: event.target.value })}
          >
            <option value="" disabled>
              A step that is not in the order ({missing.length})
            </option>
            {missing.map((s) => (
              <option key={s.id} value={s.id}>
                {inWords(s.does)}
              </option>
            ))}
          </select>
        </label>
      )}
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!text.trim()) return;
          put({ kind: 'own', id: nanoid(), text: text.trim().slice(0, 200) });
          setText('');
        }}
      >
        <label className="flex-1 text-sm font-semibold">
          A step of your own, {where}
          <input
            className="field mt-1 text-base font-normal"
            value={text}
            maxLength={200}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <button type="submit" className="btn" disabled={!text.trim() || sequence.steps.length >= 80}>
          Put it in
        </button>
      </form>
    </div>
  );
}
