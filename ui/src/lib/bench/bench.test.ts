import 'fake-indexeddb/auto';
import { v7 as uuidv7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { json, problem, serve, type Asked } from '../test-server';
import { toasts } from '../toasts.svelte';
import { BenchJob } from './bench.svelte';
import { line } from './news.svelte';
import { Outbox } from './outbox';
import { makeBench, WORDS } from './test-bench';

const EVENTS = '/api/jobs/j1/bench/events';
interface Sent {
  events: { id: string; turn: number; kind: string }[];
  device: string;
  sent_at: string;
}
const takeAll = (from: number) => (asked: Asked) => ({
  taken: (asked.body as Sent).events.map((e, i) => ({
    id: e.id,
    number: from + i,
    again: false,
    refusal: null,
    told: '',
  })),
  number: from + (asked.body as Sent).events.length - 1,
  clock_off_s: null,
});
const refuse = (refusal: Record<string, string | number>) => (asked: Asked) => ({
  taken: (asked.body as Sent).events.map((e) => ({
    id: e.id,
    number: refusal.reason === 'out_of_order' ? null : 6,
    again: false,
    refusal: { rule: '', field: '', remedy: '', detail: '', next_turn: null, ...refusal },
    told: '',
  })),
  number: 6,
  clock_off_s: null,
});
let number = 5;
const served = (more: Record<string, unknown> = {}) =>
  serve({
    'GET /api/bench/words': WORDS,
    'GET /api/jobs/j1/bench': () => makeBench({ number }),
    [`POST ${EVENTS}`]: (asked: Asked) => {
      const answer = takeAll(number + 1)(asked);
      number = answer.number;
      return answer;
    },
    ...more,
  });
const settled = (at: BenchJob) => vi.waitFor(() => expect(at.queue).toHaveLength(0));

const made: BenchJob[] = [];
const benchOf = (job: string): BenchJob => {
  const at = new BenchJob(job);
  made.push(at);
  return at;
};

beforeEach(() => {
  localStorage.clear();
  number = 5;
});
// What one test could not send must not arrive in the next.
afterEach(() => {
  for (const at of made.splice(0)) at.rest();
  vi.restoreAllMocks();
});

/** A note that counts already. */
const counted = (id: string) => ({
  id, kind: 'note', data: { words: 'a note' }, made: {}, at: '2026-03-02T10:00:00Z', by: '', words: 'note',
}); // prettier-ignore

describe('the way to the server', () => {
  it('shows a step at once and sends it with its turn and the tablet’s clock', async () => {
    const log = served();
    const at = benchOf('j1');
    await at.refresh();
    at.do('step_done', { step: 'power_off' });
    expect(at.bench?.steps[0]?.outcome?.how).toBe('done'); // before any answer
    expect(at.waiting).toBe(1);
    await settled(at);
    const sent = log.find((a) => a.path === EVENTS)?.body as Sent;
    expect(sent.events).toMatchObject([{ kind: 'step_done', turn: 1, data: { step: 'power_off' } }]);
    expect(Math.abs(Date.parse(sent.sent_at) - Date.now())).toBeLessThan(5000);
  });

  it('keeps on while the line is down, survives a reload, and sends in order when it is back', async () => {
    served({ 'GET /api/jobs/j1/bench': makeBench() });
    const at = benchOf('j1');
    await at.refresh();
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.reject(new TypeError('down'))),
    );
    at.do('step_done', { step: 'power_off' });
    at.do('step_done', { step: 'battery_off' });
    await vi.waitFor(() => expect(line.stands).toBe(false));
    expect(at.bench?.facts).toContain('battery_off');
    const log = served();
    const again = benchOf('j1'); // the tablet was started anew
    expect(again.waiting).toBe(2);
    await again.flush();
    await settled(again);
    const sent = log.filter((a) => a.path === EVENTS).flatMap((a) => (a.body as Sent).events);
    expect(sent.map((e) => e.turn)).toEqual([1, 2]);
    expect(line.stands).toBe(true);
  });

  it('keeps what was not taken, with its reason, until somebody has seen it', async () => {
    served({ [`POST ${EVENTS}`]: refuse({ reason: 'interlock', detail: 'The battery is still connected.' }) });
    const at = benchOf('j1');
    await at.refresh();
    const event = at.do('step_done', { step: 'cooler_off' });
    await vi.waitFor(() => expect(at.back).toHaveLength(1));
    expect(at.back[0]?.refusal.detail).toBe('The battery is still connected.');
    expect(benchOf('j1').back).toHaveLength(1);
    at.dismiss(event.id);
    expect(at.back).toHaveLength(0);
  });

  it('says in passing that another tablet was faster', async () => {
    served({ [`POST ${EVENTS}`]: refuse({ reason: 'done_already', detail: 'Step 1 is done already.' }) });
    const at = benchOf('j1');
    await at.refresh();
    at.do('step_done', { step: 'power_off' });
    await settled(at);
    expect(at.back).toHaveLength(0);
    expect(toasts.list.at(-1)?.text).toContain('done on another screen');
  });

  it('sends what is done while the answer to the step before is still being loaded', async () => {
    let arrive: () => void = () => undefined;
    let slow: Promise<void> | null = null;
    const log = served({
      'GET /api/jobs/j1/bench': async () => {
        if (slow) await slow;
        return makeBench({ number });
      },
    });
    const at = benchOf('j1');
    await at.refresh();
    slow = new Promise((resolve) => (arrive = resolve));
    at.do('note', { words: 'the first' });
    const sent = () => log.filter((a) => a.path === EVENTS).length;
    await vi.waitFor(() => expect(sent()).toBe(1));
    await vi.waitFor(() => expect(at.waiting).toBe(0));
    at.do('note', { words: 'the second' });
    expect(at.waiting).toBe(1);
    slow = null;
    arrive();
    await vi.waitFor(() => expect(sent()).toBe(2));
    await settled(at);
  });

  it('counts anew from what the server expects, with the same ids', async () => {
    let turns: [string, number][] = [];
    served({
      [`POST ${EVENTS}`]: (asked: Asked) => {
        const [first] = (asked.body as Sent).events;
        turns = [...turns, [first?.id ?? '', first?.turn ?? 0]];
        if (turns.length === 1)
          return refuse({ reason: 'out_of_order', remedy: 'Send from there on.', next_turn: 9 })(asked);
        number = 6;
        return takeAll(6)(asked);
      },
    });
    const at = benchOf('j1');
    await at.refresh();
    at.do('note', { words: 'a note' });
    await settled(at);
    expect(turns.map(([, turn]) => turn)).toEqual([1, 9]);
    expect(turns[0]?.[0]).toBe(turns[1]?.[0]);
  });

  it('keeps everything when the job was handed over meanwhile, and says so', async () => {
    const closed = problem({ status: 409, detail: 'Job 7 was handed over and is closed.', reason: 'handed_over' });
    served({ [`POST ${EVENTS}`]: () => json(409, closed) });
    const at = benchOf('j1');
    await at.refresh();
    at.do('step_done', { step: 'power_off' });
    await vi.waitFor(() => expect(at.trouble?.body.reason).toBe('handed_over'));
    expect(at.waiting).toBe(1);
  });

  it('takes back the latest, be it on its way or there already', async () => {
    const log = served({
      'GET /api/jobs/j1/bench': () =>
        makeBench({
          number,
          recent: [counted('old')],
        }),
    });
    const at = benchOf('j1');
    await at.refresh();
    at.undo();
    await settled(at);
    const sent = log
      .filter((a) => a.path === EVENTS)
      .flatMap((a) => (a.body as { events: { data: unknown }[] }).events);
    expect(sent[0]?.data).toEqual({ event: 'old' });
  });

  it('takes two back in quick succession, the later one first, and brings them again in their order', async () => {
    const recent = ['one', 'two'].map(counted);
    const log = served({ 'GET /api/jobs/j1/bench': () => makeBench({ number, recent }) });
    const at = benchOf('j1');
    await at.refresh();
    expect([at.undo(), at.undo(), at.undo()]).toEqual([true, true, false]);
    expect(at.settling).toBe(true);
    expect([at.redo(), at.redo()]).toEqual([true, true]);
    await settled(at);
    const sent = log.filter((a) => a.path === EVENTS).flatMap((a) => (a.body as Sent).events);
    expect(sent.map((e) => [e.kind, (e as unknown as { data: { event: string } }).data.event])).toEqual([
      ['undo', 'two'], ['undo', 'one'], ['redo', 'one'], ['redo', 'two'],
    ]); // prettier-ignore
  });

  it('takes back offline what it has not sent, and not what the server has', async () => {
    served({
      'GET /api/jobs/j1/bench': () => makeBench({ number, recent: [counted('old')] }),
    });
    const at = benchOf('j1');
    await at.refresh();
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.reject(new TypeError('down'))),
    );
    at.do('step_done', { step: 'power_off' });
    await vi.waitFor(() => expect(line.stands).toBe(false));
    expect(at.undo()).toBe(true);
    expect(at.bench?.steps[0]?.outcome).toBeNull();
    expect(at.undo()).toBe(false);
    expect(at.redo()).toBe(true);
    expect(at.bench?.steps[0]?.outcome?.how).toBe('done');
  });

  it('sends a photo before the event that speaks of it', async () => {
    const log = served({ 'POST /api/jobs/j1/photos/*': () => json(201, {}) });
    const at = benchOf('j1');
    await at.refresh();
    await at.addPhoto(new Blob(['bytes']), 'step', 'power_off');
    await settled(at);
    const posts = log.filter((a) => a.method === 'POST').map((a) => a.path.split('/').at(4));
    expect(posts).toEqual(['photos', 'bench']);
  });

  it('puts a photo aside that the server cannot read, and the rest goes on', async () => {
    const refused = problem({ status: 422, detail: 'This is no photo that can be read.', reason: 'not_photo' });
    served({ 'POST /api/jobs/j1/photos/*': () => json(422, refused) });
    const at = benchOf('j1');
    await at.refresh();
    await at.addPhoto(new Blob(['no picture']), 'step', '');
    at.do('note', { words: 'goes on' });
    await settled(at);
    expect(at.back[0]?.refusal.detail).toBe('This is no photo that can be read.');
  });
});

describe('a full storage', () => {
  const full = () =>
    vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });

  it('sends the step from the page and says that it is not kept', async () => {
    const log = served();
    const at = benchOf('j1');
    await at.refresh();
    full();
    at.do('step_done', { step: 'power_off' });
    await vi.waitFor(() => expect(log.filter((a) => a.path === EVENTS)).toHaveLength(1));
    expect(toasts.list.at(-1)?.text).toMatch(/This tablet’s storage is full/);
    at.do('step_done', { step: 'battery_off' });
    await vi.waitFor(() => expect(log.filter((a) => a.path === EVENTS)).toHaveLength(2));
    expect(log.filter((a) => a.path === EVENTS).map((a) => (a.body as Sent).events.map((e) => e.turn))).toEqual([
      [1],
      [2],
    ]);
  });

  it('sends a photo at once that finds no room, and says when it cannot', async () => {
    const log = served({ 'POST /api/jobs/j1/photos/.*': { id: 'p', width_px: 1, height_px: 1 } });
    const at = benchOf('j1');
    await at.refresh();
    vi.spyOn(Outbox.prototype, 'keepPhoto').mockResolvedValue(false);
    await at.addPhoto(new Blob(['jpeg']), 'step', 'power_off');
    expect(log.filter((a) => a.method === 'POST').map((a) => a.path.split('/').at(4))).toEqual(['photos', 'bench']);
    vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('no line')));
    expect(await at.addPhoto(new Blob(['jpeg']), 'step', 'power_off')).toBe('');
    expect(toasts.list.at(-1)?.text).toMatch(/Photo not kept/);
  });
});

describe('the outbox', () => {
  it('gives every event an identifier of version 7 and the next turn', () => {
    const box = new Outbox('j1');
    const [a, b] = [box.add('note', { words: 'one' }), box.add('note', { words: 'two' })];
    expect(a.id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect([a.turn, b.turn]).toEqual([1, 2]);
    expect(a.id < b.id).toBe(true);
  });

  it('is one for all pages of a tablet: none writes over what another keeps', () => {
    const [one, two] = [new Outbox('j1'), new Outbox('j1')];
    one.add('note', { words: 'from one' });
    two.add('note', { words: 'from two' });
    expect(new Outbox('j1').waiting.map((q) => [q.turn, q.data.words])).toEqual([
      [1, 'from one'],
      [2, 'from two'],
    ]);
  });

  it('begins anew rather than lock the bench when what it kept is damaged', () => {
    localStorage.setItem('bench:j1', 'no json');
    expect(new Outbox('j1').queue).toEqual([]);
  });

  it('makes identifiers as the example of RFC 9562, appendix A.6', () => {
    // Unix time 0x017F22E279B0 ms; rand_a 0xCC3 and rand_b 0x18C4DC0C0C07398F, of which the first bits are the counter.
    const seq = 0xcc3 * 2 ** 20 + 0x18 * 2 ** 14 + 0xc4 * 2 ** 6 + (0xdc >> 2);
    const random = Uint8Array.from([0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0xdc, 0x0c, 0x0c, 0x07, 0x39, 0x8f]);
    const made = uuidv7({ msecs: 0x017f22e279b0, seq, random });
    expect(made).toBe('017f22e2-79b0-7cc3-98c4-dc0c0c07398f');
  });
});
