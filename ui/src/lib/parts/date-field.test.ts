import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import DateField from './DateField.svelte';

describe('a field for a day', () => {
  it('shows the day as the shop writes it, and reads it as people type it', async () => {
    render(DateField, { label: 'Next service', name: 'next', value: '2027-05-28' });
    const field = screen.getByLabelText('Next service');
    expect(field).toHaveValue('28 May 2027');
    await userEvent.clear(field);
    await userEvent.type(field, '3.9.2026{Tab}');
    expect(field).toHaveValue('3 September 2026');
  });

  it('keeps what is no day, and says how one is written', async () => {
    render(DateField, { label: 'Next service', name: 'next', value: '' });
    const field = screen.getByLabelText('Next service');
    await userEvent.type(field, 'after Easter{Tab}');
    expect(field).toHaveValue('after Easter');
    expect(screen.getByRole('alert')).toHaveTextContent('Write it as 28 May 2027');
    await userEvent.clear(field);
    await userEvent.tab();
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
