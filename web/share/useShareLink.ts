import { useEffect, useState } from 'react';
import type { Setup } from '@core/rigs/rig';
import { usePlace } from '../app/place';
import { canPack, codeOf } from './link';
import { squaresOf, type Squares } from './squares';

export interface ShareLink {
  readonly link: string;
  /** One path for all dark squares; null where the link is too long for a code. */
  readonly squares: Squares | null;
}

/**
 * The link that carries a set-up, and its QR code; null while they are made, and where the browser cannot make them.
 */
export function useShareLink(setup: Setup): ShareLink | null {
  const { name: place } = usePlace();
  const [ready, setReady] = useState<(ShareLink & { readonly of: Setup }) | null>(null);
  useEffect(() => {
    let gone = false;
    if (!canPack()) return;
    void codeOf(setup).then((code) => {
      if (gone) return;
      const link = `${location.origin}${import.meta.env.BASE_URL}${place}/open#${code}`;
      setReady({ of: setup, link, squares: squaresOf(link) });
    });
    return () => {
      gone = true;
    };
  }, [setup, place]);
  return ready?.of === setup ? ready : null;
}
