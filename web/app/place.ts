import { createContext, use } from 'react';
import type { Session } from './session';

/** The workspace that a page is in; given by `WorkspaceProvider`. */
export const Place = createContext<Session | null>(null);

export function usePlace(): Session {
  const place = use(Place);
  if (!place) throw new Error('usePlace outside WorkspaceProvider');
  return place;
}
