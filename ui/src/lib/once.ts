// A press counts once: what is under way is not begun again, for the same thing.

/** The same work, which rests while it is already under way for the same first argument. */
export function once<A extends unknown[], R>(
  work: (...given: A) => Promise<R>,
): (...given: A) => Promise<R | undefined> {
  const running: unknown[] = [];
  return async (...given) => {
    if (running.includes(given[0])) return undefined;
    running.push(given[0]);
    try {
      return await work(...given);
    } finally {
      running.splice(running.indexOf(given[0]), 1);
    }
  };
}
