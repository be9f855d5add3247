// The outline of a third-octave spectrum, without a document.
export interface Band {
  centre_hz: number;
  level_db: number;
}

export interface Outline {
  /** Corners of the stepped line, in units of the drawing. */
  points: [number, number][];
  /** Round levels with their height. */
  ticks: { db: number; y: number }[];
  /** Frequencies written below, with their place. */
  names: { words: string; x: number }[];
}

const NAMED = [31.5, 63, 125, 250, 500, 1000, 2000, 4000, 8000, 16000];
const SPAN_DB = 60;

export function hertz(f: number): string {
  return f >= 1000 ? `${Number((f / 1000).toFixed(1))} kHz` : `${Number(f.toFixed(f < 100 ? 1 : 0))} Hz`;
}

/** Steps from band to band, down to 60 dB below the highest; what is lower lies on the floor. */
export function outline(bands: Band[], width: number, height: number): Outline {
  if (!bands.length) return { points: [], ticks: [], names: [] };
  const high = Math.ceil(Math.max(...bands.map((b) => b.level_db)) / 10) * 10;
  const y = (db: number) => Math.min(height, ((high - db) / SPAN_DB) * height);
  const step = width / bands.length;
  const points = bands.flatMap((b, i): [number, number][] => [
    [i * step, y(b.level_db)],
    [(i + 1) * step, y(b.level_db)],
  ]);
  const ticks = [0, 20, 40].map((down) => ({ db: high - down, y: y(high - down) }));
  const names = bands.flatMap((b, i) => {
    const name = NAMED.find((n) => Math.abs(Math.log(b.centre_hz / n)) < 0.06);
    return name ? [{ words: name >= 1000 ? `${name / 1000}k` : String(name), x: (i + 0.5) * step }] : [];
  });
  return { points, ticks, names };
}
