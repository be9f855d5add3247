// Short messages at the foot of the page, with an undo where there is one.
export interface Toast {
  id: number;
  text: string;
  tone: 'said' | 'wrong';
  undo?: () => void | Promise<void>;
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

export function toast(text: string, options: { tone?: Toast['tone']; undo?: () => void | Promise<void> } = {}): void {
  const id = ++last;
  list = [
    ...list.slice(-2),
    { id, text, tone: options.tone ?? 'said', ...(options.undo ? { undo: options.undo } : {}) },
  ];
  setTimeout(() => dismiss(id), options.undo || options.tone === 'wrong' ? 12000 : 5000);
}
