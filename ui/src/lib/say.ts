// Sentences of the page, from the message files that the server reads as well.
import { FluentBundle, FluentNumber, type FluentFunction, type FluentResource, type FluentValue } from '@fluent/bundle';
import names from '$words/names.ftl?messages';
import page from '$words/page.ftl?messages';
import shared from '$words/page-shared.ftl?messages';

export type Said = string | number | boolean | null | undefined;

/** The language that this build speaks: the workshop's is English, the pages of customers come in each. */
declare const __LANGUAGE__: string;
export const LOCALE = __LANGUAGE__ === 'en' ? 'en-GB' : __LANGUAGE__;

const DECIMAL = (1.5).toLocaleString(LOCALE).charAt(1);
const asNumber = (value: FluentValue): number => Number(value instanceof FluentNumber ? value.valueOf() : value);
const asText = (value: FluentValue): string =>
  value instanceof FluentNumber ? String(value.valueOf()) : String(value);
const written = (text: string): string => text.replaceAll('-', '−').replace('.', DECIMAL);
const signed = (value: number, text: string, sign: FluentValue | undefined): string =>
  sign !== undefined && asNumber(sign) !== 0 && value >= 0 ? `+${text}` : text;

/** No trailing zeros, no exponent where people would not write one; as the server does. */
function significant(value: number, digits: number): string {
  if (value === 0) return '0';
  const exponent = Number(value.toExponential(digits - 1).split('e')[1]);
  if (exponent < -4 || exponent >= digits) {
    const [mantissa = '', power = ''] = value.toExponential(digits - 1).split('e');
    const size = String(Math.abs(Number(power))).padStart(2, '0');
    return `${trimmed(mantissa)}e${power.startsWith('-') ? '-' : '+'}${size}`;
  }
  return trimmed(value.toFixed(Math.max(0, digits - 1 - exponent)));
}
const trimmed = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

const first = (given: (FluentValue | number | string)[]): FluentValue => given[0] as FluentValue;
const digitsOf = (given: (FluentValue | number | string)[], usual: number): number =>
  given[1] === undefined ? usual : asNumber(given[1] as FluentValue);
const FUNCTIONS: Record<string, FluentFunction> = {
  FIX: (given, named) => {
    const x = asNumber(first(given));
    return signed(x, written(x.toFixed(digitsOf(given, 0))), named.sign as FluentValue | undefined);
  },
  SIG: (given, named) => {
    const x = asNumber(first(given));
    return signed(x, written(significant(x, digitsOf(given, 6))), named.sign as FluentValue | undefined);
  },
  CAP: (given) => upper(asText(first(given))),
  LOW: (given) => lower(asText(first(given))),
  UNIT: (given) => (asText(first(given)) ? ` ${asText(first(given))}` : ''),
};
export const upper = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);
export const lower = (text: string): string => text.slice(0, 1).toLowerCase() + text.slice(1);

type Message = FluentResource['body'][number];
/** Messages as the build read them of a message file: code, words, and further words by name. */
export type Messages = [id: Message['id'], value: Message['value'], attributes?: Message['attributes']][];
const read = (of: Messages) => ({ body: of.map(([id, value, attributes = {}]) => ({ id, value, attributes })) });

/** Messages with the functions that they may use. */
export function bundleOf(files: Messages[]): FluentBundle {
  const made = new FluentBundle(__LANGUAGE__, { functions: FUNCTIONS, useIsolating: false });
  for (const messages of files) made.addResource(read(messages));
  return made;
}

const bundle = bundleOf([names, shared, page]);

/** Messages of a room, added when its code is loaded. */
export function addWords(messages: Messages): void {
  bundle.addResource(read(messages));
}

/** The sentence of a code. A flag is yes or no, what is not known is none. */
export function say(code: string, values: Record<string, Said> = {}, from: FluentBundle = bundle): string {
  const [name = '', attribute] = code.split('.');
  const message = from.getMessage(name);
  const pattern = attribute === undefined ? message?.value : message?.attributes[attribute];
  if (!pattern) throw new Error(`No message has the code ${code}.`);
  const errors: Error[] = [];
  const given = Object.fromEntries(Object.entries(values).map(([key, value]) => [key, argument(value)]));
  const text = from.formatPattern(pattern, given, errors);
  if (errors[0]) throw errors[0];
  return text;
}

function argument(value: Said): string | FluentNumber {
  if (value === null || value === undefined) return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return typeof value === 'number' ? new FluentNumber(value, { useGrouping: false }) : value;
}
