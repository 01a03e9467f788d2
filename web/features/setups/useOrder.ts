import { nanoid } from '@reduxjs/toolkit';
import { useNavigate } from 'react-router';
import { sequenceOf } from '@core/check';
import type { Setup } from '@core/rig';
import { usePlace } from '../../app/place';
import { addSequence } from '../../store/sequence-edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited } from '../../store/workspace-slice';

/** The order of steps that makes this set-up: goes to the one it has already, or to a new one from the shipped procedure; null where none is shipped. */
export function useOrder(setup: Setup): (() => void) | null {
  const { sequences } = useWorkspace();
  const { name: place } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const shipped = sequenceOf(setup);
  if (!shipped) return null;
  const name = `Steps: ${setup.name}`.slice(0, 80);
  const own = sequences.find((s) => s.procedure === shipped.procedure && s.name === name);
  return () => {
    if (own) return void navigate(`/${place}/steps/${own.id}`);
    const now = new Date().toISOString();
    const sequence = { ...shipped, id: nanoid(), name, createdAt: now, updatedAt: now };
    dispatch(edited(addSequence(sequence)));
    void navigate(`/${place}/steps/${sequence.id}`);
  };
}
