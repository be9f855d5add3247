import { render, screen } from '@testing-library/svelte';
import { globSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { meaningOf } from '../glossary';
import { spoken } from '../units';
import Term from './Term.svelte';
import TextField from './TextField.svelte';

const FILES = globSync('src/**/*.svelte').map((path) => readFileSync(path, 'utf8'));

describe('a word of the trade', () => {
  it('says what it means where it stands, with symbol and unit', async () => {
    render(Term, { of: 'thermal resistance', words: 'Resistance' });
    const word = screen.getByRole('button', { name: 'Resistance' });
    const note = document.getElementById(word.getAttribute('popovertarget') ?? '');
    note?.dispatchEvent(Object.assign(new Event('toggle'), { newState: 'open' }));
    expect(await screen.findByText('Rise over power.')).toBeInTheDocument();
    expect(note).toHaveTextContent('Thermal resistanceR in K/W kelvins per watt Rise over power.');
  });

  it('is in the glossary wherever a page uses one', async () => {
    const used = FILES.flatMap((text) => [
      ...[...text.matchAll(/<Term of="([^"]+)"/g)].map((found) => found[1] ?? ''),
      ...[...text.matchAll(/term: '([^']+)'/g)].map((found) => found[1] ?? ''),
      ...[...(/const TERMS[^{]*\{([^}]*)\}/.exec(text)?.[1] ?? '').matchAll(/: '([^']+)'/g)].map((f) => f[1] ?? ''),
    ]);
    expect(used.length).toBeGreaterThan(12);
    for (const name of used) expect(await meaningOf(name), name).toBeDefined();
  });
});

describe('a unit', () => {
  it('is told in words to whoever listens', () => {
    render(TextField, { label: 'Room', name: 'room_c', value: '', unit: '°C' });
    expect(screen.getByLabelText('Room')).toHaveAccessibleDescription('degrees Celsius');
  });

  it('has words wherever a field has a unit', () => {
    const units = new Set(
      FILES.flatMap((text) => [...text.matchAll(/unit="([^"]+)"/g)].map((found) => found[1] ?? '')),
    );
    const words = ['months', 'points', 'days'];
    for (const unit of units) if (!words.includes(unit)) expect(spoken(unit), unit).not.toBe(unit);
  });
});
