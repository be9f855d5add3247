// A straight scale: from values to places on a drawing and back. Where its ticks fall is d3's to say.
import { nice, ticks } from 'd3-array';

type Pair = readonly [number, number];

export interface Linear {
  (value: number): number;
  domain(): Pair;
  range(): Pair;
  invert(place: number): number;
  /** About so many round values within the domain. */
  ticks(about: number): number[];
}

/** domain: values; range: the places of the two; nice: round the domain outwards to about so many ticks. */
export function linear(domain: Pair, range: Pair, about?: number): Linear {
  const [low, high] = about === undefined ? domain : (nice(domain[0], domain[1], about) as [number, number]);
  const [from, to] = range;
  // A domain of one value lies in the middle.
  const place = (value: number) =>
    high === low ? (from + to) / 2 : from + ((value - low) / (high - low)) * (to - from);
  return Object.assign(place, {
    domain: (): Pair => [low, high],
    range: () => range,
    invert: (at: number) => low + ((at - from) / (to - from)) * (high - low),
    ticks: (n: number) => ticks(low, high, n),
  });
}
