// What *Why?* opens is the text of docs/handbook/, and nothing else.
import { readFileSync, readdirSync } from 'node:fs';
import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { SUBJECTS, titleOf } from './handbook';
import Why from './parts/Why.svelte';

const FOLDER = `${process.cwd()}/../docs/handbook`;
const fileOf = (subject: string): string => readFileSync(`${FOLDER}/${subject}.md`, 'utf8');
const bare = (text: string): string => text.replace(/[*`#>-]|\d+\. /g, '').replace(/\s+/g, ' ').trim(); // prettier-ignore

describe('handbook', () => {
  it('has every page of the folder, with its heading', () => {
    expect([...SUBJECTS].sort()).toEqual(readdirSync(FOLDER).map((name) => name.replace('.md', '')).sort()); // prettier-ignore
    for (const subject of SUBJECTS) expect(fileOf(subject)).toContain(`# ${titleOf(subject)}\n`);
    expect(titleOf('nothing')).toBeUndefined();
  });

  it.each(SUBJECTS)('opens %s word for word, and leads to all rules', async (subject) => {
    const { container } = render(Why, { subject });
    const button = screen.getByRole('button', { name: `Why? ${titleOf(subject)}` });
    await userEvent.click(button);
    const link = await screen.findByRole('link', { name: 'All rules of the trade' });
    expect(link).toHaveAttribute('href', `/handbook/${subject}`);
    await expect.poll(() => container.querySelector('.text')?.textContent?.trim().length ?? 0).toBeGreaterThan(80);
    const rest = fileOf(subject).split('\n').slice(1).join('\n');
    expect(bare(container.querySelector('.text')?.textContent ?? '')).toBe(bare(rest));
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(screen.queryByText(titleOf(subject) ?? '', { selector: 'h2' })).toBeNull();
  });
});
