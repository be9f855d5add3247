import 'fake-indexeddb/auto';
import { render, screen, within } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { listenForKeys } from '../../lib/keys.svelte';
import { json, makeJob, problem, serve, type Asked } from '../../lib/test-server';
import { makeBench, makeStep, WORDS } from '../../lib/bench/test-bench';
import type { Bench } from '../../lib/bench/types';
import BenchMode from './BenchMode.svelte';

interface Sent {
  events: { id: string; kind: string; data: Record<string, unknown> }[];
}
let sent: Sent['events'] = [];
function served(bench: Partial<Bench> = {}, more: Record<string, unknown> = {}) {
  serve({
    'GET /api/jobs/j1': makeJob(),
    'GET /api/bench/words': WORDS,
    'GET /api/bench/waits': { waits: [], now: new Date().toISOString() },
    'GET /api/jobs/j1/bench': () => makeBench(bench),
    'POST /api/jobs/j1/bench/events': (asked: Asked) => {
      const { events } = asked.body as Sent;
      sent = [...sent, ...events];
      const taken = events.map((e, i) => ({
        id: e.id,
        number: 6 + sent.length + i,
        again: false,
        refusal: null,
        told: '',
      }));
      return { taken, number: 6 + sent.length, clock_off_s: null };
    },
    ...more,
  });
}
async function open(bench: Partial<Bench> = {}, more: Record<string, unknown> = {}) {
  served(bench, more);
  const user = userEvent.setup();
  listenForKeys();
  render(BenchMode, { id: 'j1' });
  await screen.findByRole('heading', { level: 1 });
  return user;
}
const title = () => screen.getByRole('heading', { level: 1 }).textContent;
const done = { how: 'done', at: '2026-03-02T09:10:00Z', by: 'Imke', words: '' };

beforeEach(() => {
  localStorage.clear();
  sent = [];
});

describe('bench mode', () => {
  it('goes on with Enter and with Space, and takes the whole keyboard', async () => {
    const user = await open();
    expect(title()).toBe('Do power_off');
    await user.keyboard('{Enter}');
    expect(title()).toBe('Do battery_off');
    await user.keyboard(' ');
    expect(title()).toBe('Do cooler_off');
    await user.keyboard('n'); // elsewhere this takes a device in
    expect(location.pathname).toBe('/');
    expect(sent.map((e) => e.data.step)).toEqual(['power_off', 'battery_off']);
  });

  it('stops at a rule, leads to the step that comes first, and goes on there', async () => {
    const user = await open({ steps: makeBench().steps.slice(1) });
    await user.keyboard('2');
    await vi.waitFor(() => expect(title()).toBe('Do cooler_off'));
    await user.keyboard('{Enter}');
    expect(screen.getByRole('alertdialog')).toHaveTextContent('The battery is still connected.');
    await user.keyboard('{Enter}');
    expect(title()).toBe('Do battery_off');
    expect(sent).toEqual([]);
  });

  it('records a breach as what it is, in words', async () => {
    const user = await open({ steps: makeBench().steps.slice(2) });
    await user.keyboard('{Enter}');
    await user.keyboard('w');
    await user.keyboard('1');
    await vi.waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.data).toEqual({ step: 'cooler_off', breach: 'I saw it too late' });
  });

  it('skips only with a reason', async () => {
    const user = await open();
    await user.keyboard('x');
    await user.type(screen.getByRole('textbox', { name: 'In your words' }), 'no{Enter}');
    expect(sent).toEqual([]);
    await user.type(screen.getByRole('textbox', { name: 'In your words' }), 't on this model{Enter}');
    await vi.waitFor(() =>
      expect(sent[0]).toMatchObject({ kind: 'step_skipped', data: { reason: 'not on this model' } }),
    );
  });

  it('takes the last step back with Backspace', async () => {
    const user = await open();
    await user.keyboard('{Enter}');
    await user.keyboard('{Backspace}');
    expect(title()).toBe('Do power_off');
    await vi.waitFor(() => expect(sent.map((e) => e.kind)).toEqual(['step_done', 'undo']));
  });

  it('waits before a step, and ends a wait early only with a reason', async () => {
    const due = new Date(Date.now() + 200_000).toISOString();
    const wait = {
      id: 'w1',
      wait: 'alcohol',
      words: 'Alcohol dries',
      step: '',
      began: due,
      due,
      ended: null,
      reason: '',
    };
    const user = await open({ steps: [makeStep('apply', { after_waits: ['alcohol'] })], waits: [wait] });
    expect(screen.getByRole('timer')).toHaveTextContent(/alcohol dries, then this step/);
    await user.keyboard('{Enter}');
    expect(screen.getByRole('heading', { name: 'Alcohol dries: end it early?' })).toBeVisible();
    await user.keyboard('1');
    await vi.waitFor(() =>
      expect(sent[0]).toMatchObject({ kind: 'wait_ended', data: { wait: 'w1', reason: 'Looked: the surface is dry' } }),
    );
  });

  it('starts a clock of its own by number, only as long as makes sense', async () => {
    const user = await open();
    await user.keyboard('t');
    await user.type(screen.getByRole('textbox', { name: 'Other length, in minutes' }), '2');
    await user.click(screen.getByRole('button', { name: /Coat dries/ }));
    expect(sent).toEqual([]);
    await user.clear(screen.getByRole('textbox', { name: 'Other length, in minutes' }));
    await user.click(screen.getByRole('button', { name: /Coat dries/ }));
    await vi.waitFor(() =>
      expect(sent[0]).toMatchObject({ kind: 'wait_started', data: { wait: 'coat', minutes: 15 } }),
    );
  });

  it('goes through the first power-on check by check', async () => {
    const user = await open({ steps: [makeStep('power_on', { shows: 'power' })] });
    await user.click(
      within(screen.getByRole('radiogroup', { name: 'Wireless finds networks' })).getByLabelText('fails'),
    );
    await user.keyboard('{Enter}');
    await vi.waitFor(() => expect(sent[0]?.data.results).toEqual({ boot: 'fine', wireless: 'fails' }));
  });

  it('has a short list for a mishap and puts it into the record', async () => {
    const user = await open();
    await user.keyboard('m');
    await user.keyboard('1');
    expect(screen.getByText('Do not power.')).toBeVisible();
    await user.keyboard('{Enter}');
    await vi.waitFor(() =>
      expect(sent[0]).toMatchObject({ kind: 'mishap', data: { what: 'lost_screw', step: 'power_off' } }),
    );
  });

  it('closes only when nothing is open, and says what is', async () => {
    const blocker = { text: 'The fan plug is open.', remedy: 'Plug it in.', stage: 'close', of: 'fan' };
    const user = await open({ steps: [makeStep('a', { outcome: done })], blockers: [blocker] });
    expect(title()).toBe('One thing is open');
    await user.keyboard('{Enter}');
    expect(sent).toEqual([]);
    expect(screen.getByText('The fan plug is open.')).toBeVisible();
  });

  it('closes with Enter', async () => {
    const user = await open({ steps: [makeStep('a', { outcome: done })] });
    expect(title()).toBe('1 of 1 screws are back, nothing is left over');
    await user.keyboard('{Enter}');
    await vi.waitFor(() => expect(sent[0]?.kind).toBe('closed'));
  });

  it('says what is in the way of beginning, and where to settle it', async () => {
    const refused = problem({
      status: 409,
      detail: 'Nothing is decided yet.',
      remedy: 'Take an option in Plan.',
      reason: 'undecided',
    });
    served({ begun: null, steps: [] }, { 'POST /api/jobs/j1/bench/list': () => json(409, refused) });
    const user = userEvent.setup();
    render(BenchMode, { id: 'j1' });
    await user.click(await screen.findByRole('button', { name: /Begin the list/ }));
    expect(await screen.findByText('Nothing is decided yet.')).toBeVisible();
    expect(screen.getByRole('link', { name: /Settle it there/ })).toHaveAttribute('href', '/jobs/j1/plan');
  });
});
