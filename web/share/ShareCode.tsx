import { Copy, Share2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useToast } from '../ui/Toasts';
import { CrispQrCode } from './CrispQrCode';
import { canPack } from './link';
import { useShareLink } from './useShareLink';

// Without a secure connection there is no clipboard to write to.
const copied = async (text: string) => navigator.clipboard.writeText(text);

interface ShareCodeProps {
  /** The document, as it would be saved. */
  readonly written: string;
  readonly name: string;
  /** Stands beside the buttons. */
  readonly children?: ReactNode;
}

/** A document for the other phone: a code for its camera, and the link to send where that does not take it. */
export function ShareCode({ written, name, children }: ShareCodeProps) {
  const say = useToast();
  const ready = useShareLink(written);
  const link = ready?.link ?? null;
  return (
    <>
      {!canPack() && (
        <p role="alert" className="mt-4 rounded-lg bg-mind-wash px-4 py-2 text-mind">
          This browser cannot pack a set-up into a link. Save the set-up to a file and send that.
        </p>
      )}
      <div className="-mx-3 mt-4 aspect-square border border-line bg-white sm:mx-0">
        {ready?.squares && <CrispQrCode name={name} squares={ready.squares} />}
        {ready && !ready.squares && <p className="p-4 text-black">This is too large for a code. Send the link.</p>}
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
            onClick={() => void navigator.share({ title: name, url: link! }).catch(() => undefined)}
          >
            <Share2 aria-hidden className="size-5" />
            Send it …
          </button>
        )}
        {children}
      </div>
      <label className="mt-4 block text-sm font-semibold">
        The link
        <input className="field num mt-1" readOnly value={link ?? ''} onFocus={(event) => event.target.select()} />
      </label>
    </>
  );
}
