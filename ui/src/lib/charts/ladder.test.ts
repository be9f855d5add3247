import { describe, expect, it } from 'vitest';
import type { Ladder } from '../api';
import { highestRise, shape, spread } from './ladder';

const ladder: Ladder = {
  room_c: 25,
  die_c: 95,
  power: 45,
  rungs: [
    { name: 'air', drop_k: 10, resistance: 0.22, source: 'log', u95_k: 1 },
    { name: 'heatsink', drop_k: 40, resistance: 0.89, source: 'log', u95_k: 1 },
    { name: 'interface', drop_k: 20, resistance: 0.44, source: 'log', u95_k: 1 },
  ],
};

describe('heat ladder', () => {
  it('stands on the floor and is as high as the rise', () => {
    const drawn = shape(ladder, 300, 2);
    expect(drawn.spans[0]?.bottom).toBe(300);
    expect(drawn.top).toBe(300 - 70 * 2);
  });
  it('shares one scale between both sides', () => {
    expect(highestRise([ladder, { ...ladder, die_c: 70 }])).toBe(70);
    expect(highestRise([null, null])).toBe(1);
  });
  it('keeps labels apart by moving the upper one', () => {
    expect(spread([100, 96, 40], 14)).toEqual([100, 86, 40]);
  });
});
