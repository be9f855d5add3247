// Words, units and digits of the figures of a run.
import { FIGURES, ROLES } from '../../lib/words';
import { say } from '$words/page-runs.ftl';

/** Before the name of a column of a log that has no role. */
const COLUMN = 'column:';
export const isColumn = (name: string): boolean => name.startsWith(COLUMN);
/** What a figure is called: a column as its logger calls it, with its unit. */
export const figureWords = (name: string): string =>
  FIGURES[name] ?? ROLES[name] ?? (isColumn(name) ? name.slice(COLUMN.length) : name);

const UNITS: Record<string, [string, number]> = {
  rise_K: ['K', 1],
  resistance_K_per_W: ['K/W', 3],
  power_W: ['W', 1],
  held_share: ['', 2],
  sag_W: ['W', 1],
  sag_MHz: ['MHz', 0],
  clock_spread_MHz: ['MHz', 0],
  frame_rate_per_s: ['/s', 1],
  slow_frame_rate_per_s: ['/s', 1],
  noise_db: ['dB', 1],
  noise_at_matched_rise_db: ['dB', 1],
  rise_at_matched_noise_K: ['K', 1],
  result_score: ['', 0],
  result_duration_s: ['s', 0],
  result_frame_rate: ['/s', 1],
};
const BY_ROLE: [string, string, number][] = [
  ['_temperature', '°C', 1],
  ['_hotspot', '°C', 1],
  ['_power', 'W', 1],
  ['_clock', 'MHz', 0],
  ['_utilisation', '%', 0],
  ['_speed', 'rpm', 0],
  ['frame_time', 'ms', 2],
  ['frame_rate', '/s', 1],
];

const found = (name: string): [string, number] => {
  if (isColumn(name)) return ['', 1];
  const known = UNITS[name];
  if (known) return known;
  const role = BY_ROLE.find(([end]) => name.endsWith(end));
  return role ? [role[1], role[2]] : ['', 2];
};

export const unitOf = (name: string): string => found(name)[0];
export const digitsOf = (name: string): number => found(name)[1];

/** A level of a factor in words. */
export function levelWords(factor: string, level: string): string {
  if (factor === 'state') return `${say('run-list-state')} ${level}`;
  if (factor === 'attempt') return say('run-list-attempt', { attempt: level });
  return level;
}

/** Levels of a factor, the one that most runs have first; nothing that was not noted. */
export function mostFirst(levels: string[]): string[] {
  const count = new Map<string, number>();
  for (const level of levels) if (level) count.set(level, (count.get(level) ?? 0) + 1);
  return [...count.keys()].sort((a, b) => (count.get(b) ?? 0) - (count.get(a) ?? 0));
}

/** Figures where another one is held alike, and which that is. */
const HELD: Record<string, string> = { noise_at_matched_rise_db: 'rise_K', rise_at_matched_noise_K: 'noise_db' };
export const isMatched = (name: string): boolean => name in HELD;
export const heldWith = (name: string): string => HELD[name] ?? '';

/** What a customer may wish most, and the figures that tell it, the best first. */
export const WISHES: Record<string, string[]> = {
  cooler: ['rise_at_matched_noise_K', 'resistance_K_per_W', 'rise_K'],
  quieter: ['noise_at_matched_rise_db', 'noise_db'],
  faster: ['frame_rate_per_s', 'result_frame_rate', 'result_score', 'power_W'],
};
