import { useHotkeys } from 'react-hotkeys-hook';
import { useAppDispatch } from '../store/hooks';
import { redone, undone } from '../store/workspace-slice';

/** Keys that work everywhere in a workspace. Draws nothing. */
export function Shortcuts() {
  const dispatch = useAppDispatch();
  useHotkeys('mod+z', () => void dispatch(undone()), { preventDefault: true });
  useHotkeys('mod+shift+z, mod+y', () => void dispatch(redone()), { preventDefault: true });
  return null;
}
