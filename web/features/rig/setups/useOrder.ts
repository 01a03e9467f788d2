import { nanoid } from '@reduxjs/toolkit';
import { useNavigate } from 'react-router';
import { ordersOf } from '@core/answers/check';
import { PROCEDURES } from '@core/answers/procedures';
import type { Setup } from '@core/rigs/rig';
import { usePlace } from '../../../app/place';
import { addSequence } from '../../../store/sequence-edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { named } from '../../../ui/named';

/** An order of steps that belongs to a set-up. */
export interface Order {
  readonly title: string;
  /** Goes to the one that the set-up has already, or to a new one from the shipped procedure. */
  readonly go: () => void;
}

/** Orders of steps of this set-up, the one that makes it first; none where none is shipped. */
export function useOrders(setup: Setup): readonly Order[] {
  const { sequences } = useWorkspace();
  const { name: place } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const name = named(`Steps: ${setup.name}`);
  return ordersOf(setup).map((shipped) => ({
    title: PROCEDURES[shipped.procedure].title,
    go: () => {
      const own = sequences.find((s) => s.procedure === shipped.procedure && s.name === name);
      if (own) return void navigate(`/${place}/steps/${own.id}`);
      const now = new Date().toISOString();
      const sequence = { ...shipped, id: nanoid(), name, createdAt: now, updatedAt: now };
      dispatch(edited(addSequence(sequence)));
      void navigate(`/${place}/steps/${sequence.id}`);
    },
  }));
}
