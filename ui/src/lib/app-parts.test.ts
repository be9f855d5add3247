import { watchWaits } from './bench/waits.svelte';
import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { createRawSnippet } from 'svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import Bench from '../rooms/bench/Bench.svelte';
import SignIn from '../rooms/sign-in/SignIn.svelte';
import { dropDraft, keepDraft, readDraft } from './draft.svelte';
import Button from './parts/Button.svelte';
import Choice from './parts/Choice.svelte';
import FileDrop from './parts/FileDrop.svelte';
import Progress from './parts/Progress.svelte';
import TextField from './parts/TextField.svelte';
import { Problem } from './api';
import { tellFailures } from './failures';
import { openSession, session, signOut } from './session.svelte';
import { json, problem, serve } from './test-server';
import { makeJob } from './test-jobs';
import { choose, theme } from './theme.svelte';
import { dismiss, toast, toasts } from './toasts.svelte';
import Toasts from './parts/Toasts.svelte';

const user = userEvent.setup();
const text = (words: string) => createRawSnippet(() => ({ render: () => `<span>${words}</span>` }));

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
});
afterEach(() => vi.unstubAllGlobals());

describe('parts', () => {
  it('a button takes the second half of a double press for none of its own, unless it counts', async () => {
    const press = vi.fn();
    const { rerender } = render(Button, { children: text('Add'), onclick: press });
    await user.dblClick(screen.getByRole('button', { name: 'Add' }));
    expect(press).toHaveBeenCalledOnce();
    await rerender({ repeats: true });
    await user.dblClick(screen.getByRole('button', { name: 'Add' }));
    expect(press).toHaveBeenCalledTimes(3);
  });

  it('a button that is busy cannot be pressed twice', async () => {
    const press = vi.fn();
    render(Button, { children: text('Save'), busy: true, onclick: press });
    const button = screen.getByRole('button', { name: 'Save' });
    expect(button).toBeDisabled();
    expect(button).toHaveAttribute('aria-busy', 'true');
    await user.click(button);
    expect(press).not.toHaveBeenCalled();
  });

  it('a field says its hint, and its error instead when there is one', async () => {
    const { rerender } = render(TextField, {
      label: 'Room',
      name: 'room',
      value: '',
      unit: '°C',
      hint: 'At the bench',
    });
    expect(screen.getByLabelText('Room')).toHaveAccessibleDescription('degrees Celsius At the bench');
    await rerender({ error: 'This is no number.' });
    expect(screen.getByLabelText('Room')).toHaveAccessibleDescription('degrees Celsius This is no number.');
    expect(screen.getByLabelText('Room')).toBeInvalid();
  });

  it('a choice is one of a named group', async () => {
    render(Choice, {
      legend: 'Start',
      name: 'start',
      value: 'cold',
      options: [
        { value: 'cold', label: 'Cold' },
        { value: 'warm', label: 'Warm' },
      ],
    });
    expect(screen.getByRole('group', { name: 'Start' })).toBeVisible();
    await user.click(screen.getByLabelText('Warm'));
    expect(screen.getByLabelText('Warm')).toBeChecked();
    expect(screen.getByLabelText('Cold')).not.toBeChecked();
  });

  it('a file can be chosen as well as dropped', async () => {
    const got = vi.fn();
    const { container } = render(FileDrop, { label: 'Drop the log', hint: 'CSV', accept: '.csv', onfile: got });
    const file = new File(['a'], 'a.csv', { type: 'text/csv' });
    await user.upload(container.querySelector('input') as HTMLInputElement, file);
    expect(got).toHaveBeenCalledWith(file);
    const drop = new Event('drop', { bubbles: true, cancelable: true });
    Object.defineProperty(drop, 'dataTransfer', { value: { files: [file] } });
    container.querySelector('label')?.dispatchEvent(drop);
    expect(got).toHaveBeenCalledTimes(2);
    expect(drop.defaultPrevented).toBe(true);
  });

  it('progress of unknown length gives no number', async () => {
    const { rerender } = render(Progress, { label: 'Sending', share: 0.42 });
    expect(screen.getByRole('progressbar')).toHaveAttribute('aria-valuenow', '42');
    await rerender({ share: null });
    expect(screen.getByRole('progressbar')).not.toHaveAttribute('aria-valuenow');
  });
});

describe('toasts', () => {
  it('carry an undo and go away when it is used', async () => {
    const back = vi.fn();
    render(Toasts);
    toast('Taken off.', { undo: back });
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(back).toHaveBeenCalledOnce();
    expect(toasts.list.some((t) => t.text === 'Taken off.')).toBe(false);
  });
  it('never pile up beyond three', () => {
    toasts.list.forEach((t) => dismiss(t.id));
    for (let i = 0; i < 5; i++) toast(`word ${i}`);
    expect(toasts.list.map((t) => t.text)).toEqual(['word 2', 'word 3', 'word 4']);
  });
});

describe('drafts', () => {
  it('are kept, read and dropped, and rubbish is no draft', () => {
    keepDraft('x', { a: '1' });
    expect(readDraft('x')).toEqual({ a: '1' });
    dropDraft('x');
    expect(readDraft('x')).toBeNull();
    localStorage.setItem('draft::y', '{broken');
    expect(readDraft('y')).toBeNull();
  });
});

describe('theme', () => {
  it('is remembered, and goes back to the system', () => {
    choose('night');
    expect([document.documentElement.dataset.theme, localStorage.getItem('theme'), theme.chosen]).toEqual([
      'night',
      'night',
      'night',
    ]);
    choose('system');
    expect(document.documentElement.dataset.theme).toBeUndefined();
    expect(localStorage.getItem('theme')).toBeNull();
  });
});

describe('session', () => {
  const demo = { person: null, demo_available: true, set_up_needed: false, csrf_token: 't', space: 'ok' };
  const person = { name: 'Imke', role: 'owner', shop_name: 'Lantern', demo: true, currency: 'EUR' };

  it('enters the demo by itself where the server offers it', async () => {
    serve({ 'GET /api/session': demo, 'POST /api/session/demo': { ...demo, person } });
    await openSession();
    expect(session.present?.person?.name).toBe('Imke');
  });
  it('stays outside after signing out', async () => {
    sessionStorage.setItem('signed-out', 'yes');
    const log = serve({ 'GET /api/session': demo });
    await openSession();
    expect(session.present?.person).toBeNull();
    expect(log).toHaveLength(1);
  });
  it('says that the server is away', async () => {
    vi.stubGlobal('fetch', async () => {
      throw new TypeError('down');
    });
    await openSession();
    expect(session.trouble).toContain('does not answer');
  });
  it('asks for the first owner when there is no shop, and names the wrong field', async () => {
    serve({
      'GET /api/session': { ...demo, demo_available: false, set_up_needed: true },
      'POST /api/set-up': () =>
        json(403, problem({ status: 403, errors: [{ field: 'code', message: 'The code does not fit.', remedy: '' }] })),
    });
    await openSession();
    render(SignIn);
    await user.type(screen.getByLabelText('Name of the shop'), 'Mine');
    await user.click(screen.getByRole('button', { name: 'Open the shop' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('The code does not fit.');
    expect(screen.getByLabelText('Name of the shop')).toHaveValue('Mine');
  });
});

describe('first owner', () => {
  it('lands on the Bench, not on the address with the code', async () => {
    const empty = { person: null, demo_available: false, set_up_needed: true, csrf_token: 't', space: 'ok' };
    const person = { name: 'Ida', role: 'owner', shop_name: 'Mine', demo: false, currency: 'EUR' };
    history.replaceState(null, '', '/set-up#secret');
    const log = serve({ 'GET /api/session': empty, 'POST /api/set-up': { ...empty, set_up_needed: false, person } });
    await openSession();
    render(SignIn);
    await user.click(screen.getByRole('button', { name: 'Open the shop' }));
    await vi.waitFor(() => expect(location.pathname).toBe('/'));
    expect(location.hash).toBe('');
    expect(log.at(-1)?.body).toMatchObject({ code: 'secret' });
  });
});

describe('bench', () => {
  it('leads with the next step that hands can do, not with the stopped device', async () => {
    const stopped = makeJob({ id: 's', number: 1, stage: 'stopped', next_step: 'Do not open it' });
    serve({
      'GET /api/bench': { jobs: [stopped, makeJob()], total: 2 },
      'GET /api/bench/waits': { waits: [], now: '2026-03-01T09:00:00Z' },
    });
    const stop = watchWaits();
    render(Bench);
    expect(await screen.findByRole('heading', { name: 'Take the Before reading of Marrow 15' })).toBeVisible();
    expect(screen.getByRole('link', { name: /Open the step/ })).toHaveAttribute('href', '/jobs/j1/before');
    expect(screen.getByText('Stopped for safety')).toBeVisible();
    stop();
  });
  it('helps when it is empty, and says so when it cannot be read', async () => {
    serve({ 'GET /api/bench': { jobs: [], total: 0 } });
    const { unmount } = render(Bench);
    expect(await screen.findByText('The bench is clear')).toBeVisible();
    unmount();
    serve({ 'GET /api/bench': () => json(503, problem({ status: 503, detail: 'The database does not answer.' })) });
    render(Bench);
    expect(await screen.findByRole('alert')).toHaveTextContent('The database does not answer.');
  });
});

describe('notices', () => {
  it('that last stay, whatever else is said, and are said once', () => {
    toasts.list.forEach((t) => dismiss(t.id));
    toast('A newer version is there.', { lasts: true });
    toast('A newer version is there.', { lasts: true });
    for (const word of ['one', 'two', 'three', 'four']) toast(word);
    expect(toasts.list.map((t) => t.text)).toEqual(['A newer version is there.', 'two', 'three', 'four']);
  });

  it('tell what was refused where no page did', () => {
    const stop = tellFailures();
    const failed = (reason: unknown) => {
      const event = Object.assign(new Event('unhandledrejection', { cancelable: true }), { reason });
      dispatchEvent(event);
      return event.defaultPrevented;
    };
    expect(failed(new Problem(problem({ detail: 'It was taken off already.', remedy: 'Load the page again.' })))).toBe(
      true,
    );
    expect(toasts.list.at(-1)?.text).toBe('It was taken off already. Load the page again.');
    expect(failed(new Error('x is undefined'))).toBe(false);
    expect(toasts.list.at(-1)?.text).toMatch(/That did not work/);
    stop();
  });

  it('say that signing out did not work without a line', async () => {
    vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('no line')));
    await signOut();
    expect(toasts.list.at(-1)?.text).toMatch(/You are still signed in/);
  });
});
