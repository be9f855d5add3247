import { render, screen, within } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { serve } from '../../lib/test-server';
import { makeOption, makePlan } from '../../lib/test-plan';
import type { Option } from '../../lib/api';
import { factsThatMatter } from './facts';
import Found from './Found.svelte';
import OptionDetail from './OptionDetail.svelte';
import OptionScale from './OptionScale.svelte';
import { SHIM } from './plan-form';
import { PlanState } from './plan.svelte';
import StepList from '../../lib/parts/StepList.svelte';

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());
const user = userEvent.setup();

async function opened(plan = makePlan(), saved = makePlan({ version: 3 })) {
  const log = serve({ 'GET /api/jobs/j1/plan': plan, 'PUT /api/jobs/j1/plan': saved });
  const kept = new PlanState('j1', async () => undefined);
  await kept.load();
  render(Found, { state: kept, without: [] });
  return { log, kept };
}
const sent = (log: { method: string; body: unknown }[]) =>
  log.findLast((a) => a.method === 'PUT')?.body as { goal: string; found: Record<string, unknown> } | undefined;

describe('what is known', () => {
  it('sends a gap when it is whole, and shows what it asks for', async () => {
    const advice = {
      target: 'memory', gap_mm: 0.8, tolerance_mm: 0.05, stack_mm: [1], putty: false, open: false, reason: 'Pressed by 15 to 25 %.',
    }; // prettier-ignore
    const { log } = await opened(makePlan(), makePlan({ version: 3, gaps: [advice] }));
    await user.click(screen.getByText('Pads and putty in gaps'));
    await user.click(screen.getByRole('button', { name: 'Add a gap' }));
    const gap = within(screen.getByRole('group', { name: 'Gap 1' }));
    await user.type(gap.getByLabelText('Reading'), '0,8');
    await user.type(gap.getByLabelText('Part, width'), '12');
    expect(sent(log)).toBeUndefined();
    await user.type(gap.getByLabelText('Part, length'), '14');
    await vi.waitFor(() =>
      expect(sent(log)?.found.gaps).toMatchObject([{ reading_mm: 0.8, how: 'imprint', count: 1 }]),
    );
    expect(await screen.findByText('Pad 1 mm')).toBeVisible();
    await user.selectOptions(gap.getByLabelText('Read from'), 'measured');
    expect(gap.getByLabelText('It may be off by')).toHaveValue('0.05');
    await user.click(gap.getByRole('button', { name: 'Forget gap 1' }));
    await vi.waitFor(() => expect(sent(log)?.found.gaps).toEqual([]));
  });

  it('measures for a shim and says how far the chip drops', async () => {
    const shim = { ...Object.fromEntries(SHIM.map((f) => [f.key, 15])), neighbours_mm: null, bond: 'paste' };
    const plan = makePlan({ shim_drop_k: 23.2, shim_reason: 'It stays on the package.', shim_place_mm: [2.5, 0] });
    plan.found.shim = shim as typeof plan.found.shim;
    const { log } = await opened(plan);
    await user.click(screen.getByText('Copper shim on a small chip'));
    expect(screen.getByText('The chip drops by 23 K.')).toBeVisible();
    // Seen from above: package, die and shim, and where it lies.
    expect(screen.getByRole('img', { name: /Package 15\.0 × 15\.0 mm, die 15\.0 × 15\.0 mm/ })).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Forget the shim' }));
    await vi.waitFor(() => expect(sent(log)?.found.shim).toBeNull());
    await user.click(screen.getByRole('button', { name: 'Measure for a shim' }));
    expect(screen.getByLabelText('Old pad, where it is pressed')).toHaveValue('2');
    expect((await screen.findAllByText('This is needed.')).length).toBeGreaterThan(4);
  });

  it('measures for the cover with usual values to start from', async () => {
    const { log } = await opened();
    await user.click(screen.getByText('Coupling to the cover'));
    await user.click(screen.getByRole('button', { name: 'Measure for the cover' }));
    await user.selectOptions(screen.getByLabelText('Cover'), 'plastic');
    await vi.waitFor(() =>
      expect(sent(log)?.found.cover).toMatchObject({ material: 'plastic', gap_mm: null, battery_mm: null }),
    );
    expect(Object.keys(sent(log)?.found.cover as object)).toHaveLength(10);
  });

  it('notes tuning and hazards', async () => {
    const { log } = await opened();
    await user.click(screen.getByText('Tuning and hazards'));
    await user.click(screen.getByLabelText('The mains supply would be opened'));
    await user.type(screen.getByLabelText('Undervolt by'), '80');
    await vi.waitFor(() => expect(sent(log)?.found).toMatchObject({ opens_mains: true, undervolt_mv: 80 }));
  });

  it('keeps what was typed when another screen was faster, and says so', async () => {
    localStorage.setItem('draft::plan:j1', JSON.stringify({ base: { dust: 'unknown' }, changed: { dust: 'felt' } }));
    const { log, kept } = await opened();
    await user.click(screen.getByText('What is known so far'));
    expect(screen.getByLabelText('Dust in the fins')).toHaveValue('felt');
    await vi.waitFor(() => expect(sent(log)?.found.dust).toBe('felt'));
    expect(kept.saved).toBe(true);
  });
});

const around = {
  plan: makePlan(),
  state: new PlanState('j1', async () => undefined),
  matter: [],
  busy: false,
  ontake: vi.fn(),
};
describe('facts that matter', () => {
  it('stand with the option whose gates they open, and nowhere else', () => {
    const gate = { rule: 'alloy_metal_unknown', severity: 'stop' as const, reason: 'r', remedy: 'm' };
    const pad = { kind: 'pad' } as Option['parts'][number];
    expect(factsThatMatter(makeOption('repaste:x', { kind: 'gallium_alloy', gates: [gate] }))).toEqual(['metals']);
    expect(factsThatMatter(makeOption('repaste:y', { kind: 'paste_soft', parts: [pad] }))).toEqual(['gaps']);
    expect(factsThatMatter(makeOption('cover:y'))).toEqual(['cover']);
    expect(factsThatMatter(makeOption('leave'))).toEqual([]);
  });
});

describe('the options', () => {
  it('show one scale, the taken one, and what was measured', async () => {
    const chosen = {
      key: 'a', words: 'a', held: false, resistance: { low: 1, median: 1, high: 1 },
      die_c: { low: 70, median: 75, high: 80 }, watts: null, total_cents: 1, by: 'I', at: '2026-03-01T09:00:00Z',
    }; // prettier-ignore
    const outcome = { resistance: 1, resistance_u95: 0.1, die_c: 74, watts: null, inside: true };
    const select = vi.fn();
    const gate = { rule: 'x', severity: 'acknowledge' as const, reason: 'r', remedy: 'm' };
    const options = [makeOption('a'), makeOption('b', { gates: [gate] }), makeOption('c', { blocked: true })];
    render(OptionScale, { plan: makePlan({ options, chosen, outcome }), selected: 'a', onselect: select });
    const rows = screen.getAllByRole('listitem');
    expect(rows[0]).toHaveTextContent('taken');
    expect(rows[0]?.querySelectorAll('.measured')).toHaveLength(1);
    expect(rows[1]).toHaveTextContent('1 to accept');
    expect(rows[2]).toHaveTextContent('stopped');
    expect(screen.getByText('measured After')).toBeVisible();
    await user.click(within(rows[1] as HTMLElement).getByRole('button'));
    expect(select).toHaveBeenCalledWith('b');
  });

  it('tell the whole of one: chip, cover, parts that are not priced', () => {
    const option = makeOption('x', {
      chip_drop_k: 23,
      skin: { skin_c: 47.2, low_c: 40.1, high_c: 54.3, limit_c: 51, allowed: false, battery_c: 44.4 },
      total_cents: null,
      noise_floor: true,
    });
    render(OptionDetail, { ...around, option, closed: false });
    for (const words of [
      '23 K cooler',
      '47 °C (40 to 54), limit 51 °C; at the battery up to 44 °C',
      'not known: some parts have no price on the shelf. Work alone €60.00, without tax',
      'at least −10 (−13 to −7) dB',
    ])
      expect(screen.getByText(words)).toBeVisible();
  });

  it('cannot be taken on a job that is closed', () => {
    render(OptionDetail, { ...around, option: makeOption('x'), closed: true });
    expect(screen.queryByRole('button', { name: /Choose|Undo/ })).toBeNull();
  });

  it('list steps with their waits', async () => {
    const step = (text: string, wait_min: number) => ({ text, why: 'why', wait_min, gear: '' });
    const procedure = {
      name: 'p', words: 'Nickel', caution: 'Acids burn.', wait_min: 480, steps: [step('Rinse', 0), step('Bath', 480)],
    }; // prettier-ignore
    render(StepList, { procedure });
    await user.click(screen.getByText('Nickel, step by step, 8 h of waiting'));
    expect(screen.getByText('wait 8 h')).toBeVisible();
    expect(screen.getByText('Acids burn.')).toBeVisible();
  });
});
