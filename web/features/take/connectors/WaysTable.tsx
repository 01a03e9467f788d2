import { nanoid } from '@reduxjs/toolkit';
import { Undo2 } from 'lucide-react';
import { testsOf, WAY_RESULTS, wayKey, wayName, type Way, type WayReport, type WayTest } from '@core/things/connector';
import type { Connector, Device } from '@core/things/gear';
import { renderFinding } from '@core/foundations/finding';
import { printQuantity } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { addTests, removeTest } from '../../../store/test-edits';
import { useAppDispatch } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { SeverityMark } from '../../../ui/SeverityMark';

interface WaysTableProps {
  readonly connector: Connector;
  readonly device: Device;
  readonly reports: readonly WayReport[];
  readonly tests: readonly WayTest[];
  readonly chosen: string;
  readonly onChoose: (key: string) => void;
}

/** Every way of one pair, best first: the verdict, the millimetres, and what happened when it was tried. */
export function WaysTable({ connector, device, reports, tests, chosen, onChoose }: WaysTableProps) {
  const reader = usePreferences();
  const { system } = reader;
  const dispatch = useAppDispatch();
  const record = (way: Way, result: WayTest['result']) =>
    dispatch(
      edited(
        addTests([
          {
            id: nanoid(),
            connectorId: connector.id,
            deviceId: device.id,
            way,
            result,
            at: new Date().toISOString(),
            note: '',
          },
        ]),
      ),
    );
  return (
    <ul className="divide-y divide-line border-y border-line" aria-label="Ways to clip it">
      {reports.map(({ way, severity, findings, playMm, strengthLeftKn }, place) => {
        const key = wayKey(way);
        const own = testsOf(tests, connector.id, device.id, way);
        const last = own.at(-1);
        const name = wayName(way, connector, device);
        return (
          <li key={key} data-way={key} data-severity={severity} className={chosen === key ? 'bg-sunk' : ''}>
            <button
              type="button"
              aria-pressed={chosen === key}
              className="flex min-h-12 w-full flex-wrap items-start gap-2.5 px-2 py-2 text-left hover:bg-sunk"
              onClick={() => onChoose(key)}
            >
              <SeverityMark severity={severity} size={18} />
              <span className="min-w-0 flex-[1_1_10rem]">
                <span className={place === 0 ? 'font-bold' : ''}>
                  {place === 0 ? (severity === 'stop' ? 'Least bad: ' : 'Best: ') : ''}
                  {name}
                </span>
                {severity !== 'clear' && (
                  <span className="block text-sm text-ink-2">{renderFinding(findings[0]!, reader).says}</span>
                )}
              </span>
              <span className="num ml-auto text-right text-sm text-ink-2">
                {playMm !== null && Number.isFinite(playMm) && (
                  <span className="block">play {printQuantity(playMm, 'diameterMm', system)}</span>
                )}
                {strengthLeftKn && (
                  <span className="block" title="Strength left in the worst case of this way">
                    {printQuantity(strengthLeftKn.low, 'strengthKn', system)} left
                  </span>
                )}
              </span>
            </button>
            {chosen === key && (
              <p className="flex flex-wrap items-center gap-2 px-2 pb-2 pl-10">
                <label className="flex min-w-0 flex-wrap items-center gap-2 text-sm">
                  When I tried it
                  <select
                    className="field w-auto"
                    value=""
                    onChange={(event) => record(way, event.target.value as WayTest['result'])}
                  >
                    <option value="" disabled>
                      {last ? WAY_RESULTS[last.result] : 'Not tried'}
                    </option>
                    {Object.entries(WAY_RESULTS).map(([value, label]) => (
                      <option key={value} value={value}>
                        {label}
                      </option>
                    ))}
                  </select>
                </label>
                {own.length > 0 && (
                  <>
                    <span className="text-sm text-ink-2">
                      {own.length === 1 ? 'tried once' : `tried ${own.length} times`}
                    </span>
                    <button type="button" className="btn border-0" onClick={() => dispatch(edited(removeTest(last!)))}>
                      <Undo2 aria-hidden className="size-4" />
                      Take back the last
                    </button>
                  </>
                )}
              </p>
            )}
          </li>
        );
      })}
    </ul>
  );
}
