// Both runs of a verdict, as the trace explorer takes them.
import type { Reading, SideName, Verdict } from '../../lib/api';
import { ROLES } from '../../lib/words';

export function bothReadings(verdict: Verdict): { side: SideName; reading: Reading }[] {
  return [
    { side: 'before', reading: verdict.before_reading },
    { side: 'after', reading: verdict.after_reading },
  ];
}

/** What both logs hold, to be laid over each other. */
export function sharedChannels(verdict: Verdict): { value: string; label: string }[] {
  return Object.keys(verdict.before_reading.stats)
    .filter((r) => r in verdict.after_reading.stats && r !== 'throttle_flag')
    .map((r) => ({ value: r, label: ROLES[r] ?? r }));
}
