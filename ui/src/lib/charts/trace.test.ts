import { fireEvent, render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { serve } from '../test-server';
import { makeReading } from '../test-jobs';
import { makeLine, type Line } from './scales';
import TraceChart from './TraceChart.svelte';
import TraceExplorer from './TraceExplorer.svelte';
import { moveWindow } from './window';

afterEach(() => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});
const user = userEvent.setup();
const plain = { window: [60, 120] as [number, number], held: [], marks: [], phases: [] };
const lines: Line[] = [
  { side: 'before', name: 'before', time: [0, 60, 120], values: [40, 80, 95], ...plain },
  { side: 'after', name: 'this run', time: [0, 60, 120], values: [40, 60, 70], ...plain },
];

describe('a line', () => {
  it('starts where the load does and carries boost, load end and held stretches', () => {
    const reading = makeReading({ throttle_spans: [{ from_s: 90, to_s: 100 }] });
    const line = makeLine('before', reading, [0, 30, 990], [40, 41, 60]);
    expect(line.time).toEqual([-30, 0, 960]);
    expect(line.window).toEqual([570, 900]);
    expect(line.held).toEqual([[60, 70]]);
    expect(line.marks).toEqual([
      { at: 28, words: 'boost ends' },
      { at: 900, words: 'load off' },
    ]);
  });
  it('names phases only when there are several, and marks nothing without a load', () => {
    const phases = (['processor', 'graphics', 'both'] as const).map((chip, i) => ({
      chip,
      from_s: 30 + 100 * i,
      to_s: 130 + 100 * i,
    }));
    expect(makeLine('after', makeReading({ phases }), [0], [1]).phases.map((p) => p.words)).toEqual([
      'processor',
      'graphics',
      'both',
    ]);
    const still = makeLine('after', makeReading({ phases: phases.slice(0, 1), load_seen: false }), [0], [1]);
    expect([still.phases, still.marks]).toEqual([[], []]);
  });
});

describe('trace chart', () => {
  it('reads values by keyboard, zooms and shows all again', async () => {
    render(TraceChart, { lines, unit: '°C', title: 'Die' });
    const chart = screen.getByRole('slider');
    chart.focus();
    for (let i = 0; i < 5; i++) await user.keyboard('{Shift>}{ArrowRight}{/Shift}');
    expect(chart).toHaveAttribute('aria-valuetext', '1:00 after load: before 80.0 °C, this run 60.0 °C');
    await user.keyboard('+');
    expect(Number(chart.getAttribute('aria-valuemin'))).toBeGreaterThan(0);
    await user.click(screen.getByRole('button', { name: 'Show all' }));
    expect(chart).toHaveAttribute('aria-valuemin', '0');
  });
  it('lets the stretch be moved by keys, and by hand', async () => {
    const set = vi.fn();
    vi.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockReturnValue(700);
    render(TraceChart, { lines: lines.slice(0, 1), unit: '°C', title: 'Die', onwindow: set });
    const start = screen.getByRole('slider', { name: 'Where the stretch begins' });
    start.focus();
    await user.keyboard('{ArrowLeft}{ArrowLeft}');
    expect(start).toHaveAttribute('aria-valuetext', '0:50 to 2:00 after load');
    await vi.waitFor(() => expect(set).toHaveBeenCalledWith(50, 120));
    const whole = screen.getByRole('slider', { name: 'Move the stretch the figures come from' });
    whole.setPointerCapture = vi.fn();
    await fireEvent.pointerDown(whole, { clientX: 300, pointerId: 1 });
    await fireEvent.pointerMove(whole, { clientX: 100, pointerId: 1 });
    await fireEvent.pointerUp(whole, { clientX: 100, pointerId: 1 });
    const [from, to] = set.mock.lastCall as [number, number];
    expect(from).toBeLessThan(50);
    expect(to - from).toBeCloseTo(70);
  });
});

describe('a window', () => {
  it('is moved by an end or as a whole, inside the chart and never inside out', () => {
    expect(moveWindow([60, 120], 'from', -20, 0, 200)).toEqual([40, 120]);
    expect(moveWindow([60, 120], 'from', 500, 0, 200)).toEqual([110, 120]);
    expect(moveWindow([60, 120], 'to', 500, 0, 200)).toEqual([60, 200]);
    expect(moveWindow([60, 120], 'both', 500, 0, 200)).toEqual([140, 200]);
    expect(moveWindow([60, 120], 'both', -500, 0, 200)).toEqual([0, 60]);
  });
});

describe('trace explorer', () => {
  const view = { time_s: [0, 30, 990], values: [40, 41, 84], words: 'processor temperature', unit: '°C' };
  const channels = [
    { value: 'cpu_temperature', label: 'Processor temperature' },
    { value: 'cpu_power', label: 'Processor power' },
    { value: 'c7', label: 'Rail 1 [V]' },
  ];
  it('shows the temperature over the watts, offers every column and fetches what is zoomed to', async () => {
    const urls: string[] = [];
    serve({ 'GET /api/jobs/j1/runs/before/chart': view });
    const inner = globalThis.fetch;
    vi.stubGlobal('fetch', (r: Request) => {
      urls.push(r.url);
      return inner(r);
    });
    render(TraceExplorer, { jobId: 'j1', readings: [{ side: 'before', reading: makeReading() }], channels });
    const charts = await screen.findAllByRole('slider');
    expect(charts).toHaveLength(2);
    expect(urls.map((u) => new URL(u).searchParams.get('channel'))).toEqual(['cpu_temperature', 'cpu_power']);
    await user.selectOptions(screen.getByLabelText('Charted'), 'Rail 1 [V]');
    await vi.waitFor(() => expect(urls.some((u) => u.includes('channel=c7'))).toBe(true));
    charts[0]?.focus();
    await user.keyboard('+');
    await vi.waitFor(() => expect(urls.at(-1)).toMatch(/from_s=.*to_s=/));
    await user.selectOptions(screen.getByLabelText('and below it'), 'nothing');
    await vi.waitFor(() => expect(screen.getAllByRole('slider')).toHaveLength(1));
  });
});
