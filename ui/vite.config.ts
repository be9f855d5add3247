import { svelte } from '@sveltejs/vite-plugin-svelte';
import { svelteTesting } from '@testing-library/svelte/vite';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { handbook } from './handbook.plugin.ts';
import { pwa } from './pwa.plugin.ts';

export default defineConfig({
  plugins: [handbook(), svelte(), svelteTesting(), pwa()],
  // The message files are the server's own: one text for both.
  resolve: { alias: { $words: fileURLToPath(new URL('../src/vividowl/words/en', import.meta.url)) } },
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
    // What every page is made of comes in one piece: on a slow line each request costs more than its bytes.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            {
              name: 'parts',
              test: /src\/lib\/(parts\/(Button|Field|TextField|Choice|Dialog|FootBar|Late|Notice|Pick|Skeleton|Tick|Titled|Why|Working|HandbookText|SaveStand|Progress|DateField)|glyphs|format|handbook|words|keys|toasts|router|recent|suggestions|draft|autosave|bench\/clock)/,
            },
          ],
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
