// Arriving at a page: its heading takes the focus and gives the title, and Back finds the place where one was.
import { say } from './say';

const PATIENCE_MS = 5000;

/** The heading of what is shown: of a stage the stage's own, which may not have come yet, else the page's. */
function headingOf(main: HTMLElement): HTMLElement | null {
  const stage = main.querySelector<HTMLElement>('[data-stage]');
  return (stage ?? main).querySelector<HTMLElement>(stage ? 'h2' : 'h1');
}

/** Title of what is shown: the stage, the page, the product. */
export function titleOf(main: HTMLElement): string {
  const stage = main.querySelector<HTMLElement>('[data-stage]')?.dataset.stage;
  const page = main.querySelector('h1')?.textContent?.trim();
  return [stage, page, say('header-vivid-owl')].filter(Boolean).join(' · ');
}

export interface Arrivals {
  /** Another page is on its way: focus its heading once it is there, and go down to where one was. */
  expect: (scrollTo: number) => void;
  stop: () => void;
}

/** Follow what comes into the main part of the page. */
export function followArrivals(): Arrivals {
  let until = 0;
  let down = 0;
  const look = () => {
    const main = document.querySelector('main');
    if (!main) return;
    document.title = titleOf(main);
    if (!until) return;
    if (performance.now() > until) until = 0;
    const heading = headingOf(main);
    if (!heading) return;
    if (down && document.documentElement.scrollHeight < down + innerHeight) return;
    if (down) scrollTo(0, down);
    until = 0;
    // A form that has put the cursor where one types keeps it.
    if (main.contains(document.activeElement) && document.activeElement?.matches('input, select, textarea')) return;
    heading.tabIndex = -1;
    heading.focus({ preventScroll: true });
  };
  const observer = new MutationObserver(look);
  observer.observe(document.body, {
    childList: true,
    subtree: true,
    characterData: true,
    attributeFilter: ['data-stage'],
  });
  look();
  return {
    expect: (scrollTo) => {
      until = performance.now() + PATIENCE_MS;
      down = scrollTo;
      queueMicrotask(look);
    },
    stop: () => observer.disconnect(),
  };
}
