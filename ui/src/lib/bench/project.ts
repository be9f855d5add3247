// The bench as it looks once what is on its way has arrived: the same small steps the server takes, no rules of its own.
import type { Bench, Guard, Place, Queued, Step, Wait } from './types';

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

export const plugsOpen = (places: readonly Place[]): boolean =>
  places.some((p) => p.is_out && p.kind === 'plug' && p.holds !== 'battery');

/** The step that makes a missing fact true, or takes a barring one away. */
export function stepFirst(bench: Bench, guard: Guard, plugsOpenName: string): Step | null {
  const facts = new Set(bench.facts);
  const missing = guard.needs.filter((n) => !facts.has(n));
  const barring = guard.bars.filter((b) => facts.has(b));
  const open = bench.steps.filter((s) => !s.outcome);
  return (
    open.find((s) => s.acts.some((a) => missing.includes(a)) || s.cancels.some((c) => barring.includes(c))) ??
    (barring.includes(plugsOpenName) ? (open.find((s) => s.acts.includes('plug_on')) ?? null) : null)
  );
}

/** What is on its way, laid over what the server said. offsetMs: the server's clock before this one's. */
export function project(bench: Bench, queue: readonly Queued[], offsetMs: number, plugsOpenName: string): Bench {
  const left = queue.filter((q) => q.number === undefined || q.number > bench.number);
  const active: Queued[] = [];
  const undone: (Queued | null)[] = [];
  let back = 0;
  for (const event of left) {
    if (event.kind === 'undo') {
      const last = active.pop();
      if (!last) back += 1;
      undone.push(last ?? null);
    } else if (event.kind === 'redo') {
      const again = undone.pop();
      if (again) active.push(again);
      else if (again === null) back -= 1;
    } else {
      active.push(event);
      undone.length = 0;
    }
  }
  let out = bench;
  for (const last of bench.recent.slice(bench.recent.length - back).reverse()) out = without(out, last);
  for (const event of active) out = apply(out, event, offsetMs);
  if (out === bench) return bench;
  const facts = new Set(out.facts);
  facts.delete(plugsOpenName);
  if (plugsOpen(out.places)) facts.add(plugsOpenName);
  return { ...out, facts: [...facts], blockers: out.blockers.filter((b) => stillOpen(out, b.of, facts)) };
}

/** Whether what kept the job open is still there, as far as one can tell from here. */
function stillOpen(bench: Bench, of: string, facts: ReadonlySet<string>): boolean {
  const step = bench.steps.find((s) => s.id === of);
  if (step) return step.outcome === null;
  const place = bench.places.find((p) => p.id === of);
  if (place) return place.is_out;
  const wait = bench.waits.find((w) => w.id === of);
  if (wait) return wait.ended === null;
  return !facts.has(of);
}

/** What the server said, less one event of it, as far as it can be told from here; the server's answer follows. */
function without(bench: Bench, last: Bench['recent'][number]): Bench {
  if (last.kind === 'place_out' || last.kind === 'place_in')
    return toggle(bench, [last.place], last.kind === 'place_in');
  const step = bench.steps.find((s) => s.id === last.step);
  if (!step || !(last.kind.startsWith('step_') || last.kind === 'power_on')) return bench;
  const facts = new Set(bench.facts);
  for (const fact of [...step.acts, ...step.makes]) facts.delete(fact);
  const steps = bench.steps.map((s) => (s.id === step.id ? { ...s, outcome: null } : s));
  const out = toggle({ ...bench, facts: [...facts], steps }, step.takes_out, false);
  return toggle(out, step.puts_in, true);
}

function apply(bench: Bench, event: Queued, offsetMs: number): Bench {
  const at = new Date(new Date(event.made_at).getTime() + offsetMs).toISOString();
  const text = (name: string) => String(event.data[name] ?? '');
  switch (event.kind) {
    case 'step_done': {
      const value = typeof event.data.value === 'number' ? event.data.value : null;
      return done(bench, text('step'), event.id, at, value);
    }
    case 'power_on': {
      const results = Object.values((event.data.results ?? {}) as Record<string, string>);
      const step = bench.steps.find((s) => s.shows === 'power' && !s.outcome);
      return step && !results.includes('fails') ? done(bench, step.id, event.id, at) : bench;
    }
    case 'step_skipped':
      return settle(bench, text('step'), 'skipped', at, text('reason'));
    case 'gone_back': {
      const from = bench.steps.findIndex((s) => s.id === event.data.step);
      return { ...bench, steps: bench.steps.map((s, i) => (i >= from && from >= 0 ? { ...s, outcome: null } : s)) };
    }
    case 'place_out':
    case 'place_in':
      return toggle(bench, [text('place')], event.kind === 'place_out');
    case 'place_added':
      return { ...bench, places: [...bench.places, asPlace(bench, event.data.place as Partial<Place>)] };
    case 'place_changed': {
      const place = asPlace(bench, event.data.place as Partial<Place>);
      return {
        ...bench,
        places: bench.places.map((p) => (p.id === place.id ? { ...p, ...place, is_out: p.is_out } : p)),
      };
    }
    case 'place_removed':
      return { ...bench, places: bench.places.filter((p) => p.id !== event.data.place) };
    case 'wait_ended':
      return {
        ...bench,
        waits: bench.waits.map((w) => (w.id === event.data.wait ? { ...w, ended: at, reason: text('reason') } : w)),
      };
    case 'leftover':
      return { ...bench, leftover: Number(event.data.count ?? 0), leftover_words: text('words') };
    case 'closed':
      return { ...bench, closed: at };
    default:
      return bench;
  }
}

function settle(bench: Bench, id: string, how: string, at: string, words: string, value: number | null = null): Bench {
  const outcome = { how, at, by: '', words, value };
  return { ...bench, steps: bench.steps.map((s) => (s.id === id ? { ...s, outcome } : s)) };
}

function done(bench: Bench, id: string, eventId: string, at: string, value: number | null = null): Bench {
  const step = bench.steps.find((s) => s.id === id);
  if (!step) return bench;
  let out = settle(bench, id, 'done', at, '', value);
  const facts = new Set(out.facts);
  for (const cancelled of step.cancels) facts.delete(cancelled);
  for (const fact of [...step.acts, ...step.makes]) facts.add(fact);
  out = toggle({ ...out, facts: [...facts] }, step.takes_out, true);
  out = toggle(out, step.puts_in, false);
  if (step.wait) {
    const due = new Date(new Date(at).getTime() + 60_000 * step.wait_min).toISOString();
    const wait = { id: eventId, wait: step.wait, words: step.text, step: step.text, began: at, due, ended: null };
    out = { ...out, waits: [...out.waits, { ...wait, reason: '' }] };
  }
  return out;
}

function toggle(bench: Bench, ids: readonly string[], isOut: boolean): Bench {
  if (!ids.length) return bench;
  return { ...bench, places: bench.places.map((p) => (ids.includes(p.id) ? { ...p, is_out: isOut } : p)) };
}

function asPlace(bench: Bench, given: Partial<Place>): Place {
  const kin = bench.classes.find(
    (c) => c.length_mm === (given.length_mm ?? null) && c.drive === given.drive && c.head === given.head,
  );
  const shown =
    given.kind === 'screw' ? { letter: kin?.letter ?? '·', shape: kin?.shape ?? 'circle' } : { letter: '', shape: '' };
  const blank = {
    length_mm: null,
    drive: 'unknown',
    head: 'unknown',
    number: null,
    note: '',
    x: 0,
    y: 0,
    holds: 'other',
  };
  const rest = { words: '', is_out: false, was_out: null, explained: '', guards_out: [], guards_in: [] };
  return { id: '', kind: 'screw', ...blank, ...rest, ...shown, ...given } as Place;
}
