import { useState } from 'react';
import { pairFindings } from '@core/things/connector';
import type { Connector, Device } from '@core/things/gear';
import { FindingList } from '../../rig/setups/FindingList';

const ARRANGEMENTS = {
  both: { label: 'Gates opposed and reversed', opposed: true, reversed: true },
  opposed: { label: 'Gates opposed, hinges at the same end', opposed: true, reversed: false },
  same: { label: 'Gates on the same side', opposed: false, reversed: false },
} as const;

interface PairBoxProps {
  readonly connector: Connector;
  readonly device: Device;
  readonly others: readonly Connector[];
}

/** A second connector beside the first one. */
export function PairBox({ connector, device, others }: PairBoxProps) {
  const [second, setSecond] = useState('');
  const [how, setHow] = useState<keyof typeof ARRANGEMENTS>('both');
  const [chosen, setChosen] = useState<number | null>(0);
  const beside = others.find((c) => c.id === second);
  return (
    <details className="mt-4 max-w-2xl">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">Two connectors side by side</summary>
      <div className="grid gap-3 sm:grid-cols-2">
        <label className="text-sm font-semibold">
          Beside it
          <select
            className="field mt-1 text-base font-normal"
            value={second}
            onChange={(event) => setSecond(event.target.value)}
          >
            <option value="">None</option>
            {others
              .filter((c) => c.id !== connector.id)
              .map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
          </select>
        </label>
        <label className="text-sm font-semibold">
          How
          <select
            className="field mt-1 text-base font-normal"
            value={how}
            onChange={(event) => setHow(event.target.value as keyof typeof ARRANGEMENTS)}
          >
            {Object.entries(ARRANGEMENTS).map(([key, { label }]) => (
              <option key={key} value={key}>
                {label}
              </option>
            ))}
          </select>
        </label>
      </div>
      {beside && (
        <div className="mt-3">
          <FindingList
            findings={pairFindings({ connectors: [connector, beside], device, ...ARRANGEMENTS[how] })}
            chosen={chosen}
            onChoose={setChosen}
          />
        </div>
      )}
    </details>
  );
}
