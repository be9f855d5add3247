// A stand-in for the server in tests: answers by method and path, remembers what was asked.
import { vi } from 'vitest';
import type { ProblemBody } from './api';

export interface Asked {
  method: string;
  path: string;
  query: string;
  body: unknown;
}

export type Answer = unknown | ((asked: Asked) => unknown);

/** Serve answers by "METHOD /path/pattern"; a Response is passed on as it is, anything else becomes JSON. */
export function serve(answers: Record<string, Answer>): Asked[] {
  const log: Asked[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const url = new URL(request.url);
    const text = request.method === 'GET' ? '' : await request.text();
    const asked = { method: request.method, path: url.pathname, query: url.search, body: parsed(text) };
    log.push(asked);
    const key = Object.keys(answers).find((k) => matches(k, asked));
    if (!key) return json(404, problem({ status: 404, detail: `Nothing at ${asked.path}` }));
    const answer = answers[key];
    const found = await (typeof answer === 'function' ? (answer as (a: Asked) => unknown)(asked) : answer);
    return found instanceof Response ? found : json(200, found);
  });
  return log;
}

/** What is sent as it is, a photo or a table, stays text. */
function parsed(text: string): unknown {
  try {
    return text ? JSON.parse(text) : undefined;
  } catch {
    return text;
  }
}

function matches(key: string, asked: Asked): boolean {
  const [method, path] = key.split(' ');
  return method === asked.method && new RegExp(`^${path?.replace(/\*/g, '[^/]+')}$`).test(asked.path);
}

export function json(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
}

export function problem(more: Partial<ProblemBody>): ProblemBody {
  return {
    type: 'about:blank',
    title: 'Refused',
    status: 422,
    detail: 'Refused.',
    remedy: '',
    reason: '',
    stage: '',
    errors: [],
    headers: [],
    ...more,
  };
}
