import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { Problem } from '../../lib/api';
import { problem } from '../../lib/test-server';
import RefusedLog from './RefusedLog.svelte';

const user = userEvent.setup();

const ways = { accept: '.csv', onfile: vi.fn() };

describe('a refused log', () => {
  const file = new File(['x'], 'odd.csv');
  it('without a known temperature lets a column be named and read again', async () => {
    const retry = vi.fn();
    const refused = problem({ reason: 'no_temperature', detail: 'No die temperature.', headers: ['Sensor A', 'Fan'] });
    render(RefusedLog, { ...ways, jobId: 'j1', problem: new Problem(refused), file, onretry: retry, ondrop: vi.fn() });
    const again = screen.getByRole('button', { name: 'Read it again like this' });
    expect(again).toBeDisabled();
    await user.selectOptions(screen.getByLabelText('This column'), 'Sensor A');
    await user.selectOptions(screen.getByLabelText('holds the'), 'gpu_temperature');
    await user.click(again);
    expect(retry).toHaveBeenCalledWith({ roles: { 'Sensor A': 'gpu_temperature' } });
  });
  it('that is no repeat is led to where it is a run of its own', async () => {
    const refused = problem({ reason: 'no_repeat', detail: 'It is a run at another fan speed.' });
    render(RefusedLog, {
      ...ways,
      jobId: 'j1',
      problem: new Problem(refused),
      file,
      onretry: vi.fn(),
      ondrop: vi.fn(),
    });
    expect(screen.getByText('It is a run at another fan speed.')).toBeVisible();
    expect(screen.getByRole('link', { name: 'To All runs' })).toHaveAttribute('href', '/jobs/j1/runs');
  });
  it('that is in use elsewhere can be used here on purpose', async () => {
    const retry = vi.fn();
    render(RefusedLog, {
      ...ways,
      jobId: 'j1',
      problem: new Problem(problem({ reason: 'same_file_elsewhere' })),
      file,
      onretry: retry,
      ondrop: vi.fn(),
    });
    await user.click(screen.getByRole('button', { name: 'Use it here as well' }));
    expect(retry).toHaveBeenCalledWith({ again: true });
  });

  it('takes another file in one go', async () => {
    const chosen = vi.fn();
    const refused = new Problem(problem({ reason: 'same_file_other_run', detail: 'It is the file of a run.' }));
    render(RefusedLog, {
      accept: '.csv',
      onfile: chosen,
      jobId: 'j1',
      problem: refused,
      file,
      onretry: vi.fn(),
      ondrop: vi.fn(),
    });
    expect(screen.getByRole('link', { name: 'To All runs' })).toHaveAttribute('href', '/jobs/j1/runs');
    const field = screen.getByLabelText('Choose another file');
    const opened = vi.spyOn(field, 'click');
    await userEvent.click(screen.getByRole('button', { name: 'Choose another file' }));
    expect(opened).toHaveBeenCalledOnce();
    const other = new File(['a'], 'other.csv');
    await userEvent.upload(field, other);
    expect(chosen).toHaveBeenCalledWith(other);
  });
});
