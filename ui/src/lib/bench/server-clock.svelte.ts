// How far the server's clock is before this one's. A tablet whose clock is wrong still shows the waits that the server set,
// also after a reload without a line: the last difference is kept with the moment it was found at.
const KEPT = 'server-clock';

function kept(): number {
  try {
    const found = JSON.parse(localStorage.getItem(KEPT) ?? '{}') as { offset_ms?: unknown; at?: unknown };
    // A clock that was put back since is another clock.
    const usable = typeof found.offset_ms === 'number' && typeof found.at === 'number' && Date.now() >= found.at;
    return usable ? (found.offset_ms as number) : 0;
  } catch {
    return 0;
  }
}

let offsetMs = $state<number | null>(null);

export const serverClock = {
  /** The server's clock before this one's [ms]. */
  get offsetMs(): number {
    return offsetMs ?? kept();
  },
  /** The moment by the server's clock. */
  now(): number {
    return Date.now() + this.offsetMs;
  },
  /** An answer of the server itself, not one that was kept, says what its clock shows. */
  learn(moment: string): void {
    offsetMs = Date.parse(moment) - Date.now();
    try {
      localStorage.setItem(KEPT, JSON.stringify({ offset_ms: offsetMs, at: Date.now() }));
    } catch {
      // Without room it is learnt anew with the next answer.
    }
  },
  /** As a page that has just been opened has it. */
  forget(): void {
    offsetMs = null;
  },
};
