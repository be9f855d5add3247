// Scales and ticks of the trace chart, without a document.
import { say } from '../say';
import type { Reading } from '../api';
import { linear, type Linear } from './linear';

export interface Line {
  side: 'before' | 'after';
  /** What it is called: a further run is neither before nor after. */
  name: string;
  time: number[];
  values: number[];
  /** Settled window and throttle episodes, s on the chart's own axis. */
  window: [number, number] | null;
  held: [number, number][];
  /** Moments with a word: boost end, load off. */
  marks: { at: number; words: string }[];
  /** Stretches of load with a word, when there are several. */
  phases: { from: number; to: number; words: string }[];
}

export interface Box {
  width: number;
  height: number;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

export interface Scales {
  x: Linear;
  y: Linear;
  minutes: number[];
}

const MINUTE_STEPS = [1, 2, 5, 10, 20, 30, 60, 120, 240, 480];
// “12 min” with the room that it needs on both sides.
const TICK_PX = 64;
const TICKS_MOST = 9;

export function extent(values: number[]): [number, number] {
  let low = Infinity;
  let high = -Infinity;
  for (const v of values) {
    if (v < low) low = v;
    if (v > high) high = v;
  }
  return low <= high ? [low, high] : [0, 1];
}

export function makeScales(lines: Line[], box: Box, domain: [number, number] | null): Scales {
  const times = lines.map((l) => extent(l.time));
  const whole: [number, number] = [Math.min(...times.map((t) => t[0]), 0), Math.max(...times.map((t) => t[1]), 1)];
  const shown = domain ?? whole;
  const values = extent(
    lines.flatMap((l) => l.values.filter((_, i) => (l.time[i] ?? 0) >= shown[0] && (l.time[i] ?? 0) <= shown[1])),
  );
  const x = linear(shown, [box.left, box.width - box.right]);
  const y = linear(values, [box.height - box.bottom, box.top], 5);
  const span = (shown[1] - shown[0]) / 60;
  const most = Math.max(1, Math.min(TICKS_MOST, Math.floor((box.width - box.left - box.right) / TICK_PX)));
  const step = MINUTE_STEPS.find((m) => span / m <= most) ?? 960;
  const minutes: number[] = [];
  for (let m = Math.ceil(shown[0] / 60 / step) * step; m * 60 <= shown[1]; m += step) minutes.push(m + 0);
  return { x, y, minutes };
}

/** A reading and a channel's values as a line on an axis that starts where the load does. */
export function makeLine(
  side: Line['side'],
  reading: Reading,
  time: number[],
  values: number[],
  name: string = side,
): Line {
  const zero = reading.onset_s;
  const marks = [];
  if (reading.load_seen) {
    const last = time.at(-1) ?? Infinity;
    if (reading.boost_end_s > zero) marks.push({ at: reading.boost_end_s - zero, words: say('scales-boost-ends') });
    if (reading.end_s < last) marks.push({ at: reading.end_s - zero, words: say('scales-load-off') });
  }
  return {
    side,
    name,
    time: time.map((t) => t - zero),
    values,
    window: [reading.from_s - zero, reading.to_s - zero],
    held: reading.throttle_spans.map((s) => [s.from_s - zero, s.to_s - zero] as [number, number]),
    marks,
    phases:
      reading.phases.length > 1
        ? reading.phases.map((p) => ({ from: p.from_s - zero, to: p.to_s - zero, words: p.chip }))
        : [],
  };
}

/** Index of the sample nearest to a time; times rise. */
export function nearest(time: number[], at: number): number {
  let low = 0;
  let high = time.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((time[middle] ?? 0) < at) low = middle + 1;
    else high = middle;
  }
  const before = Math.max(0, low - 1);
  return Math.abs((time[before] ?? 0) - at) < Math.abs((time[low] ?? 0) - at) ? before : low;
}

/** A line as the path that is drawn. */
export function pathOf(line: Line, scales: Scales): string {
  return line.time
    .map((t, i) => `${i ? 'L' : 'M'}${scales.x(t).toFixed(2)},${scales.y(line.values[i] ?? 0).toFixed(2)}`)
    .join('');
}
