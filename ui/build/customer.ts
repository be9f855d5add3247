// The pages of customers are built by themselves, once for each language that has words: a phone loads one language and
// nothing of the workshop.
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { words } from './words.ts';
import { existsSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'vite';

const WORDS = fileURLToPath(new URL('../../src/vividowl/words', import.meta.url));
const UI = fileURLToPath(new URL('..', import.meta.url));

/** Build them into a folder, beside the application. */
export async function buildCustomerPages(folder: string): Promise<void> {
  const languages = readdirSync(WORDS).filter((name) => existsSync(join(WORDS, name, 'page-customer.ftl')));
  for (const language of languages) {
    await build({
      configFile: false,
      root: UI,
      publicDir: false,
      logLevel: 'warn',
      plugins: [words(), svelte()],
      resolve: {
        alias: [
          // Of what all pages say, these say little.
          { find: /^\$words\/page\.ftl(?=\?)/, replacement: join(WORDS, language, 'page-shared.ftl') },
          { find: '$words', replacement: join(WORDS, language) },
        ],
      },
      define: { __LANGUAGE__: JSON.stringify(language) },
      build: {
        target: 'es2022',
        assetsInlineLimit: 0,
        outDir: folder,
        emptyOutDir: false,
        rolldownOptions: {
          input: join(UI, 'customer.html'),
          output: { entryFileNames: `assets/customer-${language}-[hash].js` },
        },
      },
    });
    const page = join(folder, `customer-${language}.html`);
    renameSync(join(folder, 'customer.html'), page);
    writeFileSync(page, readFileSync(page, 'utf8').replace('<html lang="en">', `<html lang="${language}">`));
  }
}
