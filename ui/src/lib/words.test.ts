// Stored names and their words against those of the core: contract/names.json.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { BENCH_STAGES } from './bench/types';
import { CLEANED, INTERFACES, ROLES, STAGES, TARGETS, VERDICTS } from './words';

type Words = Record<string, string>;
const names = JSON.parse(readFileSync(`${process.cwd()}/../contract/names.json`, 'utf8')) as {
  stages: string[];
  bench_stages: string[];
  verdicts: string[];
  interfaces: string[];
  targets: string[];
  cleaned: string[];
  roles: string[];
};

describe('words of stored names', () => {
  it('has the stages in their order; the verdict is read within After', () => {
    expect(STAGES.map((s) => s.id)).toEqual(names.stages.filter((s) => s !== 'verdict'));
    expect(BENCH_STAGES).toEqual(names.bench_stages);
  });

  it.each([
    ['verdicts', VERDICTS, names.verdicts],
    ['interfaces', INTERFACES, names.interfaces],
    ['targets', TARGETS, names.targets],
    ['what is cleaned', CLEANED, names.cleaned],
    ['columns of a log', ROLES, names.roles],
  ])('has a word for each of the %s, and for nothing else', (_, own: Words, theirs) => {
    expect(Object.keys(own).sort()).toEqual([...theirs].sort());
    for (const words of Object.values(own)) expect(words).toMatch(/^[A-Z]/);
  });
});
