// The same messages in both languages: contract/sentences.json, which the server's side writes; and what the page says.
import { readFileSync, readdirSync } from 'node:fs';
import { FluentResource } from '@fluent/bundle';
import { describe, expect, it } from 'vitest';
import { bundleOf, say, type Said } from './say';

interface Contract {
  messages: string;
  cases: { code: string; values: Record<string, Said>; text: string }[];
}
const root = process.cwd();
const contract = JSON.parse(readFileSync(`${root}/../contract/sentences.json`, 'utf8')) as Contract;

describe('sentences', () => {
  const bundle = bundleOf([new FluentResource(contract.messages).body.map((m) => [m.id, m.value, m.attributes])]);

  it.each(contract.cases)('$code with $values', ({ code, values, text }) => {
    expect(say(code, values, bundle)).toBe(text);
  });

  it('says which code has no message', () => {
    expect(() => say('nothing-of-the-kind')).toThrow('nothing-of-the-kind');
  });
});

/** Names of the values in a call, from the text after its code. */
function namesIn(call: string): string[] {
  const names: string[] = [];
  let depth = 0;
  let at = 0;
  for (const [i, sign] of [...call].entries()) {
    if ('({['.includes(sign)) depth += 1;
    if (depth === 1 && (sign === ',' || sign === '}')) {
      names.push(call.slice(at, i));
      at = i + 1;
    }
    if (')}]'.includes(sign)) depth -= 1;
    if (depth === 0) break;
    if (depth === 1 && sign === '{') at = i + 1;
  }
  return names.map((n) => /^\s*(\w+)/.exec(n)?.[1] ?? '').filter(Boolean);
}

/** Every place of the page that says a whole code: file, code, names of its values. */
function saidByThePage(): { file: string; code: string; names: string[] }[] {
  const files = readdirSync(`${root}/src`, { recursive: true, encoding: 'utf8' });
  return files
    .filter((f) => /\.(svelte|ts)$/.test(f) && !f.endsWith('.test.ts'))
    .flatMap((file) => {
      const text = readFileSync(`${root}/src/${file}`, 'utf8');
      return [...text.matchAll(/\bsay\(\s*'([\w.-]+)'\s*([,)])\s*/g)].map((m) => ({
        file,
        code: m[1] ?? '',
        names: m[2] === ',' ? namesIn(text.slice(m.index + m[0].length)) : [],
      }));
    });
}

describe('what the page says', () => {
  const folder = `${root}/../src/vividowl/words/en`;
  const texts = readdirSync(folder).map((f) => readFileSync(`${folder}/${f}`, 'utf8'));
  const wanted = new Map<string, Set<string>>();
  for (const text of texts)
    for (const message of new FluentResource(text).body) {
      const variables = (part: unknown) =>
        new Set([...JSON.stringify(part ?? '').matchAll(/"type":"var","name":"(\w+)"/g)].map((m) => m[1] ?? ''));
      wanted.set(message.id, variables(message.value));
      for (const [name, pattern] of Object.entries(message.attributes))
        wanted.set(`${message.id}.${name}`, variables(pattern));
    }

  it('is all there, with the variables that it is said with', () => {
    const odd = saidByThePage().flatMap(({ file, code, names }) => {
      const variables = wanted.get(code);
      if (!variables) return [`${file}: no message ${code}`];
      const same = variables.size === names.length && names.every((n) => variables.has(n));
      return same ? [] : [`${file}: ${code} wants ${[...variables].join(', ')}; is given ${names.join(', ')}`];
    });
    expect(odd).toEqual([]);
    expect(saidByThePage().length).toBeGreaterThan(800);
  });
});
