// What an event changes, step by step as the core does it; contract/bench.json holds both to the same.
import { placeRow, stepRow, type Acts, type BenchEvent, type BenchState, type StepRow } from './state';

const text = (e: BenchEvent, name: string): string => (typeof e.data[name] === 'string' ? e.data[name] : '');
const said = (e: BenchEvent, name = 'words'): string => text(e, name).trim();
const list = (value: unknown): string[] => (Array.isArray(value) ? value.map(String) : []);
const number = (value: unknown): number | null => (typeof value === 'number' ? value : null);

function without<T>(table: Record<string, T>, gone: (key: string) => boolean): Record<string, T> {
  return Object.fromEntries(Object.entries(table).filter(([key]) => !gone(key)));
}

/** What holds once some acts are done. */
export function after(acts: readonly string[], facts: readonly string[], table: Acts): string[] {
  const held = new Set(facts);
  for (const act of acts) {
    const known = table.get(act);
    if (!known) continue;
    for (const gone of known.cancels) held.delete(gone);
    held.add(act);
    for (const made of known.makes) held.add(made);
  }
  return [...held].sort();
}

/** Steps with one more behind the one named, or at the beginning. */
function put(step: StepRow, behind: string, steps: readonly StepRow[]): StepRow[] {
  const at = steps.findIndex((s) => s.id === behind) + 1;
  return [...steps.slice(0, at), step, ...steps.slice(at)];
}

function acted(s: BenchState, e: BenchEvent, acts: readonly string[], step: string, table: Acts): BenchState {
  const told = list(e.made.broken).map((rule) => {
    const id = `${e.id}:${rule}`;
    return [id, { id, rule, step, words: said(e, 'breach'), at: e.at, by: e.by, checked: '' }] as const;
  });
  return {
    ...s,
    facts: after(acts, s.facts, table),
    breaches: { ...s.breaches, ...Object.fromEntries(told) },
  };
}

function waits(s: BenchState, e: BenchEvent, step: string): BenchState {
  if (typeof e.made.wait !== 'string') return s;
  const due = new Date(Date.parse(e.at) + 60_000 * (number(e.made.minutes) ?? 0)).toISOString();
  const wait = { id: e.id, wait: e.made.wait, step, began: e.at, due, ended: null, reason: '' };
  return { ...s, waits: { ...s.waits, [e.id]: wait } };
}

function finished(s: BenchState, e: BenchEvent, name: string, table: Acts): BenchState {
  const i = s.steps.findIndex((x) => x.id === name);
  const step = s.steps[i];
  if (!step) return s;
  const done = acted(s, e, step.acts, step.id, table);
  const plugs = Object.values(s.places).filter((p) => p.kind === 'plug' && p.holds === 'battery');
  const battery = plugs.map((p) => p.id);
  const gone = step.takes_out.filter((id) => id in s.places && !s.out.includes(id));
  const back = step.puts_in.filter((id) => id in s.places && s.out.includes(id) && !(id in s.explained));
  const out = new Set([...s.out, ...gone]);
  for (const id of back) out.delete(id);
  const off = step.acts.includes('battery_off');
  if (off) for (const id of battery) out.add(id);
  else if (step.acts.includes('battery_on')) for (const id of battery) out.delete(id);
  const came = [...gone, ...(off ? battery : [])].map((id) => [id, i + 1] as const);
  const outcome = { how: 'done', at: e.at, by: e.by, words: text(e, 'words'), value: number(e.data.value) };
  return waits(
    {
      ...done,
      out: [...out].sort(),
      was_out: { ...s.was_out, ...Object.fromEntries(came) },
      outcomes: { ...s.outcomes, [step.id]: outcome },
    },
    e,
    step.id,
  );
}

function planned(s: BenchState, e: BenchEvent): BenchState {
  const steps = (e.data.steps as unknown[]).map(stepRow);
  return { ...s, steps, device: { ...s.device, ...(e.data.device as object) }, plan: text(e, 'plan') };
}

type Change = (s: BenchState, e: BenchEvent, table: Acts) => BenchState;

const CHANGES: Record<string, Change> = {
  begun: (s, e) => {
    const places = (e.data.places as unknown[]).map(placeRow).map((p) => [p.id, p] as const);
    return planned({ ...s, begun: e.at, places: Object.fromEntries(places), outline: text(e, 'outline') }, e);
  },
  replanned: (s, e) => {
    const again = list(e.made.again);
    return planned({ ...s, outcomes: without(s.outcomes, (id) => again.includes(id)) }, e);
  },
  attempt: (s, e) =>
    planned(
      {
        ...s,
        begun: e.at,
        outcomes: {},
        facts: [],
        was_out: {},
        leftover: 0,
        leftover_words: '',
        found: {},
        waits: {},
        breaches: {},
        mishaps: {},
        photos: s.photos.filter((p) => p.what === 'before' || p.what === 'map'),
        power: [],
        notes: [],
        closed: null,
        attempt: number(e.data.number) ?? s.attempt + 1,
      },
      e,
    ),
  step_done: (s, e, table) => finished(s, e, text(e, 'step'), table),
  step_skipped: (s, e) => {
    const outcome = { how: 'skipped', at: e.at, by: e.by, words: said(e, 'reason'), value: null };
    return { ...s, outcomes: { ...s.outcomes, [text(e, 'step')]: outcome } };
  },
  gone_back: (s, e) => {
    const at = s.steps.findIndex((x) => x.id === e.data.step);
    const again = at < 0 ? [] : s.steps.slice(at).map((x) => x.id);
    return { ...s, outcomes: without(s.outcomes, (id) => again.includes(id)) };
  },
  step_added: (s, e) => ({
    ...s,
    steps: put({ ...stepRow(e.data.step), own: true }, text(e, 'after'), s.steps),
  }),
  step_moved: (s, e) => {
    const step = s.steps.find((x) => x.id === e.data.step);
    if (!step) return s;
    const rest = s.steps.filter((x) => x !== step);
    return { ...s, steps: put(step, text(e, 'after'), rest) };
  },
  place_added: (s, e) => placed(s, e),
  place_changed: (s, e) => placed(s, e),
  place_removed: (s, e) => ({ ...s, places: without(s.places, (id) => id === e.data.place) }),
  place_out: (s, e, table) => {
    const place = text(e, 'place');
    const at = s.steps.findIndex((x) => x.takes_out.includes(place));
    const number = at >= 0 ? at + 1 : Object.keys(s.outcomes).length + 1;
    const out = [...new Set([...s.out, place])].sort();
    return { ...acted(s, e, list(e.made.acts), '', table), out, was_out: { ...s.was_out, [place]: number } };
  },
  place_in: (s, e, table) => {
    const place = text(e, 'place');
    const explained = without(s.explained, (id) => id === place);
    return { ...acted(s, e, list(e.made.acts), '', table), out: s.out.filter((id) => id !== place), explained };
  },
  outline: (s, e) => ({ ...s, outline: text(e, 'photo') }),
  leftover: (s, e) => {
    const count = number(e.data.count) ?? 0;
    return { ...s, leftover: count, leftover_words: count ? said(e) : '' };
  },
  explained: (s, e) => ({ ...s, explained: { ...s.explained, [text(e, 'place')]: said(e) } }),
  found: (s, e) => {
    const part = text(e, 'part');
    const got = { id: e.id, part, seen: text(e, 'seen'), words: text(e, 'words'), photo: text(e, 'photo'), at: e.at };
    return { ...s, found: { ...s.found, [part]: got } };
  },
  wait_started: (s, e) => waits(s, e, text(e, 'step')),
  wait_ended: (s, e) => {
    const wait = s.waits[text(e, 'wait')];
    if (!wait) return s;
    return { ...s, waits: { ...s.waits, [wait.id]: { ...wait, ended: e.at, reason: said(e, 'reason') } } };
  },
  mishap: (s, e) => {
    const step = text(e, 'step');
    const told = { id: e.id, step, words: said(e), at: e.at, by: e.by, checked: '' };
    const got = { ...told, what: text(e, 'what'), place: text(e, 'place') };
    return waits({ ...s, mishaps: { ...s.mishaps, [e.id]: got } }, e, step);
  },
  checked: (s, e) => {
    const key = text(e, 'of');
    const [breach, mishap] = [s.breaches[key], s.mishaps[key]];
    if (breach) return { ...s, breaches: { ...s.breaches, [key]: { ...breach, checked: said(e) } } };
    if (mishap) return { ...s, mishaps: { ...s.mishaps, [key]: { ...mishap, checked: said(e) } } };
    return s;
  },
  power_on: (s, e, table) => {
    const results = (e.made.results ?? e.data.results ?? {}) as Record<string, string>;
    const fine = !Object.values(results).includes('fails');
    const seen = { ...s, power: [...s.power, { results, boot_s: number(e.data.boot_s), fine, at: e.at }] };
    const step = typeof e.made.step === 'string' ? e.made.step : '';
    return fine && step ? finished(seen, e, step, table) : acted(seen, e, list(e.made.acts), step, table);
  },
  photo: (s, e) => {
    const use = { photo: text(e, 'photo'), step: text(e, 'step'), what: text(e, 'what'), at: e.at };
    return { ...s, photos: [...s.photos, use], outline: use.what === 'map' ? use.photo : s.outline };
  },
  note: (s, e) => ({
    ...s,
    notes: [...s.notes, { words: said(e), step: text(e, 'step'), at: e.at, by: e.by }],
  }),
  closed: (s, e) => ({ ...s, closed: e.at }),
};

/** Kinds of events that change the state; undo and redo choose among them. */
export const KINDS = Object.keys(CHANGES);

function placed(s: BenchState, e: BenchEvent): BenchState {
  const place = placeRow(e.data.place);
  return { ...s, places: { ...s.places, [place.id]: place } };
}

/** The state after one event; one of a kind that this page does not know changes nothing. */
export function evolve(s: BenchState, e: BenchEvent, table: Acts): BenchState {
  const change = CHANGES[e.kind];
  if (!change) return s;
  const next = change(s, e, table);
  if (!Array.isArray(e.made.steps)) return next;
  const known = new Map(next.steps.map((step) => [step.id, step]));
  const steps = e.made.steps.map((row) => (typeof row === 'string' ? known.get(row) : stepRow(row)));
  return { ...next, steps: steps.filter((step) => step !== undefined) };
}

/** What counts and what was taken back once more events have come, each latest last. */
export function turned<E extends { kind: string }>(
  active: readonly E[],
  undone: readonly E[],
  events: readonly E[],
): { active: E[]; undone: E[] } {
  const out = { active: [...active], undone: [...undone] };
  for (const event of events) {
    if (event.kind === 'undo') out.undone.push(...out.active.splice(-1));
    else if (event.kind === 'redo') out.active.push(...out.undone.splice(-1));
    else {
      out.active.push(event);
      out.undone.length = 0;
    }
  }
  return out;
}
