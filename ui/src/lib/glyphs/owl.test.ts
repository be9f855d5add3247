import { describe, expect, it } from 'vitest';
import type { Glance } from '../api';
import { isHeld, owlWords, pupilShare, ringPath } from './owl';

const blank: Glance = { measured: false, rise_k: null, noise_db: null, held_share: null };

describe('owl geometry', () => {
  it('starts at the bottom and turns clockwise: a quarter ends at the left', () => {
    expect(ringPath(0, 0, 10, 0.25)).toBe('M0 10A10 10 0 0 1 -10 0');
  });
  it('takes the long way round from a half on', () => {
    expect(ringPath(0, 0, 10, 0.75)).toContain('0 1 1 10 0');
  });
  it('keeps the pupil between quiet and loud', () => {
    expect(pupilShare(10)).toBe(0);
    expect(pupilShare(45)).toBeCloseTo(0.5);
    expect(pupilShare(90)).toBe(1);
    expect(pupilShare(null)).toBeNull();
  });
});

describe('owl in words', () => {
  it('says what each eye shows', () => {
    const before: Glance = { measured: true, rise_k: 70.7, noise_db: 53.1, held_share: 0.9 };
    expect(isHeld(before)).toBe(true);
    expect(owlWords(before, blank, false)).toBe(
      'Before: 71 kelvins over the room, 53 decibels, throttled. After: not measured yet.',
    );
  });
  it('says that a stopped device is stopped', () => {
    expect(owlWords(blank, blank, true)).toContain('Stopped for safety');
  });
});
