// A form as a list of fields, one line each: how it is typed, what is sent of it, and what is told beside a field that
// cannot be sent, all come from the list.
import { clock, parseDuration, parseNumber } from './format';
import { say } from '$words/page-forms.ftl';
import { upper } from './say';

export interface Option<V extends string = string> {
  readonly value: V;
  readonly label: string;
}

interface AnyField {
  /** As the server calls it. */
  readonly key: string;
  readonly label: string;
  readonly hint?: string;
  /** What stands there before anybody typed. */
  readonly usual?: string;
  /** It cannot be sent empty: what is told then, where the usual words do not do. */
  readonly needed?: boolean | string;
  /** What begins with it. */
  readonly heading?: string;
  /** Over the whole width. */
  readonly wide?: boolean;
  /** Called by another name on the page than by the server, where one page has two of them. */
  readonly name?: string;
}
interface TextLike extends AnyField {
  readonly kind?: 'text' | 'password';
  readonly lines?: number;
  /** What was typed there before is offered, within another field's where one is named. */
  readonly suggest?: string;
  readonly within?: string;
  readonly offered?: readonly string[];
  readonly autocomplete?: 'username' | 'current-password' | 'new-password';
  /** It has the focus when the form comes. */
  readonly first?: boolean;
}
interface NumberLike extends AnyField {
  /** A price is in cents where it is stored, a share a part of one. */
  readonly kind: 'number' | 'whole' | 'price' | 'share' | 'duration';
  readonly unit?: string;
}
interface DayLike extends AnyField {
  readonly kind: 'day';
}
interface ChoiceLike extends AnyField {
  readonly kind: 'choice';
  readonly options: readonly Option[];
}
interface PickLike extends AnyField {
  readonly kind: 'pick';
  readonly options: readonly Option[];
}
/** Kept with the form and shown by something else. */
interface HiddenLike extends AnyField {
  readonly kind: 'hidden';
}
interface TickLike extends AnyField {
  readonly kind: 'tick';
  readonly tone?: 'plain' | 'halt';
}
export type Field = TextLike | NumberLike | DayLike | ChoiceLike | PickLike | TickLike | HiddenLike;
export type FieldList = readonly Field[];

type Typed<F> = F extends { kind: 'tick' } ? boolean : F extends { options: readonly Option<infer V>[] } ? V : string;
type Sent<F> = F extends { kind: NumberLike['kind'] }
  ? F extends { needed: true | string }
    ? number
    : number | null
  : F extends { kind: 'day' | 'hidden' }
    ? string | null
    : Typed<F>;
export type KeyOf<L extends FieldList> = L[number]['key'];
/** What is typed in a list of fields. */
export type FormOf<L extends FieldList> = { -readonly [F in L[number] as F['key']]: Typed<F> };
/** What is sent of it. */
export type ValuesOf<L extends FieldList> = { -readonly [F in L[number] as F['key']]: Sent<F> };

const plain = (value: number) => String(Number(value.toFixed(6)));
const WRITTEN: Record<NumberLike['kind'], (value: number) => string> = {
  number: String,
  whole: String,
  price: (cents) => (cents / 100).toFixed(2),
  share: (share) => plain(100 * share),
  duration: (seconds) => (Number.isInteger(seconds) ? clock(seconds) : String(seconds)),
};
const STORED: Record<NumberLike['kind'], (typed: number) => number> = {
  number: (value) => value,
  whole: (value) => value,
  price: (value) => Math.round(100 * value),
  share: (percent) => percent / 100,
  duration: (seconds) => seconds,
};

const isOptional = (field: Field) => field.kind === 'day' || field.kind === 'hidden';
export const isNumber = (field: Field): field is NumberLike => !!field.kind && field.kind in WRITTEN;

function typed(field: Field, value: unknown): string | boolean {
  if (field.kind === 'tick') return value === true;
  if (value === null || value === undefined)
    return field.usual ?? ('options' in field ? (field.options[0]?.value ?? '') : '');
  return isNumber(field) ? WRITTEN[field.kind](Number(value)) : String(value as string);
}

/** A form over what the server has; null for one that is new. */
export function formOf<const L extends FieldList>(
  list: L,
  value: Partial<Record<KeyOf<L>, unknown>> | null,
): FormOf<L> {
  return Object.fromEntries(list.map((f) => [f.key, typed(f, value?.[f.key as KeyOf<L>])])) as FormOf<L>;
}

export type Read<L extends FieldList> =
  { values: ValuesOf<L>; errors: null } | { values: null; errors: Record<string, string> };

/** A number as it was typed, or the words that it is none. */
function numberIn(field: NumberLike, text: string): number | null | string {
  const value = field.kind === 'duration' ? parseDuration(text) : parseNumber(text);
  if (value === null) return null;
  if (Number.isNaN(value) || (field.kind === 'price' && value < 0)) return say('field-no-number', { typed: text });
  if (field.kind === 'whole' && !Number.isInteger(value)) return say('field-no-whole-number', { typed: text });
  return STORED[field.kind](value);
}

/** What is sent of a form, or what cannot be, by field. */
export function readForm<const L extends FieldList>(list: L, form: FormOf<L>): Read<L> {
  const values: Record<string, unknown> = {};
  const errors: Record<string, string> = {};
  for (const field of list) {
    const text = form[field.key as KeyOf<L>] as string | boolean;
    const read = isNumber(field) ? numberIn(field, String(text)) : isOptional(field) ? text || null : text;
    if (isNumber(field) && typeof read === 'string')
      errors[field.key] = typeof field.needed === 'string' ? field.needed : read;
    else if (field.needed && (read === null || (typeof read === 'string' && !read.trim())))
      errors[field.key] = field.needed === true ? say('field-is-needed') : field.needed;
    else values[field.key] = read;
  }
  return Object.keys(errors).length ? { values: null, errors } : { values: values as ValuesOf<L>, errors: null };
}

/** Answers to a question, by their messages: the names of a family of them. */
export const answers = <const N extends string>(family: string, names: readonly N[]): Option<N>[] =>
  names.map((value) => ({ value, label: upper(say(`${family}-${value}`)) }));

/** Answers to a question that may be left open. */
export const openOr = <const V extends string>(rest: readonly Option<V>[]): Option<V | 'unknown'>[] => [
  { value: 'unknown', label: say('field-not-known') },
  ...rest,
];
