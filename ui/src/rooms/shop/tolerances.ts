// How the half-widths are typed: shares as percent, everything else as it is.
import { say } from '$words/page-shop.ftl';
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
  {
    name: 'run_to_run_k',
    label: say('tolerances-run-to-run'),
    unit: 'K',
    hint: say('tolerances-same-device-tested-twice'),
  },
  { name: 'room_k', label: say('tolerances-room-thermometer'), unit: 'K', hint: say('tolerances-at-bench') },
  {
    name: 'die_sensor_k',
    label: say('tolerances-die-sensor'),
    unit: 'K',
    hint: say('tolerances-repeatability-sensor-on-chip'),
  },
  {
    name: 'power_share',
    label: say('tolerances-power-sensor'),
    unit: '%',
    hint: say('tolerances-what-device-says-its'),
  },
  { name: 'clock_share', label: say('tolerances-clock'), unit: '%', hint: say('tolerances-mean-clock-run') },
  { name: 'noise_db', label: say('tolerances-sound-meter'), unit: 'dB', hint: say('tolerances-same-fan-read-twice') },
  {
    name: 'noise_room_db_per_k',
    label: say('tolerances-noise-in-another-room'),
    unit: 'dB/K',
    hint: say('tolerances-what-fan-that-follows'),
  },
  {
    name: 'result_share',
    label: say('tolerances-benchmark-result'),
    unit: '%',
    hint: say('tolerances-two-runs-one-benchmark'),
  },
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
