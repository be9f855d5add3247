// Which keys the foot switches of this tablet send; Enter and Space always go on, Backspace always steps back.
const KEY = 'pedals';
export type Pedal = 'Enter' | 'Backspace';
type Learnt = Partial<Record<Pedal, string>>;
// Keys that cannot be a pedal: they lead out, move the focus, or change what another key means.
const BARRED = new Set(['Escape', 'Tab', 'Shift', 'Control', 'Alt', 'Meta', 'Dead', 'Unidentified']);

export function learnt(): Learnt {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Learnt;
  } catch {
    return {};
  }
}

let now: Learnt | null = null;
/** What a pressed key means here: a learnt pedal stands for the key that it was learnt as. */
export function meant(key: string): string {
  now ??= learnt();
  if (key === now.Backspace) return 'Backspace';
  return key === ' ' || key === now.Enter ? 'Enter' : key;
}

/** Learn a pedal, or forget it with null. False when the key cannot be one. */
export function learn(pedal: Pedal, key: string | null): boolean {
  if (key !== null && BARRED.has(key)) return false;
  const next = { ...learnt() };
  for (const other of ['Enter', 'Backspace'] as const) if (next[other] === key) delete next[other];
  if (key === null) delete next[pedal];
  else next[pedal] = key;
  now = next;
  try {
    localStorage.setItem(KEY, JSON.stringify(next));
  } catch {
    // It then holds until the page is left.
  }
  return true;
}
