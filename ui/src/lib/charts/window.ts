// Moving the settled window: by an end or as a whole, never past the chart and never turned inside out.
export type Grip = 'from' | 'to' | 'both';
export const SHORTEST_S = 10;

export function moveWindow(
  start: [number, number],
  grip: Grip,
  by: number,
  low: number,
  high: number,
): [number, number] {
  const [from, to] = start;
  if (grip === 'from') return [Math.min(to - SHORTEST_S, Math.max(low, from + by)), to];
  if (grip === 'to') return [from, Math.max(from + SHORTEST_S, Math.min(high, to + by))];
  const held = Math.max(Math.min(low - from, 0), Math.min(Math.max(high - to, 0), by));
  return [from + held, to + held];
}
