import { Check, CloudOff, LoaderCircle } from 'lucide-react';
import { useAppSelector } from '../store/hooks';
import { usePlace } from './WorkspaceProvider';

/** Says "Saved" only when everything is on disk. */
export function SaveIndicator() {
  const save = useAppSelector((s) => s.workspace.save);
  const { saver } = usePlace();
  if (save.kind === 'failed') {
    return (
      <span role="alert" className="flex items-center gap-2 rounded bg-stop-wash px-2 text-stop">
        <CloudOff aria-hidden className="size-5" />
        <span>
          Not saved<span className="hidden md:inline">: {save.message}</span>
        </span>
        <button type="button" className="btn min-h-8 px-2 py-0" onClick={saver.retry}>
          Try again
        </button>
      </span>
    );
  }
  const saving = save.kind === 'saving';
  return (
    <span role="status" data-testid="save-state" className="flex items-center gap-1 px-1 text-sm text-ink-2">
      {saving ? <LoaderCircle aria-hidden className="size-4" /> : <Check aria-hidden className="size-4" />}
      <span className="sr-only md:not-sr-only">{saving ? 'Saving' : 'Saved'}</span>
    </span>
  );
}
