// Not part of the tests. `npm run soak -- [kills]`: kills the browser again and again while two tabs edit, undo and
// read files in, and compares. `-- long [minutes] [edits]`: a long stretch of work in one page, and what it holds on
// to. `-- disk`: a disk that is really full.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ensurePackages, root, withTypeScript } from './ensure.mjs';

ensurePackages();
ensureChromium();
ensureBuild();
const KINDS = { long: 'soak-long.ts', disk: 'soak-disk.ts' };
const [kind, ...rest] = process.argv.slice(2);
const named = Object.hasOwn(KINDS, kind ?? '');
const { status } = spawnSync(
  process.execPath,
  [
    ...withTypeScript,
    join(root, 'scripts', named ? KINDS[kind] : 'soak-browser.ts'),
    ...(named ? rest : process.argv.slice(2)),
  ],
  { cwd: root, stdio: 'inherit' },
);
process.exitCode = status ?? 1;
