import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { assess, type Assessment } from '@core/answers/assess';
import { literal, renderSentence, type Finding } from '@core/foundations/finding';
import {
  closure,
  FAULT_KINDS,
  hanging,
  holdsFromRig,
  minimalCutSets,
  singlePointsOf,
  standing,
  type Fault,
  type HoldModel,
  type SinglePoint,
} from '@core/answers/redundancy';
import { contextOf, slotsOf, type Context } from '@core/rigs/elements';
import type { RigPerson, Setup } from '@core/rigs/rig';
import { NotFound } from '../../../app/NotFound';
import { usePreferences } from '../../../app/preferences';
import { useTitle } from '../../../app/useTitle';
import { LazyDrawings } from '../../../drawing/lazy';
import { useWorkspace } from '../../../store/hooks';
import { SeverityMark } from '../../../ui/SeverityMark';
import { HoldMark } from './HoldMark';
import { HoldTable, type HoldRow } from './HoldTable';
import { BackupTable } from './BackupTable';

export function HoldPage() {
  const { setupId } = useParams();
  const setup = useWorkspace().setups.find((s) => s.id === setupId);
  return setup ? <HoldView key={setup.id} setup={setup} /> : <NotFound what="This set-up" />;
}

/**
 * What can let go in a set-up, and what then still holds, for everybody who hangs on it; a row is replayed on the
 * drawing.
 */
function HoldView({ setup }: { setup: Setup }) {
  useTitle(`What still holds: ${setup.name}`);
  const assessment = useMemo(() => assess(setup), [setup]);
  const ctx = useMemo(() => contextOf(setup), [setup]);
  const missing = assessment.findings.some((f) => f.code === 'rig.part-missing');
  const people = hanging(ctx);
  const [who, setWho] = useState(people[0]?.id);
  const person = people.find((p) => p.id === who) ?? people[0];
  const labels = new Map(slotsOf(setup).map((s) => [s.ref, s.label]));

  return (
    <div className="mx-auto max-w-[1500px] px-3 py-4 sm:px-5">
      <h1>What still holds</h1>
      {missing || !person ? (
        <p className="mt-3">
          A part of the set-up is not chosen yet: what holds can be told when every part is there.{' '}
          <Link className="font-semibold text-act underline" to=".." relative="path">
            Complete it
          </Link>
        </p>
      ) : (
        <>
          {people.length > 1 && (
            <div className="mt-2 flex flex-wrap gap-2" role="group" aria-label="For whom">
              {people.map((p) => (
                <button
                  key={p.id}
                  type="button"
                  aria-pressed={p.id === person.id}
                  className={`btn ${p.id === person.id ? 'bg-ink text-paper' : ''}`}
                  onClick={() => setWho(p.id)}
                >
                  {p.item?.name ?? 'nobody'}
                  <span className="font-normal">{labels.get(p.id)?.toLowerCase()}</span>
                </button>
              ))}
            </div>
          )}
          <OfPerson key={person.id} setup={setup} assessment={assessment} ctx={ctx} person={person} />
          <BackupTable setup={setup} findings={assessment.findings} />
        </>
      )}
    </div>
  );
}

interface OfPersonProps {
  readonly setup: Setup;
  readonly assessment: Assessment;
  readonly ctx: Context;
  readonly person: RigPerson;
}

/** The ways one person is held, what takes them away, and where that is on the drawing. */
function OfPerson({ setup, assessment, ctx, person }: OfPersonProps) {
  const model = useMemo(() => holdsFromRig(ctx, person, assessment.findings), [ctx, person, assessment]);
  const singles = useMemo(() => singlePointsOf(ctx, model, assessment.findings), [ctx, model, assessment]);
  const cuts = useMemo(() => minimalCutSets(model), [model]);
  const rows = useMemo(() => rowsOf(model, singles), [model, singles]);
  const [chosen, setChosen] = useState<string | null>(null);
  const [also, setAlso] = useState('');
  const row = rows.find((r) => r.id === chosen);
  const faults = row ? [...row.faults, ...(also ? [also] : [])] : [];
  return (
    <>
      <Summary model={model} singles={singles} />
      <div className="mt-4 grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,38rem)]">
        <div>
          <HoldTable
            rows={rows}
            model={model}
            singles={singles}
            chosen={chosen}
            detail={row && <Replay row={row} also={also} onAlso={setAlso} model={model} singles={singles} />}
            onChoose={(id) => {
              setChosen(id === chosen ? null : id);
              setAlso('');
            }}
          />
          <Together
            cuts={cuts}
            model={model}
            onChoose={(first, second) => {
              setChosen(first);
              setAlso(second);
            }}
          />
        </div>
        <section aria-label="On the drawing" className="self-start lg:sticky lg:top-14">
          {!row && <p className="mb-2 text-ink-2">Choose what lets go; the drawing shows where.</p>}
          <div className="grid gap-3 rounded-xl border border-line bg-surface p-2 sm:grid-cols-2">
            <LazyDrawings
              setup={setup}
              assessment={gone(assessment, model, faults)}
              chosen={null}
              onChoose={() => undefined}
            />
          </div>
        </section>
      </div>
    </>
  );
}

/**
 * What matters first: nothing holds and it is not accepted; then what takes one way away; then what practice accepts;
 * then the rest.
 */
function rowsOf(model: HoldModel, singles: readonly SinglePoint[]): HoldRow[] {
  const accepted = new Set(singles.filter((s) => s.accepted).map((s) => s.fault.id));
  const rank = ({ id, faults }: HoldRow) => {
    const left = standing(model, faults).length;
    if (left === 0) return accepted.has(id) ? 2 : 0;
    return left < model.holds.length ? 1 : 3;
  };
  const rows: HoldRow[] = [
    ...model.faults
      .filter((f) => f.basic)
      .map((f) => ({ id: f.id, says: f.says, faults: [f.id], causes: FAULT_KINDS[f.kind].causes, because: '' })),
    ...model.causes.map((c) => ({
      id: `cause-${c.id}`,
      says: c.says,
      faults: c.brings,
      causes: [],
      because: c.because,
    })),
  ];
  return rows.sort((a, b) => rank(a) - rank(b));
}

/** The assessment as the drawing takes it, with what has gone in place of the findings. */
function gone(assessment: Assessment, model: HoldModel, faults: readonly string[]): Assessment {
  const happened = closure(model, faults);
  const findings = model.faults
    .filter((f) => happened.has(f.id))
    .map((f): Finding => ({
      code: 'hold.single-point',
      severity: faults.includes(f.id) ? 'stop' : 'mind',
      subject: [f.part],
      says: literal(clause(f.says)),
      because: '',
      remedy: '',
      numbers: [],
      sources: [],
    }));
  return { ...assessment, findings };
}
const clause = (text: string) => `${text.replace(/^./, (c) => c.toUpperCase())}.`;

function Summary({ model, singles }: { model: HoldModel; singles: readonly SinglePoint[] }) {
  const { holds, noHolds } = model;
  const reader = usePreferences();
  const open = singles.filter((s) => !s.accepted).length;
  return (
    <>
      <p className="mt-1 max-w-prose text-lg">
        {holds.length === 0
          ? 'Nothing that is rigged is known to hold you.'
          : holds.length === 1
            ? `One way of being held: ${holds[0]!.label.toLowerCase()}.`
            : `${holds.length} ways of being held: ${holds.map((s) => s.label.toLowerCase()).join(', ')}.`}{' '}
        {singles.length > 0 &&
          holds.length > 0 &&
          `${singles.length} things are alone${open === 0 ? '; practice accepts that of each' : `, ${open} of them in doubt`}.`}
      </p>
      {noHolds.map((s) => (
        <p key={s.id} className="mt-2 flex max-w-prose items-start gap-2">
          <SeverityMark severity={s.severity} />
          <span>
            <strong>{s.label}</strong> does not count: {renderSentence(s.because, reader)}
          </span>
        </p>
      ))}
    </>
  );
}

interface ReplayProps {
  readonly row: HoldRow;
  readonly also: string;
  readonly onAlso: (id: string) => void;
  readonly model: HoldModel;
  readonly singles: readonly SinglePoint[];
}

function Replay({ row, also, onAlso, model, singles }: ReplayProps) {
  const reader = usePreferences();
  const faults = [...row.faults, ...(also ? [also] : [])];
  const happened = closure(model, faults);
  const left = standing(model, faults);
  const follows = model.consequences.filter((c) => happened.has(c.then) && c.when.every((id) => happened.has(id)));
  const says = (id: string) => model.faults.find((f) => f.id === id)!.says;
  const single = singles.find((s) => s.fault.id === row.id);
  return (
    <div className="px-1 pt-1 pb-4" data-testid="replay">
      {row.because && <p>{row.because}</p>}
      {row.causes.length > 0 && <p className="text-ink-2">For instance: {row.causes.join('; ')}.</p>}
      {follows.map((c) => (
        <p key={c.then} className="mt-1">
          Then {says(c.then)}. <span className="text-ink-2">{renderSentence(c.because, reader)}</span>
        </p>
      ))}
      <p role="status" className={`mt-1 font-bold ${left.length === 0 ? 'text-stop' : 'text-clear'}`}>
        {left.length === 0 ? 'Nothing holds.' : `Holds: ${left.map((s) => s.label.toLowerCase()).join(', ')}.`}
      </p>
      {single?.accepted && <p className="mt-1">Practice accepts that. Look at: {single.inspect}.</p>}
      <label className="mt-2 flex flex-wrap items-center gap-2 text-sm">
        And at the same time
        <select className="field w-auto flex-1" value={also} onChange={(event) => onAlso(event.target.value)}>
          <option value="">nothing else</option>
          {model.faults
            .filter((f) => f.basic && !row.faults.includes(f.id))
            .map((f) => (
              <option key={f.id} value={f.id}>
                {f.says}
              </option>
            ))}
        </select>
      </label>
    </div>
  );
}

interface TogetherProps {
  readonly cuts: readonly (readonly string[])[];
  readonly model: HoldModel;
  readonly onChoose: (first: string, second: string) => void;
}

/** Two and three things that have to go together before nothing holds. */
function Together({ cuts, model, onChoose }: TogetherProps) {
  const by = new Map<string, Fault>(model.faults.map((f) => [f.id, f]));
  const pairs = cuts.filter((c) => c.length === 2);
  const triples = cuts.filter((c) => c.length === 3).length;
  if (pairs.length + triples === 0) return null;
  return (
    <details className="mt-4">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        Nothing holds when two go together: {pairs.length} {pairs.length === 1 ? 'pair' : 'pairs'}
        {triples > 0 ? `; three together: ${triples}` : ''}
      </summary>
      <ul className="divide-y divide-line border-y border-line">
        {pairs.map(([a, b]) => (
          <li key={`${a}/${b}`}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-3 py-1.5 text-left hover:bg-sunk"
              onClick={() => onChoose(a!, b!)}
            >
              <HoldMark stands={false} label="Nothing holds" />
              <span>
                {clause(by.get(a!)!.says).slice(0, -1)}, and {by.get(b!)!.says}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
