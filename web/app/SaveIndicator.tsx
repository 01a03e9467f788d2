import { Check, CloudOff, LoaderCircle } from 'lucide-react';
import { Link } from 'react-router';
import { useAppSelector } from '../store/hooks';
import { Reload } from '../ui/Reload';
import { usePlace } from './place';

/** Says "Saved" only when everything is on disk. */
export function SaveIndicator() {
  const save = useAppSelector((s) => s.workspace.save);
  const { name, sync } = usePlace();
  if (save.kind === 'failed') {
    return (
      <span role="alert" className="flex items-center gap-2 rounded bg-stop-wash px-2 text-stop">
        <CloudOff aria-hidden className="size-5" />
        <span>
          Not saved<span className="hidden md:inline">: {save.message}</span>
        </span>
        {save.gone ? (
          <>
            {/* What is on the screen is all there is: a copy first. */}
            <Link className="btn min-h-8 px-2 py-0" to={`/${name}/files`}>
              Take a copy
            </Link>
            <Reload className="btn min-h-8 px-2 py-0" />
          </>
        ) : (
          <button type="button" className="btn min-h-8 px-2 py-0" onClick={sync.retry}>
            Try again
          </button>
        )}
      </span>
    );
  }
  if (save.kind === 'saved' && save.afterFull)
    return (
      <span role="alert" className="flex items-center gap-2 rounded bg-mind-wash px-2 text-mind">
        <span data-testid="save-state">Saved</span>
        <span className="hidden md:inline">The device was full. Take a copy before you close the browser.</span>
        <Link className="btn min-h-8 px-2 py-0" to={`/${name}/files`}>
          Take a copy
        </Link>
      </span>
    );
  const saving = save.kind === 'saving';
  return (
    <span role="status" data-testid="save-state" className="flex items-center gap-1 px-1 text-sm text-ink-2">
      {saving ? <LoaderCircle aria-hidden className="size-4" /> : <Check aria-hidden className="size-4" />}
      <span className="sr-only md:not-sr-only">{saving ? 'Saving' : 'Saved'}</span>
    </span>
  );
}
