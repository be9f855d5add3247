import 'fake-indexeddb/auto';
import { fireEvent, render, screen, within } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { makeBench, makeBenchJob, makePlace, makeStep, WORDS } from '../../lib/bench/test-bench';
import type { Bench } from '../../lib/bench/types';
import { json, problem, serve, type Asked } from '../../lib/test-server';
import { makeJob } from '../../lib/test-jobs';
import CleanPage from '../clean/CleanPage.svelte';
import ClosePage from '../close/ClosePage.svelte';
import ModelsRoom from '../models/ModelsRoom.svelte';
import PhotoPair from '../record/PhotoPair.svelte';
import OpenPage from './OpenPage.svelte';
import { blankPlace, placeData } from './place';

interface Sent {
  events: { id: string; kind: string; data: Record<string, unknown> }[];
}
let sent: Sent['events'] = [];

function served(bench: Partial<Bench> = {}, more: Record<string, unknown> = {}) {
  return serve({
    'GET /api/bench/words': WORDS,
    'GET /api/jobs/j1/bench': () => makeBench(bench),
    'GET /api/jobs/j1/plan': () => json(404, problem({ status: 404 })),
    'POST /api/jobs/j1/photos/*': () => json(201, {}),
    'POST /api/jobs/j1/bench/events': (asked: Asked) => {
      const { events } = asked.body as Sent;
      sent = [...sent, ...events];
      const taken = events.map((e) => ({ id: e.id, number: 99, again: false, refusal: null, told: '' }));
      return { taken, number: 99, clock_off_s: null };
    },
    ...more,
  });
}
async function at(bench: Partial<Bench> = {}, more: Record<string, unknown> = {}) {
  served(bench, more);
  const job = makeBenchJob(bench);
  await job.refresh();
  return job;
}

beforeEach(() => {
  localStorage.clear();
  sent = [];
});

describe('Open', () => {
  it('puts a screw where the map is tapped, with the class that was said', async () => {
    const user = userEvent.setup();
    render(OpenPage, { at: await at(), job: makeJob(), onchange: vi.fn() });
    await user.click(screen.getByRole('radio', { name: 'Add screws' }));
    await user.type(await screen.findByLabelText(/Length/), '4,5');
    await user.type(screen.getByLabelText(/Printed number/), '3');
    const map = screen.getByRole('group', { name: /Map with 3 places/ });
    map.getBoundingClientRect = () => ({ left: 0, top: 0, width: 1000, height: 640 }) as DOMRect;
    await fireEvent.click(map, { clientX: 250, clientY: 320 });
    await vi.waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.data.place).toMatchObject({
      kind: 'screw',
      x: 0.25,
      y: 0.5,
      length_mm: 4.5,
      number: 3,
      holds: 'cover',
    });
    expect(screen.getByLabelText(/Printed number/)).toHaveValue('4');
  });

  it('takes a place out and counts it in the ledger', async () => {
    const user = userEvent.setup();
    render(OpenPage, { at: await at(), job: makeJob(), onchange: vi.fn() });
    expect(screen.getByLabelText('Ledger')).toHaveTextContent('0 of 1 screws out');
    await user.click(screen.getByRole('button', { name: 'screw A of the cover, in' }));
    await user.click(screen.getByRole('button', { name: 'It is out' }));
    expect(screen.getByLabelText('Ledger')).toHaveTextContent('1 of 1 screws out');
    expect(screen.getByRole('button', { name: 'Delete' })).toBeDisabled();
  });

  it('shows the order to loosen as numbers on the map', async () => {
    const user = userEvent.setup();
    const places = ['a', 'b'].map((id, i) => makePlace(id, { x: 0.2 + 0.5 * i }));
    const orders = [{ holds: 'cover', words: 'cover', loosen: ['b', 'a'], tighten: ['a', 'b'], by_number: true }];
    render(OpenPage, { at: await at({ places, orders }), job: makeJob(), onchange: vi.fn() });
    await user.selectOptions(screen.getByLabelText('Order'), 'cover:loosen');
    expect(screen.getByText(/reverse of the printed numbers/)).toBeVisible();
  });

  it('does a step from the page, and asks before a rule is broken', async () => {
    const user = userEvent.setup();
    render(OpenPage, { at: await at(), job: makeJob(), onchange: vi.fn() });
    const rows = within(screen.getByLabelText('Steps of this stage'));
    await user.click(rows.getAllByRole('button', { name: 'Done' })[2] as HTMLElement);
    expect(rows.getByRole('heading', { name: 'The battery is still connected.' })).toBeVisible();
    await user.click(rows.getByRole('button', { name: /Back/ }));
    await user.click(rows.getAllByRole('button', { name: 'Done' })[0] as HTMLElement);
    await vi.waitFor(() => expect(sent.map((e) => e.data.step)).toEqual(['power_off']));
  });

  it('offers to begin, and says when a map of the model comes with it', async () => {
    render(OpenPage, { at: await at({ begun: null, model_places: 14 }), job: makeJob(), onchange: vi.fn() });
    expect(screen.getByText(/14 places come with it/)).toBeVisible();
    expect(screen.getByRole('button', { name: /Begin without the map/ })).toBeVisible();
  });

  it('says that the plan has changed and makes the list anew', async () => {
    const user = userEvent.setup();
    const renewed = vi.fn(() => makeBench({ number: 9 }));
    render(OpenPage, {
      at: await at({ plan_changed: true }, { 'PUT /api/jobs/j1/bench/list': renewed }),
      job: makeJob(),
      onchange: vi.fn(),
    });
    await user.click(screen.getByRole('button', { name: 'Make the list anew' }));
    await vi.waitFor(() => expect(renewed).toHaveBeenCalled());
    expect(screen.queryByText(/plan has changed/)).toBeNull();
  });

  it('sends a plug without the fields of a screw', () => {
    expect(placeData({ ...blankPlace(), kind: 'pad', gap: '1,3', thickness: '1.5' }, 'p', 0.5, 0.5)).toEqual({
      id: 'p',
      x: 0.5,
      y: 0.5,
      kind: 'pad',
      holds: 'memory',
      gap_mm: 1.3,
      thickness_mm: 1.5,
      note: '',
    });
    expect(placeData({ ...blankPlace(), kind: 'plug', note: ' white ' }, 'p', 0.12345, 0.5)).toEqual({
      id: 'p',
      x: 0.123,
      y: 0.5,
      kind: 'plug',
      holds: 'fan',
      note: 'white',
    });
  });
});

describe('Clean', () => {
  it('notes what is seen, and says what follows', async () => {
    const user = userEvent.setup();
    render(CleanPage, { at: await at(), job: makeJob() });
    await user.click(screen.getByRole('radio', { name: /Aluminium/ }));
    expect(screen.getByText('Aluminium seen: alloy barred.')).toBeVisible();
    await vi.waitFor(() =>
      expect(sent[0]).toMatchObject({ kind: 'found', data: { part: 'plate', seen: 'aluminium' } }),
    );
  });
});

it('keeps a photo with what was seen', async () => {
  const found = {
    id: 'f',
    part: 'plate',
    seen: 'nickel',
    part_words: 'Cold plate',
    seen_words: 'Nickel-plated',
    follows: '',
    sound: true,
    words: '',
    photo: '',
    at: '2026-03-02T09:00:00Z',
  };
  const user = userEvent.setup();
  render(CleanPage, { at: await at({ found: [found] }), job: makeJob() });
  await user.upload(screen.getByLabelText('Photo: Cold plate'), new File(['x'], 'p.jpg', { type: 'image/jpeg' }));
  await vi.waitFor(() => expect(sent.map((e) => e.kind)).toEqual(['photo', 'found']));
  expect(sent[1]?.data.photo).toBe(sent[0]?.data.photo);
});

describe('Close', () => {
  it('only counts what the open steps will settle by themselves', async () => {
    const blockers = ['a', 'b'].map((of, i) => ({
      code: 'step' as const,
      text: `Step ${i + 1} is open: Do ${of}`,
      remedy: '',
      stage: 'close',
      of,
    }));
    const bench = { steps: [makeStep('a', { stage: 'close' }), makeStep('b', { stage: 'close' })], blockers };
    render(ClosePage, { at: await at(bench), job: makeJob(), onnext: vi.fn() });
    expect(screen.getByRole('heading', { name: '2 steps are still to do' })).toBeVisible();
    expect(screen.getByText(/Next: step 1, Do a/)).toBeVisible();
  });

  it('tells a breach as what it is and takes the words of its check', async () => {
    const user = userEvent.setup();
    const breach = {
      id: 'x:r',
      rule: 'r',
      reason: 'The battery was on.',
      step: '',
      words: 'too late',
      at: '2026-03-02T09:00:00Z',
      by: 'Imke',
      check: 'Look round the die.',
      checked: '',
    };
    const blockers = [
      {
        code: 'breach' as const,
        text: 'To check after a breach: The battery was on.',
        remedy: 'Look round the die.',
        stage: 'close',
        of: 'x:r',
      },
    ];
    render(ClosePage, { at: await at({ breaches: [breach], blockers, steps: [] }), job: makeJob(), onnext: vi.fn() });
    expect(screen.getByText(/“too late”/)).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Say what was checked' }));
    await user.click(screen.getByRole('button', { name: /Looked with the loupe/ }));
    await vi.waitFor(() => expect(sent[0]).toMatchObject({ kind: 'checked', data: { of: 'x:r' } }));
  });

  it('notes what is left over', async () => {
    const user = userEvent.setup();
    render(ClosePage, { at: await at(), job: makeJob(), onnext: vi.fn() });
    await user.type(screen.getByLabelText('Left over in the tray'), '2');
    await user.click(screen.getByRole('button', { name: 'Note it' }));
    await vi.waitFor(() => expect(sent[0]?.data).toEqual({ count: 2, words: '' }));
    expect(screen.getByText(/2 left over in the tray/)).toBeVisible();
  });
});

describe('Models', () => {
  it('helps when there is none', async () => {
    serve({ 'GET /api/models': { models: [] } });
    render(ModelsRoom);
    expect(await screen.findByRole('heading', { name: 'No model is kept yet' })).toBeVisible();
  });

  it('does not write over a kept model without being asked to', async () => {
    const user = userEvent.setup();
    const kept = problem({ status: 409, detail: 'Marrow 15 is kept already.', reason: 'kept' });
    const log = serve({ 'GET /api/models': { models: [] }, 'POST /api/models/import': () => json(409, kept) });
    render(ModelsRoom);
    await screen.findByRole('heading', { name: 'No model is kept yet' });
    await user.upload(screen.getByLabelText('Model file'), new File(['{}'], 'm.json', { type: 'application/json' }));
    await user.click(await screen.findByRole('button', { name: 'Replace the kept one' }));
    await vi.waitFor(() =>
      expect(log.filter((a) => a.method === 'POST').map((a) => a.query)).toEqual(['', '?replace=true']),
    );
  });
});

it('lays before over after as far as the slider says', async () => {
  render(PhotoPair, { before: 'b', after: 'a' });
  const slider = screen.getByRole('slider', { name: 'How much of before is shown' });
  await fireEvent.input(slider, { target: { value: '80' } });
  const [shown] = screen.getAllByAltText('Before the service');
  expect(shown).toHaveStyle({ clipPath: 'inset(0 20% 0 0)' });
});
