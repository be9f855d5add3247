// Geometry of the heat ladder: joints are temperatures, the space between two rungs is a drop in kelvins.
import type { Ladder } from '../api';

export interface Span {
  name: string;
  dropK: number;
  resistance: number | null;
  source: string;
  /** y of the upper and lower joint, px from the top. */
  top: number;
  bottom: number;
}

export interface LadderShape {
  spans: Span[];
  top: number;
}

/** The largest rise of the ladders that share a scale. */
export function highestRise(ladders: (Ladder | null)[]): number {
  return Math.max(1, ...ladders.map((l) => (l ? l.die_c - l.room_c : 0)));
}

export function shape(ladder: Ladder, floor: number, pxPerK: number): LadderShape {
  let y = floor;
  const spans = ladder.rungs.map((rung) => {
    const bottom = y;
    y -= Math.max(0, rung.drop_k * pxPerK);
    return { name: rung.name, dropK: rung.drop_k, resistance: rung.resistance, source: rung.source, top: y, bottom };
  });
  return { spans, top: y };
}

/** y for labels so that none is closer to the one below than `gap`; labels move up, never down. */
export function spread(wanted: number[], gap: number): number[] {
  const placed: number[] = [];
  for (const y of wanted) {
    const below = placed.at(-1);
    placed.push(below === undefined ? y : Math.min(y, below - gap));
  }
  return placed;
}
