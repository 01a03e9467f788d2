import type { Remote } from 'comlink';
import { useCallback, useMemo } from 'react';
import { Link } from 'react-router';
import { JOB_KEYS, JOBS, servesJob, type Connector, type Device, type Job } from '@core/things/gear';
import { usePlace } from '../../../app/place';
import { useTitle } from '../../../app/useTitle';
import { useWorkspace } from '../../../store/hooks';
import { WorkProgress } from '../../../ui/WorkProgress';
import { useWorkerJob } from '../../../workers/useWorkerJob';
import type { WaysWorker } from '../../../workers/ways-worker';
import { NextTests } from './NextTests';
import { Pair } from './Pair';
import { TestsFile } from './TestsFile';
import { waysCsv } from './tests-csv';
import { WaysMap } from './WaysMap';
import { useQuery } from '../../../ui/useQuery';

const create = () => new Worker(new URL('../../../workers/ways-worker.ts', import.meta.url), { type: 'module' });
const isJob = (text: string | null): text is Job => JOB_KEYS.some((j) => j === text);

/** Every connector of the locker in every device, each in its ways, with the person's own tests. */
export function ConnectorsPage() {
  useTitle('Connectors in devices');
  const { name } = usePlace();
  const { items, people, wayTests } = useWorkspace();
  const [query, changeQuery] = useQuery();
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
  const set = (key: string, value: string) => changeQuery((now) => ({ ...Object.fromEntries(now), [key]: value }));
  const pick = (connectorId: string, deviceId: string, way?: string) =>
    changeQuery((now) => {
      const next = { ...Object.fromEntries(now), pair: `${connectorId}/${deviceId}` };
      return way ? { ...next, way } : next;
    });
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
