import { X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { put, remove } from '../storage/changes';
import type { Note } from '../storage/resolve';
import { useAppDispatch } from '../store/hooks';
import { docOf } from '../store/history';
import { edited } from '../store/workspace-slice';
import { usePlace } from './place';

interface Told {
  readonly note: Note;
  readonly here: boolean;
}

const WORDS: Readonly<Record<Note['kind'], Readonly<Record<'here' | 'there', string>>>> = {
  both: {
    here: 'was changed in another tab at the same time. What was entered here, later, stands.',
    there: 'was changed in another tab at the same time. What was entered there, later, stands.',
  },
  'came-back': {
    here: 'had been taken out in another tab. It was changed here, so it is kept.',
    there: 'is kept: it was changed in another tab while it was taken out here.',
  },
  stayed: {
    here: 'was not taken out: it was changed in another tab meanwhile.',
    there: 'is kept: another tab took it out while it was changed here.',
  },
};

/** Says that a change met one of another tab, until it is read: what stands, and the way to what does not. */
export function TwoTabs() {
  const { onNotes, store } = usePlace();
  const dispatch = useAppDispatch();
  const [told, setTold] = useState<Told | null>(null);
  useEffect(() => onNotes((notes, here) => setTold({ note: notes.at(-1)!, here })), [onNotes]);
  if (!told) return null;
  const { note, here } = told;
  const { collection, id, theirs } = note;
  const other = note.kind === 'both' ? theirs : null;
  const turn = () => {
    const now = docOf(store.getState().workspace.data, note);
    setTold(null);
    if (!now) return;
    const change = other ? put(collection, now, other) : remove(collection, now);
    dispatch(edited({ label: `take the other version of ${note.name || id}`, changes: [change], mergeKey: null }));
  };
  return (
    <div
      role="alert"
      className="no-print flex flex-wrap items-center gap-x-4 gap-y-2 bg-mind-wash px-4 py-2 text-mind"
      data-testid="two-tabs"
    >
      <p className="min-w-0 shrink grow basis-60">
        <strong>{note.name ? `“${note.name}”` : 'An entry'}</strong> {WORDS[note.kind][here ? 'here' : 'there']}
      </p>
      <button type="button" className="btn" onClick={turn}>
        {note.kind !== 'both' ? 'Take it out' : here ? 'Take what was entered there' : 'Put mine back'}
      </button>
      <button
        type="button"
        className="btn border-0 bg-transparent px-2"
        aria-label="Close this message"
        onClick={() => setTold(null)}
      >
        <X aria-hidden className="size-5" />
      </button>
    </div>
  );
}
