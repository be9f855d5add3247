import 'fake-indexeddb/auto';
import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { makeBench, makeBenchJob, makePlace, makeStep, WORDS } from '../../lib/bench/test-bench';
import { listenForKeys, offer } from '../../lib/keys.svelte';
import { json, problem, serve, type Asked } from '../../lib/test-server';
import { makeJob } from '../../lib/test-jobs';
import LineState from '../../lib/bench/LineState.svelte';
import StageSteps from '../../lib/bench/StageSteps.svelte';
import TrayLabels from '../open/TrayLabels.svelte';
import ModelPage from './ModelPage.svelte';

const screw = { id: 'c1', kind: 'screw', x: 0.2, y: 0.2, holds: 'cover', length_mm: 5, drive: 'cross', head: 'pan' };
const model = {
  id: 'm1',
  version: 3,
  maker: 'Ondervale',
  model: 'Marrow 15',
  kind: 'laptop',
  outline: null,
  source: 'job 2421',
  jobs: 2,
  places: [{ ...screw, number: null, note: '', letter: 'A', shape: 'circle' }],
  classes: [
    { letter: 'A', shape: 'circle', words: '5 mm, cross-head', length_mm: 5, drive: 'cross', head: 'pan', count: 1 },
  ],
  steps: [{ after: 'power_off', stage: 'open', text: 'Heat the strip', why: '' }],
  cpu_die_width_mm: 15,
  cpu_die_length_mm: 13,
  gpu_die_width_mm: null,
  gpu_die_length_mm: null,
  gaps: [{ target: 'memory', reading_mm: 0.8, count: 4, width_mm: 12, length_mm: 14 }],
  torque_notes: 'snug',
  notes: '',
  learnt_jobs: 2,
  found: [{ part: 'Fins', seen: 'Felted', times: 2 }],
  minutes: [{ task: 'clean', words: 'clean fins and fan', hands_min: 14, jobs: 2 }],
  before_rise_k: 70.4,
  after_rise_k: null,
  interface_k_per_w: null,
  total_k_per_w: null,
  reference: '',
};

beforeEach(() => localStorage.clear());

describe('the page of a model', () => {
  it('shows what is known, and says of the rest that it is not', async () => {
    serve({ 'GET /api/models/m1': model });
    render(ModelPage, { id: 'm1' });
    expect(await screen.findByRole('heading', { name: 'Marrow 15' })).toBeVisible();
    expect(screen.getByText('15 × 13 mm')).toBeVisible();
    expect(screen.getByText('not measured')).toBeVisible();
    expect(screen.getByText('70 K over room')).toBeVisible();
    expect(screen.getAllByText('not known')).toHaveLength(2);
    expect(screen.getByText(/Fins: felted, 2 of 2 jobs/)).toBeVisible();
    expect(screen.getByText(/Memory: 0.80 mm, 4 of 12 × 14 mm/)).toBeVisible();
    expect(screen.getByRole('row', { name: /clean fins and fan 14 min 2/ })).toBeVisible();
    expect(screen.getByRole('link', { name: 'Export as JSON' })).toHaveAttribute('href', '/api/models/m1/file');
  });

  it('keeps notes with the version that was read, and tells of a colleague’s', async () => {
    const user = userEvent.setup();
    const stale = problem({ status: 409, detail: 'The model was changed meanwhile.', reason: 'stale' });
    const log = serve({ 'GET /api/models/m1': model, 'PUT /api/models/m1': () => json(409, stale) });
    render(ModelPage, { id: 'm1' });
    await user.type(await screen.findByLabelText('Notes'), 'weak clip');
    await user.click(screen.getByRole('button', { name: 'Keep the notes' }));
    expect(await screen.findByText('The model was changed meanwhile.')).toBeVisible();
    expect(log.find((a) => a.method === 'PUT')?.body).toEqual({ version: 3, torque_notes: 'snug', notes: 'weak clip' });
    expect(screen.getByLabelText('Notes')).toHaveValue('weak clip');
  });
});

describe('tray labels', () => {
  it('are one a class, with letter, count and what they hold', async () => {
    const places = [makePlace('a'), makePlace('b', { holds: 'cooler' })];
    serve({
      'GET /api/bench/words': WORDS,
      'GET /api/jobs/j1/bench': makeBench({ places, classes: [{ ...model.classes[0]!, count: 2 }] }),
      'GET /api/jobs/j1': makeJob(),
    });
    render(TrayLabels, { id: 'j1' });
    expect(await screen.findByText('A · 2 screws')).toBeVisible();
    expect(screen.getByText('cover, cooler')).toBeVisible();
  });
});

describe('steps beside a page', () => {
  interface Sent {
    events: { id: string; kind: string; data: Record<string, unknown> }[];
  }
  let sent: Sent['events'] = [];
  async function steps() {
    sent = [];
    const bench = { steps: [makeStep('a'), makeStep('b'), makeStep('c')] };
    serve({
      'GET /api/bench/words': WORDS,
      'GET /api/jobs/j1/bench': () => makeBench(bench),
      'POST /api/jobs/j1/bench/events': (asked: Asked) => {
        const { events } = asked.body as Sent;
        sent = [...sent, ...events];
        return {
          taken: events.map((e) => ({ id: e.id, number: 99, again: false, refusal: null, told: '' })),
          number: 99,
          clock_off_s: null,
        };
      },
    });
    const at = makeBenchJob(bench);
    await at.refresh();
    render(StageSteps, { at, stage: 'open' });
  }

  it('are moved by naming what they follow', async () => {
    const user = userEvent.setup();
    await steps();
    await user.click(screen.getByRole('button', { name: 'More for step 3' }));
    await user.click(screen.getByRole('button', { name: 'Earlier' }));
    await vi.waitFor(() => expect(sent[0]).toMatchObject({ kind: 'step_moved', data: { step: 'c', after: 'a' } }));
  });

  it('are added at the end of the stage in the shop’s own words', async () => {
    const user = userEvent.setup();
    await steps();
    await user.click(screen.getByRole('button', { name: 'Add a step' }));
    await user.type(screen.getByLabelText(/Step of your own/), 'Heat the strip{Enter}');
    await vi.waitFor(() => expect(sent[0]?.kind).toBe('step_added'));
    expect(sent[0]?.data).toMatchObject({ after: 'c', step: { stage: 'open', text: 'Heat the strip' } });
  });
});

describe('the state of the line', () => {
  it('tells a tablet that its clock is wrong, and what the server did not take', () => {
    const at = makeBenchJob();
    at.clockOffS = -7200;
    const event = { id: 'e', kind: 'step_done', data: {}, turn: 1, made_at: '' };
    const refusal = {
      next_turn: null,
      reason: 'interlock',
      detail: 'The battery is still connected.',
      remedy: 'Take it off.',
      rule: '',
      field: '',
    };
    at.back = [{ event, refusal }];
    render(LineState, { at });
    expect(screen.getByText(/clock is 120 min slow; the server’s counts/)).toBeVisible();
    expect(screen.getByText(/Not taken: The battery is still connected/)).toBeVisible();
  });
});

describe('keys', () => {
  it('belong to the page that takes them alone, and leave Space and arrows to a choice', async () => {
    const user = userEvent.setup();
    const [everywhere, alone] = [vi.fn(), vi.fn()];
    const stops = [listenForKeys(), offer([{ key: 'b', words: '', run: everywhere }])];
    stops.push(offer([{ key: 'Enter', words: '', alone: true, run: alone }]));
    await user.keyboard('b');
    expect(everywhere).not.toHaveBeenCalled();
    const choice = document.createElement('input');
    choice.type = 'radio';
    document.body.append(choice);
    choice.focus();
    await user.keyboard(' ');
    expect(alone).not.toHaveBeenCalled();
    await user.keyboard('{Enter}');
    expect(alone).toHaveBeenCalledTimes(1);
    choice.remove();
    stops.forEach((stop) => stop());
  });
});
