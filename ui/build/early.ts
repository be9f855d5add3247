// What a first visit needs, asked for by the first small script instead of one after another: the pieces of the page that
// the address names, and its data. Written into early.js once all files have their names.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Plugin, Rolldown } from 'vite';
import { FIRST_VISITS } from '../src/first-visits.ts';

const PLACE = '[]; /* the pages, written here by the build */';

export function early(): Plugin {
  let table = '[]';
  let out = '';
  return {
    name: 'early',
    apply: 'build',
    configResolved: (config) => void (out = config.build.outDir),
    generateBundle(_, bundle) {
      const chunks = Object.values(bundle).filter((file): file is Rolldown.OutputChunk => file.type === 'chunk');
      const home = new Set(chunks.filter((chunk) => chunk.isEntry).flatMap((chunk) => filesOf(chunk, chunks)));
      const files: string[] = [];
      const place = (name: string) => (files.includes(name) ? files.indexOf(name) : files.push(name) - 1);
      const pages = FIRST_VISITS.map(({ address, parts, asks }) => {
        const wanted = parts.flatMap((part) => {
          const chunk = chunks.find((one) => one.moduleIds.some((id) => id.endsWith(`/ui/src/${part}`)));
          if (!chunk) throw new Error(`The table of pages names ${part}, which is in no piece of the build.`);
          return filesOf(chunk, chunks);
        });
        return [address, [...new Set(wanted)].filter((name) => !home.has(name)).map(place), asks];
      });
      table = JSON.stringify([files, pages]);
    },
    closeBundle: () => {
      const file = join(fileURLToPath(new URL(out, new URL('..', import.meta.url))), 'early.js');
      const text = readFileSync(file, 'utf8');
      if (!text.includes(PLACE)) throw new Error('early.js has no place for the pages.');
      writeFileSync(file, text.replace(PLACE, `${table};`));
    },
  };
}

/** A piece with all that it builds on, scripts and styles. */
function filesOf(chunk: Rolldown.OutputChunk, chunks: Rolldown.OutputChunk[], seen = new Set<string>()): string[] {
  if (seen.has(chunk.fileName)) return [];
  seen.add(chunk.fileName);
  const below = chunk.imports.flatMap((name) => chunks.filter((one) => one.fileName === name));
  return [
    chunk.fileName,
    ...(chunk.viteMetadata?.importedCss ?? []),
    ...below.flatMap((one) => filesOf(one, chunks, seen)),
  ];
}
