// Short messages at the foot of the page, with an undo where there is one.
export interface Toast {
  id: number;
  text: string;
  tone: 'said' | 'wrong';
  undo?: () => void | Promise<void>;
  /** Another thing that can be done about it. */
  act?: { words: string; run: () => void };
}

let list = $state<Toast[]>([]);
let last = 0;

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
  list = [...list.slice(-2), { id, text, tone, ...(undo ? { undo } : {}), ...(act ? { act } : {}) }];
  if (!lasts) setTimeout(() => dismiss(id), undo || tone === 'wrong' ? 12000 : 5000);
}
