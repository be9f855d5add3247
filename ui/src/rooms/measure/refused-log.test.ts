import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { Problem } from '../../lib/api';
import { problem } from '../../lib/test-server';
import RefusedLog from './RefusedLog.svelte';

const user = userEvent.setup();

describe('a refused log', () => {
  const file = new File(['x'], 'odd.csv');
  it('without a known temperature lets a column be named and read again', async () => {
    const retry = vi.fn();
    const refused = problem({ reason: 'no_temperature', detail: 'No die temperature.', headers: ['Sensor A', 'Fan'] });
    render(RefusedLog, { jobId: 'j1', problem: new Problem(refused), file, onretry: retry, ondrop: vi.fn() });
    const again = screen.getByRole('button', { name: 'Read it again like this' });
    expect(again).toBeDisabled();
    await user.selectOptions(screen.getByLabelText('This column'), 'Sensor A');
    await user.selectOptions(screen.getByLabelText('holds the'), 'gpu_temperature');
    await user.click(again);
    expect(retry).toHaveBeenCalledWith({ roles: { 'Sensor A': 'gpu_temperature' } });
  });
  it('that is no repeat is led to where it is a run of its own', async () => {
    const refused = problem({ reason: 'no_repeat', detail: 'It is a run at another fan speed.' });
    render(RefusedLog, { jobId: 'j1', problem: new Problem(refused), file, onretry: vi.fn(), ondrop: vi.fn() });
    expect(screen.getByText('It is a run at another fan speed.')).toBeVisible();
    expect(screen.getByRole('link', { name: 'To All runs' })).toHaveAttribute('href', '/jobs/j1/runs');
  });
  it('that is in use elsewhere can be used here on purpose', async () => {
    const retry = vi.fn();
    render(RefusedLog, {
      jobId: 'j1',
      problem: new Problem(problem({ reason: 'same_file_elsewhere' })),
      file,
      onretry: retry,
      ondrop: vi.fn(),
    });
    await user.click(screen.getByRole('button', { name: 'Use it here as well' }));
    expect(retry).toHaveBeenCalledWith({ again: true });
  });
});
