// Requests that take as long as they take: a large list comes in or goes out for minutes.
import { asProblem, Problem, UNREACHABLE } from './api';

/** What such a request says of itself. */
export const PATIENT = { Prefer: 'wait=600' };

/** A file that is written while one waits: its answer, or a Problem thrown. */
export async function patientGet(url: string): Promise<Response> {
  const answer = await fetch(url).catch(() => null);
  if (answer?.ok) return answer;
  throw new Problem(answer ? asProblem(await answer.json().catch(() => null)) : UNREACHABLE);
}
