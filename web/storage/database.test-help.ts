import { emptyWorkspace } from '@core/records/files';
import type { Database } from './database';

export type ForStore = Pick<Database, 'write' | 'replace' | 'load' | 'revision'>;

/** A database that takes everything and keeps nothing, for what is about the screen. */
export function quietDatabase(): ForStore {
  let revision = 0;
  const written = () => Promise.resolve({ revision: (revision += 1), entries: [], notes: [] });
  return {
    write: written,
    replace: written,
    revision: () => Promise.resolve(revision),
    load: () => Promise.resolve({ workspace: emptyWorkspace(), unreadable: [], revision, revisionOf: () => 0 }),
  };
}
