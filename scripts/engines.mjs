// The same journey in the two engines beside Chromium: npm run engines. Installs what is missing; `npm test` takes the
// short one where they are there.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuild, ensureEngines, ensurePackages, root, withTypeScript } from './ensure.mjs';

ensurePackages();
ensureEngines();
ensureBuild();
const { status } = spawnSync(
  process.execPath,
  [...withTypeScript, join(root, 'e2e/engines/run.ts'), ...process.argv.slice(2)],
  { cwd: root, stdio: 'inherit' },
);
process.exitCode = status ?? 1;
