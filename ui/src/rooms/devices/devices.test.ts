import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { openSession } from '../../lib/session.svelte';
import { json, problem, serve } from '../../lib/test-server';
import DevicePage from './DevicePage.svelte';
import DevicesRoom from './DevicesRoom.svelte';

const row = (id: string, more: object = {}) => ({
  id,
  kind: 'laptop',
  maker: 'Ondervale',
  model: 'Marrow 15',
  serial: '',
  tag: '',
  customer: 'Wen',
  visits: 1,
  last_on: '2026-05-12',
  ...more,
});
const figure = (value: number) => ({ resistance_k_per_w: value, u95_k_per_w: 0.03, settled: true });
const visit = (number: number, months: number, before: number | null, after: number | null) => ({
  job_id: `j${number}`,
  number,
  on: '2026-05-12',
  months,
  symptom: '',
  handed_over: false,
  verdict: null,
  before: before === null ? null : figure(before),
  after: after === null ? null : figure(after),
  fitted: [],
});
const device = {
  ...row('d1'),
  version: 1,
  fan: 'yes',
  lidded: 'no',
  factory_interface: '',
  power_limit_cpu_w: null,
  power_limit_gpu_w: null,
  power_limit_both_w: null,
  limit_c: 95,
  customer: 'Wen',
  customer_contact: '',
  visits: [visit(7, 0, 1.3, 0.8), visit(9, 12, 1.1, null)],
  drift: {
    slope_k_per_w_month: 0.025,
    u95_k_per_w_month: 0.003,
    shown: true,
    months_to_limit: 4,
    months_to_limit_low: 3,
    months_to_limit_high: 6,
    reason: '',
  },
  limit_k_per_w: 1.2,
  lost_percent: 37,
  advice: 'watch',
  reasons: ['It has lost 37 % since the last service.'],
  changes: [],
};

const owner = {
  person: { name: 'Imke', role: 'owner', shop_name: 'Lantern Street', demo: false, currency: 'EUR' },
  demo_available: false,
  set_up_needed: false,
  csrf_token: 't',
  space: 'ok',
};
/** The server with an owner who has signed in. */
async function serveOwner(answers: Parameters<typeof serve>[0]) {
  const asked = serve({ 'GET /api/session': owner, ...answers });
  await openSession();
  return asked;
}

describe('the list of devices', () => {
  it('asks which of two is one, and puts them together', async () => {
    const page = { devices: [row('d1'), row('d2')], total: 2, may_be_one: [{ devices: [row('d1'), row('d2')] }] };
    const asked = await serveOwner({ 'GET /api/devices': page, 'POST /api/devices/d1/merge': () => json(201, device) });
    render(DevicesRoom);
    expect(await screen.findByRole('heading', { name: 'Not told apart' })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'It is the same device' }));
    expect(asked.find((a) => a.method === 'POST')?.body).toEqual({ other: 'd2' });
  });
  it('says when nothing fits, and when there is none yet', async () => {
    await serveOwner({ 'GET /api/devices': { devices: [], total: 0, may_be_one: [] } });
    render(DevicesRoom);
    expect(await screen.findByText(/No device has been here yet/)).toBeVisible();
    await userEvent.type(screen.getByLabelText('Find a device'), 'heron');
    expect(await screen.findByText('No device fits “heron”.')).toBeVisible();
  });
});

describe('the page of a device', () => {
  it('shows what it lost, its drift, and each visit', async () => {
    await serveOwner({ 'GET /api/devices/d1': device });
    render(DevicePage, { id: 'd1' });
    expect(await screen.findByRole('heading', { name: 'What to do: Watch it' })).toBeVisible();
    expect(screen.getByText(/0.025 ± 0.003 K\/W a month/)).toBeVisible();
    expect(screen.getByRole('img', { name: /before on 12 May 2026 1.30 ± 0.03 K\/W/ })).toBeVisible();
    expect(screen.getByRole('row', { name: /job 9 1.10 ± 0.03 nothing noted not measured/ })).toBeVisible();
  });
  it('says why a visit cannot be taken out', async () => {
    await serveOwner({
      'GET /api/devices/d1': device,
      'POST /api/devices/d1/split': () => json(409, problem({ status: 409, detail: 'This is the only visit.' })),
    });
    render(DevicePage, { id: 'd1' });
    const [first] = await screen.findAllByRole('button', { name: 'That was another device' });
    await userEvent.click(first as HTMLElement);
    expect(await screen.findByText('This is the only visit.')).toBeVisible();
  });
});
