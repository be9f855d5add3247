// A finger that stays on something for a second. No key does: the foot may be one.
import { HOLD_MS } from './machine';

export function hold(node: HTMLElement, run: () => void): { destroy: () => void } {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const stop = () => clearTimeout(timer);
  const heard: Partial<Record<keyof HTMLElementEventMap, (event: Event) => void>> = {
    pointerdown: () => {
      stop();
      timer = setTimeout(run, HOLD_MS);
    },
    pointerup: stop,
    pointerleave: stop,
    pointercancel: stop,
    // A tablet would open a menu before the second is over.
    contextmenu: (event) => event.preventDefault(),
  };
  for (const [name, ear] of Object.entries(heard)) node.addEventListener(name, ear);
  return {
    destroy: () => {
      stop();
      for (const [name, ear] of Object.entries(heard)) node.removeEventListener(name, ear);
    },
  };
}
