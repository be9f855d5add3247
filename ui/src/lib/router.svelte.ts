// A small router on the History API: the path, ways to change it, and a listener that follows links.
let current = $state(location.pathname);

export const router = {
  get path() {
    return current;
  },
};

export function go(path: string, replace = false): void {
  if (path !== location.pathname + location.search) history[replace ? 'replaceState' : 'pushState'](null, '', path);
  current = location.pathname;
  scrollTo(0, 0);
}

/** Values of the `:names` in a pattern, or null when the path does not fit. */
export function match(pattern: string, path: string): Record<string, string> | null {
  const want = pattern.split('/');
  const have = path.replace(/\/$/, '').split('/');
  if (want.length !== have.length) return null;
  const found: Record<string, string> = {};
  for (const [i, part] of want.entries()) {
    const got = have[i] ?? '';
    if (part.startsWith(':')) found[part.slice(1)] = decodeURIComponent(got);
    else if (part !== got) return null;
  }
  return found;
}

export function listen(): () => void {
  const onPop = () => (current = location.pathname);
  const onClick = (event: MouseEvent) => {
    if (event.defaultPrevented || event.button !== 0 || event.metaKey || event.ctrlKey || event.shiftKey) return;
    const link = (event.target as Element | null)?.closest('a');
    if (!link || link.origin !== location.origin || link.target || link.hasAttribute('download')) return;
    if (link.pathname.startsWith('/api/')) return;
    event.preventDefault();
    go(link.pathname + link.search);
  };
  addEventListener('popstate', onPop);
  addEventListener('click', onClick);
  return () => {
    removeEventListener('popstate', onPop);
    removeEventListener('click', onClick);
  };
}
