// The state of a job at the bench, field by field as the core has it, and the events that make it.

export interface StepRow {
  id: string;
  stage: string;
  text: string;
  why: string;
  tool: string;
  material: string;
  caution: string;
  acts: string[];
  takes_out: string[];
  puts_in: string[];
  wait: string;
  wait_min: number;
  after_waits: string[];
  shows: string;
  photo: boolean;
  task: string;
  part: number | null;
  asks: string;
  own: boolean;
}

export interface PlaceRow {
  id: string;
  kind: string;
  x: number;
  y: number;
  holds: string;
  length_mm: number | null;
  drive: string;
  head: string;
  number: number | null;
  note: string;
  gap_mm: number | null;
  thickness_mm: number | null;
}

export interface Outcome {
  how: string;
  at: string;
  by: string;
  words: string;
  value: number | null;
}

export interface WaitRow {
  id: string;
  wait: string;
  step: string;
  began: string;
  due: string;
  ended: string | null;
  reason: string;
}

interface Told {
  id: string;
  step: string;
  words: string;
  at: string;
  by: string;
  checked: string;
}

export interface BreachRow extends Told {
  rule: string;
}

export interface MishapRow extends Told {
  what: string;
  place: string;
}

export interface FoundRow {
  id: string;
  part: string;
  seen: string;
  words: string;
  photo: string;
  at: string;
}

export interface BenchState {
  begun: string | null;
  device: Record<string, unknown>;
  steps: StepRow[];
  outcomes: Record<string, Outcome>;
  facts: string[];
  places: Record<string, PlaceRow>;
  out: string[];
  was_out: Record<string, number>;
  explained: Record<string, string>;
  leftover: number;
  leftover_words: string;
  outline: string;
  plan: string;
  found: Record<string, FoundRow>;
  waits: Record<string, WaitRow>;
  breaches: Record<string, BreachRow>;
  mishaps: Record<string, MishapRow>;
  photos: { photo: string; step: string; what: string; at: string }[];
  power: { results: Record<string, string>; boot_s: number | null; fine: boolean; at: string }[];
  notes: { words: string; step: string; at: string; by: string }[];
  closed: string | null;
  attempt: number;
}

/** What happened. made: what the rules of its day made of it; empty for what the server has not judged yet. */
export interface BenchEvent {
  id: string;
  kind: string;
  data: Record<string, unknown>;
  made: Record<string, unknown>;
  at: string;
  by: string;
}

/** What each act makes untrue, and true besides itself. */
export type Acts = ReadonlyMap<string, { cancels: readonly string[]; makes: readonly string[] }>;

const STEP: StepRow = {
  id: '',
  stage: '',
  text: '',
  why: '',
  tool: '',
  material: '',
  caution: '',
  acts: [],
  takes_out: [],
  puts_in: [],
  wait: '',
  wait_min: 0,
  after_waits: [],
  shows: '',
  photo: false,
  task: '',
  part: null,
  asks: '',
  own: false,
};
const PLACE: PlaceRow = {
  id: '',
  kind: 'screw',
  x: 0,
  y: 0,
  holds: 'other',
  length_mm: null,
  drive: 'unknown',
  head: 'unknown',
  number: null,
  note: '',
  gap_mm: null,
  thickness_mm: null,
};

/** Fields that a table knows, with what is usual for those that are left out. */
function filled<T extends object>(usual: T, given: unknown): T {
  const row = (given ?? {}) as Partial<T>;
  const out: T = { ...usual };
  for (const key of Object.keys(usual) as (keyof T)[]) {
    const value = row[key];
    if (value !== undefined) out[key] = value as T[keyof T];
  }
  return out;
}

export const stepRow = (given: unknown): StepRow => filled(STEP, given);
export const placeRow = (given: unknown): PlaceRow => filled(PLACE, given);
