import { render, screen, within } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../lib/api';
import { makeJob } from '../../lib/test-jobs';
import { json, problem, serve } from '../../lib/test-server';
import AttemptsPage from './AttemptsPage.svelte';

const user = userEvent.setup();
type Cause = Schemas['AttemptCauseOut'];

const cause = (name: string, share: number, more: Partial<Cause> = {}): Cause => ({
  cause: name,
  words: `Cause ${name}`,
  share,
  speaks: share > 0.2 ? [`The log speaks for ${name}.`] : [],
  against: [],
  check: `Check ${name}`,
  remedy: `Mend ${name}`,
  answer: 'open',
  opens: true,
  ...more,
});

const attempt = (more: Partial<Schemas['AttemptOut']> = {}): Schemas['AttemptOut'] => ({
  number: 1,
  version: 0,
  current: true,
  ended_at: null,
  items: [],
  cleaned: [],
  verdict: 'worse',
  headline: 'Worse',
  failure: 'worse',
  promised_low_k_per_w: 0.6,
  promised_high_k_per_w: 0.8,
  resistance_k_per_w: 1.2,
  resistance_u95_k_per_w: 0.1,
  interface_k_per_w: 0.7,
  noise_db: null,
  causes: [cause('film', 0.6), cause('seat', 0.38), cause('air', 0.02)],
  surface_score: null,
  print_score: null,
  words: '',
  left_words: '',
  ...more,
});
const all = (attempts: Schemas['AttemptOut'][], more: object = {}) => ({
  attempts,
  rows: [{ words: 'Verdict', cells: attempts.map((a) => a.headline ?? '') }],
  counted: 0,
  closed: true,
  ...more,
});

function shown(found: object, more: Record<string, unknown> = {}) {
  const log = serve({ 'GET /api/jobs/j1': makeJob({ failed: true }), 'GET /api/jobs/j1/attempts': found, ...more });
  render(AttemptsPage, { id: 'j1' });
  return log;
}

describe('why it failed', () => {
  it('tells the likeliest cause first, with its check and what speaks for it, and folds what is hardly likely', async () => {
    shown(all([attempt()]));
    expect(await screen.findByText('It is worse than before.')).toBeVisible();
    const names = screen.getAllByRole('heading', { level: 3 }).map((h) => h.textContent);
    expect(names.slice(0, 2)).toEqual(['Cause film', 'Cause seat']);
    expect(screen.getByText('about 6 of 10')).toBeVisible();
    expect(screen.getByText('Check first')).toBeVisible();
    // Nobody lifts a cooler between two runs without the list that guards the hands.
    expect(screen.getByText(/shut down, unplugged, battery off first/)).toBeVisible();
    expect(screen.getByText('The log speaks for film.')).toBeVisible();
    expect(screen.getByText('Promised 0.60 to 0.80 K/W, measured 1.20 ± 0.10 K/W')).toBeVisible();
    expect(screen.getByText('One more that is hardly likely')).toBeVisible();
    expect(screen.getByText('Cause air')).not.toBeVisible();
  });
  it('keeps what a check showed, and tells what the next attempt does about it', async () => {
    const found = cause('film', 1, { answer: 'found' });
    const log = shown(all([attempt()]), {
      'PUT /api/jobs/j1/attempts/1': all([attempt({ version: 1, causes: [found] })]),
    });
    const group = await screen.findByRole('group', { name: 'What the check showed: Cause film' });
    await user.click(within(group).getByLabelText('It was this'));
    expect(log.find((a) => a.method === 'PUT')?.body).toMatchObject({ version: 0, checks: { film: 'found' } });
    expect(await screen.findByText('Mend film.')).toBeVisible();
  });
  it('says when somebody else was faster, and shows what they kept', async () => {
    let asked = 0;
    const stale = json(409, problem({ status: 409, detail: 'Attempt 1 has changed.', reason: 'stale' }));
    shown(
      {},
      {
        'GET /api/jobs/j1/attempts': () => all([attempt({ version: asked++ })]),
        'PUT /api/jobs/j1/attempts/1': stale,
      },
    );
    const group = await screen.findByRole('group', { name: 'What the check showed: Cause film' });
    await user.click(within(group).getByLabelText('Not this'));
    expect(await screen.findByText('Attempt 1 has changed.')).toBeVisible();
    expect(screen.getByText(/Somebody else changed this meanwhile/)).toBeVisible();
    await vi.waitFor(() => expect(asked).toBe(2));
  });
  it('is left as it is only with a reason', async () => {
    const log = shown(all([attempt()]), {
      'PUT /api/jobs/j1/attempts/1': all([attempt({ left_words: 'owner knows' })]),
    });
    const leave = await screen.findByRole('button', { name: 'Leave it as it is' });
    expect(leave).toBeDisabled();
    await user.type(screen.getByLabelText('Why it stays as it is'), 'owner knows');
    await user.click(leave);
    expect(log.find((a) => a.method === 'PUT')?.body).toMatchObject({ left_words: 'owner knows' });
  });
  it('goes on with another attempt, and can take it back', async () => {
    const log = shown(all([attempt()]), {
      'POST /api/jobs/j1/attempts': json(201, all([attempt({ current: false }), attempt({ number: 2 })])),
    });
    await user.click(await screen.findByRole('button', { name: 'Begin attempt 2' }));
    expect(log.some((a) => a.method === 'POST')).toBe(true);
    await vi.waitFor(() => expect(location.pathname).toBe('/jobs/j1/open'));
  });
  it('shows the attempt that failed while the next one is on the bench', async () => {
    const second = attempt({ number: 2, failure: 'none', causes: [], verdict: null, headline: null });
    shown(all([attempt({ current: false }), second], { closed: false }));
    expect(await screen.findByRole('heading', { name: 'Why was attempt 1 no better?' })).toBeVisible();
    expect(screen.getByText(/Attempt 2 is on the bench/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Take attempt 2 back' })).toBeVisible();
    expect(screen.queryByRole('button', { name: /Begin attempt/ })).toBeNull();
  });
  it('says that nothing failed where nothing did', async () => {
    shown(all([attempt({ failure: 'none', causes: [], headline: 'Improved' })]));
    expect(await screen.findByText(/Nothing has failed here/)).toBeVisible();
  });
});
