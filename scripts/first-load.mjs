// JavaScript that is loaded before a first useful screen stands, from what the build says of its parts.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** Gzip: about half a second at 3 Mbit/s. */
export const BUDGET_KB = 180;

/** @returns for each first screen its name, the files it loads and their size. */
export function firstLoads(root) {
  const manifest = JSON.parse(readFileSync(join(root, 'dist/.vite/manifest.json'), 'utf8'));
  const find = (end) => {
    const key = Object.keys(manifest).find((k) => k.endsWith(end));
    if (!key) throw new Error(`no ${end} in the manifest`);
    return key;
  };
  const load = (name, ...ends) => {
    const seen = new Set();
    const visit = (key) => {
      if (seen.has(key)) return;
      seen.add(key);
      (manifest[key].imports ?? []).forEach(visit);
    };
    ends.map(find).forEach(visit);
    const files = [...new Set([...seen].map((key) => manifest[key].file))].filter((file) => file.endsWith('.js'));
    const bytes = files.map((file) => gzipSync(readFileSync(join(root, 'dist', file)), { level: 9 }).length);
    return { name, files, kb: bytes.reduce((sum, n) => sum + n, 0) / 1000 };
  };
  const inside = ['index.html', 'app/Inside.tsx'];
  return [
    load('first page', 'index.html', 'app/StartPage.tsx', 'features/take/first-answer/StartJobs.tsx'),
    load('first load, own workspace', ...inside, 'features/rig/setups/SetupsPage.tsx'),
    load('first load, demo', ...inside, 'features/rig/setups/SetupsPage.tsx', 'app/demo-data.ts'),
    load('first load straight to a set-up', ...inside, 'features/rig/setups/SetupPage.tsx'),
  ];
}
