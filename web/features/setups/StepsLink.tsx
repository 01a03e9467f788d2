import { nanoid } from '@reduxjs/toolkit';
import { ListOrdered } from 'lucide-react';
import { Link, useNavigate } from 'react-router';
import { sequenceOf } from '@core/check';
import type { Setup } from '@core/rig';
import { usePlace } from '../../app/place';
import { addSequence } from '../../store/sequence-edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited } from '../../store/workspace-slice';

/** Leads to the order of steps that makes this set-up: to the one it has already, or to a new one from the shipped procedure. */
export function StepsLink({ setup }: { setup: Setup }) {
  const { sequences } = useWorkspace();
  const { name: place } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const shipped = sequenceOf(setup);
  const name = `Steps: ${setup.name}`.slice(0, 80);
  const own = shipped && sequences.find((s) => s.procedure === shipped.procedure && s.name === name);
  if (!shipped)
    return (
      <p className="text-sm text-ink-2">
        No order of steps is shipped for this rig yet.{' '}
        <Link className="text-act underline" to={`/${place}/steps`}>
          Those there are
        </Link>
      </p>
    );
  const take = () => {
    const now = new Date().toISOString();
    const sequence = { ...shipped, id: nanoid(), name, createdAt: now, updatedAt: now };
    dispatch(edited(addSequence(sequence)));
    void navigate(`/${place}/steps/${sequence.id}`);
  };
  const words = (
    <>
      <ListOrdered aria-hidden className="size-5" />
      Order of steps
    </>
  );
  return own ? (
    <Link className="btn" to={`/${place}/steps/${own.id}`}>
      {words}
    </Link>
  ) : (
    <button type="button" className="btn" onClick={take}>
      {words}
    </button>
  );
}
