import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { serverClock } from './server-clock.svelte';

const HOUR = 3_600_000;
beforeEach(() => {
  localStorage.clear();
  serverClock.forget();
  vi.useFakeTimers({ now: Date.parse('2026-03-02T10:00:00Z') });
});
afterEach(() => vi.useRealTimers());

it('keeps how far this clock is off over a reload without a line', () => {
  serverClock.learn('2026-03-02T09:00:00Z'); // this tablet is an hour fast
  vi.advanceTimersByTime(60_000);
  serverClock.forget(); // the page is loaded again
  expect(new Date(serverClock.now()).toISOString()).toBe('2026-03-02T09:01:00.000Z');
});

it('takes a clock that was put back since for another clock', () => {
  serverClock.learn('2026-03-02T09:00:00Z');
  serverClock.forget();
  vi.setSystemTime(Date.now() - HOUR);
  expect(serverClock.offsetMs).toBe(0);
});
