import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { WORDS } from '../../lib/bench/test-bench';
import { watchWaits } from '../../lib/bench/waits.svelte';
import { served, tablet } from '../../lib/bench/test-tablet';
import RunClock from './RunClock.svelte';

const load = (name: string, words: string) => ({
  name,
  words,
  minutes: 10,
  least_min: 5,
  most_min: 60,
  early: ['Flat'],
});
const KINDS = [
  load('load_cpu', 'Processor alone, first of three loads'),
  load('load_gpu', 'Graphics alone, second of three loads'),
];

let stop: () => void = () => undefined;
afterEach(() => stop());

const running = (leftS: number) => ({
  job_id: 'j1',
  number: 2417,
  model: 'Marrow 17',
  id: `w${leftS}`,
  wait: 'load_cpu',
  words: 'Processor alone, first of three loads',
  step: '',
  began: new Date(Date.now() - 600_000).toISOString(),
  due: new Date(Date.now() + 1000 * leftS).toISOString(),
  seen: false,
  put_off_until: null,
  then: 'load_gpu',
});

function open(waits: unknown[]) {
  const answer = { waits, now: new Date().toISOString() };
  served({}, { 'GET /api/bench/words': { ...WORDS, waits: KINDS }, 'GET /api/bench/waits': answer });
  stop = watchWaits();
  render(RunClock, { jobId: 'j1', side: 'before', closed: false });
}

describe('the clock of a run', () => {
  it('leads through the three loads of a shared cooler one after the other', async () => {
    const user = userEvent.setup();
    open([running(-5)]);
    await user.click(await screen.findByRole('button', { name: 'Next load' }));
    const graphics = await screen.findByRole('button', { name: /Graphics alone, second of three loads/ });
    // It leads, and whoever wants another clock has it, too.
    expect(screen.getByRole('button', { name: /Processor alone/ })).toBeVisible();
    expect(graphics.compareDocumentPosition(screen.getByRole('button', { name: /Processor alone/ }))).toBe(
      Node.DOCUMENT_POSITION_FOLLOWING,
    );
    await user.click(graphics);
    expect(tablet.sent.map((e) => [e.kind, e.data])).toEqual([['wait_started', { wait: 'load_gpu', minutes: 10 }]]);
  });

  it('offers the next load only when the one before is over', async () => {
    open([running(60)]);
    expect(await screen.findByText('Processor alone, first of three loads')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Start a clock' })).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Next load' })).toBeNull();
  });
});
