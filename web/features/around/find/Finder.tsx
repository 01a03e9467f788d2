import { Search } from 'lucide-react';
import { useEffect, useState } from 'react';
import { onSearchKey } from '../../../app/search-key';
import { lazyPart } from '../../../ui/part';

const Palette = lazyPart('The search', () => import('./Palette').then((m) => m.Palette));

/** The button that finds everything, and its key. */
export function Finder() {
  const [open, setOpen] = useState(false);
  useEffect(() => onSearchKey(() => setOpen(true)), []);
  return (
    <>
      <button
        type="button"
        className="btn border-0 bg-transparent px-2"
        aria-haspopup="dialog"
        aria-label="Find anything"
        title="Find anything (Ctrl+K)"
        onClick={() => setOpen(true)}
      >
        <Search aria-hidden className="size-5" />
      </button>
      {open && <Palette onClose={() => setOpen(false)} />}
    </>
  );
}
