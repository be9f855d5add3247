import { svelte } from '@sveltejs/vite-plugin-svelte';
import { svelteTesting } from '@testing-library/svelte/vite';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { early } from './build/early.ts';
import { PIECES } from './build/pieces.ts';
import { handbook } from './build/handbook.ts';
import { rooms } from './build/pages.ts';
import { words } from './build/words.ts';
import { pwa } from './build/worker.ts';

export default defineConfig({
  plugins: [words(), handbook(), rooms(), svelte(), svelteTesting(), early(), pwa()],
  // The message files are the server's own: one text for both.
  resolve: { alias: { $words: fileURLToPath(new URL('../src/vividowl/words/en', import.meta.url)) } },
  define: { __LANGUAGE__: '"en"' },
  server: {
    host: '127.0.0.1',
    fs: { allow: ['..'] },
    proxy: { '/api': process.env.API_URL ?? 'http://127.0.0.1:8000' },
  },
  // assetsInlineLimit 0: the content policy allows no data: fonts.
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    outDir: '../src/vividowl/web/site',
    emptyOutDir: true,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: PIECES,
        },
      },
    },
  },
  test: {
    environment: 'jsdom',
    setupFiles: ['./vitest.setup.ts'],
    include: ['src/**/*.test.ts'],
    testTimeout: 30_000,
    pool: 'vmThreads',
  },
});
