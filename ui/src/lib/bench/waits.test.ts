import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import WaitStrip from '../../rooms/bench/WaitStrip.svelte';
import { serve } from '../test-server';
import Alarms from '../../rooms/Alarms.svelte';
import * as bell from './bell';
import { waits, watchWaits } from './waits.svelte';

const clockOf = (id: string, leftS: number, serverAheadS = 0) => {
  const now = Date.now() + 1000 * serverAheadS;
  return {
    job_id: 'j1',
    number: 2429,
    model: 'Marrow 17',
    id,
    wait: 'coat',
    words: 'Coat dries',
    step: 'First layer',
    began: new Date(now - 60_000).toISOString(),
    due: new Date(now + 1000 * leftS).toISOString(),
    seen: false,
    put_off_until: null as string | null,
    then: '',
  };
};
const answer = (list: unknown[], serverAheadS = 0) => ({
  'GET /api/bench/waits': () => ({ waits: list, now: new Date(Date.now() + 1000 * serverAheadS).toISOString() }),
});
let stop: () => void = () => undefined;

beforeEach(() => localStorage.clear());
beforeEach(() => vi.useFakeTimers({ shouldAdvanceTime: true }));
afterEach(() => {
  stop();
  vi.useRealTimers();
});

describe('the clocks of all jobs', () => {
  it('ring when they are over, again and again where someone is at work, until one says that it was seen', async () => {
    const rung = vi.spyOn(bell, 'ring').mockImplementation(() => undefined);
    const user = userEvent.setup({ advanceTimers: (ms) => vi.advanceTimersByTimeAsync(ms) });
    serve(answer([clockOf('w-ring', 3)]));
    stop = watchWaits();
    render(Alarms);
    await vi.waitFor(() => expect(waits.list).toHaveLength(1));
    expect(rung).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(6000);
    expect(rung).toHaveBeenCalledTimes(1);
    expect(screen.getByRole('alert')).toHaveTextContent('Coat dries: over, Marrow 17, job 2429 can go on');
    // Nobody has touched this tablet: it rings once and then waits.
    await vi.advanceTimersByTimeAsync(60_000);
    expect(rung).toHaveBeenCalledTimes(1);
    await user.keyboard('x');
    await vi.advanceTimersByTimeAsync(45_000);
    expect(rung).toHaveBeenCalledTimes(4);
    await user.click(screen.getByRole('button', { name: 'Again in 5 min' }));
    expect(screen.queryByRole('alert')).toBeNull();
    await vi.advanceTimersByTimeAsync(4 * 60_000);
    expect(rung).toHaveBeenCalledTimes(4);
    await vi.advanceTimersByTimeAsync(70_000);
    expect(rung).toHaveBeenCalledTimes(5);
    await user.click(screen.getByRole('button', { name: 'Seen' }));
    await vi.advanceTimersByTimeAsync(20 * 60_000);
    expect(rung).toHaveBeenCalledTimes(5);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('are quiet here too where they were seen or put off on another tablet, and say so to the others', async () => {
    const rung = vi.spyOn(bell, 'ring').mockImplementation(() => undefined);
    rung.mockClear();
    const soon = new Date(Date.now() + 120_000).toISOString();
    const clocks = [
      { ...clockOf('w-seen', 2), seen: true },
      { ...clockOf('w-off', 2), put_off_until: soon },
      clockOf('w-mine', 2),
    ];
    const log = serve({ ...answer(clocks), 'POST /api/jobs/j1/bench/quiet': { waits: [], now: soon } });
    stop = watchWaits();
    await vi.waitFor(() => expect(waits.list).toHaveLength(3));
    await vi.advanceTimersByTimeAsync(4000);
    expect(waits.over.map((wait) => wait.id)).toEqual(['w-mine']);
    waits.seen('w-mine');
    await vi.waitFor(() =>
      expect(log.find((a) => a.method === 'POST')?.body).toEqual({ wait_id: 'w-mine', minutes: null }),
    );
    await vi.advanceTimersByTimeAsync(120_000);
    expect(waits.over.map((wait) => wait.id)).toEqual(['w-off']);
  });

  it('go on asking after a reload', async () => {
    const rung = vi.spyOn(bell, 'ring').mockImplementation(() => undefined);
    rung.mockClear();
    serve(answer([clockOf('w-again', 2)]));
    stop = watchWaits();
    await vi.waitFor(() => expect(waits.list[0]?.id).toBe('w-again'));
    await vi.advanceTimersByTimeAsync(4000);
    expect(waits.over).toHaveLength(1);
    stop();
    stop = watchWaits();
    await vi.advanceTimersByTimeAsync(2000);
    expect(waits.over).toHaveLength(1);
  });

  it('do not ring for what was over before the page was opened', async () => {
    const rung = vi.spyOn(bell, 'ring').mockImplementation(() => undefined);
    rung.mockClear();
    serve(answer([clockOf('w-old', -30)]));
    stop = watchWaits();
    await vi.waitFor(() => expect(waits.list[0]?.id).toBe('w-old'));
    await vi.advanceTimersByTimeAsync(3000);
    expect(rung).not.toHaveBeenCalled();
  });

  it('are read against the server’s clock, not the tablet’s', async () => {
    serve(answer([clockOf('w-ahead', 90, 7200)], 7200));
    stop = watchWaits();
    await vi.waitFor(() => expect(waits.list[0]?.id).toBe('w-ahead'));
    const left = Date.parse(waits.list[0]?.due ?? '') - waits.now;
    expect(Math.round(left / 1000)).toBeGreaterThan(85);
    expect(Math.round(left / 1000)).toBeLessThanOrEqual(90);
  });
});

describe('the strip on the Bench', () => {
  it('shows how far each has run and whose it is, and leads to its bench', async () => {
    serve(answer([clockOf('w-run', 600), clockOf('w-over', -5)]));
    stop = watchWaits();
    await vi.waitFor(() => expect(waits.list).toHaveLength(2));
    render(WaitStrip);
    const [running, over] = screen.getAllByRole('link');
    expect(running).toHaveTextContent(/Marrow 17.*2429.*Coat dries.*left/);
    expect(running).toHaveAttribute('href', '/jobs/j1/bench');
    expect(over).toHaveTextContent('over, go on');
  });

  it('is not there when nothing runs', async () => {
    serve(answer([]));
    stop = watchWaits();
    await vi.waitFor(() => expect(waits.list).toHaveLength(0));
    const { container } = render(WaitStrip);
    expect(container.querySelector('section')).toBeNull();
  });
});
