// The pages, once: what an address is called by, which room shows it, what makes it another page, what a first visit asks
// for before the script is there, and what is kept for the time without a line. The loaders, the first small script and
// the service worker are made of this table.

/** An address with names for its parts, as in /jobs/:id/:stage. */
export interface PageOf {
  readonly at: string;
  /** The component that shows it. */
  readonly room: string;
  /** The parts that make it another page, where not all do: a job's room stays while one goes through its stages. */
  readonly same?: readonly string[];
  /** It fills the screen and keeps the keyboard for itself. */
  readonly whole?: boolean;
  /** Pieces that a first visit needs beside the room. */
  readonly parts?: readonly string[];
  /** What it asks the server first; `:id` is what the address names. */
  readonly asks?: readonly string[];
}

const JOB_ROOM = 'rooms/job/JobRoom.svelte';
const BENCH_LOG = 'lib/bench/bench.svelte.ts';

/** The page of each stage of a job, within its room. */
export const STAGE_ROOMS = {
  intake: 'rooms/intake/Intake.svelte',
  before: 'rooms/measure/Measure.svelte',
  plan: 'rooms/plan/PlanPage.svelte',
  open: 'rooms/open/OpenPage.svelte',
  clean: 'rooms/clean/CleanPage.svelte',
  fit: 'rooms/fit/Fit.svelte',
  close: 'rooms/close/ClosePage.svelte',
  after: 'rooms/measure/Measure.svelte',
  verdict: 'rooms/verdict/VerdictPage.svelte',
  handover: 'rooms/job/HandOver.svelte',
} as const;
export type StageRoom = keyof typeof STAGE_ROOMS;
const AT_BENCH = ['open', 'clean', 'fit', 'close'];

export const JOB_ASKS = [
  '/api/jobs/:id',
  '/api/jobs/:id/runs/before',
  '/api/jobs/:id/runs/after',
  '/api/jobs/:id/verdict',
] as const;

export const PAGES = [
  { at: '/', room: 'rooms/bench/Bench.svelte', asks: ['/api/bench/waits', '/api/bench?limit=100'] },
  { at: '/jobs', room: 'rooms/jobs/Jobs.svelte' },
  { at: '/jobs/new', room: 'rooms/intake/NewJob.svelte' },
  { at: '/jobs/:id', room: JOB_ROOM, same: ['id'] },
  { at: '/jobs/:id/bench', room: 'rooms/bench-mode/BenchMode.svelte', whole: true },
  { at: '/jobs/:id/tray', room: 'rooms/open/TrayLabels.svelte' },
  { at: '/jobs/:id/counter', room: 'rooms/counter/CounterPage.svelte' },
  { at: '/jobs/:id/attempts', room: 'rooms/attempts/AttemptsPage.svelte' },
  { at: '/jobs/:id/runs', room: 'rooms/runs/AllRuns.svelte' },
  { at: '/jobs/:id/runs/:key', room: 'rooms/measure/RunPage.svelte' },
  { at: '/jobs/:id/:stage', room: JOB_ROOM, same: ['id'] },
  { at: '/shelf', room: 'rooms/shelf/ShelfRoom.svelte' },
  { at: '/workings', room: 'rooms/workings/Workings.svelte' },
  { at: '/workings/:name', room: 'rooms/workings/Workings.svelte', same: [] },
  { at: '/handbook/:subject', room: 'rooms/workings/Workings.svelte', same: [] },
  { at: '/models', room: 'rooms/models/ModelsRoom.svelte' },
  { at: '/models/:id', room: 'rooms/models/ModelPage.svelte' },
  { at: '/devices', room: 'rooms/devices/DevicesRoom.svelte' },
  { at: '/devices/:id', room: 'rooms/devices/DevicePage.svelte' },
  { at: '/shop', room: 'rooms/shop/Shop.svelte' },
  { at: '/shop/:page', room: 'rooms/shop/Shop.svelte', same: [] },
  { at: '/record/:id', room: 'rooms/record/RecordRoom.svelte' },
  { at: '/record/:id/:version', room: 'rooms/record/RecordRoom.svelte' },
] as const satisfies readonly PageOf[];

/** Shown to whoever is not signed in. */
export const DOORS = { signIn: 'rooms/sign-in/SignIn.svelte', pair: 'rooms/sign-in/Pair.svelte' } as const;

/** What a first visit loads and asks for: the address as an expression with one group, what the address names. */
export const FIRST_VISITS: { address: string; parts: string[]; asks: string[] }[] = [
  ...PAGES.filter((page): page is Extract<(typeof PAGES)[number], { asks: unknown }> => 'asks' in page).map((page) => ({
    address: `^${page.at}$`,
    parts: [page.room],
    asks: [...page.asks],
  })),
  ...Object.entries(STAGE_ROOMS).map(([stage, room]) => ({
    address: `^/jobs/([0-9a-f-]{36})/${stage}$`,
    parts: [JOB_ROOM, room, ...(AT_BENCH.includes(stage) ? [BENCH_LOG] : [])],
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

type Filled<P extends string> = P extends `${infer Head}/:${string}/${infer Rest}`
  ? `${Head}/${string}/${Filled<Rest>}`
  : P extends `${infer Head}/:${string}`
    ? `${Head}/${string}`
    : P;
type Path = Filled<(typeof PAGES)[number]['at']> | '/pair' | '/check';
/** An address within the application, with or without a question behind it. One that leads nowhere does not compile. */
export type Address = Path | `${Path}?${string}`;
