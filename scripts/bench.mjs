// npm run bench: the budgets that this version can be held to.
import { spawnSync } from 'node:child_process';
import { ensureBuild, ensureChromium, ensurePackages, root, withTypeScript } from './ensure.mjs';

ensurePackages();
ensureChromium();
ensureBuild();
const codes = [
  [...withTypeScript, 'scripts/bench-assess.ts'],
  [...withTypeScript, 'scripts/bench-fit.ts'],
  ['scripts/as-shipped.mjs', 'scripts/bench-choose.ts'],
  [...withTypeScript, 'scripts/bench-sequence.ts'],
  [...withTypeScript, 'scripts/bench-catch.ts'],
  [...withTypeScript, 'scripts/bench-browser.ts'],
  [...withTypeScript, 'scripts/bench-paint.ts'],
  [...withTypeScript, 'scripts/bench-large.ts'],
  ['scripts/load-size.mjs'],
].map((args) => spawnSync(process.execPath, args, { cwd: root, stdio: 'inherit' }).status ?? 1);
process.exit(Math.max(...codes));
