import { PencilLine } from 'lucide-react';
import { useMemo } from 'react';
import { SEVERITIES } from '@core/foundations/finding';
import type { Connector, Device } from '@core/things/gear';
import { printNumber } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { MapTable } from '../../../ui/MapTable';
import { SeverityMark } from '../../../ui/SeverityMark';
import type { WaysCell } from '../../../workers/ways-worker';

interface WaysMapProps {
  readonly cells: readonly WaysCell[];
  readonly connectors: readonly Connector[];
  readonly devices: readonly Device[];
  readonly chosen: string | null;
  readonly onPick: (connectorId: string, deviceId: string) => void;
}

/** Every connector in every device: the best way of each pair, its play, how many ways do, and what was tried. */
export function WaysMap({ cells, connectors, devices, chosen, onPick }: WaysMapProps) {
  const { system } = usePreferences();
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
      <div className="mt-3">
        <MapTable
          label="Connector map"
          corner="Connector"
          rows={byName(connectors)}
          columns={byName(devices)}
          chosen={(connector, device) => chosen === `${connector.id}/${device.id}`}
          onChoose={(connector, device) => onPick(connector.id, device.id)}
          cell={(connector, device) => {
            const cell = at.get(`${connector.id}/${device.id}`);
            if (!cell) return null;
            const play =
              cell.playMm === null || !Number.isFinite(cell.playMm)
                ? ''
                : printNumber(cell.playMm, 'diameterMm', system);
            return (
              <>
                <span className="sr-only">
                  {connector.name} in {device.name}:
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
              </>
            );
          }}
        />
      </div>
    </>
  );
}
