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

export const ask = <T>(path: string): Promise<T> => send<T>(path, {});

/** Tell the server something, with the token that it gives to its own pages. */
export async function tell<T>(path: string, body: object): Promise<T> {
  const { csrf_token } = await ask<{ csrf_token: string }>('/api/session');
  const headers = { 'Content-Type': 'application/json', 'X-CSRFToken': csrf_token };
  return send<T>(path, { method: 'POST', headers, body: JSON.stringify(body) });
}

async function send<T>(path: string, given: RequestInit): Promise<T> {
  let answer: Response;
  try {
    answer = await fetch(path, { ...given, signal: AbortSignal.timeout(20_000) });
  } catch {
    throw new Refusal('offline');
  }
  if (answer.ok) return (await answer.json()) as T;
  const told = (await answer.json().catch(() => ({}))) as Partial<Schemas['Problem']>;
  throw new Refusal(answer.status === 429 ? 'often' : told.reason || 'unknown');
}
