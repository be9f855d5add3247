// `virtual:rooms`: how each room of the table of pages is loaded.
import type { Plugin } from 'vite';
import { DOORS, PAGES, STAGE_ROOMS } from '../src/pages.ts';

const NAME = 'virtual:rooms';

export function rooms(): Plugin {
  const all = new Set([...PAGES.map((page) => page.room), ...Object.values(STAGE_ROOMS), ...Object.values(DOORS)]);
  const loaders = [...all].map((room) => `${JSON.stringify(room)}: () => import('/src/${room}')`);
  return {
    name: 'rooms',
    resolveId: (id) => (id === NAME ? `\0${NAME}` : null),
    load: (id) => (id === `\0${NAME}` ? `export const ROOMS = {${loaders.join(',')}};` : null),
  };
}
