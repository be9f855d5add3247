import type { Address } from '../pages';

// A small router on the History API: the path, ways to change it, and a listener that follows links.
let current = $state(location.pathname);
// How often one went somewhere, and how far down one was where Back leads to [px].
let turns = $state(0);
// How often one was sent anywhere, also to the page that is shown.
let sent = $state(0);
let down = 0;

export const router = {
  get path() {
    return current;
  },
  /** Counts each going to a page, also to the one that is shown. */
  get turns() {
    return turns;
  },
  /** Counts each going anywhere: the part behind the question mark may be another one. */
  get sent() {
    return sent;
  },
  /** How far down one was on the page that one comes back to [px]. */
  get down() {
    return down;
  },
};

/** The place on a page is kept with its entry in the history. */
const keepPlace = () => history.replaceState({ ...(history.state as object | null), down: scrollY }, '');

export function go(path: Address, replace = false): void {
  if (path !== location.pathname + location.search) {
    if (!replace) keepPlace();
    history[replace ? 'replaceState' : 'pushState'](null, '', path);
  }
  down = 0;
  if (location.pathname !== current) turns += 1;
  sent += 1;
  current = location.pathname;
  scrollTo(0, 0);
}

/** A part of an address in plain text, or null where it is none: such an address leads nowhere. */
function readable(part: string): string | null {
  try {
    return decodeURIComponent(part);
  } catch {
    return null;
  }
}

/** Values of the `:names` in a pattern, or null when the path does not fit. */
export function match(pattern: string, path: string): Record<string, string> | null {
  const want = pattern.replace(/\/$/, '').split('/');
  const have = path.replace(/\/$/, '').split('/');
  if (want.length !== have.length) return null;
  const found: Record<string, string> = {};
  for (const [i, part] of want.entries()) {
    const got = have[i] ?? '';
    if (part.startsWith(':')) {
      const value = readable(got);
      if (value === null) return null;
      found[part.slice(1)] = value;
    } else if (part !== got) return null;
  }
  return found;
}

export function listen(): () => void {
  history.scrollRestoration = 'manual';
  const onPop = (event: PopStateEvent) => {
    down = (event.state as { down?: number } | null)?.down ?? 0;
    turns += 1;
    sent += 1;
    current = location.pathname;
  };
  // Back leaves a page without asking: its place is kept while one scrolls.
  let timer: ReturnType<typeof setTimeout> | undefined;
  const onScroll = () => {
    clearTimeout(timer);
    const path = location.pathname;
    timer = setTimeout(() => path === location.pathname && keepPlace(), 150);
  };
  const onClick = (event: MouseEvent) => {
    if (event.defaultPrevented || event.button !== 0 || event.metaKey || event.ctrlKey || event.shiftKey) return;
    const link = (event.target as Element | null)?.closest('a');
    if (!link || link.origin !== location.origin || link.target || link.hasAttribute('download')) return;
    // Files, and the pages of customers, are no rooms of this application.
    if (/^\/(api|r|q|check)(\/|$)/.test(link.pathname)) return;
    event.preventDefault();
    go((link.pathname + link.search) as Address);
  };
  addEventListener('popstate', onPop);
  addEventListener('scroll', onScroll, { passive: true });
  addEventListener('click', onClick);
  return () => {
    removeEventListener('popstate', onPop);
    removeEventListener('scroll', onScroll);
    clearTimeout(timer);
    removeEventListener('click', onClick);
  };
}
