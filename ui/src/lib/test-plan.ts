// A plan and a shelf as the server sends them, for tests.
import type { Option, Plan, Product, Shelf } from './api';

const interval = (median: number, half = 3) => ({ low: median - half, median, high: median + half });

export function makeOption(key: string, more: Partial<Option> = {}): Option {
  return {
    key,
    words: key,
    actions: ['clean'],
    kind: null,
    product_id: null,
    resistance: interval(0.9, 0.1),
    die_c: interval(75),
    gain_k: interval(12),
    watts: interval(70),
    gain_w: interval(15),
    noise_db: interval(-10),
    noise_floor: false,
    reason: '12 K cooler at the same work: the most of all.',
    as_good: false,
    gates: [],
    blocked: false,
    parts: [],
    stock: 'not needed',
    parts_cents: 0,
    work_cents: 6000,
    tax_cents: 0,
    total_cents: 6000,
    hands_min: 60,
    wait_min: 20,
    life_months: 12,
    life_reason: 'dust',
    procedures: [],
    chip_drop_k: null,
    skin: null,
    ...more,
  };
}

export function makePlan(more: Partial<Plan> = {}): Plan {
  return {
    version: 2,
    answer: null,
    opening: null,
    remembered: '',
    goal: 'cooler',
    found: {
      cpu_die_width_mm: null,
      cpu_die_length_mm: null,
      gpu_die_width_mm: null,
      gpu_die_length_mm: null,
      old_interface: 'unknown',
      dust: 'unknown',
      fan_state: 'unknown',
      pads_state: 'unknown',
      gap_filler: 'pads',
      cold_plate: 'unknown',
      aluminium_near: 'unknown',
      parts_exposed: 'unknown',
      insulation: 'none',
      carried: false,
      place: 'desk',
      gaps: [],
      shim: null,
      cover: null,
      undervolt_mv: 0,
      cap_w: null,
      opens_mains: false,
      plating: false,
      bath: null,
    },
    missing: '',
    options: [
      makeOption('repaste:Grey'),
      makeOption('leave', { words: 'leave it alone', total_cents: 0, hands_min: 0 }),
    ],
    held: false,
    fanless: false,
    before_die_c: 88,
    before_watts: 55,
    measurable_k: 2,
    measurable_w: 2,
    measurable_db: 1.6,
    limit_c: 95,
    reference_words: 'same model',
    gaps: [],
    heights: '',
    shim_drop_k: null,
    shim_reason: '',
    shim_place_mm: [],
    chosen: null,
    outcome: null,
    notes: [],
    currency: 'EUR',
    ...more,
  };
}

export function makeProduct(more: Partial<Product> = {}): Product {
  return {
    id: 'p1',
    version: 1,
    kind: 'paste_stiff',
    name: 'Grey Heron 11',
    unit: 'g',
    price_cents: 950,
    low_at: 1,
    sheet_width_mm: null,
    sheet_length_mm: null,
    thickness_mm: null,
    remaining: 0.5,
    low: true,
    warnings: ['Low: 0.5 g left, wanted: 1 g.'],
    own_names: ['conductivity'],
    values: [
      {
        name: 'conductivity',
        words: 'Conductivity',
        unit: 'W/(m·K)',
        value: 11.2,
        source: 'data sheet',
        note: '',
        typical: 11,
        low: 0.5,
        high: 20,
      },
    ],
    lots: [
      {
        id: 'l1',
        code: 'GH-1',
        held: 4,
        remaining: 0.5,
        version: 3,
        received_on: '2026-01-10',
        opened_on: '2026-02-01',
        expires_on: null,
        expired: false,
        expires_soon: false,
      },
    ],
    offcuts: [],
    ...more,
  };
}

export function makeShelf(products: Product[] = [makeProduct()], more: Partial<Shelf> = {}): Shelf {
  const values = makeProduct().values.map((v) => ({ ...v, value: 11, source: 'from memory' }));
  return {
    products,
    kinds: [
      { kind: 'paste_stiff', words: 'paste, stiff (diamond)', for_die: true, own_names: [], values },
      { kind: 'pad', words: 'pad', for_die: false, own_names: [], values },
    ],
    lessons: [],
    currency: 'EUR',
    ...more,
  };
}
