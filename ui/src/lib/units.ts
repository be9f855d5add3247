// Units as they are read aloud.
import { say } from './say';

const SPOKEN: Record<string, string> = {
  '°C': say('unit-celsius'),
  K: say('unit-kelvin'),
  W: say('unit-watt'),
  'K/W': say('unit-kelvin-per-watt'),
  'W/m·K': say('unit-conductivity'),
  dB: say('unit-decibel'),
  rpm: say('unit-rpm'),
  MHz: say('unit-megahertz'),
  '%': say('unit-percent'),
  '% of load': say('unit-percent-of-load'),
  mm: say('unit-millimetre'),
  µm: say('unit-micrometre'),
  m: say('unit-metre'),
  min: say('unit-minute'),
  s: say('unit-second'),
  '1/s': say('unit-per-second'),
  'm:ss': say('unit-minutes-seconds'),
  g: say('unit-gram'),
  mL: say('unit-millilitre'),
  'g/mL': say('unit-density'),
};

/** The words of a unit; a unit that is a word already is its own. */
export const spoken = (unit: string): string => SPOKEN[unit] ?? unit;
