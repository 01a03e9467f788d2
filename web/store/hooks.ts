import { useDispatch, useSelector } from 'react-redux';
import type { AppStore, RootState } from './store';

export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
/** What is stored and does not fit this version. */
export const useUnreadable = () => useAppSelector((state) => state.workspace.unreadable);
export const useWorkspace = () => useAppSelector((state) => state.workspace.data);
