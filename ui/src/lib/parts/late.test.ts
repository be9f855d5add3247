import { render, screen } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import Late from './Late.svelte';
import Notice from './Notice.svelte';

const part = vi.fn(async () => ({ default: Notice as never }));

describe('a part whose script comes late', () => {
  it('shows that it is on its way, then the part, and keeps it mounted while what is given changes', async () => {
    const { rerender } = render(Late, { load: part, given: { title: 'First' } });
    expect(screen.getByRole('status')).toHaveTextContent('Loading');
    const shown = await screen.findByText('First');
    await rerender({ load: part, given: { title: 'Second' } });
    expect(await screen.findByText('Second')).toBe(shown);
    expect(part).toHaveBeenCalledTimes(1);
  });

  it('says that it did not come, and can be asked again', async () => {
    render(Late, { load: () => Promise.reject(new TypeError('gone')), given: {} });
    expect(await screen.findByText('This page did not come')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Try again' })).toBeVisible();
  });
});
