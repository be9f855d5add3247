// Hand over, and what is put right after it.
import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { makeJob } from '../../lib/test-jobs';
import { serve } from '../../lib/test-server';
import HandOver from './HandOver.svelte';

const user = userEvent.setup();
beforeEach(() => localStorage.clear());

describe('hand over', () => {
  const record = {
    versions: [],
    version: null,
    job: makeJob(),
    proposed_service_on: '2027-05-25',
    proposed_service_reason: 'dust',
    planned_cents: null,
  };
  it('proposes the next date and sends the price in cents', async () => {
    const log = serve({ 'GET /api/jobs/j1/record': record, 'PUT /api/jobs/j1/hand-over': record });
    render(HandOver, { job: makeJob(), verdict: null, onchange: vi.fn(async () => undefined) });
    expect(await screen.findByText(/Proposed: 25 May 2027, dust/)).toBeVisible();
    await user.type(screen.getByLabelText('Price'), '89,5');
    await user.tab();
    await vi.waitFor(() => expect(screen.getByText('Saved.')).toBeVisible());
    const sent = log.find((a) => a.method === 'PUT');
    // The proposed day was typed by nobody: it goes along when the device does.
    expect(sent?.body).toEqual({ price_cents: 8950, handed_over: false, version: 3, why: '' });
    await user.click(screen.getByRole('button', { name: 'Hand Marrow 15 over' }));
    await vi.waitFor(() =>
      expect(log.findLast((a) => a.method === 'PUT')?.body).toMatchObject({
        price_cents: 8950,
        next_service_on: '2027-05-25',
        handed_over: true,
      }),
    );
  });
  it('starts from the price that was planned', async () => {
    serve({ 'GET /api/jobs/j1/record': { ...record, planned_cents: 6718 } });
    render(HandOver, { job: makeJob(), verdict: null, onchange: vi.fn() });
    await vi.waitFor(() => expect(screen.getByLabelText('Price')).toHaveValue('67.18'));
  });
  it('takes typing only once the proposal is there, so that the two never mix', async () => {
    let arrive: (price: number) => void = () => undefined;
    const late = new Promise((resolve) => (arrive = (price) => resolve({ ...record, planned_cents: price })));
    serve({ 'GET /api/jobs/j1/record': () => late });
    render(HandOver, { job: makeJob(), verdict: null, onchange: vi.fn() });
    expect(screen.queryByLabelText('Price')).toBeNull();
    arrive(7206);
    expect(await screen.findByLabelText('Price')).toHaveValue('72.06');
  });
  it('can be filled in when no proposal comes', async () => {
    serve({});
    render(HandOver, { job: makeJob(), verdict: null, onchange: vi.fn() });
    expect(await screen.findByLabelText('Price')).toHaveValue('');
  });
  it('refuses words for a price', async () => {
    const log = serve({ 'GET /api/jobs/j1/record': record });
    render(HandOver, { job: makeJob(), verdict: null, onchange: vi.fn() });
    await user.type(await screen.findByLabelText('Price'), 'cheap');
    await user.click(screen.getByRole('button', { name: /Hand Marrow 15 over/ }));
    expect(screen.getByRole('alert')).toHaveTextContent('“cheap” is no number.');
    expect(log.some((a) => a.method === 'PUT')).toBe(false);
  });
  it('asks what was put right before a closed record is changed, and sends it as the next version', async () => {
    const first = { number: 1, made_at: '2026-11-30T09:00:00Z', made_by: 'Ada', why: '' };
    const closed = { ...record, currency: 'EUR', version: first, versions: [first] };
    const log = serve({ 'GET /api/jobs/j1/record': closed, 'PUT /api/jobs/j1/hand-over': closed });
    const job = makeJob({ handed_over_at: '2026-11-30T09:00:00Z', price_cents: 8900, next_service_on: '2027-05-25' });
    render(HandOver, { job, verdict: null, onchange: vi.fn(async () => undefined) });
    expect(await screen.findByRole('link', { name: 'Version 1' })).toHaveAttribute('href', '/record/j1/1');
    await user.click(screen.getByRole('button', { name: 'Put the record right' }));
    await user.type(screen.getByLabelText(/What is put right in version 1/), 'Pads forgotten');
    await user.clear(screen.getByLabelText('Price'));
    await user.type(screen.getByLabelText('Price'), '99');
    await user.click(screen.getByRole('button', { name: 'Save as version 2' }));
    const sent = log.filter((a) => a.method === 'PUT');
    expect(sent).toHaveLength(1);
    expect(sent[0]?.body).toMatchObject({ price_cents: 9900, handed_over: true, why: 'Pads forgotten' });
  });
});
