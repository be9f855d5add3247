import { describe, expect, it } from 'vitest';
import { runOf } from './runs';
import { BATTERY_GUARD, makeBench, makePlace, makeStep } from './test-bench';
import type { Bench } from './types';

const NOW = Date.parse('2026-03-02T09:30:00Z');
const ids = (bench: Bench, index = 0) => runOf(bench, index, NOW, 'plugs_open').map((s) => s.id);
const plain = (...names: string[]) => names.map((name) => makeStep(name));

describe('steps told in one go', () => {
  it('ends with what is held, and with what starts a wait', () => {
    const steps = [...plain('a', 'b'), makeStep('battery_off', { held: true }), ...plain('c')];
    expect(ids(makeBench({ steps }))).toEqual(['a', 'b', 'battery_off']);
    expect(ids(makeBench({ steps }), 2)).toEqual(['battery_off']);
    expect(ids(makeBench({ steps: [makeStep('wipe', { wait: 'alcohol' }), ...plain('d')] }))).toEqual(['wipe']);
  });

  it('never reaches what is told alone, a dose, or the power', () => {
    for (const more of [{ alone: true }, { asks: { name: 'dose_g', words: 'Weighed', unit: 'g' } }, { shows: 'power' }])
      expect(ids(makeBench({ steps: [...plain('a'), makeStep('x', more as object), ...plain('b')] }))).toEqual(['a']);
  });

  it('tells the last look by itself: what hides it is told afterwards', () => {
    const steps = [makeStep('covered', { alone: true }), ...plain('cooler_on')];
    expect(ids(makeBench({ steps, model_places: 18 }))).toEqual(['covered']);
  });

  it('goes past a step between die and power only on a model whose map is kept', () => {
    const steps = [makeStep('cooler_off', { skippable: false }), ...plain('dust')];
    expect(ids(makeBench({ steps }))).toEqual(['cooler_off']);
    expect(ids(makeBench({ steps, model_places: 18 }))).toEqual(['cooler_off', 'dust']);
    expect(ids(makeBench({ steps, model_places: 18, places: [] }))).toEqual(['cooler_off']);
  });

  it('stops where a rule would be broken, by what the steps before it make true', () => {
    const steps = [makeStep('a'), makeStep('cooler_off', { guards: [BATTERY_GUARD] })];
    expect(ids(makeBench({ steps }))).toEqual(['a']);
    const off = makeStep('off', { acts: ['battery_off'] });
    expect(ids(makeBench({ steps: [off, ...steps] }))).toEqual(['off', 'a', 'cooler_off']);
    expect(ids(makeBench({ steps }), 1)).toEqual([]);
  });

  it('knows that a plug is back by its place', () => {
    const places = [makePlace('fan', { kind: 'plug', holds: 'fan', is_out: true })];
    const guard = { ...BATTERY_GUARD, needs: [], bars: ['plugs_open'] };
    const battery = makeStep('battery_on', { guards: [guard], held: true });
    const on = makeStep('plugs_on', { acts: ['plug_on'], puts_in: ['fan'] });
    const facts = ['plugs_open'];
    expect(ids(makeBench({ places, facts, steps: [on, battery] }))).toEqual(['plugs_on', 'battery_on']);
    expect(ids(makeBench({ places, facts, steps: [...plain('a'), battery] }))).toEqual(['a']);
  });

  it('leaves alone what waits or is done', () => {
    const waits = [
      { id: 'w', wait: 'alcohol', step: '', words: '', began: '', due: '2026-03-02T10:00:00Z', ended: null, reason: '' },
    ]; // prettier-ignore
    const apply = makeStep('apply', { after_waits: ['alcohol'] });
    expect(ids(makeBench({ waits, steps: [...plain('a'), apply] }))).toEqual(['a']);
    expect(ids(makeBench({ waits, steps: [apply] }))).toEqual([]);
    const outcome = { how: 'done', at: '', by: '', words: '', value: null };
    expect(ids(makeBench({ steps: [...plain('a'), makeStep('b', { outcome })] }))).toEqual(['a']);
  });
});
