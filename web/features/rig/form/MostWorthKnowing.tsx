import { useMemo, useState } from 'react';
import { z } from 'zod';
import { assess, assumedInRig } from '@core/answers/assess';
import type { OpenFact } from '@core/answers/planning';
import { asOwn, fieldMeta, typicalValues, type Device, type Item, type Person } from '@core/things/gear';
import { slotsOf } from '@core/rigs/elements';
import { fieldsOf, valueAtPath, wellRigged, withField, withSnapshot, type Field, type Setup } from '@core/rigs/rig';
import { printNumber, unitOf } from '@core/foundations/units';
import { usePlace } from '../../../app/place';
import { usePreferences, useWords } from '../../../app/preferences';
import { changeSetup, keepAll, saveItem, savePerson } from '../../../store/edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { draftStore } from '../../../ui/draft';
import { SchemaField } from '../../../ui/SchemaField';
import { SeverityMark } from '../../../ui/SeverityMark';
import { useUndoable } from '../../../ui/useUndoable';
import { WorkProgress } from '../../../ui/WorkProgress';
import { useRankedUnknowns } from '../../../workers/useRankedUnknowns';
import { verdictSentence } from '../setups/VerdictBanner';
import { Declare } from './Declare';

const FIRST = 3;

interface SharpenProps {
  readonly setup: Setup;
  /** Where a place of the rig is chosen. */
  readonly onForm: () => void;
}

/** What is not known of a set-up, with most hanging on it first, each to be answered on the spot. */
export function MostWorthKnowing({ setup, onForm }: SharpenProps) {
  // How it is rigged is seen at the rope, in the check: while values are typical it is a plan, and judged as if it were
  // rigged well.
  const typical = useMemo(() => assumedInRig(setup).length > 0, [setup]);
  const judged = useMemo(() => (typical ? wellRigged(setup) : setup), [typical, setup]);
  const plan = useMemo(() => (typical ? assess(judged) : null), [typical, judged]);
  const { state, stop, again } = useRankedUnknowns(judged);
  const [all, setAll] = useState(false);
  // What was asked stays until the next answer is there: the list must not jump away under a finger.
  const [last, setLast] = useState<readonly OpenFact[]>([]);
  if (state.kind === 'done' && state.result !== last) setLast(state.result);
  const fields = useMemo(() => new Map(fieldsOf(judged).map((f) => [f.path, f])), [judged]);
  const shown = last.filter(
    (f) => f.at.kind === 'slot' || f.at.path.endsWith('/declarations') || fields.has(f.at.path),
  );
  return (
    <>
      {plan && (
        <p className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
          <span>The gear, rigged as it is meant to be:</span>
          <SeverityMark severity={plan.verdict} withWord />
          <span className="text-ink-2">{verdictSentence(plan)}</span>
        </p>
      )}
      {state.kind !== 'done' && last.length === 0 && (
        <WorkProgress state={state} says={(done) => `${done} open facts tried`} onStop={stop} onAgain={again} />
      )}
      <ul className="mt-3 grid gap-3 md:grid-cols-3">
        {shown.slice(0, all ? undefined : FIRST).map((fact) => (
          <li
            key={fact.at.kind === 'slot' ? fact.at.ref : fact.at.path}
            data-open-fact={fact.at.kind === 'slot' ? fact.at.ref : fact.at.path}
            className="rounded-lg border border-line bg-surface px-3 py-2"
          >
            <p className="text-sm text-ink-2">
              {fact.decides === 1 ? 'Decides one finding' : `Decides ${fact.decides} findings`}
              {fact.canStop ? ', maybe a Stop.' : '.'}
            </p>
            <Ask
              fact={fact}
              field={fact.at.kind === 'field' ? fields.get(fact.at.path) : undefined}
              setup={setup}
              onForm={onForm}
            />
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap gap-3">
        {shown.length > FIRST && (
          <button type="button" className="btn" aria-expanded={all} onClick={() => setAll((now) => !now)}>
            {all ? 'Only the first three' : `All ${shown.length} that matter`}
          </button>
        )}
        <IntoLocker setup={setup} />
      </div>
    </>
  );
}

interface AskProps {
  readonly fact: OpenFact;
  readonly field: Field | undefined;
  readonly setup: Setup;
  readonly onForm: () => void;
}

const itemPathOf = (path: string) => (/\/(item|harness)\//.test(path) ? path.slice(0, path.lastIndexOf('/')) : null);

function Ask({ fact, field, setup, onForm }: AskProps) {
  // A number that is being typed is entered when it is left: entered sooner, its field would go while one types.
  // Until then a reload keeps it.
  const { name: place } = usePlace();
  const kept = useMemo(
    () => draftStore(`${place}/open/${setup.id}/${fact.at.kind === 'field' ? fact.at.path : fact.at.ref}`, z.number()),
    [place, setup.id, fact.at],
  );
  const [draft, setDrafted] = useState<unknown>(() => kept.read() ?? undefined);
  const setDraft = (value: unknown) => {
    if (typeof value === 'number') kept.write(value);
    else kept.clear();
    setDrafted(value);
  };
  const inWords = useWords();
  const { system } = usePreferences();
  const data = useWorkspace();
  const dispatch = useAppDispatch();
  const set = (next: Setup, key: string | null) =>
    dispatch(edited(changeSetup(setup, next, new Date().toISOString(), key)));
  /** A thing that is in the locker changes there, and every plan with it; another one changes in this set-up alone. */
  const setThing = (thing: Item | Person, key: string) => {
    const known =
      'kind' in thing ? data.items.some((i) => i.id === thing.id) : data.people.some((p) => p.id === thing.id);
    if (!known) set(withSnapshot(setup, thing), key);
    else dispatch(edited('kind' in thing ? saveItem(data, thing) : savePerson(data, thing)));
  };
  if (fact.at.kind === 'slot') {
    const { ref } = fact.at;
    return (
      <button type="button" className="btn mt-1" onClick={onForm}>
        Choose:{' '}
        {inWords(
          slotsOf(setup)
            .find((s) => s.ref === ref)
            ?.label.toLowerCase() ?? ref,
        )}
      </button>
    );
  }
  const { path } = fact.at;
  const itemPath = itemPathOf(path);
  const thing = itemPath === null ? null : (valueAtPath(setup, itemPath) as Item | Person);
  if (path.endsWith('/declarations'))
    return <Declare device={thing as Device} setup={setup} onSave={(d) => setThing(d, path)} />;
  if (!field) return null;
  const key = path.slice(path.lastIndexOf('/') + 1);
  const meta = fieldMeta(field.schema)!;
  const where = thing ? thing.name : whereOf(setup, field);
  const range = field.typical && thing ? typicalValues('kind' in thing ? thing.kind : 'person', key) : undefined;
  const [low, high] = range ?? [];
  const commit = (value: unknown) => {
    setDraft(undefined);
    if (value === undefined) return;
    if (thing) setThing(asOwn({ ...thing, [key]: value }, [key]), path);
    else set(withField(setup, path, value), path);
  };
  return (
    <>
      <SchemaField
        schema={field.schema}
        label={`${meta.label} · ${where}`}
        value={
          draft !== undefined
            ? draft
            : path === 'site/anchorHeightM'
              ? valueAtPath(setup, path) || null
              : valueAtPath(setup, path)
        }
        onChange={(value) => (meta.quantity ? setDraft(value) : commit(value))}
        onLeave={() => {
          if (draft !== undefined && draft !== null) commit(draft);
        }}
      />
      {draft !== undefined && draft !== null && (
        <button type="button" className="btn" onClick={() => commit(draft)}>
          Enter it
        </button>
      )}
      {range && thing && (
        <p className="flex flex-wrap items-center gap-2 text-sm text-ink-2">
          <span>
            Typical
            {meta.quantity && typeof low === 'number' && typeof high === 'number'
              ? `: ${printNumber(low, meta.quantity, system)} to ${printNumber(high, meta.quantity, system)} ${unitOf(meta.quantity, system)}, from memory.`
              : ', from memory.'}
          </span>
          <button
            type="button"
            className="min-h-11 font-semibold text-act underline"
            onClick={() => setThing(asOwn(thing, [key]), path)}
          >
            It is so
          </button>
        </p>
      )}
    </>
  );
}

/** Where a fact of the rig belongs, for its label. */
function whereOf(setup: Setup, { owner, path }: Field): string {
  if (path.startsWith('site')) return 'the site';
  const slot = slotsOf(setup).find((s) => s.ref === owner);
  const attachment = setup.attachments.find((a) => a.id === owner || a.end.id === owner);
  return slot?.label ?? attachment?.label ?? 'the rig';
}

/** What stands in this set-up alone, put into the locker in one step. */
function IntoLocker({ setup }: { setup: Setup }) {
  const data = useWorkspace();
  const act = useUndoable();
  const known = new Set([...data.items, ...data.people].map((x) => x.id));
  const loose = slotsOf(setup).flatMap(({ item }) =>
    item && !known.has(item.id) && item.id !== 'munter' ? [item] : [],
  );
  const once = [...new Map(loose.map((x) => [x.id, x])).values()];
  if (once.length === 0) return null;
  return (
    <button
      type="button"
      className="btn"
      onClick={() =>
        act(keepAll(once), `${once.length} things are in the locker. Values that are not your own are marked.`)
      }
    >
      Put these {once.length} things into the locker
    </button>
  );
}
