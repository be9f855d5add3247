import { render, screen, within } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { listenForKeys } from '../../lib/keys.svelte';
import { json, problem } from '../../lib/test-server';
import { makeBench, makeStep } from '../../lib/bench/test-bench';
import BenchMode from './BenchMode.svelte';
import { done, later, open, served, tablet, title } from '../../lib/bench/test-tablet';

describe('bench mode', () => {
  it('goes on with Enter and with Space, and takes the whole keyboard', async () => {
    const user = await open();
    expect(title()).toBe('Do power_off');
    await user.keyboard('{Enter}');
    expect(title()).toBe('Do battery_off');
    later();
    await user.keyboard(' ');
    expect(title()).toBe('Do cooler_off');
    await user.keyboard('n'); // elsewhere this takes a device in
    expect(location.pathname).toBe('/');
    expect(tablet.sent.map((e) => e.data.step)).toEqual(['power_off', 'battery_off']);
  });

  it('stops at a rule, leads to the step that comes first, and goes on there', async () => {
    const user = await open({ steps: makeBench().steps.slice(1) });
    await user.keyboard('2');
    await vi.waitFor(() => expect(title()).toBe('Do cooler_off'));
    await user.keyboard('{Enter}');
    expect(screen.getByRole('alertdialog')).toHaveTextContent('The battery is still connected.');
    later();
    await user.keyboard('{Enter}');
    expect(title()).toBe('Do battery_off');
    expect(tablet.sent).toEqual([]);
  });

  it('goes on to the step with the pedal after the rules behind a rule were read', async () => {
    const user = await open({ steps: makeBench().steps.slice(1) });
    await user.keyboard('2');
    await vi.waitFor(() => expect(title()).toBe('Do cooler_off'));
    await user.keyboard('{Enter}');
    await user.click(screen.getByRole('button', { name: /^Why\?/ }));
    await user.click(await screen.findByRole('button', { name: 'Close' }));
    screen.getByRole('button', { name: /^Why\?/ }).focus(); // where a browser puts the focus back
    later();
    await user.keyboard('{Enter}');
    expect(title()).toBe('Do battery_off');
    expect(screen.queryByRole('button', { name: 'Close' })).toBeNull();
  });

  it('starts no clock by a digit that is pressed over the rules', async () => {
    const user = await open();
    await user.keyboard('t');
    await user.click(screen.getByRole('button', { name: /^Why\?/ }));
    (await screen.findByRole('button', { name: 'Close' })).focus();
    await user.keyboard('1');
    await user.keyboard('{Escape}');
    expect(tablet.sent).toEqual([]);
    expect(screen.getByRole('heading', { name: 'Start a clock' })).toBeVisible();
  });

  it('records a breach as what it is, in words', async () => {
    const user = await open({ steps: makeBench().steps.slice(2) });
    await user.keyboard('{Enter}');
    await user.keyboard('w');
    await user.keyboard('1');
    await vi.waitFor(() => expect(tablet.sent).toHaveLength(1));
    expect(tablet.sent[0]?.data).toEqual({ step: 'cooler_off', breach: 'I saw it too late' });
  });

  it('hears a click that comes without pointer and key, and asks twice where a step is held', async () => {
    const [off, battery, cooler] = makeBench().steps;
    await open({ steps: [off, { ...battery, held: true }, cooler] as never });
    const go = () => screen.getByRole('button', { name: /Enter$/ });
    go().click();
    await vi.waitFor(() => expect(title()).toBe('Do battery_off'));
    later();
    go().click(); // the battery plug is held for a second by hand
    await vi.waitFor(() => expect(go()).toHaveTextContent('Press again to confirm'));
    expect(title()).toBe('Do battery_off');
    later();
    go().click();
    await vi.waitFor(() => expect(title()).toBe('Do cooler_off'));
    await vi.waitFor(() => expect(tablet.sent.map((e) => e.data.step)).toEqual(['power_off', 'battery_off']));
  });

  it('skips only with a reason', async () => {
    const user = await open();
    await user.keyboard('x');
    await user.type(screen.getByRole('textbox', { name: 'In your words' }), 'no{Enter}');
    expect(tablet.sent).toEqual([]);
    await user.type(screen.getByRole('textbox', { name: 'In your words' }), 't on this model{Enter}');
    await vi.waitFor(() =>
      expect(tablet.sent[0]).toMatchObject({ kind: 'step_skipped', data: { reason: 'not on this model' } }),
    );
  });

  it('takes the last step back with Backspace', async () => {
    const user = await open();
    await user.keyboard('{Enter}');
    await user.keyboard('{Backspace}');
    expect(title()).toBe('Do power_off');
    await vi.waitFor(() => expect(tablet.sent.map((e) => e.kind)).toEqual(['step_done', 'undo']));
  });

  it('waits before a step, and ends a wait early only with a reason', async () => {
    const due = new Date(Date.now() + 200_000).toISOString();
    const wait = {
      id: 'w1',
      wait: 'alcohol',
      words: 'Alcohol dries',
      step: '',
      began: due,
      due,
      ended: null,
      reason: '',
    };
    const user = await open({ steps: [makeStep('apply', { after_waits: ['alcohol'] })], waits: [wait] });
    expect(screen.getByRole('timer')).toHaveTextContent(/alcohol dries, then this step/);
    await user.keyboard('{Enter}');
    expect(screen.queryByRole('heading', { name: 'Alcohol dries: end it early?' })).toBeNull();
    await user.keyboard('e');
    expect(screen.getByRole('heading', { name: 'Alcohol dries: end it early?' })).toBeVisible();
    await user.keyboard('1');
    await vi.waitFor(() =>
      expect(tablet.sent[0]).toMatchObject({
        kind: 'wait_ended',
        data: { wait: 'w1', reason: 'Looked: the surface is dry' },
      }),
    );
  });

  it('starts a clock of its own by number, only as long as makes sense', async () => {
    const user = await open();
    await user.keyboard('t');
    await user.type(screen.getByRole('textbox', { name: 'Other length, in minutes' }), '2');
    await user.click(screen.getByRole('button', { name: /Coat dries/ }));
    expect(tablet.sent).toEqual([]);
    await user.clear(screen.getByRole('textbox', { name: 'Other length, in minutes' }));
    await user.click(screen.getByRole('button', { name: /Coat dries/ }));
    await vi.waitFor(() =>
      expect(tablet.sent[0]).toMatchObject({ kind: 'wait_started', data: { wait: 'coat', minutes: 15 } }),
    );
  });

  const holds = async (user: ReturnType<typeof userEvent.setup>, ms: number) => {
    await user.keyboard('{Enter>}');
    await new Promise((resolve) => setTimeout(resolve, ms));
    await user.keyboard('{/Enter}');
    later();
  };
  const check = (name: string, label: string) => within(screen.getByRole('group', { name })).getByLabelText(label);

  it('goes through the first power-on check by check, from not looked at', async () => {
    const user = await open({ steps: [makeStep('power_on', { shows: 'power', held: true })] });
    expect(check('Boots within 40 s', 'not looked at')).toBeChecked();
    await holds(user, 1100);
    expect(screen.getByRole('alert')).toHaveTextContent('Look first: boots within 40 s.');
    expect(tablet.sent).toEqual([]);
    await user.click(check('Boots within 40 s', 'fine'));
    await holds(user, 1100);
    await vi.waitFor(() => expect(tablet.sent[0]?.data.results).toEqual({ boot: 'fine', wireless: 'unchecked' }));
  });

  it('takes a held key for one press, and a second press within 600 ms for none', async () => {
    const user = await open();
    await user.keyboard('{Enter>20/}');
    expect(title()).toBe('Do battery_off');
    later(599);
    await user.keyboard('{Enter}');
    expect(title()).toBe('Do battery_off');
    later(1);
    await user.keyboard('{Enter}');
    expect(title()).toBe('Do cooler_off');
  });

  it('wants a second of holding for what cannot be taken back', async () => {
    const user = await open({ steps: [makeStep('battery_off', { held: true, acts: ['battery_off'] })] });
    expect(screen.getByRole('button', { name: /Hold a second/ })).toBeVisible();
    await holds(user, 300);
    expect(tablet.sent).toEqual([]);
    await holds(user, 1100);
    await vi.waitFor(() => expect(tablet.sent.map((e) => e.kind)).toEqual(['step_done', 'closed']));
  });

  it('gives the pedal back to the step, whatever was touched', async () => {
    const user = await open();
    const jump = async (name: string) => {
      await user.click(screen.getByRole('button', { name: /All steps/ }));
      await user.click(screen.getByRole('button', { name }));
    };
    await jump('Step 3: Do cooler_off');
    await user.click(screen.getByRole('button', { name: 'More' }));
    await user.click(screen.getByRole('button', { name: /Problem/ }));
    await user.keyboard('{Escape}');
    await jump('Step 1: Do power_off');
    await vi.waitFor(() => expect(document.activeElement).toHaveClass('sheet'));
    await user.keyboard(' ');
    expect(title()).toBe('Do battery_off');
  });

  it('presses nothing in a panel', async () => {
    const user = await open();
    await user.keyboard('m');
    await user.keyboard('1');
    await user.keyboard('{Enter}');
    await user.keyboard(' ');
    expect(screen.getByText('Do not power.')).toBeVisible();
    expect(tablet.sent).toEqual([]);
  });

  it('tells no story for what would destroy the device, and skips no such step', async () => {
    const guard = {
      rule: 'interface_first', hard: true, needs: ['applied'], bars: [], reason: 'Bare die.', remedy: 'Paste.',
    }; // prettier-ignore
    const user = await open({ steps: [makeStep('cooler_on', { guards: [guard], skippable: false })] });
    await user.click(screen.getByRole('button', { name: 'More' }));
    expect(screen.getByRole('button', { name: /Skip/ })).toBeDisabled();
    await vi.waitFor(() => expect(document.activeElement).toHaveClass('sheet'));
    await user.keyboard('{Enter}');
    expect(screen.getByRole('alertdialog')).toHaveTextContent('Bare die.');
    expect(screen.queryByRole('button', { name: /It has happened/ })).toBeNull();
    await user.keyboard('w');
    expect(screen.getByRole('alertdialog')).toBeVisible();
    expect(tablet.sent).toEqual([]);
  });

  it('sends what was weighed, and nothing when nobody has', async () => {
    const asks = { words: 'Weighed', unit: 'g', low: 0.001, high: 100 };
    const user = await open({ steps: [makeStep('apply', { asks }), makeStep('apply2', { asks })] });
    await user.type(screen.getByLabelText(/Weighed/), '0,082');
    await user.click(document.querySelector('h1') as Element);
    await user.keyboard('{Enter}');
    later();
    await user.keyboard('{Enter}');
    await vi.waitFor(() =>
      expect(tablet.sent.slice(0, 2).map((e) => e.data)).toEqual([{ step: 'apply', value: 0.082 }, { step: 'apply2' }]),
    );
  });

  it('shows its keys with ?, and begins the list with Enter', async () => {
    served(
      { begun: null, steps: [] },
      { 'POST /api/jobs/j1/bench/list': () => json(409, problem({ detail: 'Undecided.' })) },
    );
    const user = userEvent.setup();
    listenForKeys();
    render(BenchMode, { id: 'j1' });
    await screen.findByRole('button', { name: /Start work/ });
    await user.keyboard('?');
    expect(screen.getByRole('heading', { name: 'Keys on this page' })).toBeVisible();
    await user.keyboard('{Escape}');
    (document.querySelector('dialog') as HTMLDialogElement).close();
    await user.keyboard('{Enter}');
    expect(await screen.findByText('Undecided.')).toBeVisible();
  });

  it('has a short list for a mishap and puts it into the record', async () => {
    const user = await open();
    await user.keyboard('m');
    await user.keyboard('1');
    expect(screen.getByText('Do not power.')).toBeVisible();
    await user.keyboard('w');
    await vi.waitFor(() =>
      expect(tablet.sent[0]).toMatchObject({ kind: 'mishap', data: { what: 'lost_screw', step: 'power_off' } }),
    );
  });

  it('closes only when nothing is open, and says what is', async () => {
    const blocker = {
      code: 'plug' as const,
      text: 'The fan plug is open.',
      remedy: 'Plug it in.',
      stage: 'close',
      of: 'fan',
    };
    const user = await open({ steps: [makeStep('a', { outcome: done })], blockers: [blocker] });
    expect(title()).toBe('One thing is open');
    await user.keyboard('{Enter}');
    expect(tablet.sent).toEqual([]);
    expect(screen.getByText('The fan plug is open.')).toBeVisible();
  });

  it('says what nobody counted, checked or weighed', async () => {
    const asks = { words: 'Weighed', unit: 'g', low: 0.001, high: 100 };
    const power = [{ results: { boot: 'fine', wireless: 'unchecked' }, boot_s: null, fine: true, at: '' }];
    const steps = [makeStep('a', { outcome: done, asks }), makeStep('p', { outcome: done, shows: 'power' })];
    await open({ steps, power, places: [] });
    expect(title()).toBe('Nothing is open; the screws are not mapped');
    expect(screen.getByText('First power-on: 1 checks fine, 1 not looked at.')).toBeVisible();
    expect(screen.getByText('Doses: 0 weighed, 1 as planned.')).toBeVisible();
  });

  it('closes with Enter', async () => {
    const user = await open({ steps: [makeStep('a', { outcome: done })] });
    expect(title()).toBe('1 of 1 screws are back, nothing is left over');
    await user.keyboard('{Enter}');
    await vi.waitFor(() => expect(tablet.sent[0]?.kind).toBe('closed'));
  });

  it('says what is in the way of beginning, and where to settle it', async () => {
    const refused = problem({
      status: 409,
      detail: 'Nothing is decided yet.',
      remedy: 'Take an option in Plan.',
      reason: 'undecided',
    });
    served({ begun: null, steps: [] }, { 'POST /api/jobs/j1/bench/list': () => json(409, refused) });
    const user = userEvent.setup();
    render(BenchMode, { id: 'j1' });
    await user.click(await screen.findByRole('button', { name: /Start work/ }));
    expect(await screen.findByText('Nothing is decided yet.')).toBeVisible();
    expect(screen.getByRole('link', { name: /Settle it there/ })).toHaveAttribute('href', '/jobs/j1/plan');
  });
});
