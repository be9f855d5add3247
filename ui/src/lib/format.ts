// Numbers as people read them: unit always, a real minus sign, "not known" instead of an invented zero.
import { shopZone } from './zone';
import { LOCALE, say } from './say';
const DIGITS: Record<string, number> = { 'K/W': 2, MHz: 0, rpm: 0, '% of load': 1, points: 0, s: 0 };

export const NOT_KNOWN = say('format-not-known');

export function fixed(value: number, digits: number): string {
  const text = Math.abs(value).toFixed(digits);
  return value < 0 && Number(text) !== 0 ? `−${text}` : text;
}

/** A figure without its unit, with as many digits as the unit deserves. */
export function figure(value: number | null | undefined, unit: string): string {
  return value === null || value === undefined ? NOT_KNOWN : fixed(value, DIGITS[unit] ?? 1);
}

/** A signed difference with its expanded uncertainty. Differences of °C are kelvins. */
export function change(difference: number | null, u95: number | null, unit: string): string {
  if (difference === null || u95 === null) return NOT_KNOWN;
  const size = figure(difference, unit);
  const signed = size.startsWith('−') || Number(size) === 0 ? size : `+${size}`;
  return `${signed} ± ${figure(u95, unit)}`;
}

export function differenceUnit(unit: string): string {
  return unit === '°C' ? 'K' : unit;
}

/** 1 place, 3 places. */
export function plural(count: number, noun: string): string {
  return `${count} ${noun}${count === 1 ? '' : 's'}`;
}

/** m:ss, or h:mm:ss from an hour on. */
export function clock(seconds: number): string {
  const whole = Math.round(Math.abs(seconds));
  const sign = seconds < -0.5 ? '−' : '';
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60];
  const two = (n: number) => String(n).padStart(2, '0');
  return sign + (h ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`);
}

/** Read a duration: seconds, m:ss or h:mm:ss. null when empty, NaN when it is none. */
export function parseDuration(text: string): number | null {
  const parts = text.trim().split(':');
  if (parts.length === 1) return parseNumber(text);
  if (
    parts.length > 3 ||
    !parts.every((p, i) => /^\d+([.,]\d+)?$/.test(p) && (i === 0 || Number(p.replace(',', '.')) < 60))
  )
    return NaN;
  return parts.reduce((sum, p) => sum * 60 + Number(p.replace(',', '.')), 0);
}

export function bytes(size: number): string {
  return size >= 1e6 ? `${(size / 1e6).toFixed(1)} MB` : `${Math.max(1, Math.round(size / 1e3))} kB`;
}

export function day(iso: string | null): string {
  if (!iso) return say('format-not-set');
  return new Intl.DateTimeFormat(LOCALE, { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(iso),
  );
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** Read a day: 28 May 2027, 28.5.2027, 28/5/2027, 2027-05-28; the day stands before the month. yyyy-mm-dd, empty when
 * nothing was typed, null when it is no day. */
export function parseDay(text: string): string | null {
  const plain = text.trim().toLowerCase();
  if (!plain) return '';
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(plain);
  const own = /^(\d{1,2})[\s./-]+(\d{1,2}|[a-z]{3,9})\.?[\s./-]+(\d{4})$/.exec(plain);
  const [y, m, d] = iso ? iso.slice(1) : own ? [own[3], own[2], own[1]] : [];
  if (!y || !m || !d) return null;
  const month = /^\d/.test(m) ? Number(m) : MONTHS.indexOf(m.slice(0, 3)) + 1;
  const found = new Date(Date.UTC(Number(y), month - 1, Number(d)));
  const fits = month >= 1 && found.getUTCMonth() === month - 1 && found.getUTCDate() === Number(d);
  return fits ? found.toISOString().slice(0, 10) : null;
}

/** Day and time where the shop is. */
export function moment(iso: string): string {
  return new Intl.DateTimeFormat(LOCALE, {
    day: 'numeric',
    month: 'long',
    hour: '2-digit',
    minute: '2-digit',
    timeZone: shopZone(),
  }).format(new Date(iso));
}

export function money(cents: number | null, currency: string): string {
  if (cents === null) return say('format-not-set');
  return new Intl.NumberFormat(LOCALE, { style: 'currency', currency }).format(cents / 100);
}

/** Read what a person typed: decimal point or comma, a real minus. null when empty, NaN when it is no number. */
export function parseNumber(text: string): number | null {
  const plain = text
    .trim()
    .replace(/\u2212/g, '-')
    .replace(',', '.')
    .replace(/\s/g, '');
  if (plain === '') return null;
  return /^[+-]?\d*\.?\d+(e[+-]?\d+)?$/i.test(plain) || /^[+-]?\d+\.$/.test(plain) ? Number(plain) : NaN;
}
