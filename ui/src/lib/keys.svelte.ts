// Keys of the whole application. A page offers actions; typing in a field never triggers one.
export interface KeyAction {
  key: string;
  words: string;
  run: () => void;
  /** The page takes the whole keyboard: keys of the rest of the application rest meanwhile. */
  alone?: boolean;
}

// The list itself is plain: a state that is read while an effect is torn down still has its former value, and offers
// made in the same moment would be lost. The state only tells those who show the list.
let list: KeyAction[] = [];
let shown = $state.raw<KeyAction[]>([]);

export const keys = {
  get offered() {
    return shown;
  },
};

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

function isPressing(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest('button, a, summary, [role="radio"], [role="slider"]') !== null;
}

export function listenForKeys(): () => void {
  const onKey = (event: KeyboardEvent) => {
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
    if (isChoosing(event.target) && (event.key === ' ' || event.key.startsWith('Arrow'))) return;
    if ((event.key === 'Enter' || event.key === ' ') && isPressing(event.target)) return;
    if (document.querySelector('dialog[open]')) return;
    const key = event.key === ' ' ? 'Enter' : event.key;
    const heard = list.some((a) => a.alone) ? list.filter((a) => a.alone) : list;
    const action = heard.findLast((a) => a.key === key);
    if (!action) return;
    event.preventDefault();
    action.run();
  };
  addEventListener('keydown', onKey);
  return () => removeEventListener('keydown', onKey);
}
