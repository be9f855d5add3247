// The shop's days and hours, wherever the machine that shows them stands.
const USUAL_TIME = '16:00';

let shops: string | undefined;

/** Where this machine is, as its browser knows it. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Where the shop is; undefined while nobody is signed in, which leaves it at the machine's own. */
export const shopZone = (): string | undefined => shops;

export function useZone(name: string | undefined): void {
  shops = name;
}

function parts(at: Date): { day: string; time: string } {
  const told = new Intl.DateTimeFormat('en-CA', {
    timeZone: shops,
    dateStyle: 'short',
    timeStyle: 'short',
    hourCycle: 'h23',
  }).format(at);
  const [day = '', time = ''] = told.split(', ');
  return { day, time };
}

/** A moment as day and time where the shop is. */
export function local(iso: string | null): { day: string; time: string } {
  return iso ? parts(new Date(iso)) : { day: '', time: '' };
}

/** Today where the shop is. */
export const today = (): string => parts(new Date()).day;

/** The moment of a day and time where the shop is: null without a day, undefined when the time is none. */
export function momentOf(day: string, time: string): string | null | undefined {
  if (!day) return null;
  const read = /^([01]?\d|2[0-3])[:.]?([0-5]\d)?$/.exec(time.trim() || USUAL_TIME);
  const wanted = read ? Date.parse(`${day}T${read[1]?.padStart(2, '0')}:${read[2] ?? '00'}Z`) : NaN;
  if (Number.isNaN(wanted)) return undefined;
  // The offset is that of the moment itself: looked up twice, since the first guess may lie across a change of clocks.
  let at = wanted;
  for (let i = 0; i < 2; i++) {
    const shown = parts(new Date(at));
    at += wanted - Date.parse(`${shown.day}T${shown.time}Z`);
  }
  return new Date(at).toISOString();
}
