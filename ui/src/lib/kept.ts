// Names that the page and its service worker share.
export const KEPT_ANSWERS = 'kept-answers';
/** Set on an answer that did not come from the server but from what was kept of it. */
export const KEPT_HEADER = 'X-Kept';
