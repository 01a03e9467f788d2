import { useEffect, useMemo, useRef, useState } from 'react';
import { judgeTestedWays, wayKey } from '@core/things/connector';
import { JOBS, usualLoad, type Connector, type Device, type Job } from '@core/things/gear';
import { printQuantity } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { LazyClipDrawing } from '../../../drawing/lazy-clip';
import { useWorkspace } from '../../../store/hooks';
import { FindingList } from '../../rig/setups/FindingList';
import { PairBox } from './PairBox';
import { WaysTable } from './WaysTable';

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

/** One connector in one device: drawn, every way with its verdict, and what was found about the chosen one. */
export function Pair({ job, massKg, brakeHand, connector, device, way, onWay, others }: PairProps) {
  const { system } = usePreferences();
  const { wayTests } = useWorkspace();
  const [finding, setFinding] = useState<number | null>(null);
  const reports = useMemo(
    () => judgeTestedWays({ load: usualLoad(job, massKg), connector, device }, wayTests),
    [job, massKg, connector, device, wayTests],
  );
  const shown = reports.find((r) => wayKey(r.way) === way) ?? reports[0]!;
  // Under a large map the pair would be out of sight.
  const section = useRef<HTMLElement>(null);
  useEffect(() => {
    // What it gives back is no way to end it: newer browsers give a promise, and the page would break when it is left.
    void section.current?.scrollIntoView({ block: 'nearest' });
  }, []);
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
