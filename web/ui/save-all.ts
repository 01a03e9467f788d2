import { writeWorkspace } from '@core/records/files';
import { openDatabase } from '../storage/database';
import { WORKSPACES } from '../storage/names';
import type { AppStore } from '../store/store';
import { downloadText } from './download';

const nameOf = (workspace: string) => `zevrin-${workspace}.zevrin.json`;

/** Everything of an open workspace, as a file. */
export const saveOpen = (name: string, store: AppStore): void =>
  downloadText(nameOf(name), writeWorkspace(store.getState().workspace.data));

/** Everything that is stored, straight from the disk: for when the page around it is what failed. */
export async function saveFromDisk(): Promise<void> {
  for (const name of WORKSPACES) {
    const database = await openDatabase(name);
    const { workspace } = await database.load();
    database.close();
    if (Object.values(workspace).some((list) => list.length > 0)) downloadText(nameOf(name), writeWorkspace(workspace));
  }
}
