import { Copy, Share2 } from 'lucide-react';
import { Link, useParams } from 'react-router';
import type { Setup } from '@core/rigs/rig';
import { NotFound } from '../../../app/NotFound';
import { usePlace } from '../../../app/place';
import { useTitle } from '../../../app/useTitle';
import { CrispQrCode } from '../../../share/CrispQrCode';
import { canPack } from '../../../share/link';
import { useShareLink } from '../../../share/useShareLink';
import { useWorkspace } from '../../../store/hooks';
import { useToast } from '../../../ui/Toasts';

// Without a secure connection there is no clipboard to write to.
const copied = async (text: string) => navigator.clipboard.writeText(text);

export function SharePage() {
  const { setupId } = useParams();
  const setup = useWorkspace().setups.find((s) => s.id === setupId);
  return setup ? <Share setup={setup} /> : <NotFound what="This set-up" />;
}

function Share({ setup }: { setup: Setup }) {
  useTitle(`Share ${setup.name}`);
  const { name: place } = usePlace();
  const say = useToast();
  const ready = useShareLink(setup);
  const link = ready?.link ?? null;
  const people = setup.persons.flatMap((p) => p.item?.name ?? []);
  return (
    <div className="mx-auto max-w-xl px-4 py-5">
      <h1 className="text-xl font-bold">Share {setup.name}</h1>
      <p className="mt-1">
        Your partner points the camera at the code, or opens the link, and gets a copy to look at and to check.
      </p>
      <p className="mt-1 text-sm text-ink-2">
        The set-up travels in the link itself. Nothing is sent to a server by this page
        {people.length > 0
          ? `; whoever has the link can read what is in it, ${people.join(' and ')} with weight and measures too`
          : ''}
        .
      </p>
      {!canPack() && (
        <p role="alert" className="mt-4 rounded-lg bg-mind-wash px-4 py-2 text-mind">
          This browser cannot pack a set-up into a link. Save the set-up to a file and send that.
        </p>
      )}
      <div className="-mx-3 mt-4 aspect-square border border-line bg-white sm:mx-0">
        {ready?.squares && <CrispQrCode name={setup.name} squares={ready.squares} />}
        {ready && !ready.squares && (
          <p className="p-4 text-black">This set-up is too large for a code. Send the link, or the file.</p>
        )}
      </div>
      <p className="mt-2 text-sm text-ink-2">
        The code is a fine one: screen bright, phones still, the whole square in the picture. If the camera does not
        take it, send the link.
      </p>
      <div className="mt-4 flex flex-wrap gap-3">
        <button
          type="button"
          className="btn btn-act"
          disabled={link === null}
          onClick={() =>
            void copied(link!).then(
              () => say('The link is copied.'),
              () => say('The browser did not allow copying. Mark the link and copy it.'),
            )
          }
        >
          <Copy aria-hidden className="size-5" />
          Copy the link
        </button>
        {typeof navigator.share === 'function' && (
          <button
            type="button"
            className="btn"
            disabled={link === null}
            onClick={() => void navigator.share({ title: setup.name, url: link! }).catch(() => undefined)}
          >
            <Share2 aria-hidden className="size-5" />
            Send it …
          </button>
        )}
        <Link className="btn" to={`/${place}/setups/${setup.id}`}>
          Back to the set-up
        </Link>
      </div>
      <label className="mt-4 block text-sm font-semibold">
        The link
        <input className="field num mt-1" readOnly value={link ?? ''} onFocus={(event) => event.target.select()} />
      </label>
    </div>
  );
}
