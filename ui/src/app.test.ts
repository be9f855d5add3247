import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import App from './App.svelte';
import { makeBench, makeStep, WORDS } from './lib/bench/test-bench';
import { go } from './lib/router.svelte';
import { makeJob } from './lib/test-jobs';
import { serve, type Asked } from './lib/test-server';

const PERSON = { id: 'p1', name: 'Imke', role: 'owner', currency: 'EUR', language: 'en' };
const SESSION = { person: PERSON, csrf_token: 't', demo_available: false, set_up_needed: false, space: 'enough' };

/** Two jobs at the bench, and what each of them was told. */
function twoBenches() {
  const told: Record<string, unknown[]> = { a: [], b: [] };
  const of = (id: string) => ({
    [`GET /api/jobs/${id}`]: makeJob({ id, model: `Model ${id}`, reachable: ['open', 'close'] }),
    [`GET /api/jobs/${id}/bench`]: makeBench({ job_id: id, steps: [makeStep(`step_of_${id}`), makeStep('end')] }),
    [`POST /api/jobs/${id}/bench/events`]: (asked: Asked) => {
      const { events } = asked.body as { events: { id: string; data: { step: string } }[] };
      told[id]?.push(...events.map((e) => e.data.step));
      const taken = events.map((e, i) => ({ id: e.id, number: 7 + i, again: false, refusal: null, told: '' }));
      return { taken, number: 6 + events.length, clock_off_s: null };
    },
  });
  serve({
    'GET /api/session': SESSION,
    'GET /api/bench/words': WORDS,
    'GET /api/bench/waits': { waits: [], now: new Date().toISOString() },
    ...of('a'),
    ...of('b'),
  });
  return told;
}

beforeEach(() => localStorage.clear());

describe('the application', () => {
  it('tells the steps of the job in the address, whatever page one comes from', async () => {
    const told = twoBenches();
    const user = userEvent.setup();
    go('/jobs/a/bench');
    render(App);
    expect(await screen.findByRole('heading', { name: 'Do step_of_a' })).toBeVisible();
    go('/jobs/b/bench'); // as the alarm of another job's wait does
    expect(await screen.findByRole('heading', { name: 'Do step_of_b' })).toBeVisible();
    await user.keyboard('{Enter}');
    await vi.waitFor(() => expect(told.b).toEqual(['step_of_b']));
    expect(told.a).toEqual([]);
  });

  it('shows the tray labels of the job in the address', async () => {
    twoBenches();
    const group = { letter: 'A', shape: 'circle', length_mm: 5, drive: 'cross', head: 'flat', words: '5 mm', count: 6 };
    const labels = (id: string) => ({
      [`GET /api/jobs/${id}/bench`]: makeBench({ job_id: id, classes: [group] as never }),
    });
    serve({
      'GET /api/session': SESSION,
      'GET /api/bench/words': WORDS,
      'GET /api/bench/waits': { waits: [], now: new Date().toISOString() },
      'GET /api/jobs/a': makeJob({ id: 'a', model: 'Model a' }),
      'GET /api/jobs/b': makeJob({ id: 'b', model: 'Model b' }),
      ...labels('a'),
      ...labels('b'),
    });
    go('/jobs/a/tray');
    render(App);
    expect(await screen.findByText(/Model a/)).toBeVisible();
    go('/jobs/b/tray');
    expect(await screen.findByText(/Model b/)).toBeVisible();
    expect(screen.queryByText(/Model a/)).toBeNull();
  });

  it('says of an address that cannot be read that it leads nowhere', async () => {
    serve({ 'GET /api/session': SESSION, 'GET /api/bench/waits': { waits: [], now: '' } });
    go('/models/%E0%A4%A');
    render(App);
    expect(await screen.findByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  });
});
