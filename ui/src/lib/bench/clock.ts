// What is left of a wait, as one reads it from a distance.

/** Milliseconds as m:ss, or h:mm:ss from an hour on; never below nought. */
export function remaining(ms: number): string {
  const s = Math.max(0, Math.ceil(ms / 1000));
  const two = (n: number) => String(n).padStart(2, '0');
  const [h, m] = [Math.floor(s / 3600), Math.floor(s / 60) % 60];
  return h ? `${h}:${two(m)}:${two(s % 60)}` : `${m}:${two(s % 60)}`;
}

/** The present moment as it is sent. */
export const nowIso = (): string => new Date().toISOString();

/** Minutes in words: 5 min, 2 h, 1.5 h. */
export function minutesWords(minutes: number): string {
  if (minutes < 90) return `${Math.round(minutes)} min`;
  const hours = Math.round(minutes / 6) / 10;
  return `${hours} h`;
}
