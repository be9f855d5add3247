// What these pages ask of the server: few things, by hand, so that a phone has little to load.
import type { Schemas } from '../lib/api';

/** What the server refused. reason: a short word that the pages have sentences for; offline where it did not answer. */
export class Refusal extends Error {
  readonly reason: string;

  constructor(reason: string) {
    super(reason);
    this.reason = reason;
  }
}

export async function ask<T>(path: string): Promise<T> {
  let answer: Response;
  try {
    answer = await fetch(path, { signal: AbortSignal.timeout(20_000) });
  } catch {
    throw new Refusal('offline');
  }
  if (answer.ok) return (await answer.json()) as T;
  const told = (await answer.json().catch(() => ({}))) as Partial<Schemas['Problem']>;
  throw new Refusal(answer.status === 429 ? 'often' : told.reason || 'unknown');
}
