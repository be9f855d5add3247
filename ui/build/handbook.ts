import { marked } from 'marked';
import type { Plugin } from 'vite';
import type { Meant } from '../src/lib/glossary.ts';

/** The names of the glossary with what they mean; how the code calls them stays out. */
export function termsOf(text: string): Record<string, Meant> {
  const plain = (cell = '') => cell.replace(/ ?\(`[^)]*\)/g, '').trim();
  const rows = text
    .slice(text.indexOf('## Names'))
    .split('\n')
    .filter((line) => line.startsWith('| '))
    .map((line) => line.split('|').slice(1, -1).map(plain))
    .slice(1);
  return Object.fromEntries(
    rows.map(([name = '', symbol = '', unit = '', meaning = '']) => [name, { symbol, unit, meaning }]),
  );
}

/** Pages of docs/handbook/ as the page shows them: `?title` is their heading, `?body` the rest, as HTML. */
export function handbook(): Plugin {
  return {
    name: 'handbook',
    enforce: 'pre',
    transform(text, id) {
      if (id.endsWith('/docs/glossary.md?terms'))
        return { code: `export default ${JSON.stringify(termsOf(text))}`, map: null };
      const [, asked] = /\/docs\/handbook\/[a-z-]+\.md\?(title|body)$/.exec(id) ?? [];
      if (!asked) return null;
      const [heading = '', ...rest] = text.split('\n');
      const found = asked === 'title' ? heading.replace(/^# /, '') : marked.parse(rest.join('\n'), { async: false });
      return { code: `export default ${JSON.stringify(found)}`, map: null };
    },
  };
}
