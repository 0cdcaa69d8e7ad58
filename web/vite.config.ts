import { readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  root: here('.'),
  plugins: [react()],
  resolve: {
    alias: readdirSync(here('../core/src')).map((folder) => ({
      find: `@rubbet/core/${folder}`,
      replacement: here(`../core/src/${folder}/index.ts`),
    })),
  },
  worker: { format: 'es' },
  build: { outDir: here('dist'), emptyOutDir: true, chunkSizeWarningLimit: 900, target: 'es2022' },
  server: { proxy: { '/api': process.env.API_URL ?? 'http://127.0.0.1:4681' } },
});
