import { expose } from 'comlink';
import {
  COLLECTIONS,
  decodeText,
  LARGEST_FILE,
  readDocument,
  writeWorkspace,
  type Collection,
  type FileIssue,
  type Workspace,
} from '@core/records/files';
import type { Setup } from '@core/rigs/rig';
import type { Sequence } from '@core/answers/procedures';
import { openDatabase, type WorkspaceName, type WriteOutcome } from '../storage/database';
import { paced } from './paced';

export type Counts = Readonly<Record<Collection, number>>;
/** What a file holds. A workspace stays in the worker until it is stored from there. */
export type Read =
  | { readonly kind: 'refused'; readonly issues: readonly FileIssue[]; readonly more: number }
  | { readonly kind: 'workspace'; readonly counts: Counts }
  | { readonly kind: 'setup'; readonly setup: Setup }
  | { readonly kind: 'sequence'; readonly sequence: Sequence };

let held: Workspace | null = null;

const api = {
  /**
   * Reads and checks a file; `onEntry` hears how many entries are checked. Ended from outside by terminating the
   * worker.
   */
  async read(file: Blob, onEntry: (done: number) => unknown): Promise<Read> {
    held = null;
    // One byte more than may be shows that it is too large; the rest need not be read.
    const text = decodeText(new Uint8Array(await file.slice(0, LARGEST_FILE + 1).arrayBuffer()));
    const result = text.ok ? readDocument(text.value, paced(onEntry)) : text;
    if (!result.ok) return { kind: 'refused', issues: result.issues, more: result.more };
    const document = result.value;
    if (document.kind === 'setup') return { kind: 'setup', setup: document.setup };
    if (document.kind === 'half')
      return {
        kind: 'refused',
        issues: [
          { path: 'kind', read: document.kind, message: 'Half a check is read by the other phone, from its code.' },
        ],
        more: 0,
      };
    if (document.kind === 'sequence') return { kind: 'sequence', sequence: document.sequence };
    held = document.workspace;
    const { workspace } = document;
    return {
      kind: 'workspace',
      counts: Object.fromEntries(COLLECTIONS.map((c) => [c, workspace[c].length])) as Record<Collection, number>,
    };
  },
  /** Replaces everything in the database by what was read, in one transaction. */
  async store(name: WorkspaceName): Promise<WriteOutcome> {
    if (!held) throw new Error('no file has been read');
    const database = await openDatabase(name);
    try {
      return await database.replace(held);
    } finally {
      database.close();
    }
  },
  /** Everything that is on the disk, as a file. */
  async write(name: WorkspaceName): Promise<Blob> {
    const database = await openDatabase(name);
    try {
      const { workspace } = await database.load();
      return new Blob([writeWorkspace(workspace)], { type: 'application/json' });
    } finally {
      database.close();
    }
  },
};
export type FilesWorker = typeof api;
expose(api);
