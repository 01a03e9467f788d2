// node scripts/as-shipped.mjs scripts/bench-choose.ts: runs a script as the app ships, bundled by Vite. The loader for
// TypeScript that the other scripts run through gives every inner function its name again at each call, which makes
// what a plan calls a million times look half as fast.
import { spawnSync } from 'node:child_process';
import { basename, join } from 'node:path';
import { build } from 'vite';
import { root } from './ensure.mjs';

const [script] = process.argv.slice(2);
const outDir = join(root, 'node_modules/.cache/as-shipped');
await build({
  root,
  configFile: false,
  logLevel: 'error',
  build: { ssr: join(root, script), outDir, emptyOutDir: false, target: 'node20' },
  ssr: { noExternal: true },
});
const out = join(outDir, `${basename(script, '.ts')}.js`);
process.exit(spawnSync(process.execPath, [out], { cwd: root, stdio: 'inherit' }).status ?? 1);
