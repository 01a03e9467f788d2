import { Download, RotateCcw } from 'lucide-react';
import { use } from 'react';
import { writeWorkspace } from '@core/files';
import { Place } from '../app/place';
import { openDatabase, WORKSPACES } from '../storage/database';
import { downloadText } from './download';
import { NotLoaded } from './not-loaded';
import { Reload } from './Reload';

interface FailedProps {
  /** What it is for the reader, as "The drawing". */
  readonly what: string;
  readonly error: unknown;
  readonly onAgain: () => void;
}

/** Everything that is stored, straight from the disk: for when the page around it is what failed. */
async function saveFromDisk() {
  for (const name of WORKSPACES) {
    const database = await openDatabase(name);
    const { workspace } = await database.load();
    database.close();
    if (Object.values(workspace).some((list) => list.length > 0))
      downloadText(`zevrin-${name}.zevrin.json`, writeWorkspace(workspace));
  }
}

/** Stands where a part of the page failed: what happened, and what can be done about it. */
export function Failed({ what, error, onAgain }: FailedProps) {
  const place = use(Place);
  const save = () => {
    if (place) downloadText(`zevrin-${place.name}.zevrin.json`, writeWorkspace(place.store.getState().workspace.data));
    else void saveFromDisk();
  };
  return (
    <div
      role="alert"
      className="col-span-full m-3 max-w-2xl rounded-lg bg-stop-wash p-4 text-stop"
      data-testid="failed"
    >
      {error instanceof NotLoaded ? (
        <p>
          <strong>{what} could not be loaded.</strong> Either there is no network, or a new version of Zevrin has come
          out since this page was opened. What you entered is kept.
        </p>
      ) : (
        <p>
          <strong>{what} cannot be shown.</strong> This is a fault of Zevrin, not of what you entered, and what you
          entered is kept. Do not take what is missing here for “nothing found”.
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <button type="button" className="btn btn-act" onClick={onAgain}>
          <RotateCcw aria-hidden className="size-5" />
          Try again
        </button>
        <button type="button" className="btn" onClick={save}>
          <Download aria-hidden className="size-5" />
          Save my data to a file
        </button>
        <Reload />
      </div>
      <details className="mt-2">
        <summary className="cursor-pointer text-sm">What the browser says</summary>
        <code className="num text-sm break-words">{error instanceof Error ? error.message : String(error)}</code>
      </details>
    </div>
  );
}
