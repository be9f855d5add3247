import { render, screen, within } from '@testing-library/svelte';
import { describe, expect, it } from 'vitest';
import type { Verdict } from '../api';
import Headline from './Headline.svelte';
import RestsOn from '../../rooms/verdict/RestsOn.svelte';

const spans = (phrases: Verdict['phrases']) => {
  const headline = phrases.map((p) => p.text).join('');
  render(Headline, { verdict: { verdict: 'improved', headline, phrases } as Verdict });
  const heading = screen.getByRole('heading');
  expect(heading.textContent).toBe(headline);
  return Object.fromEntries(
    [...heading.children].filter((s) => s.className).map((s) => [s.className.split(' ')[0], s.textContent]),
  );
};
const phrase = (text: string, side = '') => ({ text, side });

describe('the headline of a verdict', () => {
  it('gives each number the colour of its side', () => {
    const watts = [phrase('45', 'before'), phrase(' → '), phrase('58 W', 'after')];
    const found = spans([phrase('Improved: '), phrase('same load, '), ...watts, phrase(', clock +9 %')]);
    expect(found).toMatchObject({ before: '45', after: '58 W' });
  });
  it('sets apart what nobody noted', () => {
    const assumed = phrase(', if fan and place were the same', 'assumed');
    const found = spans([phrase('Improved'), assumed, phrase(': '), phrase('12 K less over the room at 40 W')]);
    expect(found['assumed']).toBe(assumed.text);
    expect(found['after']).toBeUndefined();
  });
  it('leaves a plain sentence alone', () => {
    expect(spans([phrase('No difference shown')])).not.toHaveProperty('assumed');
  });
});

describe('what an answer rests on', () => {
  it('begins with what could be the claim, and the one thing to do', () => {
    const known = { name: 'load', words: 'Load', standing: 'checked', standing_words: 'checked by the log' };
    const open = { name: 'room', words: 'Room', standing: 'doubtful', standing_words: 'doubtful' };
    const assumptions = [
      { ...known, why: 'The power shows it.', remedy: '', carries: false },
      { ...open, why: 'The die fell at even power.', remedy: 'Repeat with windows as they are.', carries: true },
    ];
    render(RestsOn, { assumptions });
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows.map((row) => within(row).getByRole('rowheader').textContent)).toEqual(['Room', 'Load']);
    expect(rows[0]).toHaveTextContent('The die fell at even power. Repeat with windows as they are.');
    expect(rows[1]).toHaveTextContent('The power shows it.');
  });
});
