// How the half-widths are typed: shares as percent, everything else as it is.
import type { Schemas } from '../../lib/api';
import { parseNumber } from '../../lib/format';

export type ToleranceName = keyof Schemas['TolerancesIn'];

export interface Tolerance {
  name: ToleranceName;
  label: string;
  unit: string;
  hint: string;
}

export const TOLERANCES: Tolerance[] = [
  { name: 'run_to_run_k', label: 'Run to run', unit: 'K', hint: 'The same device tested twice; repeats replace it' },
  { name: 'room_k', label: 'Room thermometer', unit: 'K', hint: 'At the bench' },
  { name: 'die_sensor_k', label: 'Die sensor', unit: 'K', hint: 'Repeatability of the sensor on the chip' },
  { name: 'power_share', label: 'Power sensor', unit: '%', hint: 'What the device says of its watts' },
  { name: 'clock_share', label: 'Clock', unit: '%', hint: 'Mean clock of a run' },
  { name: 'noise_db', label: 'Sound meter', unit: 'dB', hint: 'The same fan read twice' },
  {
    name: 'noise_room_db_per_k',
    label: 'Noise in another room',
    unit: 'dB/K',
    hint: 'What a fan that follows the heat adds',
  },
  { name: 'result_share', label: 'Benchmark result', unit: '%', hint: 'Two runs of one benchmark' },
];

export function toField(t: Tolerance, value: number): string {
  return String(Number((t.unit === '%' ? 100 * value : value).toFixed(4)));
}

/** The value as it is stored, null when it is no number. */
export function fromField(t: Tolerance, text: string): number | null {
  const value = parseNumber(text);
  if (value === null || Number.isNaN(value)) return null;
  return t.unit === '%' ? value / 100 : value;
}
