import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Plan } from '../../lib/api';
import { json, problem, serve } from '../../lib/test-server';
import { makeJob } from '../../lib/test-jobs';
import { makeOption, makePlan, makeProduct, makeShelf } from '../../lib/test-plan';
import CutPanel from '../../lib/parts/CutPanel.svelte';
import { formOf } from '../../lib/fields';
import { checkFound, GAP, planForm } from './plan-form';
import PlanPage from './PlanPage.svelte';
import { place, scaleOf } from './scale';

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());
const user = userEvent.setup();
const page = (plan: Plan, more = {}) => ({
  job: makeJob(more),
  onchange: vi.fn(async () => undefined),
  onnext: vi.fn(),
  nextName: 'Fit',
  plan,
});
const die = {
  target: 'cpu_die', kind: 'paste_stiff', words: 'Grey', product_id: 'p1', product: 'Grey', amount: 0.021, unit: 'g',
  volume_ul: 8.6, width_mm: 15, length_mm: 13, count: 1, spare: 0, together: false, school: 'film', school_reason: 'Spread it.',
  drop: { school: 'film' as const, strokes: 0, stroke_mm: 0, diameter_mm: 2.5 }, lacks: '', stock: 'held', lot_id: 'l1',
  lot: 'GH-1', left: 3.4, price_cents: 20,
}; // prettier-ignore

describe('the plan', () => {
  it('shows options in their order with reason, price and stock', async () => {
    serve({ 'GET /api/jobs/j1/plan': makePlan() });
    render(PlanPage, page(makePlan()));
    expect(await screen.findByText('12 K cooler at the same work: the most of all.')).toBeVisible();
    const rows = screen.getAllByRole('button').filter((b) => b.hasAttribute('aria-expanded'));
    expect(rows[0]).toHaveTextContent(/1 ?repaste:Grey.*75 °C ?€60.00 ?60 min labour/);
    expect(rows[1]).toHaveTextContent('leave it alone');
    expect(screen.getAllByRole('img', { name: '75 °C, 72 to 78' })[0]).toBeVisible();
  });

  it('says what the customer accepted, shows it first, and warns when another is chosen', async () => {
    const answer = { number: 1, key: 'leave', title: 'leave it as it is', price_cents: 0, words: 'Thanks', at: '2026-11-12T09:00:00Z' }; // prettier-ignore
    serve({ 'GET /api/jobs/j1/plan': makePlan({ answer }) });
    const first = render(PlanPage, page(makePlan()));
    expect(await screen.findByText(/The customer accepted “leave it as it is” for €0.00/)).toBeVisible();
    expect(screen.getByText('They add: “Thanks”')).toBeVisible();
    expect(screen.queryByText(/not what they agreed to/)).toBeNull();
    first.unmount();
    const interval = { low: 0.9, median: 1, high: 1.1 };
    const chosen = { key: 'repaste', words: 'repaste', held: false, resistance: interval, die_c: interval, watts: null, total_cents: 6000, by: 'Imke', at: '2026-11-13T09:00:00Z' }; // prettier-ignore
    serve({ 'GET /api/jobs/j1/plan': makePlan({ answer: { ...answer, key: '' }, chosen }) });
    render(PlanPage, page(makePlan()));
    expect(await screen.findByText(/The customer declined quote 1/)).toBeVisible();
    expect(screen.getByText(/not what they agreed to. Ask them/)).toBeVisible();
  });

  it('says what is missing instead of inventing options', async () => {
    serve({ 'GET /api/jobs/j1/plan': makePlan({ options: [], missing: 'There is no Before log yet.' }) });
    render(PlanPage, page(makePlan()));
    expect(await screen.findByText(/There is no Before log yet/)).toBeVisible();
    expect(screen.getByRole('link', { name: 'To Before' })).toHaveAttribute('href', '/jobs/j1/before');
  });

  it('keeps what is typed, saves it by itself, and the options follow', async () => {
    const better = makePlan({ version: 3, options: [makeOption('clean', { reason: 'Dust it is.' })] });
    const log = serve({ 'GET /api/jobs/j1/plan': makePlan(), 'PUT /api/jobs/j1/plan': better });
    render(PlanPage, page(makePlan()));
    await user.selectOptions(await screen.findByLabelText('Dust in the fins'), 'felt');
    expect(localStorage.getItem('draft::plan:j1')).toContain('felt');
    expect(await screen.findByText('Dust it is.')).toBeVisible();
    expect(log.find((a) => a.method === 'PUT')?.body).toMatchObject({ version: 2, found: { dust: 'felt' } });
    await vi.waitFor(() => expect(localStorage.getItem('draft::plan:j1')).toBeNull());
  });

  it('does not send half a die and says so beside it', async () => {
    const log = serve({ 'GET /api/jobs/j1/plan': makePlan() });
    render(PlanPage, page(makePlan()));
    await user.type(await screen.findByLabelText('Processor die, width'), '15');
    expect(await screen.findByRole('alert')).toHaveTextContent('Both sides, or none.');
    expect(log.some((a) => a.method === 'PUT')).toBe(false);
  });

  it('takes an option and tells the job', async () => {
    const chosen = {
      key: 'repaste:Grey', words: 'clean, Grey', held: false, resistance: { low: 0.8, median: 0.9, high: 1 },
      die_c: { low: 72, median: 75, high: 78 }, watts: null, total_cents: 6000, by: 'Imke', at: '2026-03-01T09:00:00Z',
    }; // prettier-ignore
    const log = serve({
      'GET /api/jobs/j1/plan': makePlan(),
      'PUT /api/jobs/j1/plan': makePlan(),
      'POST /api/jobs/j1/plan/choice': makePlan({ version: 3, chosen }),
    });
    const props = page(makePlan());
    render(PlanPage, props);
    await user.click(await screen.findByLabelText('Quieter'));
    await vi.waitFor(() => expect(log.find((a) => a.method === 'PUT')?.body).toMatchObject({ goal: 'quieter' }));
    await user.click(await screen.findByRole('button', { name: /Choose this plan/ }));
    expect(log.find((a) => a.method === 'POST')?.body).toEqual({ version: 2, key: 'repaste:Grey' });
    expect((await screen.findAllByText('Taken: clean, Grey'))[0]).toBeVisible();
    expect(screen.getByText(/Promised: 75 °C at the work of Before \(72 to 78\), for/)).toBeVisible();
    expect(props.onchange).toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: /Go on to Fit/ }));
    expect(props.onnext).toHaveBeenCalledOnce();
  });

  it('does not let a stop be taken, by key neither', async () => {
    const gate = {
      rule: 'alloy_on_aluminium',
      severity: 'stop' as const,
      reason: 'Alloy eats aluminium.',
      remedy: 'Take paste.',
    };
    const plan = makePlan({ options: [makeOption('alloy', { blocked: true, gates: [gate] })] });
    const log = serve({ 'GET /api/jobs/j1/plan': plan });
    render(PlanPage, page(plan));
    expect(await screen.findByText('Alloy eats aluminium.')).toBeVisible();
    expect(screen.getByRole('button', { name: /Choose this plan/ })).toBeDisabled();
    await user.keyboard('{Enter}');
    expect(log.some((a) => a.method === 'POST')).toBe(false);
  });

  it('lays After over the promise', async () => {
    const chosen = {
      key: 'repaste:Grey', words: 'clean, Grey', held: true, resistance: { low: 0.8, median: 0.9, high: 1 },
      die_c: { low: 72, median: 75, high: 78 }, watts: { low: 70, median: 78, high: 86 }, total_cents: 6000, by: 'Imke',
      at: '2026-03-01T09:00:00Z',
    }; // prettier-ignore
    const outcome = { resistance: 1.1, resistance_u95: 0.05, die_c: 80, watts: 64, inside: false };
    serve({ 'GET /api/jobs/j1/plan': makePlan({ held: true, chosen, outcome }) });
    render(PlanPage, page(makePlan()));
    expect(
      await screen.findByText(/After measured 64 W at the fan speed of Before: outside the interval/),
    ).toBeVisible();
  });

  it('shows dose, lot and how it goes on', async () => {
    serve({ 'GET /api/jobs/j1/plan': makePlan({ options: [makeOption('repaste:Grey', { parts: [die] })] }) });
    render(PlanPage, page(makePlan()));
    await user.click(await screen.findByText('What goes where'));
    const part = screen.getByText('0.021 g');
    expect(part.closest('li')).toHaveTextContent(
      /Processor die Grey 0.021 g ?8.6 µL 15.0 × 13.0 mm on the shelf, lot GH-1/,
    );
    expect(screen.getByText(/Put a drop of 2.5 mm on, then spread it/)).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Match to a bank card' }));
    const matched = screen.getByText('They meet');
    await user.click(matched);
    expect(Number(localStorage.getItem('px-per-mm'))).toBeGreaterThan(3);
    expect(screen.getByText('True size.')).toBeVisible();
  });
});

describe('what was found', () => {
  it('goes to the form and back unchanged', () => {
    const gap = {
      target: 'memory', how: 'imprint', reading_mm: 0.8, tolerance_mm: 0.05, width_mm: 12, length_mm: 14, count: 4,
      together: true,
    }; // prettier-ignore
    const found = { ...makePlan().found, gaps: [gap], cpu_die_width_mm: 15, cpu_die_length_mm: 13, undervolt_mv: 50 };
    expect(checkFound(planForm(makePlan({ found }))).found).toEqual(found);
  });
  it('names what is missing in a gap', () => {
    const form = planForm(makePlan());
    form.gaps.push({ ...formOf(GAP, null), reading_mm: 'thick' });
    expect(checkFound(form).errors).toEqual({
      'gaps.0.reading_mm': '“thick” is no number.',
      'gaps.0.width_mm': 'This is needed.',
      'gaps.0.length_mm': 'This is needed.',
    });
  });
});

describe('the scale', () => {
  it('shows watts for a device that is held back, degrees for one that is not, decibels when it shall be quieter', () => {
    expect(scaleOf(makePlan({ held: true }))?.unit).toBe('W');
    expect(scaleOf(makePlan())?.unit).toBe('°C');
    expect(scaleOf(makePlan({ goal: 'quieter' }))?.unit).toBe('dB');
    expect(scaleOf(makePlan({ goal: 'quieter', fanless: true }))?.unit).toBe('°C');
    expect(scaleOf(makePlan({ options: [] }))).toBeNull();
  });
  it('has room for every interval and for now', () => {
    const scale = scaleOf(makePlan());
    expect(scale).not.toBeNull();
    if (!scale) return;
    expect(scale.low).toBeLessThanOrEqual(72);
    expect(scale.high).toBeGreaterThanOrEqual(90);
    expect(place(scale, scale.low, 400)).toBe(0);
    expect(place(scale, scale.high, 400)).toBe(400);
  });
});

describe('cutting', () => {
  const pads = makeProduct({ id: 'p2', kind: 'pad', name: 'Moss 1.0', unit: 'sheet', remaining: 2 });
  const part = {
    ...die,
    target: 'memory',
    kind: 'pad',
    product_id: 'p2',
    unit: 'piece',
    amount: 4,
    count: 4,
    drop: null,
  };
  const box = { x_mm: 0, y_mm: 0, width_mm: 15, length_mm: 13 };
  const drawing = {
    name: 'Sheet of lot M', width_mm: 80, length_mm: 80, taken: [], pieces: [{ label: 'Memory', box }],
    kept: { x_mm: 0, y_mm: 14, width_mm: 80, length_mm: 66 },
  }; // prettier-ignore
  const cut = { id: null, product: '', at: null, fits: true, waste_share: 0.9, unplaced: [], drawings: [drawing] };

  it('lays out, books, and takes back', async () => {
    const booked = { ...cut, id: 'c1', product: 'Moss 1.0', at: '2026-03-01T09:00:00Z' };
    const log = serve({
      'GET /api/shelf': makeShelf([pads]),
      'GET /api/jobs/j1/cuts': { cuts: [] },
      'POST /api/jobs/j1/cuts/preview': cut,
      'POST /api/jobs/j1/cuts': booked,
      'DELETE /api/jobs/j1/cuts/c1': { cuts: [] },
    });
    render(CutPanel, { jobId: 'j1', parts: [part] });
    await user.click(await screen.findByRole('button', { name: 'Lay the pieces out' }));
    expect(await screen.findByRole('img', { name: 'Sheet of lot M, 80 × 80 mm: 1 piece' })).toBeVisible();
    expect(log.find((a) => a.path.endsWith('preview'))?.body).toMatchObject({
      product_id: 'p2',
      kerf_mm: 0.2,
      rows: [{ target: 'memory', count: 4, width_mm: 15 }],
    });
    await user.click(screen.getByRole('button', { name: 'Cut it and book it' }));
    const link = await screen.findByRole('link', { name: 'PDF at 1:1' });
    expect(link).toHaveAttribute('href', '/api/jobs/j1/cuts/c1/sheet.pdf');
    await user.click(screen.getByRole('button', { name: 'Take the cut back' }));
    await vi.waitFor(() => expect(screen.queryByRole('link', { name: 'PDF at 1:1' })).toBeNull());
  });

  it('says which pieces find no room and does not book them', async () => {
    serve({
      'GET /api/shelf': makeShelf([pads]),
      'GET /api/jobs/j1/cuts': { cuts: [] },
      'POST /api/jobs/j1/cuts/preview': { ...cut, fits: false, unplaced: ['Memory', 'Memory'] },
    });
    render(CutPanel, { jobId: 'j1', parts: [part] });
    await user.click(await screen.findByRole('button', { name: 'Lay the pieces out' }));
    expect(await screen.findByText('2 pieces find no room: Memory')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Cut it and book it' })).toBeDisabled();
  });

  it('shows a refusal with its remedy', async () => {
    serve({
      'GET /api/shelf': makeShelf([pads]),
      'GET /api/jobs/j1/cuts': { cuts: [] },
      'POST /api/jobs/j1/cuts/preview': () =>
        json(409, problem({ status: 409, detail: 'No sheet is on the shelf.', remedy: 'Add a lot.' })),
    });
    render(CutPanel, { jobId: 'j1', parts: [part] });
    await user.click(await screen.findByRole('button', { name: 'Lay the pieces out' }));
    expect(await screen.findByText('No sheet is on the shelf.')).toBeVisible();
  });
});
