// A small bench for tests: four steps, a screw, a plug, the battery.
import { BenchJob } from './bench.svelte';
import { project, stacks } from './project';
import { placeRow, stepRow } from './state';
import type { Bench, BenchWords, Place, Queued, Step } from './types';

export function makeStep(id: string, more: Partial<Step> = {}): Step {
  return {
    id,
    stage: 'open',
    text: `Do ${id}`,
    why: '',
    tool: '',
    material: '',
    caution: '',
    acts: [],
    cancels: [],
    makes: [],
    held: false,
    skippable: true,
    alone: false,
    pads: [],
    asks: null,
    takes_out: [],
    puts_in: [],
    wait: '',
    wait_min: 0,
    after_waits: [],
    shows: '',
    photo: false,
    own: false,
    guards: [],
    outcome: null,
    hands_min: null,
    waited_min: null,
    ...more,
  };
}

export function makePlace(id: string, more: Partial<Place> = {}): Place {
  return {
    id,
    kind: 'screw',
    x: 0.2,
    y: 0.2,
    holds: 'cover',
    length_mm: 5,
    drive: 'cross',
    head: 'pan',
    number: null,
    note: '',
    gap_mm: null,
    thickness_mm: null,
    letter: 'A',
    shape: 'circle',
    words: 'screw A of the cover',
    is_out: false,
    was_out: null,
    explained: '',
    guards_out: [],
    guards_in: [],
    ...more,
  };
}

export const BATTERY_GUARD = {
  rule: 'cooler_on_battery',
  hard: false,
  needs: ['battery_off'],
  bars: [],
  reason: 'The battery is still connected.',
  remedy: 'Take the battery plug off first.',
};

/** The state that a bench shows, to go on from. */
function stateOf(bench: Omit<Bench, 'base'>): Bench['base'] {
  const table = <T extends { id: string }>(rows: readonly T[]) => Object.fromEntries(rows.map((row) => [row.id, row]));
  const done = bench.steps.filter((s) => s.outcome !== null);
  return {
    begun: bench.begun,
    device: {},
    steps: bench.steps.map((s) => stepRow(s)),
    outcomes: Object.fromEntries(done.map((s) => [s.id, s.outcome])),
    facts: bench.facts,
    places: Object.fromEntries(bench.places.map((p) => [p.id, placeRow(p)])),
    out: bench.places.filter((p) => p.is_out).map((p) => p.id),
    was_out: {},
    explained: {},
    leftover: bench.leftover,
    leftover_words: bench.leftover_words,
    outline: bench.outline,
    plan: '',
    found: Object.fromEntries(bench.found.map((f) => [f.part, f])),
    waits: table(bench.waits),
    breaches: table(bench.breaches),
    mishaps: table(bench.mishaps),
    photos: bench.photos,
    power: bench.power,
    notes: bench.notes,
    closed: bench.closed,
  } as unknown as Bench['base'];
}

export function makeBench(more: Partial<Bench> = {}): Bench {
  const bench = {
    job_id: 'j1',
    number: 5,
    now: new Date().toISOString(),
    begun: '2026-03-02T09:00:00Z',
    closed: null,
    attempt: 1,
    has_battery: true,
    checks: ['boot', 'wireless'],
    facts: [],
    steps: [
      makeStep('power_off', { acts: ['power_off', 'unplugged'] }),
      makeStep('battery_off', { acts: ['battery_off'], cancels: ['battery_on'], takes_out: ['bat'], shows: 'map' }),
      makeStep('cooler_off', { acts: ['cooler_off'], guards: [BATTERY_GUARD] }),
      makeStep('cleaned', { stage: 'clean', acts: ['cleaned'], wait: 'alcohol', wait_min: 5 }),
      makeStep('apply', {
        stage: 'fit',
        acts: ['applied'],
        after_waits: ['alcohol'],
        material: 'Grey Heron 11, 0.08 g',
      }),
      makeStep('power_on', { stage: 'close', acts: ['power_on_ok'], shows: 'power' }),
    ],
    places: [
      makePlace('c1'),
      makePlace('bat', { kind: 'plug', holds: 'battery', letter: '', shape: '', words: 'battery plug' }),
      makePlace('fan', { kind: 'plug', holds: 'fan', letter: '', shape: '', words: 'fan plug' }),
    ],
    classes: [
      {
        letter: 'A',
        shape: 'circle',
        words: '5 mm, cross-head, pan head',
        length_mm: 5,
        drive: 'cross',
        head: 'pan',
        count: 1,
      },
    ],
    orders: [{ holds: 'cover', words: 'cover', loosen: ['c1'], tighten: ['c1'], by_number: false }],
    passes: [
      { share: 0.5, words: 'First round: half the turns each, in order' },
      { share: 1, words: 'Second round: fully, same order' },
    ],
    outline: '',
    leftover: 0,
    leftover_words: '',
    waits: [],
    breaches: [],
    mishaps: [],
    found: [],
    photos: [],
    power: [],
    causes: [],
    notes: [],
    blockers: [],
    recent: [],
    undone: [],
    refused: [],
    plan_changed: false,
    chosen: { key: 'repaste:Grey Heron 11', words: 'clean, Grey Heron 11' },
    model_id: null,
    model_places: 0,
    hands_min: null,
    waited_min: 0,
    ...more,
  };
  return { base: stateOf(bench), ...bench };
}

/** What the server says once it has taken some events. */
export function afterEvents(start: Partial<Bench>, ...events: Queued[]): Bench {
  const bench = makeBench(start);
  const laid = project(bench, events, 0, WORDS);
  const recent = stacks(bench, events, 0).active.map((e) => ({ ...e, words: e.kind }));
  return { ...laid, base: bench.base, recent, number: bench.number + events.length };
}

export const WORDS: BenchWords = {
  sights: [
    {
      part: 'plate',
      words: 'Cold plate',
      states: [
        { name: 'nickel', words: 'Nickel-plated', tells: 'silvery', follows: '', sound: true },
        {
          name: 'aluminium',
          words: 'Aluminium',
          tells: 'light grey',
          follows: 'Aluminium seen: alloy barred.',
          sound: false,
        },
      ],
    },
  ],
  mishaps: [{ name: 'lost_screw', words: 'Screw lost', recovery: ['Do not power.'], check: 'The screw is found.' }],
  checks: [
    { name: 'boot', words: 'Boots within 40 s' },
    { name: 'wireless', words: 'Wireless finds networks' },
  ],
  waits: [
    { name: 'coat', words: 'Coat dries', minutes: 15, least_min: 10, most_min: 60, early: ['Touch-dry'] },
    {
      name: 'alcohol',
      words: 'Alcohol dries',
      minutes: 5,
      least_min: 1,
      most_min: 60,
      early: ['Looked: the surface is dry'],
    },
  ],
  drives: [{ name: 'cross', words: 'cross-head' }],
  heads: [{ name: 'pan', words: 'pan head' }],
  screw_groups: [{ name: 'cover', words: 'cover' }],
  pad_parts: [{ name: 'memory', words: 'memory' }],
  plug_parts: [{ name: 'fan', words: 'fan' }],
  plugs_open: 'plugs_open',
  aluminium: [['plate', 'aluminium']],
  aluminium_seen: 'aluminium_seen',
  acts: [
    { name: 'power_off', cancels: [], makes: [] },
    { name: 'unplugged', cancels: [], makes: [] },
    { name: 'battery_off', cancels: ['battery_on', 'power_on_ok'], makes: [] },
    { name: 'battery_on', cancels: ['battery_off'], makes: [] },
    { name: 'plug_off', cancels: ['power_on_ok'], makes: [] },
    { name: 'plug_on', cancels: [], makes: [] },
    { name: 'cover_screws_out', cancels: ['cover_screws_in'], makes: [] },
    { name: 'cover_screws_in', cancels: [], makes: [] },
    { name: 'cooler_off', cancels: ['applied'], makes: ['bare'] },
    { name: 'cleaned', cancels: ['applied'], makes: ['bare'] },
    { name: 'applied', cancels: ['bare'], makes: [] },
    { name: 'power_on_ok', cancels: ['power_off', 'unplugged'], makes: [] },
    { name: 'powered', cancels: ['power_off', 'unplugged'], makes: [] },
  ],
  rules: [{ name: 'cooler_on_battery', reason: 'The battery is still connected.', check: 'Look for marks.' }],
  looked_at: ['boot'],
};

/** A job at the bench that has heard its state already and is not listening. */
export function makeBenchJob(more: Partial<Bench> = {}): BenchJob {
  const at = new BenchJob('j1');
  at.said = makeBench(more);
  return at;
}
