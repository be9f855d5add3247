import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { hear, line, lineSeen, lineSlow } from './news.svelte';

/** A stream in the hands of a test. */
class Stream extends EventTarget {
  static all: Stream[] = [];
  static readonly CLOSED = 2;
  readyState = 1;
  closed = false;
  constructor(readonly url: string) {
    super();
    Stream.all.push(this);
  }
  close() {
    this.closed = true;
  }
  say(kind: string, data: unknown = {}) {
    this.dispatchEvent(new MessageEvent(kind, { data: JSON.stringify(data) }));
  }
}
const open = () => Stream.all.filter((s) => !s.closed);

/** Locks of one browser, for pages that are all in this script. */
function locks() {
  const queue: { run: () => Promise<unknown> | undefined; refuse: (e: Error) => void }[] = [];
  let held: (typeof queue)[number] | undefined;
  const next = () => {
    held = queue.shift();
    const mine = held;
    if (mine) void Promise.resolve(mine.run()).then(() => mine === held && next());
  };
  return {
    request: (_: string, { steal }: { steal?: boolean }, run: () => Promise<unknown> | undefined) =>
      new Promise((_done, refuse) => {
        if (steal) {
          held?.refuse(new DOMException('stolen', 'AbortError'));
          held = { run, refuse };
          void run();
          return;
        }
        queue.push({ run, refuse });
        if (!held) next();
      }),
  };
}

let deaf: (() => void)[] = [];
beforeEach(() => {
  vi.useFakeTimers();
  Stream.all = [];
  vi.stubGlobal('EventSource', Stream);
});
afterEach(() => {
  deaf.forEach((stop) => stop());
  deaf = [];
  lineSeen(true);
  vi.useRealTimers();
});
const listen = () => {
  const told: (string | null)[] = [];
  deaf.push(hear((job) => told.push(job)));
  return told;
};

describe('the line', () => {
  it('is down after twelve seconds without a word, and is opened anew', async () => {
    listen();
    open()[0]?.say('open');
    for (let i = 0; i < 4; i++) {
      await vi.advanceTimersByTimeAsync(5000);
      open()[0]?.say('here');
    }
    expect(line.stands).toBe(true);
    await vi.advanceTimersByTimeAsync(15_000); // a proxy that hangs says nothing and closes nothing
    expect(line.stands).toBe(false);
    expect(Stream.all).toHaveLength(2);
    open()[0]?.say('open');
    expect(line.stands).toBe(true);
  });

  it('is down as soon as the browser says so', () => {
    listen();
    open()[0]?.say('open');
    dispatchEvent(new Event('offline'));
    expect(line.stands).toBe(false);
  });

  it('tells all pages of a browser from one stream, and goes on when the page that holds it is gone', async () => {
    vi.useRealTimers();
    vi.stubGlobal('navigator', { ...navigator, locks: locks() });
    const first = listen();
    await vi.waitFor(() => expect(open()).toHaveLength(1));
    const channel = new BroadcastChannel('line');
    const others = vi.fn();
    channel.onmessage = (event: MessageEvent<unknown>) => others(event.data);
    open()[0]?.say('bench', { job: 'j1', number: 7 });
    expect(first).toEqual(['j1']);
    await vi.waitFor(() => expect(others).toHaveBeenCalledWith({ job: 'j1', number: 7 }));
    // What another page's stream says is heard here without one of its own.
    channel.postMessage({ job: 'j2', number: 8 });
    await vi.waitFor(() => expect(first).toEqual(['j1', 'j2']));
    expect(Stream.all).toHaveLength(1);
    channel.close();
  });

  it('asks again after a kept answer of a server that is only slow', async () => {
    const told = listen();
    open()[0]?.say('open');
    lineSlow();
    expect(line.stands).toBe(true);
    await vi.advanceTimersByTimeAsync(2100);
    expect(told).toEqual([null]);
  });
});
