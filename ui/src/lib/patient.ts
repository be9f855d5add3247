// Requests that take as long as they take: a large list comes in or goes out for minutes.
import { take } from './api';

/** What such a request says of itself. */
export const PATIENT = { Prefer: 'wait=600' };

/** A file that is written while one waits: its answer, or a Problem thrown. */
export const patientGet = (url: string): Promise<Response> =>
  take(
    fetch(url).then(async (response) =>
      response.ok ? { data: response, response } : { error: await response.json().catch(() => ({})), response },
    ),
  );
