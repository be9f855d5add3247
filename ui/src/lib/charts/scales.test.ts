import { describe, expect, it } from 'vitest';
import { linear } from './linear';
import { makeScales, nearest, type Line } from './scales';

const line: Line = {
  side: 'before',
  name: 'before',
  time: [-30, 0, 300, 900],
  values: [31, 40, 80, 95],
  window: [600, 900],
  held: [],
  marks: [],
  phases: [],
};
const box = { width: 800, height: 300, left: 40, right: 10, top: 10, bottom: 60 };

describe('chart scales', () => {
  it('puts the whole time between the margins', () => {
    const { x } = makeScales([line], box, null);
    expect(x(-30)).toBe(40);
    expect(x(900)).toBe(790);
  });
  it('marks load onset at minute 0 and keeps ticks readable', () => {
    const { minutes } = makeScales([line], box, null);
    expect(minutes[0]).toBe(0);
    expect(minutes.length).toBeLessThanOrEqual(10);
    // On a phone the words of two ticks do not touch.
    const narrow = makeScales([line], { ...box, width: 260 }, null);
    const gap = (narrow.minutes[1] ?? Infinity) - (narrow.minutes[0] ?? 0);
    expect(narrow.x(gap * 60) - narrow.x(0)).toBeGreaterThan(50);
  });
  it('fits the values of the stretch that is shown', () => {
    const { y } = makeScales([line], box, [250, 350]);
    expect(y.domain()[0]).toBeLessThanOrEqual(80);
    expect(y.domain()[1]).toBeGreaterThanOrEqual(80);
    expect(y.domain()[1]).toBeLessThan(95);
  });
});

describe('nearest sample', () => {
  it('finds the closer neighbour at both ends and between', () => {
    expect(nearest(line.time, -100)).toBe(0);
    expect(nearest(line.time, 140)).toBe(1);
    expect(nearest(line.time, 170)).toBe(2);
    expect(nearest(line.time, 5000)).toBe(3);
  });
});

describe('a straight scale', () => {
  it('goes there and back, rounds outwards and has its ticks inside', () => {
    const scale = linear([31.2, 96.4], [300, 0], 5);
    expect(scale.domain()).toEqual([30, 100]);
    expect([scale(30), scale(65), scale(100)]).toEqual([300, 150, 0]);
    expect(scale.invert(scale(71.3))).toBeCloseTo(71.3, 9);
    expect(scale.ticks(5)).toEqual([30, 40, 50, 60, 70, 80, 90, 100]);
  });
  it('puts what never moved in the middle', () => {
    const scale = linear([40, 40], [300, 0], 5);
    expect(scale(40)).toBe(150);
    expect(scale.ticks(5)).toEqual([40]);
  });
});
