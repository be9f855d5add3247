import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { openSession } from '../../lib/session.svelte';
import { json, problem, serve } from '../../lib/test-server';
import Shop from './Shop.svelte';

const usual = {
  die_sensor_k: 1,
  room_k: 0.5,
  run_to_run_k: 1,
  power_share: 0.02,
  clock_share: 0.01,
  noise_db: 1,
  noise_room_db_per_k: 0.5,
  result_share: 0.01,
};
const shop = {
  name: 'Lantern Street',
  currency: 'EUR',
  reference_room_c: 25,
  tolerances: usual,
  usual,
  habits: {
    hourly_rate_cents: 6000,
    tax_percent: 0,
    application_school: null,
    life_school: 'usual',
    hands_min: {},
    tighten_percent: 50,
    usual_load: 'even load',
    usual_fan: 'automatic',
    work_warranty_months: null,
    language: 'en',
    customer_address: '',
    link_months: 24,
    zone: 'UTC',
  },
  tasks: [{ name: 'clean', words: 'clean fins', hands_min: 15, wait_min: 5, learnt_min: null, learnt_jobs: 0 }],
  own_scatter: null,
  predicted: { jobs: 4, inside: 3, share: 0.75, low: 0.3, high: 0.95 },
};
const person = (role: string) => ({
  person: { name: 'Imke', role, shop_name: 'Lantern Street', demo: false, currency: 'EUR' },
  demo_available: false,
  set_up_needed: false,
  csrf_token: 't',
  space: 'ok',
});

beforeEach(() => sessionStorage.clear());
afterEach(() => vi.unstubAllGlobals());
const user = userEvent.setup();

const SESSIONS = {
  sessions: [
    {
      id: 'a',
      agent: 'Mozilla/5.0 (X11; Linux x86_64) Chrome/1',
      began_at: '2026-03-01T09:00:00Z',
      seen_at: '2026-03-01T09:30:00Z',
      here: true,
    },
    {
      id: 'b',
      agent: 'Mozilla/5.0 (Android 15) Firefox/1',
      began_at: '2026-02-28T08:00:00Z',
      seen_at: '2026-02-28T17:00:00Z',
      here: false,
    },
  ],
};

describe('the shop', () => {
  it('sends shares as shares though they are typed as percent', async () => {
    const log = serve({
      'GET /api/sessions': SESSIONS,
      'GET /api/shop/people': { people: [] },
      'GET /api/session': person('owner'),
      'GET /api/shop': shop,
      'PUT /api/shop': shop,
    });
    await openSession();
    render(Shop);
    const power = await screen.findByLabelText('Power sensor');
    expect(power).toHaveValue('2');
    await user.clear(power);
    await user.type(power, '3,5');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    const body = log.find((a) => a.method === 'PUT')?.body as { tolerances: Record<string, number> };
    expect(body.tolerances.power_share).toBeCloseTo(0.035);
    expect(body).toMatchObject({ reference_room_c: 25 });
  });
  it('sends the rate in cents, the tax, the ways and the minutes', async () => {
    const log = serve({
      'GET /api/sessions': SESSIONS,
      'GET /api/shop/people': { people: [] },
      'GET /api/session': person('owner'),
      'GET /api/shop': shop,
      'PUT /api/shop': shop,
    });
    await openSession();
    render(Shop, { page: 'pricing' });
    const rate = await screen.findByLabelText('Hourly rate, without tax');
    await user.clear(rate);
    await user.type(rate, '72,50');
    await user.selectOptions(screen.getByLabelText('Paste goes on as'), 'film');
    await user.click(screen.getByText('Labour in minutes, task by task'));
    await user.clear(screen.getByLabelText('Clean fins'));
    await user.type(screen.getByLabelText('Clean fins'), '25');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(log.find((a) => a.method === 'PUT')?.body).toMatchObject({
      habits: {
        hourly_rate_cents: 7250,
        tax_percent: 0,
        application_school: 'film',
        hands_min: { clean: 25 },
        tighten_percent: 50,
        usual_load: 'even load',
        usual_fan: 'automatic',
        work_warranty_months: null,
        language: 'en',
        customer_address: '',
        link_months: 24,
        zone: 'UTC',
      },
    });
    expect(screen.getByText(/3 of 4 measured jobs ended inside/)).toHaveTextContent(
      '75 %, and by chance it could be 30 to 95 %',
    );
  });
  it('does not send words where minutes belong', async () => {
    const log = serve({ 'GET /api/sessions': SESSIONS, 'GET /api/session': person('owner'), 'GET /api/shop': shop });
    await openSession();
    render(Shop, { page: 'pricing' });
    await user.type(await screen.findByLabelText('Tax'), 'x');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(screen.getByRole('alert')).toHaveTextContent('Type a number.');
    expect(log.some((a) => a.method === 'PUT')).toBe(false);
  });
  it('puts a refusal beside its field and fills the usual ones in again', async () => {
    serve({
      'GET /api/sessions': SESSIONS,
      'GET /api/shop/people': { people: [] },
      'GET /api/session': person('owner'),
      'GET /api/shop': { ...shop, tolerances: { ...usual, room_k: 2 } },
      'PUT /api/shop': () =>
        json(422, problem({ errors: [{ field: 'room_k', message: 'Room thermometer is 40 K.', remedy: '' }] })),
    });
    await openSession();
    render(Shop);
    await user.type(await screen.findByLabelText('Room thermometer'), '0');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Room thermometer is 40 K.');
    await user.click(screen.getByRole('button', { name: 'Fill in the usual tolerances' }));
    expect(screen.getByLabelText('Room thermometer')).toHaveValue('0.5');
  });
  it('can be looked at by a technician', async () => {
    serve({ 'GET /api/sessions': SESSIONS, 'GET /api/session': person('technician'), 'GET /api/shop': shop });
    await openSession();
    render(Shop);
    expect(await screen.findByText('Only an owner may change these.')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Save' })).toBeNull();
  });
});

describe('sign-ins', () => {
  it('lists where one is signed in, and signs out another place', async () => {
    const log = serve({
      'GET /api/sessions': SESSIONS,
      'GET /api/shop/people': { people: [] }, 'GET /api/session': person('technician'), 'GET /api/shop': shop,
      'DELETE /api/sessions/b': { sessions: [SESSIONS.sessions[0]] },
    }); // prettier-ignore
    render(Shop, { page: 'people' });
    expect(await screen.findByText('this one')).toBeVisible();
    await userEvent.setup().click(screen.getByRole('button', { name: /Sign out Firefox, Android/ }));
    await vi.waitFor(() => expect(screen.queryByText('Firefox, Android')).toBeNull());
    expect(log.some((a) => a.method === 'DELETE' && a.path === '/api/sessions/b')).toBe(true);
  });
});
