import { untrack } from 'svelte';

// Keys of the whole application. A page offers actions; typing in a field never triggers one.
export interface KeyAction {
  key: string;
  words: string;
  run: () => void;
}

let offered = $state.raw<KeyAction[]>([]);

export const keys = {
  get offered() {
    return offered;
  },
};

/** Offer actions while a component lives; call what it returns when it goes. */
export function offer(actions: KeyAction[]): () => void {
  // Untracked, so that a page which offers keys in an effect does not wait for its own offer.
  untrack(() => (offered = [...offered, ...actions]));
  return () => {
    untrack(() => (offered = offered.filter((a) => !actions.includes(a))));
  };
}

function isTyping(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest('input, textarea, select, [contenteditable]') !== null;
}

function isPressing(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest('button, a, summary, [role="radio"], [role="slider"]') !== null;
}

export function listenForKeys(): () => void {
  const onKey = (event: KeyboardEvent) => {
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
    if ((event.key === 'Enter' || event.key === ' ') && isPressing(event.target)) return;
    if (document.querySelector('dialog[open]')) return;
    const key = event.key === ' ' ? 'Enter' : event.key;
    const action = offered.findLast((a) => a.key === key);
    if (!action) return;
    event.preventDefault();
    action.run();
  };
  addEventListener('keydown', onKey);
  return () => removeEventListener('keydown', onKey);
}
