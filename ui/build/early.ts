// What a first visit needs, asked for by the first small script instead of one after another: the pieces of the page that
// the address names, and its data. Written into early.js once all files have their names.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Plugin, Rolldown } from 'vite';

/** A kind of page: its address, the parts of it, what is asked of the server first (`$1` is what the address names). */
type Page = [address: string, parts: string[], asks: string[]];

const JOB = ['/api/jobs/$1', '/api/jobs/$1/runs/before', '/api/jobs/$1/runs/after', '/api/jobs/$1/verdict'];
const stage = (names: string, ...parts: string[]): Page => [
  `^/jobs/([0-9a-f-]{36})/(?:${names})$`,
  ['src/rooms/job/JobRoom.svelte', ...parts],
  JOB,
];
const LOG = 'src/lib/bench/bench.svelte.ts';
const PAGES: Page[] = [
  ['^/$', ['src/rooms/bench/Bench.svelte'], ['/api/bench/waits', '/api/bench?limit=100']],
  stage('intake', 'src/rooms/intake/Intake.svelte'),
  stage('before|after', 'src/rooms/measure/Measure.svelte'),
  stage('plan', 'src/rooms/plan/PlanPage.svelte'),
  stage('open', 'src/rooms/open/OpenPage.svelte', LOG),
  stage('clean', 'src/rooms/clean/CleanPage.svelte', LOG),
  stage('fit', 'src/rooms/fit/Fit.svelte', LOG),
  stage('close', 'src/rooms/close/ClosePage.svelte', LOG),
  stage('verdict', 'src/rooms/verdict/VerdictPage.svelte'),
  stage('handover', 'src/rooms/job/HandOver.svelte'),
];
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
      const pages = PAGES.map(([address, parts, asks]) => {
        const wanted = parts.flatMap((part) => {
          const chunk = chunks.find((one) => one.moduleIds.some((id) => id.endsWith(`/ui/${part}`)));
          if (!chunk) throw new Error(`build/early.ts names ${part}, which is in no piece of the build.`);
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
