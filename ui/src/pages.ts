// The pages, once: what an address is called by, which room shows it, and what makes it another page. The loaders are made
// of this table, and so is what first-visits.ts says of them.

/** An address with names for its parts, as in /jobs/:id/:stage. */
export interface PageOf {
  readonly at: string;
  /** The component that shows it. */
  readonly room: string;
  /** The parts that make it another page, where not all do: a job's room stays while one goes through its stages. */
  readonly same?: readonly string[];
  /** It fills the screen and keeps the keyboard for itself. */
  readonly whole?: boolean;
}

const JOB_ROOM = 'rooms/job/JobRoom.svelte';

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

export const PAGES = [
  { at: '/', room: 'rooms/bench/Bench.svelte' },
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

type Filled<P extends string> = P extends `${infer Head}/:${string}/${infer Rest}`
  ? `${Head}/${string}/${Filled<Rest>}`
  : P extends `${infer Head}/:${string}`
    ? `${Head}/${string}`
    : P;
type Path = Filled<(typeof PAGES)[number]['at']> | '/pair' | '/check';
/** An address within the application, with or without a question behind it. One that leads nowhere does not compile. */
export type Address = Path | `${Path}?${string}`;
