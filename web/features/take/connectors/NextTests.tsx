import { wayKey, wayName, type NextTest } from '@core/things/connector';
import type { Connector, Device } from '@core/things/gear';
import { SeverityMark } from '../../../ui/SeverityMark';

interface NextTestsProps {
  readonly next: readonly NextTest[];
  readonly connectors: readonly Connector[];
  readonly devices: readonly Device[];
  readonly onPick: (connectorId: string, deviceId: string, way: string) => void;
}

/** What to try next, by risk. */
export function NextTests({ next, connectors, devices, onPick }: NextTestsProps) {
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
