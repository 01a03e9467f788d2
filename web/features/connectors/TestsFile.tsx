import { nanoid } from '@reduxjs/toolkit';
import { FileDown } from 'lucide-react';
import { useState } from 'react';
import { wayKey } from '@core/connector';
import type { Connector, Device } from '@core/gear';
import { addTests } from '../../store/test-edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited } from '../../store/workspace-slice';
import { downloadText } from '../../ui/download';
import { FileButton } from '../../ui/FileButton';
import { useToast } from '../../ui/Toasts';
import { readTestsCsv } from './tests-csv';

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
      <FileButton
        label="Own tests from a CSV file"
        accept=".csv,text/csv"
        text="Own tests from CSV"
        onFile={(file) => void read(file)}
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
      {refused && (
        <p role="alert" className="w-full rounded bg-stop-wash px-3 py-2 text-stop">
          {refused}
        </p>
      )}
    </div>
  );
}
