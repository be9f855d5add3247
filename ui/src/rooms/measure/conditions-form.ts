// How a run was made, as it is typed.
import type { Run } from '../../lib/api';
import { clock, parseDuration, parseNumber } from '../../lib/format';

export interface ConditionsText {
  room_c: string;
  duration_min: string;
  load_recipe: string;
  fan_setting: string;
  power_profile: string;
  placement: string;
  start: '' | 'cold' | 'warm';
  firmware: string;
  tuning: string;
  fan_blades: string;
  result_score: string;
  result_duration_s: string;
  result_frame_rate: string;
}
const text = (value: number | null) => (value === null ? '' : String(value));
export const formOf = (r: Run): ConditionsText => ({
  room_c: text(r.room_c),
  duration_min: text(r.duration_min),
  load_recipe: r.load_recipe,
  fan_setting: r.fan_setting,
  power_profile: r.power_profile,
  placement: r.placement,
  start: r.start as ConditionsText['start'],
  firmware: r.firmware,
  tuning: r.tuning,
  fan_blades: text(r.fan_blades),
  result_score: text(r.result_score),
  result_duration_s:
    r.result_duration_s !== null && Number.isInteger(r.result_duration_s)
      ? clock(r.result_duration_s)
      : text(r.result_duration_s),
  result_frame_rate: text(r.result_frame_rate),
});

/** Numbers of the form; null where nothing was typed, not a number where what was typed is none. */
export const numbersOf = (form: ConditionsText) => ({
  room_c: parseNumber(form.room_c),
  duration_min: parseNumber(form.duration_min),
  fan_blades: parseNumber(form.fan_blades),
  result_score: parseNumber(form.result_score),
  result_duration_s: parseDuration(form.result_duration_s),
  result_frame_rate: parseNumber(form.result_frame_rate),
});
