import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, type Plugin } from 'vite';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** The page takes Zod as `web/zod.ts` sets it; tests and the command line take it as it is, which is faster. */
const zodOfThePage: Plugin = {
  name: 'zod-of-the-page',
  enforce: 'pre',
  resolveId: (source) => (source === 'zod' ? here('web/zod.ts') : null),
};

export default defineConfig({
  root: here('web'),
  plugins: [zodOfThePage, react(), tailwindcss()],
  resolve: {
    alias: [
      // The package itself always points at its development build, checks and texts for developers included.
      { find: /^react-router$/, replacement: here('node_modules/react-router/dist/production/index.mjs') },
      { find: /^@core\/([a-z-]+)$/, replacement: here('core') + '/$1/index.ts' },
    ],
  },
  worker: { plugins: () => [zodOfThePage], format: 'es' },
  build: { outDir: here('dist'), emptyOutDir: true, manifest: true, target: 'es2022' },
});
