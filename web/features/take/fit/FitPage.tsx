import { FileDown } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { fitCell } from '@core/things/fit';
import { SEVERITIES, type Severity } from '@core/foundations/finding';
import { diameterOf, JOB_KEYS, JOBS, servesJob, type Device, type Job, type Rope } from '@core/things/gear';
import { printNumber, printQuantity } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { useTitle } from '../../../app/useTitle';
import { usePlace } from '../../../app/place';
import { useWorkspace } from '../../../store/hooks';
import { downloadText } from '../../../ui/download';
import { SEVERITY_WORDS, SeverityMark } from '../../../ui/SeverityMark';
import { MapTable } from '../../../ui/MapTable';
import { WorkProgress } from '../../../ui/WorkProgress';
import type { FitMark } from '../../../workers/fit-worker';
import { useFitMap } from '../../../workers/useFitMap';
import { FindingList } from '../../rig/setups/FindingList';
import { fitCsv } from './fit-csv';
import { SideBySide } from './SideBySide';

const ORDERS = { name: 'by name', diameter: 'by diameter', fit: 'best fit first' } as const;
type Order = keyof typeof ORDERS;
const isJob = (text: string | null): text is Job => JOB_KEYS.some((j) => j === text);

/** Every rope of the locker in every device, for one job. */
export function FitPage() {
  useTitle('Fit');
  const { name } = usePlace();
  const { items } = useWorkspace();
  const [query, setQuery] = useSearchParams();
  const asked = query.get('job');
  const job: Job = isJob(asked) ? asked : 'rappel-double';
  const [filter, setFilter] = useState('');
  const [onlyAble, setOnlyAble] = useState(false);
  const [order, setOrder] = useState<Order>('diameter');
  const ropes = useMemo(() => items.filter((i): i is Rope => i.kind === 'rope'), [items]);
  const devices = useMemo(() => items.filter((i): i is Device => i.kind === 'device'), [items]);
  const able = useMemo(() => devices.filter(({ family }) => servesJob(family, job)), [devices, job]);
  const { state, stop, again } = useFitMap(job, ropes, devices);
  const ready = state.kind === 'done';
  const empty = ropes.length === 0 || devices.length === 0;

  return (
    <div className="mx-auto max-w-6xl px-4 py-6">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1>Fit</h1>
          <p className="mt-1 text-ink-2">
            Which rope in which device, by declared ranges and by what each family is known for.{' '}
            <Link className="font-semibold text-act underline" to={`/${name}/connectors`}>
              Connectors in devices
            </Link>
          </p>
        </div>
        <button
          type="button"
          className="btn"
          disabled={!ready}
          onClick={() => ready && downloadText(`zevrin-fit-${job}.csv`, fitCsv(job, ropes, devices), 'text/csv')}
        >
          <FileDown aria-hidden className="size-5" />
          Save as CSV
        </button>
      </div>
      <div className="mt-4 grid gap-3 sm:grid-cols-3">
        <label className="text-sm font-semibold">
          Job
          <select
            className="field mt-1 text-base font-normal"
            value={job}
            onChange={(event) => setQuery({ job: event.target.value }, { replace: true })}
          >
            {JOB_KEYS.map((key) => (
              <option key={key} value={key}>
                {JOBS[key]}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm font-semibold">
          Order
          <select
            className="field mt-1 text-base font-normal"
            value={order}
            onChange={(event) => setOrder(event.target.value as Order)}
          >
            {Object.entries(ORDERS).map(([key, label]) => (
              <option key={key} value={key}>
                {label}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm font-semibold">
          Only names with
          <input
            className="field mt-1 text-base font-normal"
            value={filter}
            onChange={(event) => setFilter(event.target.value)}
          />
        </label>
      </div>
      <label className="mt-1 flex min-h-11 w-fit items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-(--act)"
          checked={onlyAble}
          onChange={(event) => setOnlyAble(event.target.checked)}
        />
        Only devices that can do it
      </label>
      {empty && (
        <p className="mt-8">
          A rope and a device are needed.{' '}
          <Link className="font-semibold text-act underline" to={`/${name}/locker`}>
            To the locker
          </Link>
        </p>
      )}
      {!empty && (
        <WorkProgress
          state={state}
          says={(done) => `${done} of ${ropes.length} ropes`}
          of={ropes.length}
          onStop={stop}
          onAgain={again}
        />
      )}
      {ready && !empty && (
        <FitTable
          key={job}
          job={job}
          cells={state.result}
          ropes={ropes}
          devices={onlyAble ? able : devices}
          order={order}
          filter={filter}
        />
      )}
      <SideBySide job={job} devices={able} />
    </div>
  );
}

interface FitTableProps {
  readonly job: Job;
  readonly cells: readonly FitMark[];
  readonly ropes: readonly Rope[];
  readonly devices: readonly Device[];
  readonly order: Order;
  readonly filter: string;
}

/** How good each row and column is, for "best fit first": clear counts most. */
function goodness(cells: readonly FitMark[]): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const { ropeId, deviceId, severity } of cells)
    for (const id of [ropeId, deviceId]) sums.set(id, (sums.get(id) ?? 0) + SEVERITIES.indexOf(severity) ** 2);
  return sums;
}

function FitTable({ job, cells, ropes, devices, order, filter }: FitTableProps) {
  const { system } = usePreferences();
  const [chosen, setChosen] = useState<string | null>(null);
  const [ropeId, deviceId] = chosen?.split('/') ?? [];
  const [rope, device] = [ropes.find((r) => r.id === ropeId), devices.find((d) => d.id === deviceId)];
  const [finding, setFinding] = useState<number | null>(0);
  const at = useMemo(() => new Map(cells.map((c) => [`${c.ropeId}/${c.deviceId}`, c])), [cells]);
  const sums = useMemo(() => goodness(cells), [cells]);
  const good = (id: string) => sums.get(id) ?? 0;
  const wanted = filter.trim().toLowerCase();
  const match = (thing: { name: string }) => wanted === '' || thing.name.toLowerCase().includes(wanted);
  // A word that names ropes only filters ropes, one that names devices only filters devices.
  const shownRopes = ropes.some(match) ? ropes.filter(match) : ropes;
  const shownDevices = devices.some(match) ? devices.filter(match) : devices;
  const none = wanted !== '' && !ropes.some(match) && !devices.some(match);
  const byName = (a: { name: string }, b: { name: string }) => a.name.localeCompare(b.name);
  const sortedRopes = [...shownRopes].sort((a, b) => {
    if (order === 'diameter') return diameterOf(a).diameterMm.best - diameterOf(b).diameterMm.best || byName(a, b);
    if (order === 'fit') return good(b.id) - good(a.id) || byName(a, b);
    return byName(a, b);
  });
  const sortedDevices = [...shownDevices].sort((a, b) =>
    order === 'fit' ? good(b.id) - good(a.id) || byName(a, b) : byName(a, b),
  );
  const cellOf = (r: Rope, d: Device) => at.get(`${r.id}/${d.id}`)!;
  const marginOf = (r: Rope, d: Device) => {
    const { marginMm } = cellOf(r, d);
    return marginMm === null ? '' : printNumber(marginMm, 'diameterMm', system);
  };
  const shown = sortedRopes.flatMap((r) => sortedDevices.map((d) => at.get(`${r.id}/${d.id}`)!));
  const count = (severity: Severity) => shown.filter((c) => c.severity === severity).length;

  return (
    <>
      <p className="mt-4 flex flex-wrap gap-x-5 gap-y-1">
        {SEVERITIES.map((s) => (
          <span key={s} className="flex items-center gap-2">
            <SeverityMark severity={s} withWord size={16} />
            <span className="num">{count(s)}</span>
          </span>
        ))}
        <span className="text-ink-2">
          Numbers: {system === 'metric' ? 'mm' : 'inches'} to the nearer limit of the declared range.
        </span>
      </p>
      {none ? (
        <p className="mt-6">No rope and no device has “{filter}” in its name.</p>
      ) : (
        <div className="mt-3 grid gap-5 lg:grid-cols-[minmax(0,1fr)_21rem]">
          <MapTable
            label="Fit map"
            corner="Rope"
            rows={sortedRopes}
            columns={sortedDevices}
            about={(r) => printQuantity(diameterOf(r).diameterMm.best, 'diameterMm', system)}
            chosen={(r, d) => chosen === `${r.id}/${d.id}`}
            onChoose={(r, d) => {
              setChosen(`${r.id}/${d.id}`);
              setFinding(0);
            }}
            cellLabel={(r, d) => {
              const margin = marginOf(r, d);
              return `${r.name} in ${d.name}: ${SEVERITY_WORDS[cellOf(r, d).severity]}${margin ? `, ${margin} to the limit` : ''}`;
            }}
            cell={(r, d) => (
              <>
                <SeverityMark severity={cellOf(r, d).severity} size={16} />
                <span className="num text-xs text-ink-2">{marginOf(r, d)}</span>
              </>
            )}
          />
          <section aria-label="Chosen pair">
            {rope && device ? (
              <>
                <h2 role="status" className="text-lg font-bold">
                  {rope.name} in {device.name}
                </h2>
                <div className="mt-2">
                  <FindingList findings={fitCell(job, rope, device).findings} chosen={finding} onChoose={setFinding} />
                </div>
              </>
            ) : (
              <p className="text-ink-2">Choose a pair to see why.</p>
            )}
          </section>
        </div>
      )}
    </>
  );
}
