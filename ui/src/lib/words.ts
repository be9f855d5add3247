// Words of the trade for stored names: the messages that the server uses as well, with a capital to begin with.
import { say, upper } from './say';

const named = (family: string, names: readonly string[]): Record<string, string> =>
  Object.fromEntries(names.map((name) => [name, upper(say(`${family}-${name}`))]));
const small = (family: string, names: readonly string[]): Record<string, string> =>
  Object.fromEntries(names.map((name) => [name, say(`${family}-${name}`)]));

export const KINDS = named('device', ['laptop', 'console', 'handheld', 'other']);
/** How an amount is known: what nobody weighed does not read like what somebody did. */
export const AMOUNT_IS = small('amount', ['planned', 'weighed']);
export const TARGET_NAMES = ['cpu_die', 'gpu_die', 'memory', 'regulators', 'inductors', 'cover', 'other'] as const;
export const TARGETS = named('target', TARGET_NAMES);
export const KIND_NAMES = [
  'paste_stiff',
  'paste_soft',
  'phase_change_sheet',
  'phase_change_paste',
  'gallium_alloy',
  'pad',
  'putty',
  'heat_glue',
  'copper_shim',
] as const;
export const INTERFACES = named('kind', KIND_NAMES);
/** What to do about a device, by its history. */
export const ADVICE = named('advice', ['redo', 'watch', 'leave', 'unknown']);
/** What made a state of a device. */
export const CAUSES = named('cause', ['found', 'fitted', 'attempt', 'tuned', 'firmware', 'cycled', 'reopened', 'told']);
/** What runs are put together by, and what is compared of them. */
export const FACTORS = named('factor', [
  'material',
  'fan',
  'placement',
  'attempt',
  'state',
  'load',
  'profile',
  'firmware',
  'tuning',
]);
export const FIGURES = named('figure', [
  'rise_K',
  'resistance_K_per_W',
  'power_W',
  'held_share',
  'sag_W',
  'sag_MHz',
  'clock_spread_MHz',
  'frame_rate_per_s',
  'slow_frame_rate_per_s',
  'noise_at_matched_rise_db',
  'rise_at_matched_noise_K',
  'noise_db',
  'result_score',
  'result_duration_s',
  'result_frame_rate',
]);
export const CLEANED = named('cleaned', ['fins', 'fan', 'vents', 'contact', 'old_interface', 'pads_checked']);
export const SPOTS = named('spot', ['exhaust', 'skin', 'heatsink']);
export const ROLES = named('role', [
  'cpu_temperature',
  'gpu_temperature',
  'gpu_hotspot',
  'core_temperature',
  'memory_temperature',
  'regulator_temperature',
  'drive_temperature',
  'skin_temperature',
  'cpu_power',
  'gpu_power',
  'total_power',
  'cpu_clock',
  'gpu_clock',
  'cpu_utilisation',
  'gpu_utilisation',
  'fan_speed',
  'heatsink_temperature',
  'exhaust_temperature',
  'room_temperature',
  'throttle_flag',
  'frame_time',
  'frame_rate',
]);
export const VERDICTS = named('verdict', [
  'improved',
  'worse',
  'improved_if_same',
  'worse_if_same',
  'no_difference_shown',
  'cannot_be_compared',
]);
export const STAGES: { id: string; name: string }[] = [
  'intake',
  'before',
  'plan',
  'open',
  'clean',
  'fit',
  'close',
  'after',
  'handover',
].map((id) => ({ id, name: say(`stage-${id}`) }));
/** The verdict is read within After. */
export const railStage = (stage: string): string => (stage === 'verdict' ? 'after' : stage);
export const RUNGS = small('rung', ['interface', 'heatsink', 'air', 'behind', 'whole']);
