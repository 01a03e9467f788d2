import { nanoid } from '@reduxjs/toolkit';
import { Anchor, Copy, FileDown, Printer, QrCode, Trash2 } from 'lucide-react';
import { Link, useNavigate } from 'react-router';
import { writeSetup } from '@core/records/files';
import type { Setup } from '@core/rigs/rig';
import { usePlace } from '../../../app/place';
import { addSetup, removeSetup } from '../../../store/edits';
import { useAppDispatch } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { downloadText } from '../../../ui/download';
import { useUndoable } from '../../../ui/useUndoable';
import { named } from '../../../ui/named';

/** What can be done with the set-up as a whole; with words on a phone, where they stand at the end. */
export function SetupActions({ setup, words }: { setup: Setup; words: boolean }) {
  const { name } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const act = useUndoable();
  const copy = () => {
    const now = new Date().toISOString();
    const twin: Setup = {
      ...setup,
      id: nanoid(),
      name: named(setup.name, ' (copy)'),
      createdAt: now,
      updatedAt: now,
    };
    dispatch(edited(addSetup(twin)));
    void navigate(`/${name}/setups/${twin.id}`);
  };
  const remove = () => {
    act(removeSetup(setup), `${setup.name} is removed.`);
    void navigate(`/${name}/setups`);
  };
  const look = words ? 'btn justify-start' : 'btn border-0 bg-transparent px-2.5';
  const label = (text: string) => (words ? <span>{text}</span> : <span className="sr-only">{text}</span>);
  return (
    <>
      <Link className={look} to="holds" title="What still holds">
        <Anchor aria-hidden className="size-5" />
        {label('What still holds')}
      </Link>
      <Link className={look} to="card" title="Set-up card to print">
        <Printer aria-hidden className="size-5" />
        {label('Set-up card to print')}
      </Link>
      <Link className={look} to="share" title="Share it">
        <QrCode aria-hidden className="size-5" />
        {label('Share it')}
      </Link>
      <button
        type="button"
        className={look}
        title="Save as a file"
        onClick={() => downloadText(`${setup.name}.zevrin.json`, writeSetup(setup))}
      >
        <FileDown aria-hidden className="size-5" />
        {label('Save as a file')}
      </button>
      <button type="button" className={look} title="Make a copy" onClick={copy}>
        <Copy aria-hidden className="size-5" />
        {label('Make a copy')}
      </button>
      <button type="button" className={look} title="Remove this set-up" onClick={remove}>
        <Trash2 aria-hidden className="size-5" />
        {label('Remove this set-up')}
      </button>
    </>
  );
}
