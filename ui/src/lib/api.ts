// The one way to the server: typed calls, problem details, idempotency keys, uploads with progress.
import { say } from './say';
import createClient from 'openapi-fetch';
import { lineSeen, lineSlow } from './bench/news.svelte';
import { KEPT_HEADER } from './kept';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Job = Schemas['JobOut'];
export type Run = Schemas['RunOut'];
export type Verdict = Schemas['VerdictOut'];
export type CustomerRecord = Schemas['RecordOut'];
export type Session = Schemas['SessionOut'];
export type Ladder = Schemas['Ladder'];
export type Reading = Schemas['ReadingOut'];
export type Glance = Schemas['GlanceOut'];
export type FitItem = Schemas['FitItemOut'];
export type Plan = Schemas['PlanOut'];
export type Option = Schemas['OptionOut'];
export type Part = Schemas['PartOut'];
export type Shelf = Schemas['ShelfOut'];
export type Product = Schemas['ProductOut'];
export type Cut = Schemas['CutOut'];
export type Drawing = Schemas['DrawingOut'];
export type ProblemBody = Schemas['Problem'];
export type SideName = 'before' | 'after';
/** Before or after, or the id of a further run. */
export type RunKey = string;
/** How a run is drawn: only what was before has its own hue and dashes. */
export const lookOf = (key: RunKey): SideName => (key === 'before' ? 'before' : 'after');

/** What the server refused, with its words and the fields it named. */
export class Problem extends Error {
  readonly body: ProblemBody;

  constructor(body: ProblemBody) {
    super(body.detail);
    this.body = body;
  }

  /** What is wrong and what to do, in one line. */
  get words(): string {
    return `${this.body.detail} ${this.body.remedy}`.trim();
  }

  /** Messages by field name, for the form that was sent. */
  get fields(): Record<string, string> {
    return Object.fromEntries(
      this.body.errors.map((e) => [e.field, [e.message, e.remedy].filter(Boolean).join(' ')] as const),
    );
  }
}

const UNREACHABLE: ProblemBody = {
  type: 'about:blank',
  title: say('app-no-connection'),
  status: 0,
  detail: say('api-server-does-not-answer'),
  remedy: say('api-check-that-vivid-owl'),
  reason: 'offline',
  stage: '',
  errors: [],
  headers: [],
};

let csrfToken = '';
export function rememberToken(token: string): void {
  csrfToken = token;
}

// A line that says nothing for this long is taken as broken.
const PATIENCE_MS = 20_000;
// What takes longer, as a photo over a poor line, says so by RFC 7240, 4.3: Prefer: wait, in seconds.
const inTime = (request: Request): Promise<Response> =>
  globalThis.fetch(request, {
    signal: AbortSignal.timeout(Number(request.headers.get('Prefer')?.slice(5)) * 1000 || PATIENCE_MS),
  });

/** What early.js asked before this script was here, each answer once, and only for the first page: later it is old. */
async function askedBefore(request: Request): Promise<Response | undefined> {
  const { asked } = globalThis as { asked?: Record<string, Promise<Response | undefined>> };
  const url = request.url.slice(location.origin.length);
  const answer = request.method === 'GET' && performance.now() < PATIENCE_MS ? asked?.[url] : undefined;
  if (answer && asked) Reflect.deleteProperty(asked, url);
  return answer;
}

/** Send once more after a short pause when the line broke; the idempotency key keeps a write from doubling. */
async function patientFetch(request: Request): Promise<Response> {
  const spare = request.clone();
  try {
    return (await askedBefore(request)) ?? (await inTime(request));
  } catch (error) {
    if (request.method !== 'GET' && !request.headers.has('Idempotency-Key')) throw error;
    await new Promise((resolve) => setTimeout(resolve, 400));
    return inTime(spare);
  }
}

const client = createClient<paths>({ baseUrl: globalThis.location?.origin ?? '', fetch: patientFetch });
client.use({
  onRequest({ request }) {
    if (request.method !== 'GET') request.headers.set('X-CSRFToken', csrfToken);
    if (request.method === 'POST') request.headers.set('Idempotency-Key', crypto.randomUUID());
    return request;
  },
  onResponse({ response }) {
    // What was kept of the server's answers is shown, and asked for again.
    if (isKept(response)) lineSlow();
    else lineSeen(true);
  },
});

export { client };

/** Whether an answer is one that was kept, not the server's of now. */
export const isKept = (answer: Response): boolean => answer.headers.has(KEPT_HEADER);

/** Unwrap a call: the data, or a Problem thrown. seen: told of the answer itself. */
export async function take<T>(
  call: Promise<{ data?: T; error?: unknown; response: Response }>,
  seen?: (answer: Response) => void,
): Promise<T> {
  let answer;
  try {
    answer = await call;
  } catch {
    throw new Problem(UNREACHABLE);
  }
  seen?.(answer.response);
  if (answer.error !== undefined || answer.data === undefined) throw new Problem(asProblem(answer.error));
  return answer.data;
}

function asProblem(error: unknown): ProblemBody {
  if (error && typeof error === 'object' && 'detail' in error) return { ...UNREACHABLE, ...(error as ProblemBody) };
  return { ...UNREACHABLE, detail: say('api-server-answered-in-unknown'), reason: 'unknown' };
}

export const FILE_MOST_BYTES = 200 * 1024 * 1024;

/** What can be told wrong about a file before it is sent. */
export function checkSize(file: File, remedy: string): Problem | null {
  if (file.size <= FILE_MOST_BYTES) return null;
  return new Problem({
    ...UNREACHABLE,
    detail: say('api-has-mb-files-up', { name: file.name, size: Math.round(file.size / 2 ** 20) }),
    remedy,
    reason: 'too_large',
  });
}

export interface Upload {
  done: Promise<Run>;
  cancel: () => void;
}

export interface LogOptions {
  roles?: Record<string, string | null>;
  again?: boolean;
  repeat?: boolean;
}

/** Send a log's bytes; progress runs from 0 to 1 and then stays while the server reads. */
export function uploadLog(
  jobId: string,
  side: RunKey,
  file: File,
  options: LogOptions & { progress: (share: number) => void },
): Upload {
  const query = new URLSearchParams({ name: file.name, roles: JSON.stringify(options.roles ?? {}) });
  if (options.again) query.set('again', 'true');
  if (options.repeat) query.set('repeat', 'true');
  return send(`/api/jobs/${jobId}/runs/${side}/log?${query}`, file, options.progress);
}

/** Send a recording's bytes; a reference level makes it the calibration of the job, background the room alone. */
export function uploadSound(
  jobId: string,
  side: RunKey,
  file: File,
  options: {
    referenceDb: number | null;
    background: boolean;
    markedPlace: boolean;
    progress: (share: number) => void;
  },
): Upload {
  const query = new URLSearchParams({ name: file.name });
  if (options.referenceDb !== null) query.set('reference_db', String(options.referenceDb));
  if (options.background) query.set('background', 'true');
  if (options.markedPlace) query.set('marked_place', 'true');
  return send(`/api/jobs/${jobId}/runs/${side}/sound?${query}`, file, options.progress);
}

/** What is sent as it is: the text of a file, the bytes of a photo. */
export const raw = (body: string | Blob, type: string) => ({
  body: body as never,
  bodySerializer: () => body,
  headers: { 'Content-Type': type, Prefer: 'wait=90' },
});

// Only XMLHttpRequest tells how far an upload is.
function send(url: string, file: File, progress: (share: number) => void): Upload {
  const request = new XMLHttpRequest();
  const done = new Promise<Run>((resolve, reject) => {
    request.open('POST', url);
    request.setRequestHeader('X-CSRFToken', csrfToken);
    request.setRequestHeader('Content-Type', 'application/octet-stream');
    request.upload.onprogress = (e) => progress(e.lengthComputable ? e.loaded / e.total : 0);
    request.upload.onload = () => progress(1);
    request.onerror = () => reject(new Problem(UNREACHABLE));
    request.onabort = () =>
      reject(new Problem({ ...UNREACHABLE, detail: say('api-upload-was-stopped-nothing'), reason: 'stopped' }));
    request.onload = () => {
      let body: unknown;
      try {
        body = JSON.parse(request.responseText);
      } catch {
        body = undefined;
      }
      if (request.status >= 200 && request.status < 300) resolve(body as Run);
      else reject(new Problem(asProblem(body)));
    };
    request.send(file);
  });
  return { done, cancel: () => request.abort() };
}
