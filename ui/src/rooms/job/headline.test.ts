import { render, screen } from '@testing-library/svelte';
import { describe, expect, it } from 'vitest';
import type { Verdict } from '../../lib/api';
import Headline from './Headline.svelte';

const spans = (headline: string) => {
  render(Headline, { verdict: { verdict: 'improved', headline } as Verdict });
  const heading = screen.getByRole('heading');
  expect(heading.textContent).toBe(headline);
  return Object.fromEntries([...heading.children].filter((s) => s.className).map((s) => [s.className, s.textContent]));
};
const bare = (found: Record<string, string | null>) =>
  Object.fromEntries(Object.entries(found).map(([k, v]) => [k.split(' ')[0], v]));

describe('the headline of a verdict', () => {
  it('gives each number the colour of its side', () => {
    const found = bare(spans('Improved: same load, 45 → 58 W, clock +9 %, held back 98 % → 0 %'));
    expect(found).toMatchObject({ before: '45', after: '58 W' });
  });
  it('sets apart what nobody noted', () => {
    const found = bare(spans('Improved, if fan and place were the same: 12 K less over the room at 40 W'));
    expect(found['assumed']).toBe(', if fan and place were the same');
    expect(found['after']).toBeUndefined();
  });
  it('leaves a plain sentence alone', () => {
    expect(bare(spans('No difference shown'))).not.toHaveProperty('assumed');
  });
});
