import { spawnSync } from 'node:child_process';
import { pathToFileURL } from 'node:url';
import { ensurePackages, root } from './ensure.mjs';

ensurePackages();
// tsx by its place, since the command runs where the person stands (INIT_CWD), so that a relative FILE means what they
// think.
const tsx = pathToFileURL(`${root}/node_modules/tsx/dist/loader.mjs`).href;
const { status } = spawnSync(process.execPath, ['--import', tsx, `${root}/cli/bin.ts`, ...process.argv.slice(2)], {
  cwd: process.env.INIT_CWD ?? process.cwd(),
  stdio: 'inherit',
});
process.exit(status ?? 1);
