// Short messages at the foot of the page, with an undo where there is one.
export interface Toast {
  id: number;
  text: string;
  tone: 'said' | 'wrong';
  undo?: () => void | Promise<void>;
  /** Another thing that can be done about it. */
  act?: { words: string; run: () => void };
  /** It stays until it is dismissed, whatever else is said meanwhile. */
  lasts: boolean;
}

let list = $state<Toast[]>([]);
let last = 0;
const PASSING_MOST = 3;

export const toasts = {
  get list() {
    return list;
  },
};

export function dismiss(id: number): void {
  list = list.filter((t) => t.id !== id);
}

interface Options {
  tone?: Toast['tone'];
  undo?: () => void | Promise<void>;
  act?: Toast['act'];
  /** It stays until it is dismissed. */
  lasts?: boolean;
}

export function toast(text: string, { tone = 'said', undo, act, lasts = false }: Options = {}): void {
  const id = ++last;
  const next: Toast = { id, text, tone, lasts, ...(undo ? { undo } : {}), ...(act ? { act } : {}) };
  // What lasts is said once, however often it is found.
  const others = list.filter((t) => !(t.lasts && lasts && t.text === text));
  const passing = [...others.filter((t) => !t.lasts), ...(lasts ? [] : [next])].slice(-PASSING_MOST);
  list = [...others, next].filter((t) => t.lasts || passing.includes(t));
  if (!lasts) setTimeout(() => dismiss(id), undo || tone === 'wrong' ? 12000 : 5000);
}
