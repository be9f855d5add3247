import { render, screen } from '@testing-library/svelte';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../lib/api';
import KnownTable from './KnownTable.svelte';

const row = (more: Partial<Schemas['KnownOut']> = {}): Schemas['KnownOut'] => ({
  words: 'paste, soft',
  jobs: 5,
  gain_k_per_w: { n: 5, median: 0.31, low: 0.25, high: 0.4 },
  minutes: null,
  promised: 4,
  kept: 3,
  kind: 'paste_soft',
  lasts: { n: 4, gone: 3, median_months: 14, low_months: 9, high_months: null },
  looked_again: 4,
  ...more,
});
const cells = () => screen.getAllByRole('cell').map((c) => c.textContent?.trim());

describe('what the shop knows', () => {
  it('tells medians with their quartiles and cases, and where the end is not known', () => {
    render(KnownTable, { heading: 'By material', rows: [row()], least: 3 });
    expect(screen.getByRole('heading', { name: 'By material' })).toBeVisible();
    expect(cells()).toContain('0.31 (0.25 to 0.40), n = 5');
    expect(cells()).toContain('3 of 4');
    expect(cells()).toContain('14 months (9 to ?), 3 of 4 gone');
  });
  it('is silent below three, and says how many are needed', () => {
    const few = row({ jobs: 2, gain_k_per_w: null, promised: 1, kept: 1, lasts: null, looked_again: 0 });
    render(KnownTable, { heading: 'By material', rows: [few], least: 3 });
    expect(cells()).toContain('2 of 3 needed');
    expect(cells()).toContain('1 of 3 needed');
    expect(cells().join(' ')).not.toMatch(/0\.\d/);
  });
  it('says that half is not gone yet where most still hold', () => {
    const held = row({ lasts: { n: 6, gone: 1, median_months: null, low_months: 5, high_months: null } });
    render(KnownTable, { heading: 'By material', rows: [held], least: 3 });
    expect(cells()).toContain('not known yet: 1 of 6 gone');
  });
});
