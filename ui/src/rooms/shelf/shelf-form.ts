// Products and lots as typed, and what is sent of them.
import { say } from '$words/page-shelf.ftl';
import type { Product, Schemas } from '../../lib/api';
import { parseNumber } from '../../lib/format';

export const UNIT_WORDS: Record<string, string> = { g: 'g', mL: 'mL', sheet: 'sheets', piece: 'pieces' };
export const UNITS = [
  { value: 'g', label: say('shelf-form-g-by-weight') },
  { value: 'mL', label: 'mL, by volume' },
  { value: 'sheet', label: say('shelf-form-sheets-to-cut-from') },
  { value: 'piece', label: say('pieces') },
];
export const SOURCES = [
  { value: say('kinds-data-sheet'), label: say('shelf-form-data-sheet') },
  { value: 'measured', label: say('shelf-form-measured-here') },
  { value: say('shelf-form-from-memory'), label: say('shelf-form-from-memory-2') },
];

export interface ProductForm {
  name: string;
  kind: string;
  unit: string;
  price: string;
  low_at: string;
  sheet_width_mm: string;
  sheet_length_mm: string;
  thickness_mm: string;
  conductivity: string;
  density_g_ml: string;
  film_um: string;
  source: string;
}

const OWN = ['conductivity', 'density_g_ml', 'film_um'] as const;
const text = (value: number | null | undefined) => (value === null || value === undefined ? '' : String(value));

export function formOf(product: Product | null): ProductForm {
  const own = (name: string) =>
    product?.own_names.includes(name) ? text(product.values.find((v) => v.name === name)?.value) : '';
  const source = product?.values.find((v) => product.own_names.includes(v.name))?.source;
  return {
    name: product?.name ?? '',
    kind: product?.kind ?? 'paste_stiff',
    unit: product?.unit ?? 'g',
    price: product?.price_cents === null || !product ? '' : String(product.price_cents / 100),
    low_at: text(product?.low_at),
    sheet_width_mm: text(product?.sheet_width_mm),
    sheet_length_mm: text(product?.sheet_length_mm),
    thickness_mm: text(product?.thickness_mm),
    conductivity: own('conductivity'),
    density_g_ml: own('density_g_ml'),
    film_um: own('film_um'),
    source: source && source !== 'learnt' ? source : say('kinds-data-sheet'),
  };
}

export type Checked = { body: Schemas['ProductIn']; errors: null } | { body: null; errors: Record<string, string> };

export function check(form: ProductForm, product: Product | null): Checked {
  const errors: Record<string, string> = {};
  if (!form.name.trim()) errors.name = say('shelf-form-this-needed-what-stands');
  const at = (name: keyof ProductForm) => {
    const value = parseNumber(form[name]);
    if (!Number.isNaN(value)) return value;
    errors[name] = say('shelf-form-this-no-number');
    return null;
  };
  const price = at('price');
  const own: Record<string, { value: number; source: string; note: string }> = {};
  // Values that the form does not show stay as they are.
  for (const v of product?.values ?? [])
    if (product?.own_names.includes(v.name) && !(OWN as readonly string[]).includes(v.name))
      own[v.name] = { value: v.value, source: v.source, note: v.note };
  for (const name of OWN) {
    const value = at(name);
    if (value !== null) own[name] = { value, source: form.source, note: '' };
  }
  const film = own.film_um?.value;
  if (film !== undefined) {
    // The ends of the film go with its middle, as far apart as the kind's own.
    own.film_low_um = { value: Math.max(5, film * 0.65), source: form.source, note: say('shelf-form-with-usual-film') };
    own.film_high_um = { value: film * 1.7, source: form.source, note: say('shelf-form-with-usual-film') };
  } else {
    delete own.film_low_um;
    delete own.film_high_um;
  }
  const body = {
    version: product?.version ?? 0,
    kind: form.kind,
    name: form.name.trim(),
    unit: form.unit,
    own,
    price_cents: price === null ? null : Math.round(100 * price),
    low_at: at('low_at'),
    sheet_width_mm: form.unit === 'sheet' ? at('sheet_width_mm') : null,
    sheet_length_mm: form.unit === 'sheet' ? at('sheet_length_mm') : null,
    thickness_mm: form.unit === 'sheet' ? at('thickness_mm') : null,
  };
  return Object.keys(errors).length ? { body: null, errors } : { body, errors: null };
}
