import { render, screen } from '@testing-library/svelte';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api';
import SensorTable from './SensorTable.svelte';

const sensor = (more: Partial<Schemas['SensorOut']>): Schemas['SensorOut'] => ({
  role: 'cpu_temperature',
  words: 'processor temperature',
  short_words: 'processor',
  limit_c: null,
  limit_noted: false,
  before_c: 95,
  after_c: 80,
  difference_k: -12,
  u95_k: 1.8,
  over_limit_k: null,
  shown: 'better',
  tells: true,
  ...more,
});
const memory = sensor({
  role: 'memory_temperature',
  words: 'memory temperature',
  limit_c: 105,
  after_c: 109,
  difference_k: 0.4,
  over_limit_k: 4,
  shown: 'not_shown',
});

describe('sensors side by side', () => {
  it('begins with what stands above its limit, and says whose limit it is', () => {
    render(SensorTable, { sensors: [sensor({}), memory] });
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows[0]).toHaveTextContent('memory temperature');
    expect(rows[0]).toHaveTextContent('105 °C, usual');
    expect(rows[0]).toHaveTextContent('4 K over it');
    expect(rows[1]).toHaveTextContent('−12.0 ± 1.8');
    expect(rows[1]).toHaveTextContent('not known');
  });

  it('does not say usual of a limit that was noted', () => {
    render(SensorTable, { sensors: [sensor({}), { ...memory, limit_noted: true }] });
    expect(screen.getAllByRole('row')[1]).not.toHaveTextContent('usual');
  });

  it('is not there for a die with its exhaust alone', () => {
    render(SensorTable, {
      sensors: [sensor({}), sensor({ role: 'exhaust_temperature', words: 'exhaust air', tells: false })],
    });
    expect(screen.queryByRole('table')).toBeNull();
  });
});
