import { afterEach, describe, expect, it, vi } from 'vitest';
import { checkSize, client, FILE_MOST_BYTES, Problem, take } from './api';

afterEach(() => vi.unstubAllGlobals());

const problem = {
  type: 'about:blank',
  title: 'Unprocessable Entity',
  status: 422,
  detail: 'Room temperature is 240 °C.',
  remedy: '',
  reason: '',
  errors: [{ field: 'room_c', message: 'Room temperature is 240 °C.', remedy: 'Was it 24.0?' }],
  headers: [],
};

function answer(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
}

describe('calls', () => {
  it('turns a refusal into a problem with messages by field', async () => {
    vi.stubGlobal('fetch', async () => answer(422, problem));
    const refused = await take(client.GET('/api/session')).catch((e: unknown) => e);
    expect(refused).toBeInstanceOf(Problem);
    expect((refused as Problem).fields).toEqual({ room_c: 'Room temperature is 240 °C. Was it 24.0?' });
  });

  it('sends a write once more with the same key when the line breaks, and then gives in', async () => {
    const keys: (string | null)[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
      keys.push(request.headers.get('Idempotency-Key'));
      throw new TypeError('network');
    });
    const refused = await take(client.POST('/api/session/demo')).catch((e: unknown) => e);
    expect((refused as Problem).body.reason).toBe('offline');
    expect(keys).toHaveLength(2);
    expect(keys[0]).toBeTruthy();
    expect(keys[0]).toBe(keys[1]);
  });

  it('does not repeat a change that has no key', async () => {
    let calls = 0;
    vi.stubGlobal('fetch', async () => {
      calls += 1;
      throw new TypeError('network');
    });
    await take(client.DELETE('/api/session')).catch(() => null);
    expect(calls).toBe(1);
  });
});

describe('a log before it is sent', () => {
  it('is refused by its size, with the size in words', () => {
    const file = { name: 'long.csv', size: FILE_MOST_BYTES + 2 ** 20 } as File;
    expect(checkSize(file, 'Cut it.')?.body).toMatchObject({
      detail: 'long.csv has 201 MB; files up to 200 MB are read.',
      remedy: 'Cut it.',
    });
    expect(checkSize({ ...file, size: 5 } as File, '')).toBeNull();
  });
});
