import { render, screen, within } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { openSession } from '../../lib/session.svelte';
import { json, problem, serve } from '../../lib/test-server';
import { makeProduct, makeShelf } from '../../lib/test-plan';
import { toasts } from '../../lib/toasts.svelte';
import { importShelf } from './import-shelf';
import ShelfRoom from './ShelfRoom.svelte';
import { readForm, formOf } from '../../lib/fields';
import { PRODUCT, productBody, typedProduct } from './shelf-form';

afterEach(() => vi.unstubAllGlobals());
const user = userEvent.setup();
const owner = {
  person: { name: 'Imke', role: 'owner', shop_name: 'Lantern Street', demo: false, currency: 'EUR' },
  demo_available: false,
  set_up_needed: false,
  csrf_token: 't',
  space: 'ok',
};
describe('the shelf', () => {
  it('shows what lies there and what to look at', async () => {
    serve({ 'GET /api/shelf': makeShelf() });
    render(ShelfRoom);
    expect(await screen.findByRole('heading', { name: /Grey Heron 11/ })).toBeVisible();
    expect(screen.getByText('Low: 0.5 g left, wanted: 1 g.')).toBeVisible();
    expect(screen.getByRole('button', { name: /Lot GH-1.*0.50 of 4.00 g.*opened 1 February 2026/ })).toBeVisible();
  });

  it('helps when it is empty', async () => {
    serve({ 'GET /api/shelf': makeShelf([]) });
    render(ShelfRoom);
    expect(await screen.findByText(/The shelf is empty/)).toBeVisible();
  });

  it('is sifted by words, by what runs low, and put in order', async () => {
    const all = [
      makeProduct({ id: 'a', name: 'Sable Reed 8', remaining: 5, low: false }),
      makeProduct({ id: 'b', name: 'Ash Reed 4', remaining: 1, low: true }),
      makeProduct({ id: 'c', name: 'Grey Heron 11', remaining: 3, low: false }),
      makeProduct({ id: 'd', name: 'Moss Finch', remaining: 0, low: false }),
    ];
    serve({ 'GET /api/shelf': makeShelf(all) });
    render(ShelfRoom);
    const names = () =>
      screen.getAllByRole('heading', { level: 3 }).flatMap((h) => h.textContent?.match(/\w+ Reed \d/)?.[0] ?? []);
    await user.type(await screen.findByLabelText('Find'), 'reed');
    expect(screen.getByText('2 of 4')).toBeVisible();
    await user.selectOptions(screen.getByLabelText('Order'), 'by name');
    expect(names()).toEqual(['Ash Reed 4', 'Sable Reed 8']);
    await user.selectOptions(screen.getByLabelText('Show'), 'running low');
    expect(screen.getByText('1 of 4')).toBeVisible();
    await user.type(screen.getByLabelText('Find'), ' goose');
    expect(screen.getByText(/Nothing here has all of these words/)).toBeVisible();
  });

  it('corrects a lot by weighing, with the reason', async () => {
    const log = serve({
      'GET /api/shelf': makeShelf(),
      'GET /api/shelf/lots/l1/moves': {
        moves: [
          { id: 'm1', amount: -0.08, remaining: 0.5, reason: 'used on job 7', by: 'Imke', at: '2026-03-01T09:00:00Z' },
        ],
      },
      'PUT /api/shelf/lots/l1': makeShelf(),
    });
    render(ShelfRoom);
    await user.click(await screen.findByRole('button', { name: /Lot GH-1/ }));
    expect(await screen.findByText('used on job 7')).toBeVisible();
    const left = screen.getByLabelText('Amount left');
    await user.clear(left);
    await user.type(left, '0,4');
    await user.type(screen.getByLabelText('Why it differs'), 'dried out');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(log.find((a) => a.method === 'PUT')?.body).toEqual({
      version: 3,
      opened_on: '2026-02-01',
      expires_on: null,
      remaining: 0.4,
      reason: 'dried out',
    });
  });

  it('adds a product with its own values and where they come from', async () => {
    const log = serve({ 'GET /api/shelf': makeShelf([]), 'POST /api/shelf/products': () => json(201, makeShelf()) });
    render(ShelfRoom);
    await user.click(await screen.findByRole('button', { name: 'Add a product' }));
    await user.type(screen.getByLabelText('Name'), 'Loam 8');
    await user.type(screen.getByLabelText('Price of one, without tax'), '4,50');
    await user.type(screen.getByLabelText('Conductivity'), '8,5');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(log.find((a) => a.method === 'POST')?.body).toMatchObject({
      name: 'Loam 8',
      price_cents: 450,
      own: { conductivity: { value: 8.5, source: 'data sheet' } },
    });
  });

  it('puts a refused value beside its field', async () => {
    serve({
      'GET /api/shelf': makeShelf([]),
      'POST /api/shelf/products': () =>
        json(422, problem({ errors: [{ field: 'density_g_ml', message: 'Density is 64 g/mL.', remedy: 'Check.' }] })),
    });
    render(ShelfRoom);
    await user.click(await screen.findByRole('button', { name: 'Add a product' }));
    await user.type(screen.getByLabelText('Name'), 'Odd');
    await user.type(screen.getByLabelText('Density'), '64');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Density is 64 g/mL. Check.');
  });

  it('lets an owner learn from the own jobs and says when there are too few', async () => {
    const lessons = [
      { kind: 'paste_stiff', words: 'paste, stiff', jobs: 4, proposed: 1.2, in_force: 1 },
      { kind: 'pad', words: 'pad', jobs: 1, proposed: null, in_force: 1 },
    ];
    const log = serve({
      'GET /api/session': owner,
      'GET /api/shelf': makeShelf([makeProduct()], { lessons }),
      'POST /api/shelf/kinds/paste_stiff/learn': makeShelf(),
    });
    await openSession();
    render(ShelfRoom);
    const row = (await screen.findByText(/came out 1.20 times what was predicted/)).closest('li') as HTMLElement;
    expect(screen.getByText(/three are needed before/)).toBeVisible();
    await user.click(within(row).getByRole('button', { name: 'Learn it' }));
    expect(log.some((a) => a.path === '/api/shelf/kinds/paste_stiff/learn')).toBe(true);
  });

  it('shows an offcut in its true shape', async () => {
    const offcut = {
      id: 'o1', number: 3, lot: 'M', width_mm: 80, length_mm: 80,
      taken: [{ x_mm: 0, y_mm: 0, width_mm: 20, length_mm: 20 }],
      largest: { x_mm: 0, y_mm: 20, width_mm: 80, length_mm: 60 },
    }; // prettier-ignore
    serve({ 'GET /api/shelf': makeShelf([makeProduct({ offcuts: [offcut] })]) });
    render(ShelfRoom);
    const shape = await screen.findByRole('img', { name: 'Offcut 3, largest piece 80 × 60 mm' });
    expect(shape.querySelectorAll('.hole')).toHaveLength(1);
  });
});

describe('a product as typed', () => {
  it('keeps values that the form does not show', () => {
    const extra = {
      name: 'waste',
      words: 'Waste',
      unit: '',
      value: 0.4,
      source: 'measured',
      note: 'x',
      typical: 0.3,
      low: 0,
      high: 3,
    };
    const product = makeProduct({ own_names: ['conductivity', 'waste'], values: [...makeProduct().values, extra] });
    const { values } = readForm(PRODUCT, formOf(PRODUCT, typedProduct(product)));
    const body = values && productBody(values, product);
    expect(body?.own).toEqual({
      conductivity: { value: 11.2, source: 'data sheet', note: '' },
      waste: { value: 0.4, source: 'measured', note: 'x' },
    });
    expect(body?.sheet_width_mm).toBeNull();
  });
  it('asks for a name and for numbers', () => {
    expect(readForm(PRODUCT, { ...formOf(PRODUCT, null), price_cents: 'dear' }).errors).toEqual({
      name: 'This is needed: what stands on the tube.',
      price_cents: '“dear” is no number.',
    });
  });
});

describe('lots and kinds', () => {
  it('a lot comes in with its dates', async () => {
    const log = serve({
      'GET /api/shelf': makeShelf(),
      'POST /api/shelf/products/p1/lots': () => json(201, makeShelf()),
    });
    render(ShelfRoom);
    await user.click(await screen.findByRole('button', { name: 'Add a lot' }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(screen.getAllByRole('alert').map((a) => a.textContent)).toContain('Type what stands on the label.');
    await user.type(screen.getByLabelText('Code on the label'), 'GH-2');
    await user.type(screen.getByLabelText('Contents'), '4');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await vi.waitFor(() =>
      expect(log.find((a) => a.method === 'POST')?.body).toMatchObject({ code: 'GH-2', held: 4, opened_on: null }),
    );
  });

  it('an owner changes a typical value with its source, and a refusal stands beside it', async () => {
    const log = serve({
      'GET /api/session': owner,
      'GET /api/shelf': makeShelf(),
      'PUT /api/shelf/kinds/paste_stiff': (asked: { body: unknown }) =>
        JSON.stringify(asked.body).includes('99')
          ? json(
              422,
              problem({ errors: [{ field: 'conductivity', message: 'Conductivity is 99.', remedy: 'Check.' }] }),
            )
          : makeShelf(),
    });
    await openSession();
    render(ShelfRoom);
    await user.click(await screen.findByText('Show and change them'));
    await user.selectOptions(screen.getByLabelText('Kind'), 'paste_stiff');
    await user.type(screen.getByLabelText('To'), '99');
    const save = screen.getAllByRole('button', { name: 'Save' }).at(-1) as HTMLElement;
    await user.click(save);
    expect(await screen.findByText('Conductivity is 99. Check.')).toBeVisible();
    await user.clear(screen.getByLabelText('To'));
    await user.type(screen.getByLabelText('To'), '12');
    await user.click(save);
    expect(log.findLast((a) => a.method === 'PUT')?.body).toEqual({
      own: { conductivity: { value: 12, source: 'data sheet', note: '' } },
    });
  });

  it('a product goes off the shelf and comes back', async () => {
    const log = serve({
      'GET /api/shelf': makeShelf(),
      'DELETE /api/shelf/products/p1': makeShelf([]),
      'POST /api/shelf/products/p1/restore': makeShelf(),
    });
    render(ShelfRoom);
    await user.click(await screen.findByRole('button', { name: 'Take Grey Heron 11 off the shelf' }));
    expect(await screen.findByText(/The shelf is empty/)).toBeVisible();
    await toasts.list.at(-1)?.undo?.();
    expect(await screen.findByRole('heading', { name: /Grey Heron 11/ })).toBeVisible();
    expect(log.at(-1)?.path).toBe('/api/shelf/products/p1/restore');
  });

  it('a CSV that is too large is not sent', async () => {
    await expect(importShelf(new File(['x'.repeat(3 * 2 ** 20)], 'shelf.csv'))).rejects.toThrow(
      '3 MB; a shelf of up to 2 MB',
    );
  });
});
