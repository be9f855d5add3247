// Each language says everything that the pages of customers say: all that they are built of is looked through.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { describe, expect, it } from 'vitest';

const WORDS = '../src/vividowl/words';
// What the build gives them: see build/customer.ts.
const GIVEN = ['names', 'page-shared', 'page-record', 'page-check', 'page-customer'];
const languages = readdirSync(WORDS).filter((name) => existsSync(join(WORDS, name, 'page-customer.ftl')));

/** Files that a file is built of, without types and packages. */
function builtOf(file: string, seen = new Set<string>()): Set<string> {
  if (seen.has(file)) return seen;
  seen.add(file);
  for (const [, from] of readFileSync(file, 'utf8').matchAll(/^\s*import (?!type\b)[^;]*?'(\.{1,2}\/[^']+)';/gm)) {
    const found = ['', '.ts', '.svelte.ts'].map((end) => join(dirname(file), from + end)).find((f) => existsSync(f));
    if (found && /\.(ts|svelte)$/.test(found)) builtOf(found, seen);
  }
  return seen;
}

const files = [...builtOf('src/customer/main.ts')];
const codes = new Set(
  files.flatMap((f) => [...readFileSync(f, 'utf8').matchAll(/\bsay\(\s*'([^']+)'/g)].map((m) => m[1] ?? '')),
);

describe('the pages of customers', () => {
  it('are built of few files, and of nothing that belongs to the workshop', () => {
    expect(files.length).toBeGreaterThan(10);
    expect(codes.size).toBeGreaterThan(40);
    expect(files.filter((f) => /lib\/(api|session|bench)/.test(f))).toEqual([]);
  });

  it.each(languages)('say everything in %s', (language) => {
    const text = GIVEN.map((name) => readFileSync(join(WORDS, language, `${name}.ftl`), 'utf8')).join('\n');
    const missing = [...codes].filter((code) => !new RegExp(`^${code} =`, 'm').test(text));
    expect(missing).toEqual([]);
  });
});
