// A tablet in bench mode, and what it has sent, for tests.
import 'fake-indexeddb/auto';
import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { beforeEach, vi } from 'vitest';
import { makeBench, WORDS } from './test-bench';
import type { Bench } from './types';
import { listenForKeys } from '../keys.svelte';
import { makeJob } from '../test-jobs';
import { serve, type Asked } from '../test-server';
import BenchMode from '../../rooms/bench-mode/BenchMode.svelte';

export interface Sent {
  events: { id: string; kind: string; data: Record<string, unknown> }[];
}
/** What the tablet under test has sent. */
export const tablet: { sent: Sent['events'] } = { sent: [] };
/** The server behind it. */
export function served(bench: Partial<Bench> = {}, more: Record<string, unknown> = {}) {
  serve({
    'GET /api/jobs/j1': makeJob(),
    'GET /api/bench/words': WORDS,
    'GET /api/bench/waits': { waits: [], now: new Date().toISOString() },
    'GET /api/jobs/j1/bench': () => makeBench(bench),
    'POST /api/jobs/j1/bench/events': (asked: Asked) => {
      const { events } = asked.body as Sent;
      tablet.sent = [...tablet.sent, ...events];
      const taken = events.map((e, i) => ({
        id: e.id,
        number: 6 + tablet.sent.length + i,
        again: false,
        refusal: null,
        told: '',
      }));
      return { taken, number: 6 + tablet.sent.length, clock_off_s: null };
    },
    ...more,
  });
}
/** Bench mode on a bench, with its keys. */
export async function open(bench: Partial<Bench> = {}, more: Record<string, unknown> = {}) {
  served(bench, more);
  const user = userEvent.setup();
  listenForKeys();
  render(BenchMode, { id: 'j1' });
  await screen.findByRole('heading', { level: 1 });
  return user;
}
/** The step that is shown. */
export const title = () => screen.getByRole('heading', { level: 1 }).textContent;
export const done = { how: 'done', at: '2026-03-02T09:10:00Z', by: 'Imke', words: '', value: null };
/** Longer than the lockout after a press. */
let clock = 0;
export const later = (ms = 1000) => (clock += ms);

beforeEach(() => {
  localStorage.clear();
  tablet.sent = [];
  vi.spyOn(performance, 'now').mockImplementation(() => clock);
  later();
});
