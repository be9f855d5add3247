// Keys of the whole application. A page offers actions; typing in a field never triggers one.
import { meant } from './pedals';

export interface KeyAction {
  key: string;
  words: string;
  run: () => void;
  /** The key is let go. */
  release?: () => void;
  /** The page takes the whole keyboard: keys of the rest of the application rest meanwhile. */
  alone?: boolean;
}

// The list itself is plain: a state that is read while an effect is torn down still has its former value, and offers
// made in the same moment would be lost. The state only tells those who show the list.
let list: KeyAction[] = [];
let shown = $state.raw<KeyAction[]>([]);

export const keys = {
  /** What a key does now: where a page takes the whole keyboard, the rest of the application is not heard. */
  get offered() {
    return heard(shown);
  },
};

const heard = (all: KeyAction[]): KeyAction[] => (all.some((a) => a.alone) ? all.filter((a) => a.alone) : all);

function replace(next: KeyAction[]): void {
  list = next;
  shown = next;
}

/** Offer actions while a component lives; call what it returns when it goes. */
export function offer(actions: KeyAction[]): () => void {
  replace([...list, ...actions]);
  return () => replace(list.filter((a) => !actions.includes(a)));
}

const TYPED = 'input:not([type="radio"], [type="checkbox"], [type="range"], [type="file"])';

function isTyping(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest(`${TYPED}, textarea, select, [contenteditable]`) !== null;
}

/** A choice takes Space and the arrows for itself; any other key goes on. */
function isChoosing(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest('input') !== null;
}

/** What has the focus and takes Enter for itself; a pedal is the key of its page, wherever the focus is. */
function isPressing(target: EventTarget | null): boolean {
  if (!(target instanceof Element) || target.closest('[data-pedal]')) return false;
  return target.closest('button, a, summary, [role="radio"], [role="slider"]') !== null;
}

const nameOf = (event: KeyboardEvent): string => meant(event.key);

export function listenForKeys(): () => void {
  const onKey = (event: KeyboardEvent) => {
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
    // A key that is held is one press. Only the arrows may run on.
    if (event.repeat && !event.key.startsWith('Arrow')) {
      if (nameOf(event) === 'Enter') event.preventDefault();
      return;
    }
    if (isChoosing(event.target) && (event.key === ' ' || event.key.startsWith('Arrow'))) return;
    if ((event.key === 'Enter' || event.key === ' ') && isPressing(event.target)) return;
    if (document.querySelector('dialog[open]')) return;
    const action = heard(list).findLast((a) => a.key === nameOf(event));
    if (!action) return;
    event.preventDefault();
    action.run();
  };
  const onUp = (event: KeyboardEvent) => {
    for (const action of heard(list)) if (action.key === nameOf(event)) action.release?.();
  };
  addEventListener('keydown', onKey);
  addEventListener('keyup', onUp);
  return () => {
    removeEventListener('keydown', onKey);
    removeEventListener('keyup', onUp);
  };
}
