// Geometry of the owl: ring is rise over room (full circle 90 K), pupil is noise, lid is heat holding it back.
import { say } from '../say';
import type { Glance } from '../api';

export const RISE_FULL_K = 90;
export const NOISE_LOW_DB = 25;
export const NOISE_HIGH_DB = 65;
export const HELD_SHARE = 0.02;

// Two digits, and no minus before a zero.
const round = (v: number) => Math.round(v * 100) / 100 + 0;

/** A ring's path from the bottom clockwise. */
export function ringPath(cx: number, cy: number, radius: number, share: number): string {
  const part = Math.min(0.9999, Math.max(0, share));
  const angle = Math.PI / 2 + 2 * Math.PI * part;
  const x = cx + radius * Math.cos(angle);
  const y = cy + radius * Math.sin(angle);
  return `M${cx} ${cy + radius}A${radius} ${radius} 0 ${part > 0.5 ? 1 : 0} 1 ${round(x)} ${round(y)}`;
}

/** Pupil as a share from quiet (0) to loud (1); null when no noise was read. */
export function pupilShare(noiseDb: number | null): number | null {
  if (noiseDb === null) return null;
  return Math.min(1, Math.max(0, (noiseDb - NOISE_LOW_DB) / (NOISE_HIGH_DB - NOISE_LOW_DB)));
}

export function isHeld(glance: Glance): boolean {
  return (glance.held_share ?? 0) > HELD_SHARE;
}

function eyeWords(glance: Glance): string {
  if (!glance.measured) return say('owl-not-measured-yet');
  const parts = [
    glance.rise_k === null
      ? say('owl-rise-not-known')
      : say('owl-kelvins-over-room', { rise_k: Math.round(glance.rise_k) }),
  ];
  if (glance.noise_db !== null) parts.push(say('owl-decibels', { noise_db: Math.round(glance.noise_db) }));
  if (isHeld(glance)) parts.push(say('trace-chart-held-back-by-heat'));
  return parts.join(', ');
}

/** The owl in words. */
export function owlWords(before: Glance, after: Glance, stopped: boolean): string {
  if (stopped) return say('owl-stopped-for-safety-both');
  return say('owl-before-after', { before: eyeWords(before), after: eyeWords(after) });
}
