// JavaScript that is loaded before the first useful screen (the list of set-ups), gzip, against the budget of design.md section 8.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ensureBuild, ensurePackages, root } from './ensure.mjs';

const BUDGET_KB = 180;

ensurePackages();
ensureBuild();
const manifest = JSON.parse(readFileSync(join(root, 'dist/.vite/manifest.json'), 'utf8'));

function load(keys) {
  const seen = new Set();
  const visit = (key) => {
    if (seen.has(key)) return;
    seen.add(key);
    (manifest[key].imports ?? []).forEach(visit);
  };
  keys.forEach(visit);
  const files = new Set([...seen].map((key) => manifest[key].file).filter((file) => file.endsWith('.js')));
  return (
    [...files].reduce((sum, file) => sum + gzipSync(readFileSync(join(root, 'dist', file)), { level: 9 }).length, 0) /
    1000
  );
}

const find = (end) => {
  const key = Object.keys(manifest).find((k) => k.endsWith(end));
  if (!key) throw new Error(`no ${end} in the manifest`);
  return key;
};
const inside = ['index.html', find('app/Inside.tsx')];
const own = load([...inside, find('features/setups/SetupsPage.tsx')]);
const demo = load([...inside, find('features/setups/SetupsPage.tsx'), find('app/demo-data.ts')]);
const setup = load([...inside, find('features/setups/SetupPage.tsx')]);
const start = load(['index.html', find('app/StartPage.tsx'), find('features/quick/StartJobs.tsx')]);
const say = (name, kb) =>
  console.log(
    `${name.padEnd(34)}${kb.toFixed(1).padStart(8)} kB gzip   ${kb <= BUDGET_KB ? 'within' : 'OVER'} ${BUDGET_KB} kB`,
  );
say('first page', start);
say('first load, own workspace', own);
say('first load, demo', demo);
say('first load straight to a set-up', setup);
process.exitCode = Math.max(start, own, demo, setup) <= BUDGET_KB ? 0 : 1;
