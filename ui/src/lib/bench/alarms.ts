// An alarm for each wait that is over: it rings until someone says that it was seen, or puts it off.
export const AGAIN_S = 20; // between two rings of one alarm
export const SNOOZE_MIN = 5;
const STALE_MS = 3_600_000; // what has been over for longer is shown on the Bench, and no longer rung
const IN_USE_MS = 15 * 60_000; // since the last touch or key; a tablet left lying rings once and is quiet

export interface Over {
  id: string;
  /** When it was over [ms]. */
  due: number;
  /** On whichever tablet it was seen, or put off until then [ms]. */
  quiet?: number;
}

type Kept = Record<string, number>;
const KEY = 'alarms';

/** When each may ring again [ms]; never, once it was seen. */
function kept(): Kept {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Kept;
  } catch {
    return {};
  }
}
function keep(state: Kept): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(state));
  } catch {
    // Without a store it rings again after a reload, which is the safe side.
  }
}

export const seen = (id: string): void => keep({ ...kept(), [id]: Number.MAX_SAFE_INTEGER });
export const snooze = (id: string, now: number): void => keep({ ...kept(), [id]: now + SNOOZE_MIN * 60_000 });

/** A page that is opened anew goes on with what asked before it, and leaves alone what was over long before. */
export function begin(list: Over[], now: number): void {
  const state = kept();
  for (const { id, due } of list) if (due <= now) state[id] ??= Number.MAX_SAFE_INTEGER;
  keep(state);
}

/** What is over by now and still asks for someone. Forgets what is no longer among the waits. */
export function asking(list: Over[], now: number): Over[] {
  const state = kept();
  const known = Object.fromEntries(Object.entries(state).filter(([id]) => list.some((w) => w.id === id)));
  for (const { id, due } of list) if (due <= now) known[id] ??= 0;
  if (JSON.stringify(known) !== JSON.stringify(state)) keep(known);
  return list.filter((w) => w.due <= now && now - w.due < STALE_MS && Math.max(known[w.id] ?? 0, w.quiet ?? 0) <= now);
}

/** Whether it rings at this moment: once when it begins to ask, then again and again where someone is at work. */
export function ringsNow(lastMs: number | undefined, touchedMs: number, visible: boolean, now: number): boolean {
  if (lastMs === undefined) return true;
  return visible && now - touchedMs < IN_USE_MS && now - lastMs >= AGAIN_S * 1000;
}
