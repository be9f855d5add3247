import { describe, expect, it } from 'vitest';
import { remaining, minutesWords } from './clock';
import { brokenGuard, project, runningWait, stepFirst } from './project';
import { afterEvents, BATTERY_GUARD, makeBench, makePlace, makeStep, WORDS } from './test-bench';
import type { Queued } from './types';

let turn = 0;
const event = (kind: string, data: Record<string, unknown> = {}, more: Partial<Queued> = {}): Queued => ({
  id: `e${++turn}`,
  kind,
  data,
  turn,
  made_at: '2026-03-02T10:00:00.000Z',
  ...more,
});
const laid = (...events: Queued[]) => project(makeBench(), events, 0, WORDS);
const step = (bench: ReturnType<typeof laid>, id: string) => bench.steps.find((s) => s.id === id);

describe('what is on its way, laid over what the server said', () => {
  it('shows a step as done, its facts, and what it takes out', () => {
    const bench = laid(event('step_done', { step: 'battery_off' }));
    expect(step(bench, 'battery_off')?.outcome?.how).toBe('done');
    expect(bench.facts).toContain('battery_off');
    expect(bench.places.find((p) => p.id === 'bat')?.is_out).toBe(true);
  });

  it('starts the wait of a step at once, on the server’s clock', () => {
    const bench = project(makeBench(), [event('step_done', { step: 'cleaned' })], 60_000, WORDS);
    expect(bench.waits[0]?.began).toBe('2026-03-02T10:01:00.000Z');
    expect(bench.waits[0]?.due).toBe('2026-03-02T10:06:00.000Z');
  });

  it('knows that a plug is open from the map alone', () => {
    expect(laid(event('place_out', { place: 'fan' })).facts).toContain('plugs_open');
    expect(laid(event('place_out', { place: 'bat' })).facts).not.toContain('plugs_open');
    const both = laid(event('place_out', { place: 'fan' }), event('place_in', { place: 'fan' }));
    expect(both.facts).not.toContain('plugs_open');
  });

  it('leaves out what the server has in its word already', () => {
    const bench = makeBench({ number: 7 });
    expect(project(bench, [event('step_done', { step: 'power_off' }, { number: 7 })], 0, WORDS)).toBe(bench);
  });

  it('takes back what has not been sent, and then what was', () => {
    expect(step(laid(event('step_done', { step: 'power_off' }), event('undo')), 'power_off')?.outcome).toBeNull();
    const said = afterEvents({}, event('step_done', { step: 'power_off' }));
    expect(step(said, 'power_off')?.outcome?.how).toBe('done');
    expect(step(project(said, [event('undo')], 0, WORDS), 'power_off')?.outcome).toBeNull();
  });

  it('brings again what was taken back, sent or not', () => {
    const one = event('step_done', { step: 'power_off' });
    expect(step(laid(one, event('undo'), event('redo')), 'power_off')?.outcome?.how).toBe('done');
    expect(step(laid(one, event('undo'), event('note'), event('redo')), 'power_off')?.outcome).toBeNull();
    const said = afterEvents({}, event('place_out', { place: 'fan' }));
    const isOut = (...events: Queued[]) => project(said, events, 0, WORDS).places.find((p) => p.id === 'fan')?.is_out;
    expect(isOut(event('undo'))).toBe(false);
    expect(isOut(event('undo'), event('redo'))).toBe(true);
  });

  it('takes the facts of an event back with it', () => {
    const start = { facts: ['applied'], steps: [makeStep('lift', { acts: ['cooler_off'] })] };
    const said = afterEvents(start, event('step_done', { step: 'lift' }));
    expect(said.facts.sort()).toEqual(['bare', 'cooler_off']);
    // What the step made untrue is true again, which no list of its own facts tells.
    expect(project(said, [event('undo')], 0, WORDS).facts).toEqual(['applied']);
  });

  it('takes back two quick ones, each another one', () => {
    const said = afterEvents({}, event('step_done', { step: 'power_off' }), event('place_out', { place: 'fan' }));
    const bench = project(said, [event('undo'), event('undo')], 0, WORDS);
    expect(bench.places.some((p) => p.is_out)).toBe(false);
    expect(bench.steps.some((s) => s.outcome)).toBe(false);
  });

  it('shows findings, mishaps, notes and explanations before the server answers', () => {
    const bench = laid(
      event('found', { part: 'plate', seen: 'aluminium' }),
      event('mishap', { what: 'lost_screw' }),
      event('note', { words: 'clip is weak' }),
      event('place_out', { place: 'c1' }),
      event('explained', { place: 'c1', words: 'thread torn' }),
      event('wait_started', { wait: 'coat' }),
    );
    expect(bench.found[0]).toMatchObject({ part_words: 'Cold plate', seen_words: 'Aluminium', sound: false });
    expect(bench.facts).toContain('aluminium_seen');
    expect(bench.mishaps[0]).toMatchObject({ title: 'Screw lost', check: 'The screw is found.' });
    expect(bench.notes[0]?.words).toBe('clip is weak');
    expect(bench.places[0]).toMatchObject({ is_out: true, explained: 'thread torn' });
    expect(Date.parse(bench.waits[0]?.due ?? '') - Date.parse(bench.waits[0]?.began ?? '')).toBe(15 * 60_000);
  });

  it('knows that a lifted cooler leaves the die bare', () => {
    const said = makeBench({
      steps: [makeStep('lift', { acts: ['cooler_off'], makes: ['bare'], cancels: ['applied'] })],
      facts: ['applied'],
    });
    expect(project(said, [event('step_done', { step: 'lift' })], 0, WORDS).facts.sort()).toEqual([
      'bare',
      'cooler_off',
    ]);
  });

  it('draws a new place with the letter of its class', () => {
    const place = {
      id: 'new',
      kind: 'screw',
      x: 0.5,
      y: 0.5,
      holds: 'cover',
      length_mm: 5,
      drive: 'cross',
      head: 'pan',
    };
    const bench = laid(event('place_added', { place }));
    expect(bench.places.at(-1)).toMatchObject({ id: 'new', letter: 'A', is_out: false });
    expect(laid(event('place_removed', { place: 'c1' })).places.map((p) => p.id)).toEqual(['bat', 'fan']);
  });

  it('goes back, skips, ends waits, notes leftovers and closes', () => {
    const done = { how: 'done', at: '', by: '', words: '', value: null };
    const said = makeBench({ steps: [makeStep('a', { outcome: done }), makeStep('b', { outcome: done })] });
    expect(project(said, [event('gone_back', { step: 'b' })], 0, WORDS).steps.map((s) => s.outcome !== null)).toEqual([
      true,
      false,
    ]);
    expect(step(laid(event('step_skipped', { step: 'apply', reason: 'none' })), 'apply')?.outcome).toMatchObject({
      how: 'skipped',
      words: 'none',
    });
    const waiting = event('step_done', { step: 'cleaned' });
    expect(laid(waiting, event('wait_ended', { wait: waiting.id, reason: 'dry' })).waits[0]?.reason).toBe('dry');
    expect(laid(event('leftover', { count: 2 })).leftover).toBe(2);
    expect(laid(event('closed')).closed).not.toBeNull();
  });

  it('settles the first power-on only when nothing fails', () => {
    expect(step(laid(event('power_on', { results: { boot: 'fine' } })), 'power_on')?.outcome?.how).toBe('done');
    expect(step(laid(event('power_on', { results: { boot: 'fails' } })), 'power_on')?.outcome).toBeNull();
  });
});

describe('rules as the server gave them', () => {
  it('finds the rule that is broken and the step that comes first', () => {
    const bench = makeBench();
    expect(brokenGuard([BATTERY_GUARD], new Set())?.rule).toBe('cooler_on_battery');
    expect(brokenGuard([BATTERY_GUARD], new Set(['battery_off']))).toBeNull();
    const hard = { ...BATTERY_GUARD, rule: 'hard', hard: true };
    expect(brokenGuard([BATTERY_GUARD, hard], new Set())?.rule).toBe('hard');
    expect(stepFirst(bench, BATTERY_GUARD, 'plugs_open')?.id).toBe('battery_off');
    const bars = { ...BATTERY_GUARD, needs: [], bars: ['plugs_open'] };
    const plugged = makeBench({ facts: ['plugs_open'], steps: [makeStep('plugs_on', { acts: ['plug_on'] })] });
    expect(brokenGuard([bars], new Set(['plugs_open']))).toBe(bars);
    expect(stepFirst(plugged, bars, 'plugs_open')?.id).toBe('plugs_on');
  });

  it('holds a step while the wait before it runs', () => {
    const wait = {
      id: 'w',
      wait: 'alcohol',
      words: 'Alcohol dries',
      step: '',
      began: '2026-03-02T10:00:00Z',
      due: '2026-03-02T10:05:00Z',
      ended: null,
      reason: '',
    };
    const apply = makeStep('apply', { after_waits: ['alcohol'] });
    expect(runningWait(apply, [wait], Date.parse('2026-03-02T10:04:59Z'))).toBe(wait);
    expect(runningWait(apply, [wait], Date.parse('2026-03-02T10:05:00Z'))).toBeNull();
    expect(runningWait(makeStep('other'), [wait], 0)).toBeNull();
  });
});

describe('clocks', () => {
  it('counts down to nought, never below', () => {
    expect(remaining(61_000)).toBe('1:01');
    expect(remaining(3_600_000)).toBe('1:00:00');
    expect(remaining(-5)).toBe('0:00');
  });

  it('says minutes and hours', () => {
    expect(minutesWords(15)).toBe('15 min');
    expect(minutesWords(1440)).toBe('24 h');
  });
});

it('counts what is still open without waiting for an answer', () => {
  const open = (of: string) => ({ code: 'unsafe' as const, text: of, remedy: '', stage: 'close', of });
  const said = makeBench({ blockers: ['power_off', 'battery_on', 'fan', ''].map(open), facts: ['battery_on'] });
  const bench = project(said, [event('step_done', { step: 'power_off' })], 0, WORDS);
  expect(bench.blockers.map((b) => b.of)).toEqual(['']);
});

it('keeps what is out when its place is drawn anew', () => {
  const said = makeBench({ places: [makePlace('c1', { is_out: true })] });
  const changed = {
    id: 'c1',
    kind: 'screw',
    x: 0.9,
    y: 0.9,
    holds: 'cover',
    length_mm: 8,
    drive: 'cross',
    head: 'pan',
  };
  const bench = project(said, [event('place_changed', { place: changed })], 0, WORDS);
  expect(bench.places[0]).toMatchObject({ x: 0.9, is_out: true, letter: '·' });
});
