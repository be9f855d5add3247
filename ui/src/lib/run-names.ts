// What runs and states are called.
import type { Schemas } from './api';
import { CAUSES } from './words';
import { say } from '$words/page-runs.ftl';

export function nameOf(run: Schemas['RunRowOut']): string {
  if (run.side === 'before') return say('run-list-before');
  if (run.side === 'after') return say('run-list-after');
  return run.name;
}

/** A state in a few words: its number, what made it, and what is said of it. */
export function stateWords(state: Schemas['StateOut']): string {
  const counted = state.heat_cycles !== null;
  const cause = counted
    ? say('run-list-cycles-since', { cycles: state.heat_cycles ?? 0 })
    : (CAUSES[state.cause]?.toLowerCase() ?? state.cause);
  const more = [
    state.attempt > 1 ? say('run-list-attempt', { attempt: state.attempt }).toLowerCase() : '',
    state.words,
    state.cause === 'firmware' ? state.firmware : '',
    state.cause === 'tuned' ? state.tuning : '',
  ].filter(Boolean);
  return [say('run-list-state-of', { position: state.position, cause }), ...more].join(', ');
}

export const conditionsOf = (run: Schemas['RunRowOut']): string =>
  [run.fan_setting, run.placement, run.power_profile, run.tuning, run.firmware].filter(Boolean).join(' · ');
