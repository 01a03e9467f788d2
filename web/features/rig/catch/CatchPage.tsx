import { fallWords } from './fall-words';
import { Pause, Play } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import {
  catchFindings,
  catchIn,
  fallQuestionSchema,
  groundFall,
  heightsFindings,
  limitsOf,
  pastBelay,
  questionIssues,
  REMEDIES,
  remedied,
  REMEDY_RUNS,
  RUNS,
  scenarioOf,
  traceOf,
  type FallQuestion,
  type RemedyId,
  type Scenario,
} from '@core/rigs/catch';
import { assess } from '@core/answers/assess';
import { overall, worstFirst } from '@core/foundations/finding';
import { personSchema, type Device, type Rope } from '@core/things/gear';
import { indexOf, withFields, withItem, type Attachment, type Setup } from '@core/rigs/rig';
import { printQuantity } from '@core/foundations/units';
import { NotFound } from '../../../app/NotFound';
import { usePreferences } from '../../../app/preferences';
import { useTitle } from '../../../app/useTitle';
import { changeSetup } from '../../../store/edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { SchemaField } from '../../../ui/SchemaField';
import { WorkProgress } from '../../../ui/WorkProgress';
import { lazyPart } from '../../../ui/part';
import { SEVERITY_TEXT, SEVERITY_WASH, SeverityMark } from '../../../ui/SeverityMark';
import { useCatch } from '../../../workers/useCatch';
import { FindingList } from '../setups/FindingList';
import { VerdictBanner } from '../setups/VerdictBanner';
import { CatchDrawing } from './CatchDrawing';
import { RemedyTable } from './RemedyTable';
import { useFallQuestion } from './useFallQuestion';

const ForceTime = lazyPart('The chart', () => import('./CatchCharts').then((m) => m.ForceTime));
const Spread = lazyPart('The chart', () => import('./CatchCharts').then((m) => m.Spread));

export function CatchPage() {
  const { setupId } = useParams();
  const setup = useWorkspace().setups.find((s) => s.id === setupId);
  return setup ? <CatchView key={setup.id} setup={setup} /> : <NotFound what="This set-up" />;
}

/**
 * One fall onto the belayer of a set-up: where everybody is, what follows in ten thousand tries, and what changes it.
 */
function CatchView({ setup }: { setup: Setup }) {
  useTitle(`${fallWords(setup)}: ${setup.name}`);
  const index = useMemo(() => indexOf(setup), [setup]);
  const a = catchIn(index);
  return (
    <div className="mx-auto max-w-[1500px] px-3 py-4 sm:px-5">
      <h1>{fallWords(setup)}</h1>
      {a ? (
        <Fall setup={setup} a={a} />
      ) : (
        <p className="mt-3">In this set-up nobody on the ground holds somebody above.</p>
      )}
    </div>
  );
}

function Fall({ setup, a }: { setup: Setup; a: Attachment }) {
  const index = useMemo(() => indexOf(setup), [setup]);
  const { question, set, other, changeQuery } = useFallQuestion(index);
  const { items } = useWorkspace();
  const dispatch = useAppDispatch();
  const { system } = usePreferences();
  // Another rope or device is tried here without changing the set-up.
  const ropes = items.filter((i): i is Rope => i.kind === 'rope');
  const devices = items.filter((i): i is Device => i.kind === 'device');
  const line = setup.lines[0]!;
  const ropeRef = line.kind === 'doubled' ? line.ropeA.id : line.rope.id;
  const rope = ropes.find((r) => r.id === other.get('rope')) ?? null;
  const device = devices.find((d) => d.id === other.get('device')) ?? null;
  // So is another weight: who falls on whom decides most.
  const inAddress = other.toString();
  const weighed = useMemo(() => {
    const query = new URLSearchParams(inAddress);
    return setup.persons
      .filter((p) => p.item !== null && (p.role === 'climber' || p.role === 'belayer'))
      .map((person) => {
        const raw = query.get(`${person.id}Kg`);
        const read = personSchema.shape.massKg.safeParse(raw === null ? null : Number(raw));
        return { person, massKg: read.success && read.data !== person.item!.massKg ? read.data : null };
      });
  }, [setup, inAddress]);
  const tried = useMemo(() => {
    const withRope = rope ? withItem(setup, ropeRef, rope) : setup;
    const withDevice = device ? withItem(withRope, a.end.id, device) : withRope;
    return weighed.reduce(
      (s, { person, massKg }) => (massKg === null ? s : withItem(s, person.id, { ...person.item!, massKg })),
      withDevice,
    );
  }, [setup, rope, device, ropeRef, a.end.id, weighed]);
  const triedIndex = useMemo(() => indexOf(tried), [tried]);
  const found = useMemo(() => scenarioOf(triedIndex, catchIn(triedIndex)!, question), [triedIndex, question]);
  const swap = (key: string, id: string) =>
    changeQuery((now) => {
      const next = { ...Object.fromEntries(now), [key]: id };
      return Object.fromEntries(Object.entries(next).filter(([k, v]) => k !== key || v !== ''));
    });
  const change = (next: Setup) => dispatch(edited(changeSetup(setup, next, new Date().toISOString(), null)));
  const onTake = (id: RemedyId, scenario: Scenario) => {
    const changed = REMEDIES[id].apply(scenario);
    if (!changed) return;
    const belayer = setup.persons.find((p) => p.role === 'belayer');
    if (id === 'anchored' && belayer) change(withFields(setup, belayer.id, { stands: 'anchored' }));
    else set(changed.question);
  };
  const led = line.kind === 'led';
  const others = weighed.flatMap(({ person, massKg }) =>
    massKg === null ? [] : [`${person.item!.name} at ${printQuantity(massKg, 'massKg', system)}`],
  );
  const issues = questionIssues(question, limitsOf(indexOf(tried), a));
  const issueAt = (key: keyof FallQuestion) => issues.find((i) => i.key === key)?.says;

  return (
    <>
      <OfTheSetup setup={tried} />
      {issues.length > 0 ? (
        <p role="alert" className="mt-3 rounded-lg bg-stop-wash px-4 py-3 text-stop">
          {[...new Set(issues.map((i) => i.says))].join(' ')} Put it right below.
        </p>
      ) : !found.ok ? (
        <p className="mt-3">
          Not chosen yet: {found.missing.join(', ')}.{' '}
          <Link className="font-semibold text-act underline" to=".." relative="path">
            Complete the set-up
          </Link>
        </p>
      ) : (
        <Answer
          key={led ? 'led' : 'over'}
          scenario={found.scenario}
          led={led}
          left={setup.persons.find((p) => p.role === 'belayer')?.item?.brakeHand === 'left'}
          onMove={set}
          onTake={(id) => onTake(id, found.scenario)}
        />
      )}
      <section aria-label="The moment of the fall" className="mt-6">
        <h2>The moment of the fall</h2>
        <p className="text-ink-2">
          Drag on the drawing, or enter it here. Heights are above the ground, or the stance, the belayer stands on.
        </p>
        <div className="mt-2 grid gap-x-5 gap-y-3 sm:grid-cols-2 lg:grid-cols-4">
          {(Object.keys(fallQuestionSchema.shape) as (keyof FallQuestion)[])
            .filter((key) => asked(key, question, led))
            .map((key) => (
              <SchemaField
                key={key}
                schema={fallQuestionSchema.shape[key]}
                value={question[key]}
                error={issueAt(key)}
                onChange={(value) =>
                  value !== undefined &&
                  set(
                    led || key !== 'lastPieceM'
                      ? { [key]: value }
                      : { lastPieceM: value as number, firstPieceM: value as number },
                  )
                }
              />
            ))}
          {weighed.map(({ person, massKg }) => (
            <SchemaField
              key={person.id}
              schema={personSchema.shape.massKg}
              label={
                person.role === 'belayer' ? 'The belayer weighs' : led ? 'The leader weighs' : 'The climber weighs'
              }
              value={massKg ?? person.item!.massKg}
              onChange={(value) => typeof value === 'number' && swap(`${person.id}Kg`, String(value))}
            />
          ))}
          <Swap
            label="With another rope"
            chosen={other.get('rope') ?? ''}
            options={ropes}
            onPick={(id) => swap('rope', id)}
          />
          <Swap
            label="With another device"
            chosen={other.get('device') ?? ''}
            options={devices}
            onPick={(id) => swap('device', id)}
          />
        </div>
        {(rope || device || others.length > 0) && (
          <p className="mt-3 flex flex-wrap items-center gap-3">
            Tried with {[rope?.name, device?.name, ...others].filter(Boolean).join(' and ')}; the set-up is as it was.
            <button type="button" className="btn" onClick={() => change(tried)}>
              Take it into the set-up
            </button>
          </p>
        )}
      </section>
      <p className="mt-6 max-w-prose text-sm text-ink-2">
        This calculation leaves out a swing into the wall, what is hit on the way, and a rope over an edge. It leaves
        out a hand that lets go, knots drawing tight, and how much a body gives. Never take a practice fall to test
        these figures.
      </p>
    </>
  );
}

/**
 * A top rope has no pieces and no stance; on the ground no tether is asked for, and in a fall past the belay no piece.
 */
function asked(key: keyof FallQuestion, question: FallQuestion, led: boolean): boolean {
  if (key === 'from') return led;
  if (key === 'clipped') return led;
  if (key === 'tetherM') return question.from === 'stance';
  if (groundFall(question)) return key === 'climberM' || key === 'ledgeM';
  if (key === 'firstPieceM' || key === 'secondPieceM') return led && !pastBelay(question);
  return !pastBelay(question) || (key !== 'lastPieceM' && key !== 'besideM' && key !== 'step');
}

/** A catch is reckoned for a set-up that is as it should be: where it is not, that comes first. */
function OfTheSetup({ setup }: { setup: Setup }) {
  const { verdict, findings } = useMemo(() => assess(setup), [setup]);
  if (verdict === 'clear' || verdict === 'mind') return null;
  const count = findings.filter((f) => f.severity === verdict).length;
  return (
    <p
      className={`mt-3 flex flex-wrap items-center gap-3 rounded-lg px-4 py-2 ${SEVERITY_WASH[verdict]} ${SEVERITY_TEXT[verdict]}`}
    >
      <SeverityMark severity={verdict} withWord />
      <span className="min-w-0 shrink grow basis-52 text-ink">
        {verdict === 'stop'
          ? `The set-up itself has ${count === 1 ? 'a fault' : `${count} faults`} to put right first: with it nothing here holds.`
          : `${count === 1 ? 'One thing' : `${count} things`} about the set-up ${count === 1 ? 'is' : 'are'} not known: what is told here holds only where they are as they should be.`}
      </span>
      <Link className="btn" to=".." relative="path">
        Look at it
      </Link>
    </p>
  );
}

interface AnswerProps {
  readonly scenario: Scenario;
  readonly led: boolean;
  readonly left: boolean;
  readonly onMove: (patch: Partial<FallQuestion>) => void;
  readonly onTake: (id: RemedyId) => void;
}

function Answer({ scenario, led, left, onMove, onTake }: AnswerProps) {
  const { state, stop, again } = useCatch(scenario);
  const trace = useMemo(() => traceOf(scenario), [scenario]);
  const [shown, setShown] = useState<number | null>(null);
  const [chosen, setChosen] = useState<number | null>(null);
  const falls = useMemo(() => RUNS + remedied(scenario).length * REMEDY_RUNS, [scenario]);
  const result = state.kind === 'done' ? state.result : null;
  const findings = useMemo(
    () =>
      result ? worstFirst([...catchFindings(scenario, result.asIs), ...heightsFindings(scenario, result.heights)]) : [],
    [scenario, result],
  );
  const last = trace.frames.length - 1;
  const frame = trace.frames[Math.min(last, shown ?? 0)]!;
  const lowestM = Math.min(...trace.frames.map((f) => f.climberM));
  return (
    <>
      <div className="mt-3 min-h-20">
        {result ? (
          <VerdictBanner assessment={{ verdict: overall(findings), findings }} action={null} />
        ) : (
          <WorkProgress
            state={state}
            says={(done) => `${done} of ${falls} falls`}
            of={falls}
            onStop={stop}
            onAgain={again}
          />
        )}
      </div>
      <div className="mt-4 grid gap-6 lg:grid-cols-[26rem_minmax(0,1fr)]">
        <section aria-label="The fall" className="self-start rounded-xl border border-line bg-surface p-3">
          <CatchDrawing
            question={scenario.question}
            frame={frame}
            lowestM={lowestM}
            led={led}
            left={left}
            bands={result?.heights.bands ?? []}
            onMove={(patch) => {
              setShown(null);
              onMove(patch);
            }}
          />
          {(result?.heights.bands.length ?? 0) > 0 && (
            <p className="mt-2 text-sm text-ink-2">Hatched: a fall from there can reach the ground or a ledge.</p>
          )}
          <Scrubber trace={trace} shown={shown} onShow={setShown} />
        </section>
        <div className="grid min-w-0 content-start gap-6">
          {result && (
            <section aria-label="Findings">
              <FindingList findings={findings} chosen={chosen} onChoose={setChosen} />
            </section>
          )}
          <ForceTime trace={trace} atS={frame.timeS} />
          {result && (
            <div className="grid gap-5 sm:grid-cols-2">
              <Spread
                title="Force on the climber, of 100 falls"
                bars={result.asIs.bars.climberN}
                runs={result.asIs.runs}
                quantity="strengthKn"
                toUnit={0.001}
              />
              {result.asIs.share.lifted > 0 && (
                <Spread
                  title="Belayer lifted, of 100 falls"
                  bars={result.asIs.bars.liftM}
                  runs={result.asIs.runs}
                  quantity="lengthM"
                  toUnit={1}
                />
              )}
            </div>
          )}
        </div>
      </div>
      {result && (
        <section aria-label="What changes it" className="mt-6">
          <h2>What changes it</h2>
          <RemedyTable asIs={result.asIs} remedies={result.remedies} onTake={onTake} />
        </section>
      )}
    </>
  );
}

interface ScrubberProps {
  readonly trace: ReturnType<typeof traceOf>;
  readonly shown: number | null;
  readonly onShow: (index: number | null) => void;
}

/** Moves the drawing through the fall; plays it at a quarter of its speed, unless somebody wants less motion. */
function Scrubber({ trace, shown, onShow }: ScrubberProps) {
  const { system } = usePreferences();
  const [playing, setPlaying] = useState(false);
  const last = trace.frames.length - 1;
  const at = Math.min(last, shown ?? 0);
  const frame = trace.frames[at]!;
  useEffect(() => {
    if (!playing) return;
    const start = performance.now();
    const from = trace.frames[at === last ? 0 : at]!.timeS;
    let handle = 0;
    const draw = (now: number) => {
      const t = from + (now - start) / 4000;
      const next = trace.frames.findIndex((f) => f.timeS >= t);
      onShow(next < 0 ? last : next);
      if (next < 0) setPlaying(false);
      else handle = requestAnimationFrame(draw);
    };
    handle = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(handle);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- begins where it stands when it is started
  }, [playing, trace]);
  const says =
    shown === null
      ? 'before the fall'
      : frame.climberN === 0
        ? `${frame.timeS.toFixed(2)} s, falling`
        : `${frame.timeS.toFixed(2)} s, ${printQuantity(frame.climberN / 1000, 'strengthKn', system)} on the climber`;
  return (
    <div className="mt-2 flex items-center gap-3">
      <button
        type="button"
        className="btn px-3"
        aria-label={playing ? 'Stop the fall' : 'Play the fall slowly'}
        onClick={() => setPlaying((now) => !now)}
      >
        {playing ? <Pause aria-hidden className="size-5" /> : <Play aria-hidden className="size-5" />}
      </button>
      <label className="min-w-0 flex-1 text-sm">
        <span className="num mb-1 block">{says}</span>
        <input
          type="range"
          className="h-8 w-full accent-act"
          min={0}
          max={last}
          value={at}
          aria-label="Moment of the fall"
          aria-valuetext={says}
          onChange={(event) => {
            setPlaying(false);
            onShow(Number(event.target.value));
          }}
        />
      </label>
    </div>
  );
}

interface SwapProps {
  readonly label: string;
  readonly chosen: string;
  readonly options: readonly { readonly id: string; readonly name: string }[];
  readonly onPick: (id: string) => void;
}

function Swap({ label, chosen, options, onPick }: SwapProps) {
  return (
    <label className="block">
      <span className="block text-sm font-semibold">{label}</span>
      <select className="field mt-1" value={chosen} onChange={(event) => onPick(event.target.value)}>
        <option value="">As in the set-up</option>
        {options.map((o) => (
          <option key={o.id} value={o.id}>
            {o.name}
          </option>
        ))}
      </select>
    </label>
  );
}
