import { Download, RotateCcw } from 'lucide-react';
import { use, useState } from 'react';
import { Place } from '../app/place';
import { NotLoaded } from './not-loaded';
import { Reload } from './Reload';

interface FailedProps {
  /** What it is for the reader, as "The drawing". */
  readonly what: string;
  readonly error: unknown;
  readonly onAgain: () => void;
}

/** Stands where a part of the page failed: what happened, and what can be done about it. */
export function Failed({ what, error, onAgain }: FailedProps) {
  const place = use(Place);
  const [unsaved, setUnsaved] = useState(false);
  // In a workspace what writes a file is there already; on the first page it is loaded for this.
  const save = async () => {
    try {
      const { saveFromDisk, saveOpen } = await import('./save-all');
      if (place) saveOpen(place.name, place.store);
      else await saveFromDisk();
    } catch {
      setUnsaved(true);
    }
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
      {unsaved && (
        <p className="mt-2">
          The file could not be made here. Load the page again: what you entered is on this device.
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <button type="button" className="btn btn-act" onClick={onAgain}>
          <RotateCcw aria-hidden className="size-5" />
          Try again
        </button>
        <button type="button" className="btn" onClick={() => void save()}>
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
