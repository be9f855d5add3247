// What the server will make of something that it has not judged yet, as far as that can be told from here.
import type { Acts, BenchEvent, BenchState, PlaceRow } from './state';
import type { BenchWords, Queued } from './types';

/** What taking a place out or putting it in means for the rules. */
export function actsOfPlace(
  place: PlaceRow | undefined,
  places: Record<string, PlaceRow>,
  out: readonly string[],
  explained: Record<string, string>,
  comesOut: boolean,
): string[] {
  if (!place || place.kind === 'pad') return [];
  if (place.kind === 'plug') {
    if (place.holds === 'battery') return [comesOut ? 'battery_off' : 'battery_on'];
    return [comesOut ? 'plug_off' : 'plug_on'];
  }
  if (place.holds !== 'cover') return [comesOut ? 'inner_screws_out' : 'inner_screws_in'];
  if (comesOut) return ['cover_screws_out'];
  const open = out.filter((id) => id !== place.id && places[id]?.kind === 'screw' && places[id].holds === 'cover');
  return open.some((id) => !(id in explained)) ? [] : ['cover_screws_in'];
}

const waiting = (kind: string, minutes: number | null, words: BenchWords): Record<string, unknown> => ({
  wait: kind,
  minutes: minutes ?? words.waits.find((w) => w.name === kind)?.minutes ?? 0,
});

function made(s: BenchState, q: Queued, words: BenchWords): Record<string, unknown> {
  const text = (name: string) => (typeof q.data[name] === 'string' ? q.data[name] : '');
  switch (q.kind) {
    case 'step_done': {
      const step = s.steps.find((x) => x.id === q.data.step);
      return step?.wait ? waiting(step.wait, step.wait_min || null, words) : {};
    }
    case 'place_out':
    case 'place_in': {
      const place = s.places[text('place')];
      return { acts: actsOfPlace(place, s.places, s.out, s.explained, q.kind === 'place_out') };
    }
    case 'power_on': {
      const fine = !Object.values((q.data.results ?? {}) as Record<string, string>).includes('fails');
      const step = s.steps.find((x) => x.shows === 'power' && !(x.id in s.outcomes));
      return { step: step?.id ?? '', acts: fine ? ['power_on_ok'] : ['powered'] };
    }
    case 'wait_started':
      return waiting(text('wait'), typeof q.data.minutes === 'number' ? q.data.minutes : null, words);
    default:
      return {};
  }
}

/** The event that something on its way will become. offsetMs: the server's clock before this one's. */
export function foresee(s: BenchState, q: Queued, offsetMs: number, words: BenchWords): BenchEvent {
  const at = new Date(Date.parse(q.made_at) + offsetMs).toISOString();
  return { id: q.id, kind: q.kind, data: q.data, made: made(s, q, words), at, by: '' };
}

/** The table of acts, from the words of the bench. */
export const actsOf = (words: BenchWords): Acts =>
  new Map(words.acts.map(({ name, cancels, makes }) => [name, { cancels, makes }]));
