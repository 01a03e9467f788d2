import { useEffect, useState } from 'react';
import { usePlace } from '../app/place';
import { canPack, codeOf } from './link';
import { squaresOf, type Squares } from './squares';

export interface ShareLink {
  readonly link: string;
  /** One path for all dark squares; null where the link is too long for a code. */
  readonly squares: Squares | null;
}

/**
 * The link that carries a document, and its QR code; null while they are made, and where the browser cannot make them.
 *
 * @param written the document as it would be saved.
 */
export function useShareLink(written: string): ShareLink | null {
  const { name: place } = usePlace();
  const [ready, setReady] = useState<(ShareLink & { readonly of: string }) | null>(null);
  useEffect(() => {
    let gone = false;
    if (!canPack()) return;
    void codeOf(written).then((code) => {
      if (gone) return;
      const link = `${location.origin}${import.meta.env.BASE_URL}${place}/open#${code}`;
      setReady({ of: written, link, squares: squaresOf(link) });
    });
    return () => {
      gone = true;
    };
  }, [written, place]);
  return ready?.of === written ? ready : null;
}
