// Builds the service worker once all files have their names, with the list of those that it keeps.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { build, type Plugin } from 'vite';
import { buildCustomerPages } from './customer.ts';

const WORKER = fileURLToPath(new URL('../src/sw.ts', import.meta.url));

export function pwa(): Plugin {
  let out = '';
  return {
    name: 'service-worker',
    apply: 'build',
    configResolved: (config) => void (out = config.build.outDir),
    closeBundle: async () => {
      const folder = fileURLToPath(new URL(out, new URL('..', import.meta.url)));
      await buildCustomerPages(folder);
      const files = readdirSync(folder, { recursive: true, withFileTypes: true })
        .filter((entry) => entry.isFile())
        .map((entry) => join(entry.parentPath, entry.name).slice(folder.replace(/\/$/, '').length))
        .filter((url) => url !== '/sw.js');
      // The pages of customers belong to their phones.
      const own = files.filter((url) => !/^\/(assets\/)?customer-/.test(url));
      const kept = own.sort().map((url) => ({
        url,
        // What stands in assets has its hash in its name.
        revision: url.startsWith('/assets/')
          ? null
          : createHash('sha256')
              .update(readFileSync(join(folder, url)))
              .digest('hex')
              .slice(0, 12),
      }));
      // Packed once and as small as it gets, not at each request; the server sends these where a browser takes them.
      for (const url of files.filter((name) => /^\/assets\/.*\.(js|css)$/.test(name)))
        writeFileSync(join(folder, `${url}.br`), brotliCompressSync(readFileSync(join(folder, url))));
      await build({
        configFile: false,
        publicDir: false,
        logLevel: 'warn',
        define: { __KEPT__: JSON.stringify(kept) },
        build: {
          target: 'es2022',
          outDir: folder,
          emptyOutDir: false,
          rolldownOptions: { input: WORKER, output: { format: 'iife', entryFileNames: 'sw.js' } },
        },
      });
    },
  };
}
