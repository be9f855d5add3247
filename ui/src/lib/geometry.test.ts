// What the page draws against what the paper draws: contract/geometry.json.
import { readFileSync } from 'node:fs';
import { render } from '@testing-library/svelte';
import { describe, expect, it } from 'vitest';
import type { Ladder } from './api';
import { highestRise, shape } from './charts/ladder';
import Owl from './glyphs/Owl.svelte';
import { isHeld, pupilShare, RISE_FULL_K, ringPath } from './glyphs/owl';
import ClassShape from './maps/ClassShape.svelte';
import { BOX, OUTLINES, wordY } from './maps/outlines';

interface Geometry {
  owl: {
    rise_full_k: number;
    verdicts: string[];
    rings: { share: number; x: number; y: number; long_way: boolean }[];
    pupils: { noise_db: number | null; share: number | null }[];
    held: { held_share: number | null; held: boolean }[];
  };
  ladder: {
    highest_rise_k: number;
    highest_rise_of_none_k: number;
    cases: { ladder: Ladder; floor: number; scale: number; joints: [number, number][] }[];
  };
  map: { kinds: string[]; shapes: string[] };
}
const { owl, ladder, map } = JSON.parse(readFileSync(`${process.cwd()}/../contract/geometry.json`, 'utf8')) as Geometry;
const blank = { measured: false, rise_k: null, noise_db: null, held_share: null };

describe('the owl of page and paper', () => {
  it('has one full circle, and rings that end at the same place', () => {
    expect(RISE_FULL_K).toBe(owl.rise_full_k);
    for (const ring of owl.rings) {
      const [, large, x, y] = /0 ([01]) 1 (\S+) (\S+)$/.exec(ringPath(0, 0, 100, ring.share)) ?? [];
      expect([large === '1', Number(x), Number(y)]).toEqual([
        ring.long_way,
        expect.closeTo(100 * ring.x, 1),
        expect.closeTo(100 * ring.y, 1),
      ]);
    }
  });
  it('has the same pupils and the same lids', () => {
    for (const { noise_db, share } of owl.pupils)
      expect(pupilShare(noise_db)).toEqual(share === null ? null : expect.closeTo(share, 9));
    for (const { held_share, held } of owl.held) expect(isHeld({ ...blank, held_share })).toBe(held);
  });
  it('has a beak for every verdict', () => {
    const beaks = owl.verdicts.map((verdict) => {
      const { container } = render(Owl, { before: blank, after: blank, verdict });
      return container.querySelector('.beak')?.getAttribute('d');
    });
    expect(beaks.every(Boolean)).toBe(true);
  });
});

describe('the ladder of page and paper', () => {
  it('has its joints at the same height, on one scale', () => {
    expect(highestRise(ladder.cases.map((c) => c.ladder))).toBe(ladder.highest_rise_k);
    expect(highestRise([])).toBe(ladder.highest_rise_of_none_k);
    for (const one of ladder.cases) {
      const drawn = shape(one.ladder, one.floor, one.scale).spans.map((s) => [s.top, s.bottom]);
      expect(drawn).toEqual(one.joints.map((pair) => pair.map((y) => expect.closeTo(y, 4))));
    }
  });
});

describe('the map', () => {
  it('has an outline for every kind of device, with its marks inside', () => {
    expect(Object.keys(OUTLINES).sort()).toEqual([...map.kinds].sort());
    for (const { marks } of Object.values(OUTLINES))
      for (const { x, y } of marks) {
        expect(x / BOX.width).toBeGreaterThan(0);
        expect(x / BOX.width).toBeLessThan(1);
        expect(y / BOX.height).toBeGreaterThan(0);
        expect(y / BOX.height).toBeLessThan(1);
      }
  });
  it('moves the word of a part away from what lies on it, and lets it stand otherwise', () => {
    const fan = { x: 250, y: 158 };
    expect(wordY(fan, [])).toBe(158);
    expect(wordY(fan, [{ x: 0.9, y: 0.25 }])).toBe(158);
    expect(wordY(fan, [{ x: 0.25, y: 0.24 }])).toBe(102); // two steps up: one would still touch it
  });
  it('has a mark of its own for every class of screws', () => {
    const drawn = map.shapes.map((shape) => {
      const { container } = render(ClassShape, { shape, letter: 'A' });
      return container.querySelector('path')?.getAttribute('d') ?? 'circle';
    });
    expect(new Set(drawn).size).toBe(map.shapes.length);
  });
});
