// Names that the page and its service worker share.
export const KEPT_ANSWERS = 'kept-answers';
/** Set on an answer that did not come from the server but from what was kept of it. */
export const KEPT_HEADER = 'X-Kept';
/** What a page tells the worker of the line. */
export const LINE_DOWN = 'line down';
export const LINE_UP = 'line up';
