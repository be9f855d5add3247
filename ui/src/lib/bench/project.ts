// The bench as it looks once what is on its way has arrived: the state that the events make, with the server's words.
import { evolve, turned } from './evolve';
import { actsOf, foresee } from './foresee';
import type { Acts, BenchEvent, BenchState, PlaceRow, StepRow } from './state';
import type { Bench, BenchWords, Guard, Place, Queued, Step, Wait } from './types';

/** What holds on a bench; nothing where there is none yet. */
export function factsOf(bench: Bench | null): ReadonlySet<string> {
  return new Set(bench?.facts ?? []);
}

/** The first rule that the facts break, or null. One that no story lifts is told before one that a story does. */
export function brokenGuard(guards: readonly Guard[], facts: ReadonlySet<string>): Guard | null {
  const broken = guards.filter((g) => g.needs.some((n) => !facts.has(n)) || g.bars.some((b) => facts.has(b)));
  return broken.find((g) => g.hard) ?? broken[0] ?? null;
}

/** A wait that a step has to sit out first, or null. now: by the server's clock. */
export function runningWait(step: Step, waits: readonly Wait[], now: number): Wait | null {
  return (
    waits.find((w) => step.after_waits.includes(w.wait) && w.ended === null && new Date(w.due).getTime() > now) ?? null
  );
}

/** The step that makes a missing fact true, or takes a barring one away. */
export function stepFirst(bench: Bench, guard: Guard, plugsOpenName: string): Step | null {
  const facts = factsOf(bench);
  const missing = guard.needs.filter((n) => !facts.has(n));
  const barring = guard.bars.filter((b) => facts.has(b));
  const open = bench.steps.filter((s) => !s.outcome);
  return (
    open.find((s) => s.acts.some((a) => missing.includes(a)) || s.cancels.some((c) => barring.includes(c))) ??
    (barring.includes(plugsOpenName) ? (open.find((s) => s.acts.includes('plug_on')) ?? null) : null)
  );
}

export interface Stacks {
  active: BenchEvent[];
  undone: BenchEvent[];
}

/** What counts and what was taken back once what is on its way has arrived. */
export function stacks(bench: Bench, queue: readonly Queued[], offsetMs: number): Stacks {
  const left = queue.filter((q) => q.number === undefined || q.number > bench.number);
  const coming = left.map((q) => ({
    ...q,
    made: {},
    at: new Date(Date.parse(q.made_at) + offsetMs).toISOString(),
    by: '',
  }));
  return turned<BenchEvent>(bench.recent, bench.undone, coming);
}

/** What is on its way, laid over what the server said. offsetMs: the server's clock before this one's. */
export function project(bench: Bench, queue: readonly Queued[], offsetMs: number, words: BenchWords): Bench {
  const left = queue.filter((q) => q.number === undefined || q.number > bench.number);
  if (!left.length) return bench;
  const acts = actsOf(words);
  const own = new Map(left.map((q) => [q.id, q]));
  let state = bench.base as unknown as BenchState;
  for (const event of stacks(bench, queue, offsetMs).active) {
    const queued = own.get(event.id);
    state = evolve(state, queued ? foresee(state, queued, offsetMs, words) : event, acts);
  }
  return shown(bench, state, words, acts);
}

/** A state with the words and rules that the server gave for it. */
function shown(bench: Bench, state: BenchState, words: BenchWords, acts: Acts): Bench {
  const out = new Set(state.out);
  const facts = new Set(state.facts);
  if (Object.values(state.places).some((p) => out.has(p.id) && p.kind === 'plug' && p.holds !== 'battery'))
    facts.add(words.plugs_open);
  const pairs = words.aluminium.map(([part, seen]) => `${part}:${seen}`);
  if (Object.values(state.found).some((f) => pairs.includes(`${f.part}:${f.seen}`))) facts.add(words.aluminium_seen);
  const steps = state.steps.map((row) => asStep(row, bench, state, acts));
  const text = (id: string) => steps.find((s) => s.id === id)?.text ?? '';
  const laid: Bench = {
    ...bench,
    begun: state.begun,
    closed: state.closed,
    facts: [...facts],
    steps,
    places: Object.values(state.places).map((row) => asPlace(row, bench, state)),
    leftover: state.leftover,
    leftover_words: state.leftover_words,
    outline: state.outline,
    waits: Object.values(state.waits).map((w) => ({
      ...w,
      words: words.waits.find((kind) => kind.name === w.wait)?.words ?? w.wait,
      step: text(w.step),
    })),
    breaches: Object.values(state.breaches).map((b) => {
      const rule = words.rules.find((r) => r.name === b.rule);
      return { ...b, reason: rule?.reason ?? '', check: rule?.check ?? '' };
    }),
    mishaps: Object.values(state.mishaps).map((m) => {
      const kind = words.mishaps.find((k) => k.name === m.what);
      return { ...m, title: kind?.words ?? m.what, recovery: kind?.recovery ?? [], check: kind?.check ?? '' };
    }),
    found: Object.values(state.found).map((f) => {
      const part = words.sights.find((s) => s.part === f.part);
      const sight = part?.states.find((s) => s.name === f.seen);
      const told = { part_words: part?.words ?? f.part, seen_words: sight?.words ?? f.seen };
      return { ...f, ...told, follows: sight?.follows ?? '', sound: sight?.sound ?? false };
    }),
    photos: state.photos,
    power: state.power,
    causes: state.power.length === bench.power.length ? bench.causes : [],
    notes: state.notes,
  };
  return { ...laid, blockers: laid.blockers.filter((b) => stillOpen(laid, b.of, facts)) };
}

/** Whether what kept the job open is still there, as far as one can tell from here. */
function stillOpen(bench: Bench, of: string, facts: ReadonlySet<string>): boolean {
  const step = bench.steps.find((s) => s.id === of);
  if (step) return step.outcome === null;
  const place = bench.places.find((p) => p.id === of);
  if (place) return place.is_out && !place.explained;
  const wait = bench.waits.find((w) => w.id === of);
  if (wait) return wait.ended === null;
  const told = [...bench.breaches, ...bench.mishaps].find((x) => x.id === of);
  if (told) return told.checked === '';
  return !facts.has(of);
}

/** What of a stored step is shown as it is. */
function asShown(row: StepRow): Omit<StepRow, 'task' | 'part' | 'asks'> {
  const out: Partial<StepRow> = { ...row };
  delete out.task;
  delete out.part;
  delete out.asks;
  return out as Omit<StepRow, 'task' | 'part' | 'asks'>;
}

/** A step of the state. One that the server has not shown yet gets its rules when it does; until then one that acts on
 * the device is held and not skipped. */
function asStep(row: StepRow, bench: Bench, state: BenchState, acts: Acts): Step {
  const outcome = state.outcomes[row.id] ?? null;
  const known = bench.steps.find((s) => s.id === row.id);
  const fields = asShown(row);
  if (known) return { ...known, ...fields, outcome };
  const cancels = row.acts.flatMap((a) => acts.get(a)?.cancels ?? []).filter((c) => !row.acts.includes(c));
  const makes = row.acts.flatMap((a) => acts.get(a)?.makes ?? []);
  const acting = row.acts.length > 0;
  const blank = {
    held: acting,
    alone: acting,
    pads: [],
    skippable: !acting,
    asks: null,
    guards: [],
    hands_min: null,
    waited_min: null,
  };
  return { ...fields, ...blank, cancels: [...new Set(cancels)], makes: [...new Set(makes)], outcome };
}

function asPlace(row: PlaceRow, bench: Bench, state: BenchState): Place {
  const now = {
    is_out: state.out.includes(row.id),
    was_out: state.was_out[row.id] ?? null,
    explained: state.explained[row.id] ?? '',
  };
  const known = bench.places.find((p) => p.id === row.id);
  const kin = bench.classes.find((c) => c.length_mm === row.length_mm && c.drive === row.drive && c.head === row.head);
  const same = known && known.length_mm === row.length_mm && known.drive === row.drive && known.head === row.head;
  if (known && same && known.kind === row.kind) return { ...known, ...row, ...now };
  const letter = row.kind === 'screw' ? (kin?.letter ?? '·') : '';
  const shape = row.kind === 'screw' ? (kin?.shape ?? 'circle') : '';
  return { ...row, letter, shape, words: known?.words ?? '', guards_out: [], guards_in: [], ...now };
}
