// A moment as day and time by this machine's clock, and back.
const USUAL_TIME = '16:00';
const two = (n: number): string => String(n).padStart(2, '0');

export function local(iso: string | null): { day: string; time: string } {
  if (!iso) return { day: '', time: '' };
  const at = new Date(iso);
  const day = `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
  return { day, time: `${two(at.getHours())}:${two(at.getMinutes())}` };
}

/** The moment in UTC, null without a day, undefined when the time is none. */
export function momentOf(day: string, time: string): string | null | undefined {
  if (!day) return null;
  const read = /^([01]?\d|2[0-3])[:.]?([0-5]\d)?$/.exec(time.trim() || USUAL_TIME);
  const at = read && new Date(`${day}T${two(Number(read[1]))}:${read[2] ?? '00'}`);
  return at && !Number.isNaN(at.getTime()) ? at.toISOString() : undefined;
}
