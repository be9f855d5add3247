import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { makeBenchJob } from '../../lib/bench/test-bench';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { json, problem, serve } from '../../lib/test-server';
import { makeJob, paste } from '../../lib/test-jobs';
import { makeOption, makePlan, makeProduct, makeShelf } from '../../lib/test-plan';
import { toasts } from '../../lib/toasts.svelte';
import Fit from './Fit.svelte';
import FitItemForm from './FitItemForm.svelte';
import PlannedParts from './PlannedParts.svelte';

afterEach(() => vi.unstubAllGlobals());
const user = userEvent.setup();
const part = {
  target: 'cpu_die', kind: 'paste_stiff', words: 'Grey', product_id: 'p1', product: 'Grey Heron 11', amount: 0.020642,
  unit: 'g', volume_ul: 8, width_mm: 15, length_mm: 13, count: 1, spare: 0, together: false, school: 'film', school_reason: '',
  drop: null, lacks: '', stock: 'held', lot_id: 'l1', lot: 'GH-1', left: 3.9, price_cents: 20,
}; // prettier-ignore

describe('fit from the shelf', () => {
  it('books what was planned by its amount and lot', async () => {
    const got = vi.fn();
    const log = serve({ 'POST /api/jobs/j1/fit/items': () => json(201, { items: [paste] }) });
    render(PlannedParts, { jobId: 'j1', option: makeOption('x', { parts: [part] }), items: [], onitems: got });
    await user.click(screen.getByRole('button', { name: 'Fitted, book it' }));
    expect(log[0]?.body).toEqual({
      target: 'cpu_die', kind: 'paste_stiff', amount: 0.02064, amount_unit: 'g', lot_id: 'l1',
    }); // prettier-ignore
    expect(got).toHaveBeenCalledWith([paste]);
  });

  it('says clearly when somebody else took the last of it', async () => {
    const detail = 'Grey Heron 11, lot GH-1, holds 0 g; 0.02 g are asked for.';
    serve({ 'POST /api/jobs/j1/fit/items': () => json(409, problem({ status: 409, detail, remedy: 'Another lot.' })) });
    render(PlannedParts, { jobId: 'j1', option: makeOption('x', { parts: [part] }), items: [], onitems: vi.fn() });
    await user.click(screen.getByRole('button', { name: 'Fitted, book it' }));
    await vi.waitFor(() => expect(toasts.list.some((t) => t.text === `${detail} Another lot.`)).toBe(true));
  });

  it('shows what is done, what is cut, and what must be measured first', () => {
    const pad = { ...part, target: 'memory', kind: 'pad', unit: 'piece', amount: 4, lot_id: null, lot: '' };
    const bare = { ...part, target: 'gpu_die', amount: null, lot_id: null, lot: '', stock: 'not known' };
    render(PlannedParts, {
      jobId: 'j1', option: makeOption('x', { parts: [part, pad, bare] }), items: [paste], onitems: vi.fn(),
    }); // prettier-ignore
    const rows = screen.getAllByRole('listitem');
    expect(rows[0]).toHaveTextContent('✓ noted');
    expect(rows[1]).toHaveTextContent('4 pieces');
    expect(rows[1]).toHaveTextContent('cut it below');
    expect(rows[2]).toHaveTextContent('measure the die first');
  });

  it('takes a lot in the form, by its own unit', async () => {
    const log = serve({
      'GET /api/shelf': makeShelf([makeProduct({ low: false })]),
      'POST /api/jobs/j1/fit/items': () => json(201, { items: [] }),
    });
    render(FitItemForm, { jobId: 'j1', onitems: vi.fn() });
    await vi.waitFor(() => expect(screen.getByRole('option', { name: 'Grey Heron 11, lot GH-1' })).toBeVisible());
    await user.selectOptions(screen.getByLabelText('From the shelf'), 'l1');
    expect(screen.queryByLabelText('Product')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Add to the list' }));
    expect(screen.getByRole('alert')).toHaveTextContent('booked by its amount');
    await user.type(screen.getByLabelText('Amount'), '0,1');
    await user.click(screen.getByRole('button', { name: 'Add to the list' }));
    expect(log.find((a) => a.method === 'POST')?.body).toMatchObject({ lot_id: 'l1', amount: 0.1, amount_unit: 'g' });
  });

  it('gives back to the shelf what is taken off the list, and tells of a refusal', async () => {
    const booked = { ...paste, lot_id: 'l1' };
    serve({
      'GET /api/jobs/j1/fit/items': { items: [booked] },
      'GET /api/jobs/j1/plan': makePlan(),
      'GET /api/shelf': makeShelf([]),
      'DELETE /api/jobs/j1/fit/items/*': { items: [] },
      'POST /api/jobs/j1/fit/items/*/restore': () =>
        json(409, problem({ status: 409, detail: 'It was used meanwhile.', remedy: 'Weigh it.' })),
    });
    render(Fit, { job: makeJob(), at: makeBenchJob({ begun: null }), onchange: vi.fn(), ondone: vi.fn() });
    expect(await screen.findByRole('cell', { name: /booked/ })).toBeVisible();
    await user.click(screen.getByRole('button', { name: /off the list/ }));
    const toast = await vi.waitFor(() => {
      const found = toasts.list.find((t) => t.text === 'Taken off the list; the shelf has it back.');
      expect(found).toBeDefined();
      return found;
    });
    void toast?.undo?.();
    await vi.waitFor(() => expect(toasts.list.some((t) => t.text.startsWith('It was used meanwhile.'))).toBe(true));
  });
});
