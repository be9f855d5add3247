// The one way to ask the server for something, and to do something there. A failure stays beside what it concerns, and
// nothing that comes late counts.
import { untrack } from 'svelte';
import { Problem } from './api';

/** What may have failed. */
export interface Failing {
  readonly trouble: Problem | null;
}

export class Resource<K, T> implements Failing {
  /** The latest good answer. It stays while the same is asked again in vain. */
  value = $state.raw<T | null>(null);
  trouble = $state.raw<Problem | null>(null);
  #turn = 0;
  #of = '';
  readonly #key: () => K | null;
  readonly #fetch: (key: K) => Promise<T>;

  constructor(key: () => K | null, fetch: (key: K) => Promise<T>) {
    [this.#key, this.#fetch] = [key, fetch];
  }

  /** Ask once more. */
  readonly load = async (): Promise<void> => {
    const [turn, key] = [++this.#turn, this.#key()];
    if (key === null) {
      [this.value, this.trouble] = [null, null];
      return;
    }
    const of = JSON.stringify(key);
    try {
      const found = await this.#fetch(key);
      if (turn !== this.#turn) return;
      [this.value, this.trouble, this.#of] = [found, null, of];
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      if (turn !== this.#turn) return;
      // An answer to another question is none to this one.
      if (of !== this.#of) this.value = null;
      this.trouble = error;
    }
  };
}

/** What is asked of the server when the component comes and whenever the key is another one; nothing while it is null.
 *  Where somebody types it, it is asked once the hand rests. */
export function resource<K, T>(key: () => K | null, fetch: (key: K) => Promise<T>, restMs = 0): Resource<K, T> {
  const found = new Resource(key, fetch);
  $effect(() => {
    // Asked anew whenever what the key reads is another; what it found last is read apart, or each answer would ask again.
    key();
    if (!restMs || untrack(() => found.value) === null) {
      untrack(() => void found.load());
      return undefined;
    }
    const wait = setTimeout(() => void found.load(), restMs);
    return () => clearTimeout(wait);
  });
  return found;
}

export class Action<A extends unknown[], R> implements Failing {
  trouble = $state.raw<Problem | null>(null);
  busy = $state(false);
  #under: Promise<void> = Promise.resolve();
  readonly #work: (...given: A) => Promise<R>;

  constructor(work: (...given: A) => Promise<R>) {
    this.#work = work;
  }

  /** Do it once what is under way is done: each of these counts, however fast they come. */
  readonly queue = async (...given: A): Promise<R | undefined> => {
    while (this.busy) await this.#under;
    return this.run(...given);
  };

  /** Do it; a press while it is under way does nothing. Gives nothing where it failed. */
  readonly run = async (...given: A): Promise<R | undefined> => {
    if (this.busy) return undefined;
    [this.busy, this.trouble] = [true, null];
    let done = () => {};
    this.#under = new Promise<void>((resolve) => (done = resolve));
    try {
      return await this.#work(...given);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.trouble = error;
      return undefined;
    } finally {
      this.busy = false;
      done();
    }
  };
}

/** What is asked beside the work: where it is refused there is nothing, and the work goes on. */
export const quietly = <T>(work: Promise<T>): Promise<T | null> =>
  work.catch((error: unknown) => {
    if (!(error instanceof Problem)) throw error;
    return null;
  });

/** Something that is done on the server by a press. */
export const action = <A extends unknown[], R>(work: (...given: A) => Promise<R>): Action<A, R> => new Action(work);
