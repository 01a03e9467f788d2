import type { Remote } from 'comlink';
import { nanoid } from '@reduxjs/toolkit';
import { FileDown, FileUp, PencilLine } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { judgeTestedWays, wayKey, wayName, type NextTest } from '@core/connector';
import { SEVERITIES } from '@core/finding';
import { JOB_KEYS, JOBS, servesJob, type Connector, type Device, type Job } from '@core/gear';
import { printNumber, printQuantity } from '@core/units';
import { usePreferences } from '../../app/preferences';
import { usePlace } from '../../app/WorkspaceProvider';
import { LazyClipDrawing } from '../../drawing/lazy-clip';
import { addTests } from '../../store/choice-edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited } from '../../store/workspace-slice';
import { downloadText } from '../../ui/download';
import { SeverityMark } from '../../ui/SeverityMark';
import { useToast } from '../../ui/Toasts';
import { useGrowing } from '../../ui/useGrowing';
import { WorkProgress } from '../../ui/WorkProgress';
import { useWorkerJob } from '../../workers/useWorkerJob';
import type { WaysCell, WaysWorker } from '../../workers/ways-worker';
import { FindingList } from '../setups/FindingList';
import { PairBox } from './PairBox';
import { readTestsCsv, waysCsv } from './tests-csv';
import { WaysTable } from './WaysTable';

const create = () => new Worker(new URL('../../workers/ways-worker.ts', import.meta.url), { type: 'module' });
const isJob = (text: string | null): text is Job => JOB_KEYS.some((j) => j === text);

/** Every connector of the locker in every device, each in its ways, with the person's own tests. */
export function ConnectorsPage() {
  const { name } = usePlace();
  const { items, people, wayTests } = useWorkspace();
  const [query, setQuery] = useSearchParams();
  const asked = query.get('job');
  const job: Job = isJob(asked) ? asked : 'belay-top-rope';
  const person = people.find((p) => p.id === query.get('person')) ?? people[0];
  const massKg = person?.massKg ?? 80;
  const connectors = useMemo(() => items.filter((i): i is Connector => i.kind === 'connector'), [items]);
  const allDevices = useMemo(() => items.filter((i): i is Device => i.kind === 'device'), [items]);
  const everything = query.get('all') === 'yes';
  const devices = useMemo(
    () => (everything ? allDevices : allDevices.filter(({ family }) => servesJob(family, job))),
    [allDevices, everything, job],
  );
  const ask = useCallback(
    (api: Remote<WaysWorker>, onRow: (done: number) => void) =>
      api.map({ job, massKg, connectors, devices, tests: wayTests }, onRow),
    [job, massKg, connectors, devices, wayTests],
  );
  const { state, stop, again } = useWorkerJob({ create, ask });
  const set = (key: string, value: string) =>
    setQuery((old) => ({ ...Object.fromEntries(old), [key]: value }), { replace: true });
  const pick = (connectorId: string, deviceId: string, way?: string) =>
    setQuery(
      (old) => {
        const next = { ...Object.fromEntries(old), pair: `${connectorId}/${deviceId}` };
        return way ? { ...next, way } : next;
      },
      { replace: true },
    );
  const [connectorId, deviceId] = (query.get('pair') ?? '/').split('/');
  const connector = connectors.find((c) => c.id === connectorId);
  const device = allDevices.find((d) => d.id === deviceId);
  const empty = connectors.length === 0 || allDevices.length === 0;

  return (
    <div className="mx-auto max-w-6xl px-4 py-6">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1>Connectors in devices</h1>
          <p className="mt-1 text-ink-2">
            Which way round: every connector in every device, from their measures and from what you tried.{' '}
            <Link className="font-semibold text-act underline" to={`/${name}/fit`}>
              Ropes in devices
            </Link>
          </p>
        </div>
        <TestsFile
          connectors={connectors}
          devices={allDevices}
          csv={state.kind === 'done' ? () => waysCsv(job, state.result.lines, wayTests, connectors, allDevices) : null}
        />
      </div>
      <div className="mt-4 grid gap-3 sm:grid-cols-2">
        <label className="text-sm font-semibold">
          Job
          <select
            className="field mt-1 text-base font-normal"
            value={job}
            onChange={(event) => set('job', event.target.value)}
          >
            {JOB_KEYS.map((key) => (
              <option key={key} value={key}>
                {JOBS[key]}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm font-semibold">
          Person on the rope
          <select
            className="field mt-1 text-base font-normal"
            value={person?.id ?? ''}
            onChange={(event) => set('person', event.target.value)}
          >
            {people.length === 0 && <option value="">80 kg, nobody entered</option>}
            {people.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <label className="mt-1 flex min-h-11 w-fit items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-(--act)"
          checked={everything}
          onChange={(event) => set('all', event.target.checked ? 'yes' : 'no')}
        />
        Also devices that are not for this job
      </label>
      {empty ? (
        <p className="mt-8">
          A connector and a device are needed.{' '}
          <Link className="font-semibold text-act underline" to={`/${name}/locker`}>
            To the locker
          </Link>
        </p>
      ) : (
        // While own tests are entered the map of a moment ago stays readable.
        <WorkProgress
          state={state}
          says={(done) => `${done} of ${connectors.length} connectors`}
          of={connectors.length}
          onStop={stop}
          onAgain={again}
        />
      )}
      {state.kind === 'done' && !empty && (
        <>
          <WaysMap
            cells={state.result.cells}
            connectors={connectors}
            devices={devices}
            chosen={query.get('pair')}
            onPick={pick}
          />
          {!connector && <NextTests next={state.result.next} connectors={connectors} devices={devices} onPick={pick} />}
        </>
      )}
      {connector && device && (
        <Pair
          key={`${job}/${connector.id}/${device.id}`}
          job={job}
          massKg={massKg}
          brakeHand={person?.brakeHand ?? 'right'}
          connector={connector}
          device={device}
          way={query.get('way')}
          onWay={(way) => set('way', way)}
          others={connectors}
        />
      )}
      {connector && state.kind === 'done' && (
        <NextTests next={state.result.next} connectors={connectors} devices={devices} onPick={pick} />
      )}
    </div>
  );
}

interface WaysMapProps {
  readonly cells: readonly WaysCell[];
  readonly connectors: readonly Connector[];
  readonly devices: readonly Device[];
  readonly chosen: string | null;
  readonly onPick: (connectorId: string, deviceId: string) => void;
}

function WaysMap({ cells, connectors, devices, chosen, onPick }: WaysMapProps) {
  const { system } = usePreferences();
  const drawn = useGrowing(connectors.length);
  const at = useMemo(() => new Map(cells.map((c) => [`${c.connectorId}/${c.deviceId}`, c])), [cells]);
  const byName = <T extends { name: string }>(list: readonly T[]) =>
    [...list].sort((a, b) => a.name.localeCompare(b.name));
  return (
    <>
      <p className="mt-4 flex flex-wrap gap-x-5 gap-y-1">
        {SEVERITIES.map((s) => (
          <span key={s} className="flex items-center gap-2">
            <SeverityMark severity={s} withWord size={16} />
            <span className="num">{cells.filter((c) => c.severity === s).length}</span>
          </span>
        ))}
        <span className="text-ink-2">
          Best way of each pair, its play in {system === 'metric' ? 'mm' : 'inches'}, ways without a Stop of all;{' '}
          <PencilLine aria-hidden className="inline size-3.5" /> tried.
        </span>
      </p>
      <div
        className="mt-3 max-h-[60dvh] w-fit [contain:paint] max-w-full overflow-auto rounded-lg border border-line"
        tabIndex={0}
        role="region"
        aria-label="Connector map"
      >
        <table className="border-separate border-spacing-0 text-sm">
          <thead>
            <tr>
              <th className="sticky top-0 left-0 z-20 border-r border-b border-line bg-paper p-2 text-left">
                Connector
              </th>
              {byName(devices).map((d) => (
                <th
                  key={d.id}
                  scope="col"
                  className="sticky top-0 z-10 h-36 min-w-14 border-b border-line bg-paper p-1 align-bottom"
                >
                  <span className="inline-block max-h-32 overflow-hidden text-left leading-tight [writing-mode:vertical-rl] rotate-180">
                    {d.name}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {byName(connectors)
              .slice(0, drawn)
              .map((c) => (
                <tr key={c.id}>
                  <th
                    scope="row"
                    className="sticky left-0 z-10 max-w-44 border-r border-b border-line bg-paper p-2 text-left"
                  >
                    <span className="block">{c.name}</span>
                  </th>
                  {byName(devices).map((d) => {
                    const cell = at.get(`${c.id}/${d.id}`);
                    if (!cell) return <td key={d.id} className="border-b border-line" />;
                    const pressed = chosen === `${c.id}/${d.id}`;
                    const play =
                      cell.playMm === null || !Number.isFinite(cell.playMm)
                        ? ''
                        : printNumber(cell.playMm, 'diameterMm', system);
                    return (
                      <td key={d.id} className="border-b border-line p-0">
                        <button
                          type="button"
                          aria-pressed={pressed}
                          className={`flex min-h-14 w-full min-w-14 flex-col items-center justify-center gap-0.5 py-1.5 hover:bg-sunk ${pressed ? 'bg-sunk shadow-[inset_0_0_0_3px_var(--ink)]' : ''}`}
                          onClick={() => onPick(c.id, d.id)}
                        >
                          <span className="sr-only">
                            {c.name} in {d.name}:
                          </span>
                          <SeverityMark severity={cell.severity} size={16} />
                          <span className="num text-xs text-ink-2">
                            {play && <span className="sr-only">play </span>}
                            {play}
                          </span>
                          <span className="num text-xs text-ink-2">
                            {cell.usable} of {cell.ways}
                            <span className="sr-only"> ways</span>
                          </span>
                          {cell.tried > 0 && (
                            <span className="text-ink-2">
                              <PencilLine aria-hidden className="size-3.5" />
                              <span className="sr-only">{cell.tried} tried</span>
                            </span>
                          )}
                        </button>
                      </td>
                    );
                  })}
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

interface NextTestsProps {
  readonly next: readonly NextTest[];
  readonly connectors: readonly Connector[];
  readonly devices: readonly Device[];
  readonly onPick: (connectorId: string, deviceId: string, way: string) => void;
}

function NextTests({ next, connectors, devices, onPick }: NextTestsProps) {
  if (next.length === 0) return null;
  return (
    <section className="mt-8" aria-labelledby="next-tests">
      <h2 id="next-tests">Try these next, on the ground</h2>
      <p className="text-ink-2">
        What is not known first, then what is doubtful; among these, where the job loads most of what strength is left.
      </p>
      <ul className="mt-2 grid gap-x-8 sm:grid-cols-2">
        {next.map(({ connectorId, deviceId, way, severity, risk }) => {
          const connector = connectors.find((c) => c.id === connectorId);
          const device = devices.find((d) => d.id === deviceId);
          if (!connector || !device) return null;
          return (
            <li key={`${connectorId}/${deviceId}/${wayKey(way)}`} className="border-b border-line">
              <button
                type="button"
                className="flex min-h-12 w-full items-start gap-2.5 py-2 text-left hover:bg-sunk"
                onClick={() => onPick(connectorId, deviceId, wayKey(way))}
              >
                <SeverityMark severity={severity} size={16} />
                <span className="flex-1">
                  <span className="font-semibold">
                    {connector.name} in {device.name}
                  </span>
                  <span className="block text-sm text-ink-2">{wayName(way, connector, device)}</span>
                </span>
                <span className="num text-sm text-ink-2">
                  {Number.isFinite(risk) ? `load ${Math.round(risk * 100)} % of strength` : 'strength not known'}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

interface PairProps {
  readonly job: Job;
  readonly massKg: number;
  readonly brakeHand: 'right' | 'left';
  readonly connector: Connector;
  readonly device: Device;
  readonly way: string | null;
  readonly onWay: (way: string) => void;
  readonly others: readonly Connector[];
}

function Pair({ job, massKg, brakeHand, connector, device, way, onWay, others }: PairProps) {
  const { system } = usePreferences();
  const { wayTests } = useWorkspace();
  const [finding, setFinding] = useState<number | null>(null);
  const reports = useMemo(
    () => judgeTestedWays({ job, massKg, connector, device }, wayTests),
    [job, massKg, connector, device, wayTests],
  );
  const shown = reports.find((r) => wayKey(r.way) === way) ?? reports[0]!;
  // Under a large map the pair would be out of sight.
  const section = useRef<HTMLElement>(null);
  useEffect(() => section.current?.scrollIntoView({ block: 'nearest' }), []);
  return (
    <section ref={section} className="mt-8 scroll-mt-16" aria-label={`${connector.name} in ${device.name}`}>
      <h2 className="text-xl">
        {connector.name} in {device.name}
      </h2>
      <p className="text-ink-2">
        {JOBS[job]}, {printQuantity(massKg, 'massKg', system)}. Brake hand: {brakeHand}.
      </p>
      <div className="mt-3 grid gap-6 lg:grid-cols-[minmax(0,26rem)_minmax(0,1fr)]">
        <div className="self-start rounded-xl border border-line bg-surface p-2 lg:sticky lg:top-16">
          <LazyClipDrawing connector={connector} device={device} way={shown.way} brakeHand={brakeHand} />
        </div>
        <div>
          <WaysTable
            connector={connector}
            device={device}
            reports={reports}
            tests={wayTests}
            chosen={wayKey(shown.way)}
            onChoose={onWay}
          />
          <div className="mt-4" data-way-findings>
            <FindingList findings={shown.findings} chosen={finding} onChoose={setFinding} />
          </div>
        </div>
      </div>
      <PairBox connector={connector} device={device} others={others} />
    </section>
  );
}

interface TestsFileProps {
  readonly connectors: readonly Connector[];
  readonly devices: readonly Device[];
  /** Makes the file; null while the map is not there. */
  readonly csv: (() => string) | null;
}

function TestsFile({ connectors, devices, csv }: TestsFileProps) {
  const { wayTests } = useWorkspace();
  const dispatch = useAppDispatch();
  const say = useToast();
  const input = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const read = async (file: File) => {
    const result = readTestsCsv(await file.text(), connectors, devices, new Date().toISOString(), nanoid);
    if (!result.ok)
      return setRefused(`${file.name}, line ${result.line}: ${result.message} Nothing was taken from it.`);
    setRefused(null);
    // Read in twice, a file adds nothing the second time.
    const known = new Set(wayTests.map((t) => `${t.connectorId}/${t.deviceId}/${wayKey(t.way)}/${t.result}/${t.at}`));
    const fresh = result.tests.filter(
      (t) => !known.has(`${t.connectorId}/${t.deviceId}/${wayKey(t.way)}/${t.result}/${t.at}`),
    );
    if (fresh.length > 0) dispatch(edited(addTests(fresh)));
    say(`${fresh.length} own ${fresh.length === 1 ? 'test' : 'tests'} added.`);
  };
  return (
    <div className="flex flex-wrap gap-2">
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        className="sr-only"
        aria-label="Own tests from a CSV file"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void read(file);
        }}
      />
      <button type="button" className="btn" onClick={() => input.current?.click()}>
        <FileUp aria-hidden className="size-5" />
        Own tests from CSV
      </button>
      <button
        type="button"
        className="btn"
        disabled={!csv}
        onClick={() => csv && downloadText('zevrin-connectors.csv', csv(), 'text/csv')}
      >
        <FileDown aria-hidden className="size-5" />
        Save as CSV
      </button>
      {refused && (
        <p role="alert" className="w-full rounded bg-stop-wash px-3 py-2 text-stop">
          {refused}
        </p>
      )}
    </div>
  );
}
