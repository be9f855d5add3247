import { describe, expect, it } from 'vitest';
import { hertz, outline } from './bands';

const bands = [
  { centre_hz: 500, level_db: 52 },
  { centre_hz: 630, level_db: 31 },
  { centre_hz: 1000, level_db: -30 },
];

describe('third octaves', () => {
  it('stand below a round level and reach the floor 60 dB under it', () => {
    const { points, ticks } = outline(bands, 300, 120);
    expect(ticks[0]).toEqual({ db: 60, y: 0 });
    expect(points[0]).toEqual([0, 16]);
    expect(points.at(-1)).toEqual([300, 120]);
  });
  it('name the octaves only', () => {
    expect(outline(bands, 300, 120).names).toEqual([
      { words: '500', x: 50 },
      { words: '1k', x: 250 },
    ]);
  });
  it('are nothing for nothing', () => {
    expect(outline([], 300, 120)).toEqual({ points: [], ticks: [], names: [] });
  });
  it('are written in hertz and kilohertz', () => {
    expect([31.5, 125, 1500, 4000].map(hertz)).toEqual(['31.5 Hz', '125 Hz', '1.5 kHz', '4 kHz']);
  });
});
