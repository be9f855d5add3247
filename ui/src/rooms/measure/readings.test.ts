import { render, screen, within } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { serve } from '../../lib/test-server';
import { makeReading, makeRun, makeSound, makeTrace } from '../../lib/test-jobs';
import ConditionsForm from './ConditionsForm.svelte';
import LogPanel from './LogPanel.svelte';
import SoundPanel from './SoundPanel.svelte';
import SpotPanel from './SpotPanel.svelte';

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());
const user = userEvent.setup();
const VIEW = { time_s: [0, 990], values: [40, 84], words: 'processor temperature', unit: '°C' };

/** Stands in for the browser's own sender of files: keeps what was sent and answers at once. */
function fakeUploads(answer: unknown, status = 201) {
  const sent: { url: string; body: unknown }[] = [];
  class Request {
    upload = {} as { onload?: () => void };
    status = status;
    responseText = JSON.stringify(answer);
    onload?: () => void;
    url = '';
    open(_: string, url: string) {
      this.url = url;
    }
    setRequestHeader() {}
    abort() {}
    send(body: unknown) {
      sent.push({ url: this.url, body });
      this.upload.onload?.();
      queueMicrotask(() => this.onload?.());
    }
  }
  vi.stubGlobal('XMLHttpRequest', Request);
  return sent;
}

describe('a log', () => {
  const run = makeRun({
    version: 1,
    trace: makeTrace(),
    reading: makeReading(),
    findings: ['Load starts at 0:30.'],
    repeats: [{ id: 'r1', file_name: 'again.csv', die_c: 83.4, power: 45.1, settled: true }],
  });

  it('offers columns that were not understood by their header, and no text', async () => {
    serve({ 'GET /api/jobs/j1/runs/before/chart': VIEW });
    render(LogPanel, { jobId: 'j1', run, side: 'before', onrun: vi.fn() });
    const offered = within(await screen.findByLabelText('Charted')).getAllByRole('option');
    expect(offered.map((o) => o.textContent)).toEqual(['Processor temperature', 'Rail 1 [V]']);
    await user.click(screen.getByText('What the log says (1)'));
    expect(within(screen.getByRole('listitem')).getByText('Load starts at 0:30.')).toBeVisible();
  });

  it('goes back from a stretch set by hand to the one found', async () => {
    const log = serve({ 'GET /api/jobs/j1/runs/before/chart': VIEW, 'PUT /api/jobs/j1/runs/before/window': run });
    const kept = vi.fn(async () => undefined);
    const chosen = { ...run, reading: makeReading({ chosen: true }) };
    render(LogPanel, { jobId: 'j1', run: chosen, side: 'before', onrun: kept });
    await user.click(screen.getByRole('button', { name: 'Back to the one found' }));
    expect(log.find((a) => a.method === 'PUT')?.body).toEqual({ from_s: null, to_s: null });
    expect(kept).toHaveBeenCalledOnce();
  });

  it('of a job that was handed over can be looked at and not changed', async () => {
    serve({ 'GET /api/jobs/j1/runs/before/chart': VIEW });
    render(LogPanel, { jobId: 'j1', run, side: 'before', closed: true, onrun: vi.fn() });
    expect(await screen.findByRole('slider', { name: /processor temperature/ })).toBeVisible();
    expect(screen.queryByRole('slider', { name: 'Where the stretch begins' })).toBeNull();
    expect(screen.queryByRole('button', { name: /Another file|Remove|Take again.csv off/ })).toBeNull();
    await user.click(screen.getByText('Log file'));
    expect(screen.getByRole('link', { name: 'Download original' })).toBeVisible();
  });

  it('takes a repeat beside it and lets one be taken off', async () => {
    const asked = serve({
      'GET /api/jobs/j1/runs/before/chart': VIEW,
      'DELETE /api/jobs/j1/runs/before/log/r1': run,
    });
    const sent = fakeUploads(run);
    const { container } = render(LogPanel, {
      jobId: 'j1',
      run,
      side: 'before',
      onrun: vi.fn(async () => undefined),
    });
    await user.click(screen.getByText('Repeats'));
    expect(screen.getByRole('row', { name: /again.csv 83.4 45.1 yes/ })).toBeVisible();
    await user.upload(container.querySelector('input[type=file]') as HTMLInputElement, new File(['x'], 'third.csv'));
    await vi.waitFor(() => expect(sent[0]?.url).toContain('repeat=true'));
    await user.click(await screen.findByRole('button', { name: 'Take again.csv off' }));
    expect(asked.some((a) => a.method === 'DELETE')).toBe(true);
  });
});

describe('a recording', () => {
  it('without a reference is read below full scale, and asks for the blades', () => {
    const run = makeRun({ sounds: [makeSound()] });
    render(SoundPanel, { jobId: 'j1', run, side: 'before', onrun: vi.fn() });
    expect(screen.getByText('41.2').parentElement).toHaveTextContent('41.2 dB below full scale');
    expect(screen.getByText(/Note the blades of the fan/)).toBeVisible();
    expect(screen.getByText(/A tone at 1.6 kHz \(14.2 dB over the noise around\)/)).toBeVisible();
  });

  it('with reference and blades tells decibels, fan speed, whine and faults', () => {
    const sound = makeSound({
      calibrated: true,
      laeq_db: 52.4,
      fan_rpm: 3010,
      blade_pass_hz: 1555,
      whines_hz: [7300],
      beside_hz: [],
      faults: ['The right side is silent.'],
    });
    render(SoundPanel, {
      jobId: 'j1',
      run: makeRun({ sounds: [sound], fan_blades: 31 }),
      side: 'after',
      onrun: vi.fn(),
    });
    expect(screen.getByText('52.4').parentElement).toHaveTextContent('52.4 dB');
    expect(screen.getByText(/Fan at 3010 rpm, from 1.6 kHz and 31 blades/)).toBeVisible();
    expect(screen.getByText(/Whine at 7.3 kHz: a bearing or a coil/)).toBeVisible();
    expect(screen.getByText('The right side is silent.')).toBeVisible();
  });

  it('of nothing is not known, never zero', () => {
    const mute = makeSound({ laeq_db: null, lafmax_db: null, tones: [], bands: [], faults: ['It is silent.'] });
    render(SoundPanel, { jobId: 'j1', run: makeRun({ sounds: [mute] }), side: 'before', onrun: vi.fn() });
    const card = screen.getByRole('article');
    expect(card).toHaveTextContent('It is silent.');
    expect(card).not.toHaveTextContent(/dB|0\.0/);
  });

  it('is sent whole; a reference needs its level first', async () => {
    const sent = fakeUploads(makeRun());
    const { container } = render(SoundPanel, {
      jobId: 'j1',
      run: makeRun(),
      side: 'before',
      onrun: vi.fn(async () => undefined),
    });
    const drops = () => container.querySelectorAll<HTMLInputElement>('input[type=file]');
    const file = new File(['RIFF'], 'vent.wav', { type: 'audio/wav' });
    await user.upload(drops()[0] as HTMLInputElement, file);
    expect(sent[0]?.url).toBe('/api/jobs/j1/runs/before/sound?name=vent.wav');
    await user.click(await screen.findByText('Record the room alone, too'));
    await user.upload(drops()[1] as HTMLInputElement, file);
    expect(sent[1]?.url).toContain('background=true');
    await user.click(await screen.findByText('Calibrate by a reference'));
    await user.upload(drops()[2] as HTMLInputElement, file);
    expect(screen.getByRole('alert')).toHaveTextContent('Type the level');
    await user.type(screen.getByLabelText('Reference level'), '94,0');
    await user.upload(drops()[2] as HTMLInputElement, file);
    expect(sent[2]?.url).toContain('reference_db=94');
    expect(sent[2]?.url).not.toContain('background');
  });

  it('that is refused says why and offers another', async () => {
    fakeUploads({ detail: 'vent.wav is empty.', remedy: 'Record again.', errors: [], reason: 'not_sound' }, 422);
    const { container } = render(SoundPanel, { jobId: 'j1', run: makeRun(), side: 'before', onrun: vi.fn() });
    await user.upload(container.querySelector('input[type=file]') as HTMLInputElement, new File([''], 'vent.wav'));
    expect(await screen.findByText('vent.wav is empty.')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Choose another file' }));
    expect(screen.getByText('Drop a recording here')).toBeVisible();
  });
});

describe('conditions', () => {
  it('take a duration as minutes and seconds, and refuse what is none', async () => {
    const log = serve({ 'PUT /api/jobs/j1/runs/before': makeRun({ version: 1, result_duration_s: 1161 }) });
    const kept = vi.fn(async () => undefined);
    render(ConditionsForm, { jobId: 'j1', run: makeRun(), side: 'before', onrun: kept, onreload: vi.fn() });
    await user.type(screen.getByLabelText('Run time'), '19:75');
    await user.tab();
    expect(screen.getByRole('alert')).toHaveTextContent('“19:75” is no number.');
    await user.clear(screen.getByLabelText('Run time'));
    await user.type(screen.getByLabelText('Run time'), '19:21');
    await user.type(screen.getByLabelText('Fan blades'), '31');
    await user.tab();
    await vi.waitFor(() => expect(screen.getByText('Saved.')).toBeVisible());
    const bodies = log.filter((a) => a.method === 'PUT').map((a) => a.body);
    expect(Object.assign({}, ...bodies)).toEqual({ version: 0, result_duration_s: 1161, fan_blades: 31 });
    await vi.waitFor(() => expect(screen.getByLabelText('Run time')).toHaveValue('19:21'));
  });
});

describe('spots', () => {
  it('tell the air that carries the heat away', () => {
    const run = makeRun({ air: { exhaust_rise_k: 20, power: 100, flow: 0.0042 } });
    render(SpotPanel, { jobId: 'j1', run, side: 'before', onrun: vi.fn() });
    expect(screen.getByText('4.2 L/s of air').parentElement).toHaveTextContent('(8.9 CFM) carry 100 W away at 20.0 K');
  });
});
