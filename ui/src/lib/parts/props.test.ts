// What a component says it can be given, it uses. The linter's own rule for this needs the types of every file, which
// takes longer than all its other rules together.
import { globSync, readFileSync } from 'node:fs';
import { expect, test } from 'vitest';

/** Names declared in `interface Props`, and names taken out of `$props()`. */
function names(source: string): [declared: string[], taken: string[]] {
  const body = /interface Props(?: extends [\w<>, ]+)? \{\n([\s\S]*?)\n {2}\}/.exec(source)?.[1] ?? '';
  const declared = [...body.matchAll(/^ {4}(\w+)\??: /gm)].map((found) => found[1] as string);
  const taken = /let \{([\s\S]*?)\}: Props = \$props\(\)/.exec(source)?.[1] ?? '';
  return [declared, [...taken.matchAll(/(?:^|,)\s*(?:\.{3})?(\w+)/g)].map((found) => found[1] as string)];
}

const COMPONENTS = globSync('src/**/*.svelte')
  .map((path) => [path, readFileSync(path, 'utf8')] as const)
  .filter(([, source]) => source.includes('interface Props'));

test.each(COMPONENTS)('%s', (_, source) => {
  const [declared, taken] = names(source);
  expect(declared.length).toBeGreaterThan(0);
  expect(declared.filter((name) => !taken.includes(name))).toEqual([]);
});
