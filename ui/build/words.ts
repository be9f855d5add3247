// A message file as a module: its messages join those of the page when it is loaded, and it gives `say` on.
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Plugin } from 'vite';

const SAY = fileURLToPath(new URL('../src/lib/say.ts', import.meta.url));

export function words(): Plugin {
  return {
    name: 'words',
    enforce: 'pre',
    load(id) {
      if (!id.endsWith('.ftl')) return null;
      const text = JSON.stringify(readFileSync(id, 'utf8'));
      return `import { addWords, say } from ${JSON.stringify(SAY)};\naddWords(${text});\nexport { say };\n`;
    },
  };
}
