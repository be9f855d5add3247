// A message file as a module: its messages, read while it is built, join those of the page when it is loaded, and it gives
// `say` on. `?messages` gives the messages alone. The page itself need not know how to read a message file.
import { FluentResource } from '@fluent/bundle';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Plugin } from 'vite';

const SAY = fileURLToPath(new URL('../src/lib/say.ts', import.meta.url));

export function words(): Plugin {
  return {
    name: 'words',
    enforce: 'pre',
    load(id) {
      const [file = '', asked] = id.split('?');
      if (!file.endsWith('.ftl')) return null;
      const { body } = new FluentResource(readFileSync(file, 'utf8'));
      const messages = JSON.stringify(
        body.map(({ id, value, attributes }) =>
          Object.keys(attributes).length ? [id, value, attributes] : [id, value],
        ),
      );
      if (asked === 'messages') return `export default ${messages};`;
      return `import { addWords, say } from ${JSON.stringify(SAY)};\naddWords(${messages});\nexport { say };\n`;
    },
  };
}
