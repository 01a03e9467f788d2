import { nanoid } from '@reduxjs/toolkit';
import { FileDown } from 'lucide-react';
import { useState } from 'react';
import { wayKey } from '@core/things/connector';
import { decodeText } from '@core/records/files';
import type { Connector, Device } from '@core/things/gear';
import { usePreferences } from '../../../app/preferences';
import { addTests } from '../../../store/test-edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { downloadText } from '../../../ui/download';
import { FileButton } from '../../../ui/FileButton';
import { useToast } from '../../../ui/Toasts';
import { factsOf } from '../locker/kinds';
import { readTestsCsv, type Asked, type Chosen } from './tests-csv';

/** Bytes. */
const LARGEST_CSV = 20_000_000;

/** A file that waits for an answer about a name. */
interface Asking {
  readonly name: string;
  readonly text: string;
  readonly chosen: Chosen;
  readonly asked: Asked;
}

interface TestsFileProps {
  readonly connectors: readonly Connector[];
  readonly devices: readonly Device[];
  /** Makes the file; null while the map is not there. */
  readonly csv: (() => string) | null;
}

/** Own tests in from a CSV file, the whole map out as one. */
export function TestsFile({ connectors, devices, csv }: TestsFileProps) {
  const { wayTests } = useWorkspace();
  const dispatch = useAppDispatch();
  const say = useToast();
  const { system } = usePreferences();
  const [refused, setRefused] = useState<string | null>(null);
  const [asking, setAsking] = useState<Asking | null>(null);
  const open = async (file: File) => {
    const text = decodeText(new Uint8Array(await file.slice(0, LARGEST_CSV + 1).arrayBuffer()), LARGEST_CSV);
    if (text.ok) return read({ name: file.name, text: text.value }, {});
    setAsking(null);
    setRefused(`${file.name}: ${text.issues[0]!.message} Nothing was taken from it.`);
  };
  const read = (file: Pick<Asking, 'name' | 'text'>, chosen: Chosen) => {
    const result = readTestsCsv(file.text, connectors, devices, new Date().toISOString(), nanoid, chosen);
    setRefused(null);
    setAsking(null);
    if (!result.ok && 'asked' in result) return setAsking({ ...file, chosen, asked: result.asked });
    if (!result.ok)
      return setRefused(`${file.name}, line ${result.line}: ${result.message} Nothing was taken from it.`);
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
      <FileButton
        label="Own tests from a CSV file"
        accept=".csv,text/csv"
        text="Own tests from CSV"
        onFile={(file) => void open(file)}
      />
      <button
        type="button"
        className="btn"
        disabled={!csv}
        onClick={() => csv && downloadText('zevrin-connectors.csv', csv(), 'text/csv')}
      >
        <FileDown aria-hidden className="size-5" />
        Save as CSV
      </button>
      {asking && (
        <div role="alert" className="w-full rounded bg-untested-wash px-3 py-2 text-untested">
          <p>
            {asking.name} names “{asking.asked.name}”, and there are {asking.asked.candidates.length} of that name.
            Which {asking.asked.what} is meant?
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            {asking.asked.candidates.map((candidate) => (
              <button
                key={candidate.id}
                type="button"
                className="btn"
                onClick={() =>
                  read(asking, { ...asking.chosen, [`${asking.asked.what}/${asking.asked.name}`]: candidate.id })
                }
              >
                {factsOf(candidate, system).join(', ')}
              </button>
            ))}
            <button type="button" className="btn border-0 bg-transparent" onClick={() => setAsking(null)}>
              Leave the file
            </button>
          </div>
        </div>
      )}
      {refused && (
        <p role="alert" className="w-full rounded bg-stop-wash px-3 py-2 text-stop">
          {refused}
        </p>
      )}
    </div>
  );
}
