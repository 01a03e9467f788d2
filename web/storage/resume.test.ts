import 'fake-indexeddb/auto';
import { expect, it, vi } from 'vitest';
import { emptyWorkspace } from '@core/records/files';
import { club } from '@core/samples';
import { put, type Change } from './changes';
import { openDatabase } from './database';
import type * as Resolving from './resolve';
import { createSync } from './sync';

const asked = vi.hoisted(() => ({ times: 0 }));
vi.mock('./resolve', async (original) => {
  const real = await original<typeof Resolving>();
  return {
    ...real,
    resolve: (...args: Parameters<typeof real.resolve>) => {
      asked.times += 1;
      return real.resolve(...args);
    },
  };
});

const rope = club.longRope;
const noted = (note: string) => ({ ...rope, note });

it('hundreds of changes of what was changed elsewhere are put onto it twice each: as shown and as written, and progress is told', async () => {
  const database = await openDatabase('mine');
  await database.replace({ ...emptyWorkspace(), items: [{ ...rope, name: 'Changed elsewhere' }] });
  const { workspace, revision, revisionOf } = await database.load();
  let shown = workspace;
  const changed: Change[] = [];
  const sync = createSync({
    database,
    all: () => shown,
    onState: () => undefined,
    onNotes: () => undefined,
    tell: () => undefined,
    onElsewhere: (changes) => {
      changed.push(...changes);
      shown = { ...shown, items: changes.map(({ after }) => after as typeof rope) };
    },
  });
  sync.start({ revision, revisionOf });
  const n = 300;
  const left = Array.from({ length: n }, (_, i) => ({
    mark: { tab: 'gone', n: i + 1 },
    changes: [put('items', noted(i === 0 ? rope.note : String(i - 1)), noted(String(i)))],
  }));
  asked.times = 0;
  const progress: string[] = [];
  await sync.resume(left, (done, of) => progress.push(`${done}/${of}`));
  expect(asked.times).toBe(2 * n);
  // Shown once, and right: what the database has in the end.
  expect(changed).toHaveLength(1);
  expect(shown.items).toEqual([{ ...rope, name: 'Changed elsewhere', note: String(n - 1) }]);
  expect((await database.load()).workspace.items).toEqual(shown.items);
  expect([progress[0], progress.at(-1), progress.length]).toEqual([`1/${n}`, `${n}/${n}`, n]);
});
