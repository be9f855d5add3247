import { svelte } from '@sveltejs/vite-plugin-svelte';
import { svelteTesting } from '@testing-library/svelte/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [svelte(), svelteTesting()],
  server: { host: '127.0.0.1', proxy: { '/api': process.env.API_URL ?? 'http://127.0.0.1:8000' } },
  // assetsInlineLimit 0: the content policy allows no data: fonts.
  build: { target: 'es2022', assetsInlineLimit: 0, outDir: '../src/vividowl/web/site', emptyOutDir: true },
  test: {
    environment: 'jsdom',
    setupFiles: ['./vitest.setup.ts'],
    include: ['src/**/*.test.ts'],
    testTimeout: 30_000,
    pool: 'vmThreads',
  },
});
