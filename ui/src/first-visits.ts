// What a first visit needs before the script of the page is there, and what is kept for the time without a line. The build
// writes it into the first small script; the service worker is made of it.
import { PAGES, STAGE_ROOMS } from './pages.ts';

const BENCH_LOG = 'lib/bench/bench.svelte.ts';
const AT_BENCH = ['open', 'clean', 'fit', 'close'];
const JOB_ASKS = ['/api/jobs/:id', '/api/jobs/:id/runs/before', '/api/jobs/:id/runs/after', '/api/jobs/:id/verdict'];
const roomAt = (at: string) => PAGES.find((page) => page.at === at)?.room ?? '';

/** The address as an expression with one group, what it names; the pieces that it loads, and what it asks. */
export const FIRST_VISITS: { address: string; parts: string[]; asks: string[] }[] = [
  { address: '^/$', parts: [roomAt('/')], asks: ['/api/bench/waits', '/api/bench?limit=100'] },
  ...Object.entries(STAGE_ROOMS).map(([stage, room]) => ({
    address: `^/jobs/([0-9a-f-]{36})/${stage}$`,
    parts: [roomAt('/jobs/:id'), room, ...(AT_BENCH.includes(stage) ? [BENCH_LOG] : [])],
    asks: JOB_ASKS.map((url) => url.replace(':id', '$1')),
  })),
];

/** Answers that are kept and shown without a line: what the bench and a job's stages are made of. */
export const KEPT = [
  '/api/session',
  '/api/bench',
  '/api/bench/words',
  '/api/bench/waits',
  '/api/shop',
  '/api/known',
  ...JOB_ASKS,
  '/api/jobs/:id/bench',
  '/api/jobs/:id/plan',
  '/api/jobs/:id/fit/items',
];
