// What the name of a file tells of a run: a guess, shown as one.

export interface Guess {
  name: string;
  fan_setting: string;
  placement: string;
  tuning: string;
}

const FANS: [RegExp, string][] = [
  [/\b(full|max|100 ?%?)\b/i, 'full'],
  [/\b(silent|quiet|low)\b/i, 'quiet'],
  [/\b(auto|automatic)\b/i, 'automatic'],
];
const PLACES: [RegExp, string][] = [
  [/\b(lid closed|closed lid)\b/i, 'dock, lid closed'],
  [/\bdock(ed)?\b/i, 'dock'],
  [/\blap\b/i, 'lap'],
  [/\b(stand|raised)\b/i, 'stand'],
  [/\b(desk|table)\b/i, 'desk'],
];

const first = (table: [RegExp, string][], text: string): string => table.find(([p]) => p.test(text))?.[1] ?? '';

/** What a file name says: its words as the name, a fan setting, a place and an undervolt where it names one. */
export function guessFrom(fileName: string): Guess {
  const stem = fileName.replace(/\.[a-z0-9]{1,7}$/i, '');
  const words = stem
    .replace(/[_.]+/g, ' ')
    .replace(/([a-z])-(?=[a-z])/gi, '$1 ')
    .replace(/\s+/g, ' ')
    .trim();
  const volts = /(?:^|\s)(?:uv ?)?([-\u2212]\d{2,3}) ?mv\b/i.exec(words);
  return {
    name: words || fileName,
    fan_setting: first(FANS, words),
    placement: first(PLACES, words),
    tuning: volts ? `undervolt ${volts[1]?.replace('-', '\u2212')} mV` : '',
  };
}
