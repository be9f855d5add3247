import { describe, expect, it } from 'vitest';
import { guessFrom } from './guess';

describe('what a file name tells', () => {
  it('takes the words as the name and a fan setting where it says one', () => {
    expect(guessFrom('soft_paste_fan-full.csv')).toEqual({
      name: 'soft paste fan full',
      fan_setting: 'full',
      placement: '',
      tuning: '',
    });
  });
  it('knows places, and a closed lid before a dock', () => {
    expect(guessFrom('dock lid closed.log').placement).toBe('dock, lid closed');
    expect(guessFrom('Dock.xlsx').placement).toBe('dock');
    expect(guessFrom('laptop-stand_2.csv').placement).toBe('stand');
  });
  it('does not take a laptop for a lap, nor a date for an undervolt', () => {
    expect(guessFrom('laptop.csv').placement).toBe('');
    expect(guessFrom('2026-11-29.csv').tuning).toBe('');
  });
  it('reads an undervolt with its minus', () => {
    expect(guessFrom('uv -80mV.csv').tuning).toBe('undervolt −80 mV');
  });
});
