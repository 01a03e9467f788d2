import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** What a build says of each of its parts (`.vite/manifest.json`): the file, and what it imports at once. */
type Manifest = Readonly<Record<string, { readonly file: string; readonly imports?: readonly string[] }>>;

/** The parts that a page loads by itself as soon as it runs, by its address; see `web/app/App.tsx`. */
const PARTS: readonly (readonly [path: RegExp, parts: readonly string[]])[] = [
  [/^\/$/, ['app/StartPage.tsx', 'features/take/first-answer/StartJobs.tsx']],
  [/^\/(demo|mine)(\/|$)/, ['app/Inside.tsx']],
  [/^\/(demo|mine)(\/setups)?\/?$/, ['features/rig/setups/SetupsPage.tsx']],
  [/^\/(demo|mine)\/setups\/[^/]+\/?$/, ['features/rig/setups/SetupPage.tsx', 'features/rig/setups/SetupView.tsx']],
  [/^\/(demo|mine)\/quick\/?$/, ['features/take/first-answer/QuickPage.tsx']],
  [/^\/demo(\/|$)/, ['app/demo-data.ts']],
];

/**
 * Links that have the browser fetch these parts while it still reads the program that will ask for them: one way to the
 * server less. Empty for a build that does not say what it is made of.
 *
 * @param base the folder of the site that the build is made for.
 * @returns for a path of the app, inside of that folder, the HTML to put into the head of its page.
 */
export function preloadsOf(dist: string, base: string): (path: string) => string {
  const file = join(dist, '.vite/manifest.json');
  const manifest: Manifest = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Manifest) : {};
  const filesFrom = (keys: readonly string[], seen = new Set<string>()): Set<string> => {
    for (const key of keys) {
      const part = manifest[key];
      if (!part || seen.has(part.file)) continue;
      seen.add(part.file);
      filesFrom(part.imports ?? [], seen);
    }
    return seen;
  };
  // The page names these itself.
  const there = filesFrom(['index.html']);
  const made = new Map<string, string>();
  return (path) => {
    const keys = PARTS.flatMap(([at, parts]) => (at.test(path) ? parts : []));
    const known = made.get(keys.join());
    if (known !== undefined) return known;
    const links = [...filesFrom(keys)]
      .filter((name) => !there.has(name))
      .map((name) => `<link rel="modulepreload" crossorigin href="${base}${name}">`)
      .join('');
    made.set(keys.join(), links);
    return links;
  };
}
