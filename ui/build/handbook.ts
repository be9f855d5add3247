import { marked } from 'marked';
import type { Plugin } from 'vite';

/** Pages of docs/handbook/ as the page shows them: `?title` is their heading, `?body` the rest, as HTML. */
export function handbook(): Plugin {
  return {
    name: 'handbook',
    enforce: 'pre',
    transform(text, id) {
      const [, asked] = /\/docs\/handbook\/[a-z-]+\.md\?(title|body)$/.exec(id) ?? [];
      if (!asked) return null;
      const [heading = '', ...rest] = text.split('\n');
      const found = asked === 'title' ? heading.replace(/^# /, '') : marked.parse(rest.join('\n'), { async: false });
      return { code: `export default ${JSON.stringify(found)}`, map: null };
    },
  };
}
