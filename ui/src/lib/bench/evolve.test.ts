// The page's reducer against vectors that the core wrote: contract/bench.json.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { evolve, KINDS, turned } from './evolve';
import { actsOfPlace } from './foresee';
import type { BenchEvent, BenchState } from './state';

interface Case {
  name: string;
  base: BenchState;
  active: BenchEvent[];
  undone: BenchEvent[];
  then: BenchEvent[];
  state: BenchState;
}
interface Contract {
  kinds: string[];
  acts: Record<string, { cancels: string[]; makes: string[] }>;
  map: BenchState['places'][string][];
  out: string[];
  places: { place: string; out: boolean; acts: string[] }[];
  cases: Case[];
}
const contract = JSON.parse(readFileSync(`${process.cwd()}/../contract/bench.json`, 'utf8')) as Contract;
const acts = new Map(Object.entries(contract.acts));
const EVENTS = contract.kinds.filter((kind) => kind !== 'undo' && kind !== 'redo');

/** Moments as numbers, so that two ways of writing one are the same. */
function plain(value: unknown): unknown {
  if (typeof value === 'string' && /^\d{4}-\d\d-\d\dT/.test(value)) return Date.parse(value);
  if (Array.isArray(value)) return value.map(plain);
  if (value && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, plain(inner)]));
  return value;
}

const fold = (base: BenchState, events: readonly BenchEvent[]) =>
  events.reduce((state, event) => evolve(state, event, acts), base);

describe('the page’s reducer and the core', () => {
  it('know the same kinds of events', () => {
    expect([...KINDS].sort()).toEqual([...EVENTS].sort());
  });

  it.each(contract.cases.map((c) => [c.name, c] as const))('come to the same state: %s', (_, c) => {
    const { active } = turned(c.active, c.undone, c.then);
    expect(plain(fold(c.base, active))).toEqual(plain(c.state));
  });

  it.each(contract.cases.map((c) => [c.name, c] as const))('agree after every undo and redo: %s', (_, c) => {
    let { active, undone } = turned(c.active, c.undone, []);
    for (const event of c.then) {
      const before = fold(c.base, active);
      ({ active, undone } = turned(active, undone, [event]));
      if (event.kind === 'undo') {
        const again = turned(active, undone, [{ ...event, kind: 'redo' }]);
        expect(fold(c.base, again.active)).toEqual(before);
      }
    }
    expect(plain(fold(c.base, active))).toEqual(plain(c.state));
  });

  it('mean the same by taking a place out and putting it in', () => {
    const places = Object.fromEntries(contract.map.map((p) => [p.id, p]));
    for (const { place, out, acts: expected } of contract.places)
      expect(actsOfPlace(places[place], places, contract.out, {}, out)).toEqual(expected);
  });

  it('pass over an event of a kind from later', () => {
    const base = contract.cases[0]?.base as BenchState;
    expect(evolve(base, { id: 'x', kind: 'hummed', data: {}, made: {}, at: '', by: '' }, acts)).toBe(base);
  });
});
