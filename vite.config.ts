import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  root: here('web'),
  plugins: [react(), tailwindcss()],
  resolve: {
    alias: [{ find: /^@core\/([a-z-]+)$/, replacement: here('core') + '/$1/index.ts' }],
  },
  build: { outDir: here('dist'), emptyOutDir: true, manifest: true, target: 'es2022' },
});
