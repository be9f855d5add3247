// A press that counts once and whose refusal is told where nothing else on the page does.
import { Problem } from './api';
import { once } from './once';
import { toast } from './toasts.svelte';

/** The same work, once at a time; what is refused is told, and nothing is given then. */
export function press<A extends unknown[]>(work: (...given: A) => Promise<void>): (...given: A) => Promise<void> {
  return once(async (...given: A) => {
    try {
      await work(...given);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      toast(error.words, { tone: 'wrong' });
    }
  });
}
