import { render, screen, within } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { makeBenchJob } from '../../lib/bench/test-bench';
import { json, problem, serve } from '../../lib/test-server';
import { makeJob, makeRun, paste } from '../../lib/test-jobs';
import ColumnTable from '../measure/ColumnTable.svelte';
import ConditionsForm from '../measure/ConditionsForm.svelte';
import Fit from '../fit/Fit.svelte';
import Gates from '../../lib/job/Gates.svelte';
import Intake from '../intake/Intake.svelte';
import NoisePanel from '../measure/NoisePanel.svelte';
import { JobState } from '../../lib/job/job.svelte';
import OpenItems from './OpenItems.svelte';

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());
const user = userEvent.setup();
const NONE = { suggestions: [] };

describe('intake', () => {
  it('sends what was typed and clears the draft', async () => {
    const saved = vi.fn();
    const log = serve({ 'GET /api/suggestions': NONE, 'POST /api/jobs': makeJob() });
    render(Intake, { job: null, onsaved: saved });
    await user.type(screen.getByLabelText('Customer'), 'Wen');
    await user.type(screen.getByLabelText('Model'), 'Marrow 15');
    await user.type(screen.getByLabelText('Temperature limit'), '95,5');
    await user.click(screen.getByLabelText('Battery swollen'));
    expect(localStorage.getItem('draft::intake:new')).toContain('Marrow 15');
    await user.click(screen.getByRole('button', { name: /Take it in/ }));
    const sent = log.find((a) => a.method === 'POST');
    expect(sent?.body).toMatchObject({ customer_name: 'Wen', limit_c: 95.5, battery_swollen: true, age_months: null });
    expect(saved).toHaveBeenCalledOnce();
    expect(localStorage.getItem('draft::intake:new')).toBeNull();
  });

  it('settles what opening costs while the customer stands there', async () => {
    const gate = {
      rule: 'warranty_and_seal',
      severity: 'acknowledge',
      reason: 'It may end the warranty.',
      remedy: 'Ask.',
    };
    const whole = { ...gate, acknowledged_by: null, acknowledged_at: null, words: null, stage: 'intake' };
    const saved = vi.fn();
    const log = serve({
      'GET /api/suggestions': NONE,
      'GET /api/intake/gates': { gates: [gate] },
      'POST /api/jobs': makeJob({ gates: [whole] }),
      'POST /api/jobs/j1/acknowledgements': makeJob(),
    });
    render(Intake, { job: null, onsaved: saved });
    expect(screen.getByRole('region', { name: 'Next step' })).toHaveTextContent(
      'Missing: customer, model, backup not asked',
    );
    await user.type(screen.getByLabelText('Customer'), 'Wen');
    await user.type(screen.getByLabelText('Model'), 'Marrow 15');
    await user.click(screen.getByLabelText('Running'));
    expect(await screen.findByText('It may end the warranty.')).toBeVisible();
    await user.type(screen.getByLabelText(/What was agreed/), 'She accepts it');
    await user.click(screen.getByRole('button', { name: /Take it in/ }));
    await vi.waitFor(() => expect(saved).toHaveBeenCalledOnce());
    expect(log.findLast((a) => a.method === 'POST')?.body).toEqual({
      rule: 'warranty_and_seal',
      words: 'She accepts it',
    });
  });

  it('takes a device in once, however often it is sent', async () => {
    const log = serve({ 'GET /api/suggestions': NONE, 'POST /api/jobs': makeJob() });
    const saved = vi.fn();
    render(Intake, { job: null, onsaved: saved });
    await user.type(screen.getByLabelText('Customer'), 'Wen');
    await user.type(screen.getByLabelText('Model'), 'Marrow 15');
    const form = document.querySelector('form');
    for (let i = 0; i < 5; i++) form?.requestSubmit();
    await vi.waitFor(() => expect(saved).toHaveBeenCalledOnce());
    expect(log.filter((a) => a.method === 'POST')).toHaveLength(1);
  });

  it('asks for what is needed without asking the server', async () => {
    const log = serve({ 'GET /api/suggestions': NONE });
    render(Intake, { job: null, onsaved: vi.fn() });
    await user.click(screen.getByRole('button', { name: /Take it in/ }));
    expect(screen.getAllByRole('alert').map((a) => a.textContent)).toEqual([
      'This is needed: it stands on the record.',
      'This is needed: at least what it is called.',
    ]);
    expect(log.filter((a) => a.method === 'POST')).toEqual([]);
  });

  it('brings unsaved typing back and lets it be dropped', async () => {
    localStorage.setItem(
      'draft::intake:j1',
      JSON.stringify({ base: { symptom: 'Loud' }, changed: { symptom: 'Hisses' } }),
    );
    serve({ 'GET /api/suggestions': NONE });
    render(Intake, { job: makeJob(), onsaved: vi.fn() });
    expect(screen.getByLabelText("Symptom, in the customer's words")).toHaveValue('Hisses');
    await user.click(screen.getByRole('button', { name: 'Drop it' }));
    expect(screen.getByLabelText("Symptom, in the customer's words")).toHaveValue('Loud');
  });

  it('takes in what a colleague saved first, and sends only what was typed here', async () => {
    const newer = makeJob({ version: 4, serial: 'S-1' });
    const answers = [json(409, problem({ status: 409, detail: 'Changed meanwhile.', reason: 'stale' }))];
    const log = serve({
      'GET /api/suggestions': NONE,
      'PUT /api/jobs/j1': () => answers.shift() ?? makeJob({ ...newer, version: 5, lives: 'lap' }),
    });
    const given = {
      job: makeJob(),
      onsaved: vi.fn(),
      onchange: async () => void (await view.rerender({ job: newer })),
    };
    const view = render(Intake, given);
    await user.type(screen.getByLabelText('Where it is used'), 'lap');
    await user.tab();
    await vi.waitFor(() => expect(screen.getByText('Saved.')).toBeVisible());
    expect(log.filter((a) => a.method === 'PUT').map((a) => a.body)).toEqual([
      { lives: 'lap', version: 3 },
      { lives: 'lap', version: 4 },
    ]);
    expect(screen.getByLabelText('Serial number')).toHaveValue('S-1');
    expect(screen.queryByText('Changed meanwhile.')).toBeNull();
  });

  it('tells a refusal that stays, and keeps the typing', async () => {
    serve({
      'GET /api/suggestions': NONE,
      'PUT /api/jobs/j1': () => json(409, problem({ status: 409, detail: 'Changed meanwhile.', reason: 'stale' })),
    });
    render(Intake, { job: makeJob(), onsaved: vi.fn(), onchange: vi.fn() });
    await user.type(screen.getByLabelText('Where it is used'), 'lap');
    await user.tab();
    expect(await screen.findByText('Changed meanwhile.')).toBeVisible();
    expect(screen.getByLabelText('Where it is used')).toHaveValue('lap');
  });

  it('changes nothing by being opened, and offers what is known of the model', async () => {
    const model = { model: 'Tern Pocket', maker: 'Ondervale', kind: 'laptop', places: [] };
    const log = serve({ 'GET /api/suggestions': NONE, 'GET /api/models': { models: [model] } });
    const device = { maker: '', model: 'Tern Pocket', kind: 'handheld' as const };
    render(Intake, { job: makeJob(device), onsaved: vi.fn(), onchange: vi.fn() });
    const fill = await screen.findByRole('button', { name: 'Fill in Ondervale, Laptop' });
    expect(screen.getByLabelText('Maker')).toHaveValue('');
    expect(log.filter((a) => a.method === 'PUT')).toEqual([]);
    await user.click(fill);
    expect(screen.getByLabelText('Maker')).toHaveValue('Ondervale');
  });

  it('fills in a known model once for a device that comes in, and leaves an emptied maker empty', async () => {
    const model = { model: 'Tern Pocket', maker: 'Ondervale', kind: 'handheld', places: [] };
    serve({
      'GET /api/suggestions': NONE,
      'GET /api/models': { models: [model] },
      'GET /api/intake/gates': { gates: [] },
    });
    render(Intake, { job: null, onsaved: vi.fn() });
    await user.type(screen.getByLabelText('Model'), 'Tern Pocket');
    await vi.waitFor(() => expect(screen.getByLabelText('Maker')).toHaveValue('Ondervale'));
    await user.clear(screen.getByLabelText('Maker'));
    await user.tab();
    expect(screen.getByLabelText('Maker')).toHaveValue('');
  });
});

describe('gates', () => {
  const gate = {
    rule: 'backup',
    severity: 'acknowledge',
    reason: 'No backup is confirmed.',
    remedy: 'Ask for one.',
    acknowledged_by: null,
    acknowledged_at: null,
    words: null,
    stage: 'intake',
  };
  it('are acknowledged in words', async () => {
    const log = serve({ 'POST /api/jobs/j1/acknowledgements': makeJob() });
    const change = vi.fn();
    render(Gates, { job: makeJob({ gates: [gate] }), onchange: change });
    await user.type(screen.getByLabelText('What was agreed, in words'), 'Owner knows');
    await user.click(screen.getByRole('button', { name: 'Acknowledge' }));
    expect(log[0]?.body).toEqual({ rule: 'backup', words: 'Owner knows' });
    expect(change).toHaveBeenCalledOnce();
  });
  it('cannot be acknowledged away when they stop the job', () => {
    render(Gates, { job: makeJob({ gates: [{ ...gate, severity: 'stop' }] }), onchange: vi.fn() });
    expect(screen.getByRole('alert')).toHaveTextContent('Stopped for safety.');
    expect(screen.queryByRole('button', { name: 'Acknowledge' })).toBeNull();
  });
  it('name who agreed to what', () => {
    const agreed = { ...gate, acknowledged_by: 'Imke', acknowledged_at: '2026-03-01T09:00:00Z', words: 'Owner knows' };
    render(Gates, { job: makeJob({ gates: [agreed] }), onchange: vi.fn() });
    expect(screen.getByText(/“Owner knows”: Imke, 1 March 2026/)).toBeVisible();
  });
});

describe('conditions', () => {
  it('put a refusal beside its field and keep what was typed', async () => {
    serve({
      'PUT /api/jobs/j1/runs/before': () =>
        json(
          422,
          problem({
            detail: 'Room temperature is 240 °C.',
            errors: [{ field: 'room_c', message: 'Room temperature is 240 °C.', remedy: 'Was it 24.0?' }],
          }),
        ),
    });
    render(ConditionsForm, { jobId: 'j1', run: makeRun(), side: 'before', onrun: vi.fn(), onreload: vi.fn() });
    await user.type(screen.getByLabelText('Room'), '240');
    await user.tab();
    expect(await screen.findByRole('alert')).toHaveTextContent('Room temperature is 240 °C. Was it 24.0?');
    expect(screen.getByLabelText('Room')).toHaveValue('240');
    expect(screen.getByLabelText('Room')).toHaveAttribute('aria-invalid', 'true');
    expect(localStorage.getItem('draft::run:j1:before')).toContain('240');
  });

  it('send an empty number as not known', async () => {
    const log = serve({ 'PUT /api/jobs/j1/runs/before': makeRun({ version: 1, fan_setting: 'fixed' }) });
    const kept = vi.fn(async () => undefined);
    render(ConditionsForm, { jobId: 'j1', run: makeRun(), side: 'before', onrun: kept, onreload: vi.fn() });
    await user.type(screen.getByLabelText('Placement'), 'stand');
    await user.click(screen.getByLabelText('Cold'));
    await vi.waitFor(() => expect(screen.getByText('Saved.')).toBeVisible());
    const bodies = log.filter((a) => a.method === 'PUT').map((a) => a.body);
    expect(bodies).toEqual([
      { version: 0, placement: 'stand' },
      { version: 0, start: 'cold' },
    ]);
    await user.type(screen.getByLabelText('Room'), '24');
    await user.tab();
    await user.clear(screen.getByLabelText('Room'));
    await user.tab();
    await vi.waitFor(() => expect(log.findLast((a) => a.method === 'PUT')?.body).toEqual({ version: 0, room_c: null }));
    expect(kept).toHaveBeenCalled();
  });
});

describe('noise', () => {
  const reading = { id: 'n1', level_db: 53.1, background_db: 31, place: 'vent', distance_m: 0.3 };
  it('offers the place of the last reading again and refuses words for levels', async () => {
    const log = serve({});
    render(NoisePanel, { jobId: 'j1', run: makeRun({ noise: [reading] }), side: 'before', onrun: vi.fn() });
    expect(screen.getByLabelText('Place')).toHaveValue('vent');
    expect(screen.getByLabelText('Background')).toHaveValue('31');
    await user.type(screen.getByLabelText('Level'), 'loud');
    await user.click(screen.getByRole('button', { name: 'Add the reading' }));
    expect(screen.getByRole('alert')).toHaveTextContent('Type the level the meter shows.');
    expect(log).toEqual([]);
  });
  it('is added once by a double press', async () => {
    let answer: (run: Response) => void = () => undefined;
    const log = serve({
      'POST /api/jobs/j1/runs/before/noise': () => new Promise<Response>((done) => (answer = done)),
    });
    const kept = vi.fn(async () => undefined);
    render(NoisePanel, { jobId: 'j1', run: makeRun(), side: 'before', onrun: kept });
    await user.type(screen.getByLabelText('Level'), '45.2');
    await user.dblClick(screen.getByRole('button', { name: 'Add the reading' }));
    answer(json(201, makeRun()));
    await vi.waitFor(() => expect(kept).toHaveBeenCalledOnce());
    expect(log.map((a) => a.body)).toEqual([{ level_db: 45.2, background_db: null, place: '', distance_m: null }]);
  });
  it('says when the figure is only an upper bound', () => {
    const run = makeRun({ noise: [reading], noise_figure: { level_db: 40.2, upper_bound: true, readings: 1 } });
    render(NoisePanel, { jobId: 'j1', run, side: 'before', onrun: vi.fn() });
    expect(screen.getByText(/an upper bound, the room is too loud/)).toBeVisible();
  });
});

describe('columns', () => {
  it('come understood first, say how sure, and can be changed', async () => {
    const map = vi.fn();
    const channels = [
      { header: 'Note', role: null, unit: '', confidence: 0, numeric: false },
      { header: 'Fan [RPM]', role: 'fan_speed', unit: 'rpm', confidence: 0.6, numeric: true },
      { header: 'CPU [°C]', role: 'cpu_temperature', unit: '°C', confidence: 1, numeric: true },
    ];
    render(ColumnTable, { channels, onmap: map });
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows.map((r) => within(r).getByRole('rowheader').textContent)).toEqual(['Fan [RPM]', 'CPU [°C]', 'Note']);
    expect(rows[0]).toHaveTextContent('please check');
    expect(rows[1]).toHaveTextContent('set by hand');
    expect(rows[2]).toHaveTextContent('text, kept');
    await user.selectOptions(screen.getByLabelText('Role of Fan [RPM]'), '');
    expect(map).toHaveBeenCalledWith('Fan [RPM]', null);
  });
});

describe('fit', () => {
  it('lists what went where and closes with what was cleaned', async () => {
    const done = vi.fn(async () => undefined);
    const log = serve({ 'GET /api/jobs/j1/fit/items': { items: [paste] }, 'PUT /api/jobs/j1/fit': makeJob() });
    render(Fit, {
      job: makeJob(),
      at: makeBenchJob({ begun: null }),
      onchange: vi.fn(async () => undefined),
      ondone: done,
    });
    expect(
      await screen.findByRole('row', { name: /Processor die Paste, stiff \(diamond\) Grey Heron 11 GH 0.08 g/ }),
    ).toBeVisible();
    await user.click(screen.getByLabelText('Fins'));
    await user.click(screen.getByRole('button', { name: /Done, go on to After/ }));
    const sent = log.find((a) => a.method === 'PUT');
    expect(sent?.body).toEqual({ version: 3, cleaned: ['fins'], fit_note: '', done: true });
    expect(done).toHaveBeenCalledOnce();
  });
  it('sends a technician to the intake when a gate is open', async () => {
    serve({
      'GET /api/jobs/j1/fit/items': { items: [] },
      'PUT /api/jobs/j1/fit': () => json(409, problem({ status: 409, detail: 'Not settled.', reason: 'gate_open' })),
    });
    render(Fit, { job: makeJob(), at: makeBenchJob({ begun: null }), onchange: vi.fn(), ondone: vi.fn() });
    await user.click(screen.getByRole('button', { name: /Done, go on/ }));
    expect(await screen.findByRole('link', { name: 'To the intake' })).toHaveAttribute('href', '/jobs/j1/intake');
  });
});

describe('a job on the page', () => {
  const answers = (job: () => unknown) => ({
    'GET /api/jobs/j1': job,
    'GET /api/jobs/j1/runs/before': makeRun(),
    'GET /api/jobs/j1/runs/after': makeRun({ side: 'after' }),
  });
  it('stays as it is when it cannot be asked for again', async () => {
    let broken = false;
    serve(answers(() => (broken ? json(503, problem({ status: 503, detail: 'Busy.' })) : json(200, makeJob()))));
    const state = new JobState('j1');
    await state.load();
    broken = true;
    await state.load();
    expect([state.job?.id, state.trouble]).toEqual(['j1', '']);
  });
  it('says why it cannot be shown when it never was', async () => {
    serve(answers(() => json(503, problem({ status: 503, detail: 'Busy.', remedy: 'Wait.' }))));
    const state = new JobState('j1');
    await state.load();
    expect([state.job, state.trouble]).toEqual([null, 'Busy. Wait.']);
  });
  it('is not set back by an answer that comes late', async () => {
    const waiting: ((value: Response) => void)[] = [];
    serve(answers(() => new Promise<Response>((done) => waiting.push(done))));
    const state = new JobState('j1');
    const first = state.load();
    const second = state.load();
    await vi.waitFor(() => expect(waiting).toHaveLength(2));
    waiting[1]?.(json(200, makeJob({ version: 5 })));
    await second;
    waiting[0]?.(json(200, makeJob({ version: 4 })));
    await first;
    expect(state.job?.version).toBe(5);
  });
});

describe('what is still open', () => {
  it('lists logs, rooms, fit and price, and nothing for a closed job', () => {
    const { rerender } = render(OpenItems, { job: makeJob(), before: makeRun(), after: null });
    const words = () => screen.queryAllByRole('listitem').map((i) => i.textContent?.trim());
    expect(words()).toEqual([
      'Lid and factory material: not noted',
      'Before: no log yet',
      'Bench work: not closed',
      'After: no log yet',
      'Price not set',
    ]);
    void rerender({ job: makeJob({ stage: 'done' }), before: makeRun(), after: null });
    return vi.waitFor(() => expect(screen.getByText('Nothing is open.')).toBeVisible());
  });
});
