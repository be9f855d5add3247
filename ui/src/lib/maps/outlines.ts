// Plain outlines to draw a map on when there is no photo, in a box of 1000 by 640, seen from below.
import { say } from '../say';
export const BOX = { width: 1000, height: 640 };

export interface Outline {
  shell: string;
  marks: { d: string; words: string; x: number; y: number }[];
}

const LAPTOP: Outline = {
  shell: 'M34 60Q34 28 66 28H934Q966 28 966 60V580Q966 612 934 612H66Q34 612 34 580Z',
  marks: [
    { d: 'M120 70H380V230H120Z', words: say('outlines-fan'), x: 250, y: 158 },
    { d: 'M420 92H640V252H420Z', words: say('outlines-cooler'), x: 530, y: 178 },
    { d: 'M220 392H780V570H220Z', words: say('outlines-battery'), x: 500, y: 488 },
    { d: 'M690 110H880V230H690Z', words: say('outlines-memory-drive'), x: 785, y: 176 },
  ],
};
const CONSOLE: Outline = {
  shell: 'M60 90Q60 40 110 40H890Q940 40 940 90V550Q940 600 890 600H110Q60 600 60 550Z',
  marks: [
    { d: 'M130 120H430V420H130Z', words: say('outlines-fan'), x: 280, y: 276 },
    { d: 'M470 120H720V400H470Z', words: say('outlines-cooler'), x: 595, y: 266 },
    { d: 'M760 120H880V540H760Z', words: say('outlines-supply-closed'), x: 820, y: 336 },
  ],
};
const HANDHELD: Outline = {
  shell: 'M120 120Q20 130 26 330Q32 540 150 530Q210 524 250 470H750Q790 524 850 530Q968 540 974 330Q980 130 880 120Z',
  marks: [
    { d: 'M300 170H480V330H300Z', words: say('outlines-fan'), x: 390, y: 256 },
    { d: 'M510 170H680V330H510Z', words: say('outlines-cooler'), x: 595, y: 256 },
    { d: 'M320 360H680V450H320Z', words: say('outlines-battery'), x: 500, y: 412 },
  ],
};
const OTHER: Outline = { shell: 'M60 60H940V580H60Z', marks: [] };

export const OUTLINES: Record<string, Outline> = { laptop: LAPTOP, console: CONSOLE, handheld: HANDHELD, other: OTHER };

/** Height at which the word of a part is read, clear of what lies on it: screws, plugs and the word below a plug. */
export function wordY(mark: { x: number; y: number }, places: { x: number; y: number }[]): number {
  const clear = (y: number) =>
    places.every((p) => Math.abs(p.x * BOX.width - mark.x) > 130 || Math.abs(p.y * BOX.height + 14 - y) > 52);
  return [0, -34, 34, -56, 56].map((by) => mark.y + by).find(clear) ?? mark.y;
}
