import { useAppDispatch } from '../store/hooks';
import { edited, stepUndone, type Edit } from '../store/workspace-slice';
import { useToast } from './Toasts';

/** Does something and says so, with "Undo" for just that: whatever else is done before it is pressed stays done. */
export function useUndoable() {
  const dispatch = useAppDispatch();
  const say = useToast();
  return (edit: Edit, text: string) => {
    const { step } = dispatch(edited(edit)).payload;
    say(text, { label: 'Undo', run: () => dispatch(stepUndone(step)) });
  };
}
