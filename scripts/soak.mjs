// Kills the browser again and again while two tabs edit, undo and read files in, and compares. Not part of the tests: `npm run soak [kills]`.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ensurePackages, root } from './ensure.mjs';

ensurePackages();
ensureChromium();
ensureBuild();
const { status } = spawnSync(
  process.execPath,
  ['--import', 'tsx', join(root, 'scripts/soak-browser.ts'), ...process.argv.slice(2)],
  { cwd: root, stdio: 'inherit' },
);
process.exitCode = status ?? 1;
