// Products and lots as they are typed, and what is sent of them.
import { say } from '$words/page-shelf.ftl';
import type { Product, Schemas } from '../../lib/api';
import type { FieldList, ValuesOf } from '../../lib/fields';

export const UNIT_WORDS: Record<string, string> = { g: 'g', mL: 'mL', sheet: 'sheets', piece: 'pieces' };
const UNITS = [
  { value: 'g', label: say('shelf-form-g-by-weight') },
  { value: 'mL', label: say('shelf-form-ml-by-volume') },
  { value: 'sheet', label: say('shelf-form-sheets-to-cut-from') },
  { value: 'piece', label: say('pieces') },
] as const;
export const SOURCES = [
  { value: say('kinds-data-sheet'), label: say('shelf-form-data-sheet') },
  { value: 'measured', label: say('shelf-form-measured-here') },
  { value: say('shelf-form-from-memory'), label: say('shelf-form-from-memory-2') },
];
const OWN = ['conductivity', 'density_g_ml', 'film_um'] as const;

const WHAT = [
  { key: 'name', label: say('product-dialog-name'), needed: say('shelf-form-this-needed-what-stands'), first: true },
  {
    key: 'kind',
    kind: 'pick',
    label: say('kinds-kind'),
    options: [] as { value: string; label: string }[],
    usual: 'paste_stiff',
  },
  { key: 'unit', kind: 'pick', label: say('product-dialog-counted-in'), options: UNITS },
  { key: 'price_cents', kind: 'price', label: say('product-dialog-price-one-without-tax') },
  { key: 'low_at', kind: 'number', label: say('product-dialog-warn-below') },
] as const satisfies FieldList;
const SHEET = [
  { key: 'sheet_width_mm', kind: 'number', label: say('product-dialog-sheet-width'), unit: 'mm' },
  { key: 'sheet_length_mm', kind: 'number', label: say('product-dialog-sheet-length'), unit: 'mm' },
  { key: 'thickness_mm', kind: 'number', label: say('product-dialog-thickness'), unit: 'mm' },
] as const satisfies FieldList;
const OWN_VALUES = [
  {
    key: 'conductivity',
    kind: 'number',
    label: say('product-dialog-conductivity'),
    unit: 'W/m·K',
    heading: say('product-dialog-its-own-values-where'),
  },
  { key: 'density_g_ml', kind: 'number', label: say('product-dialog-density'), unit: 'g/mL' },
  { key: 'film_um', kind: 'number', label: say('product-dialog-usual-film'), unit: 'µm' },
  { key: 'source', kind: 'pick', label: say('product-dialog-they-come-from'), options: SOURCES },
] as const satisfies FieldList;
export const PRODUCT = [...WHAT, ...SHEET, ...OWN_VALUES] as const;

/** Its fields where it is counted in this unit, with what is usual for its kind. */
export function productFields(kinds: Schemas['KindOut'][], unit: string, hint: (name: string) => string) {
  const [name, kind, counted, price, low] = WHAT;
  return [
    name,
    { ...kind, options: kinds.map((k) => ({ value: k.kind, label: k.words })) },
    counted,
    price,
    { ...low, unit: UNIT_WORDS[unit] ?? '' },
    ...(unit === 'sheet' ? SHEET : []),
    ...OWN_VALUES.map((field) => ({ ...field, hint: hint(field.key) })),
  ];
}

/** What stands in the fields of a product. */
export function typedProduct(product: Product) {
  const own = (name: string) =>
    product.own_names.includes(name) ? product.values.find((v) => v.name === name)?.value : null;
  const source = product.values.find((v) => product.own_names.includes(v.name))?.source;
  return {
    ...product,
    ...Object.fromEntries(OWN.map((name) => [name, own(name)])),
    source: source && source !== 'learnt' ? source : null,
  };
}

/** What is sent of it. Values that the form does not show stay as they are. */
export function productBody(
  { conductivity, density_g_ml, film_um, source, ...typed }: ValuesOf<typeof PRODUCT>,
  product: Product | null,
): Schemas['ProductIn'] {
  const own: Record<string, { value: number; source: string; note: string }> = {};
  for (const v of product?.values ?? [])
    if (product?.own_names.includes(v.name) && !(OWN as readonly string[]).includes(v.name))
      own[v.name] = { value: v.value, source: v.source, note: v.note };
  for (const [name, value] of Object.entries({ conductivity, density_g_ml, film_um }))
    if (value !== null) own[name] = { value, source, note: '' };
  delete own.film_low_um;
  delete own.film_high_um;
  if (film_um !== null) {
    // The ends of the film go with its middle, as far apart as the kind's own.
    own.film_low_um = { value: Math.max(5, film_um * 0.65), source, note: say('shelf-form-with-usual-film') };
    own.film_high_um = { value: film_um * 1.7, source, note: say('shelf-form-with-usual-film') };
  }
  const sheets = typed.unit === 'sheet' ? {} : { sheet_width_mm: null, sheet_length_mm: null, thickness_mm: null };
  return { ...typed, ...sheets, name: typed.name.trim(), version: product?.version ?? 0, own };
}
