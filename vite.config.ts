import { createHash } from 'node:crypto';
import { appendFileSync, readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, runnerImport, type Plugin, type UserConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { partsOf } from './scripts/parts.ts';
import type * as samples from './core/samples/index.ts';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** What this build says of documents, as a short text that changes with it. */
function digest(): string {
  const hash = createHash('sha256');
  for (const room of ['core', 'web/storage'])
    for (const name of readdirSync(here(room), { recursive: true, encoding: 'utf8' }).sort())
      if (/(?<!\.test)\.ts$/.test(name)) hash.update(name).update(readFileSync(here(`${room}/${name}`)));
  return hash.digest('hex').slice(0, 16);
}
const NOTICES = 'third-party-notices.txt';
/** The bundler lists what is program; fonts are added. */
const noticesOfFonts: Plugin = {
  name: 'notices-of-fonts',
  apply: 'build',
  writeBundle({ dir }) {
    const fonts = here('node_modules/@fontsource-variable');
    const texts = readdirSync(fonts).map((font) => `## ${font}\n\n${readFileSync(`${fonts}/${font}/LICENSE`, 'utf8')}`);
    appendFileSync(`${dir}/${NOTICES}`, `\n# Fonts\n\n${texts.join('\n')}`);
  },
};
/** The page knows which build it is: what that one has looked at it does not look at again. */
const namedBuild: Plugin = {
  name: 'named-build',
  apply: 'build',
  config: () => ({ define: { 'import.meta.env.VITE_BUILD': JSON.stringify(digest()) } }),
};

/** The page takes Zod as `web/zod.ts` sets it; tests and the command line take it as it is, which is faster. */
const zodOfThePage: Plugin = {
  name: 'zod-of-the-page',
  enforce: 'pre',
  resolveId: (source) => (source === 'zod' ? here('web/zod.ts') : null),
};

/**
 * The demo as what it comes to: made here once instead of in every browser, which would need the schemas for it before
 * the first screen. Data is read several times faster than a program. Tests and `npm run dev` make it themselves.
 */
const demoAsData: Plugin = {
  name: 'demo-as-data',
  apply: 'build',
  async load(id) {
    if (id !== here('web/app/demo-data.ts')) return null;
    const { module } = await runnerImport<typeof samples>(here('core/samples/index.ts'));
    const data = JSON.stringify(module.demoWorkspace());
    return `export const demoWorkspace = () => JSON.parse(${JSON.stringify(data)});`;
  },
};

/** The folder of the site that this build is made for, and the one that it is put into. */
const BASE = process.env.BASE_PATH ?? '/';
if (!/^\/([\w.-]+\/)*$/.test(BASE)) throw new Error(`BASE_PATH: read “${BASE}”; needed is a path as /climbing/zevrin/`);
const DIST = process.env.DIST ?? here('dist');

const offline = () =>
  VitePWA({
    base: BASE,
    // A new version waits until the person takes it: nothing is loaded anew while somebody types.
    registerType: 'prompt',
    injectRegister: false,
    includeAssets: ['icon.svg', 'favicon.ico'],
    manifest: {
      name: 'Zevrin',
      short_name: 'Zevrin',
      description: 'Choose, rig and check rope-work set-ups.',
      start_url: BASE,
      display: 'standalone',
      background_color: '#f6f4ee',
      theme_color: '#1d4f43',
      icons: [
        { src: `${BASE}icon.svg`, sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
        { src: `${BASE}icon-maskable.svg`, sizes: 'any', type: 'image/svg+xml', purpose: 'maskable' },
      ],
    },
    workbox: {
      // Everything, so that each page works without a network after the first visit.
      globPatterns: ['**/*.{html,js,css,svg,ico,woff2}'],
      globIgnores: ['.vite/**'],
      maximumFileSizeToCacheInBytes: 4_000_000,
      navigateFallback: `${BASE}index.html`,
      cleanupOutdatedCaches: true,
    },
  });

export const alias = [
  // The package itself always points at its development build, checks and texts for developers included.
  { find: /^react-router$/, replacement: here('node_modules/react-router/dist/production/index.mjs') },
  { find: /^@core\/([a-z/-]+)$/, replacement: here('core') + '/$1/index.ts' },
];

/** The page without what comes after it. Made anew for each build: what it is built with keeps notes. */
const page = (): UserConfig => ({
  root: here('web'),
  base: BASE,
  plugins: [zodOfThePage, demoAsData, namedBuild, noticesOfFonts, react(), tailwindcss()],
  resolve: { alias },
  worker: { plugins: () => [zodOfThePage], format: 'es' },
  build: { outDir: DIST, emptyOutDir: true, manifest: true, target: 'es2022', license: { fileName: NOTICES } },
});

/**
 * What is loaded together is one file, in the order in which it is loaded; the rest falls apart by routes as the
 * bundler has it.
 */
const TOGETHER = [
  {
    name: 'start',
    entries: ['web/index.html', 'web/app/StartPage.tsx', 'web/features/take/first-answer/StartJobs.tsx'],
  },
  { name: 'workspace', entries: ['web/app/Inside.tsx', 'web/features/rig/setups/SetupsPage.tsx', 'web/app/Trail.tsx'] },
  { name: 'library', entries: ['web/storage/shapes-library.ts'] },
  { name: 'ropes', entries: ['web/storage/shapes-of-ropes.ts'] },
  { name: 'gear', entries: ['web/storage/shapes-of-gear.ts'] },
  { name: 'rigs', entries: ['web/storage/shapes-of-rigs.ts'] },
  { name: 'setup', entries: ['web/features/rig/setups/SetupPage.tsx'] },
  { name: 'documents', entries: ['web/storage/shapes.ts'] },
  ...['values', 'rules', 'parts', 'between'].map((room) => ({
    name: `engine-${room}`,
    entries: [`web/features/rig/setups/engine/${room}.ts`],
  })),
  { name: 'engine', entries: ['web/features/rig/setups/verdicts.tsx'] },
];

export default defineConfig(async ({ command }) => {
  const config = page();
  config.plugins!.push(offline());
  if (command === 'build') {
    const name = await partsOf(page(), here('web/main.tsx'), TOGETHER);
    config.build!.rolldownOptions = {
      output: { codeSplitting: { includeDependenciesRecursively: false, groups: [{ name, debugName: 'together' }] } },
    };
  }
  return config;
});
