// A stand-in for the server in tests: answers by method and path, remembers what was asked.
import { vi } from 'vitest';
import type { FitItem, Glance, Job, Option, Plan, ProblemBody, Product, Reading, Run, Schemas, Shelf } from './api';

export interface Asked {
  method: string;
  path: string;
  body: unknown;
}

export type Answer = unknown | ((asked: Asked) => unknown);

/** Serve answers by "METHOD /path/pattern"; a Response is passed on as it is, anything else becomes JSON. */
export function serve(answers: Record<string, Answer>): Asked[] {
  const log: Asked[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const url = new URL(request.url);
    const text = request.method === 'GET' ? '' : await request.text();
    const asked = { method: request.method, path: url.pathname, body: text ? JSON.parse(text) : undefined };
    log.push(asked);
    const key = Object.keys(answers).find((k) => matches(k, asked));
    if (!key) return json(404, problem({ status: 404, detail: `Nothing at ${asked.path}` }));
    const answer = answers[key];
    const found = typeof answer === 'function' ? (answer as (a: Asked) => unknown)(asked) : answer;
    return found instanceof Response ? found : json(200, found);
  });
  return log;
}

function matches(key: string, asked: Asked): boolean {
  const [method, path] = key.split(' ');
  return method === asked.method && new RegExp(`^${path?.replace(/\*/g, '[^/]+')}$`).test(asked.path);
}

export function json(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
}

export function problem(more: Partial<ProblemBody>): ProblemBody {
  return {
    type: 'about:blank',
    title: 'Refused',
    status: 422,
    detail: 'Refused.',
    remedy: '',
    reason: '',
    stage: '',
    errors: [],
    headers: [],
    ...more,
  };
}

export const blankGlance: Glance = { measured: false, rise_k: null, noise_db: null, held_share: null };

export function makeJob(more: Partial<Job> = {}): Job {
  return {
    id: 'j1',
    number: 7,
    version: 3,
    customer_name: 'Wen',
    customer_contact: '',
    kind: 'laptop',
    maker: 'Ondervale',
    model: 'Marrow 15',
    symptom: 'Loud',
    age_months: 40,
    months_since_service: null,
    surroundings: 'dusty',
    place: 'unknown',
    fan: 'unknown',
    lives: '',
    warranty: 'over',
    seal: 'none',
    backup_done: 'yes',
    battery_swollen: false,
    liquid_damage: false,
    factory_interface: '',
    power_limit_cpu_w: null,
    power_limit_gpu_w: null,
    limit_c: 95,
    cleaned: [],
    fit_note: '',
    fit_done: false,
    price_cents: null,
    next_service_on: null,
    handover_note: '',
    handed_over_at: null,
    created_at: '2026-03-01T09:00:00Z',
    updated_at: '2026-03-01T09:00:00Z',
    stage: 'before',
    next_step: 'Take the Before reading of Marrow 15',
    reachable: ['intake', 'before', 'fit', 'after'],
    done: ['intake'],
    gates: [],
    glance_before: blankGlance,
    glance_after: blankGlance,
    verdict: null,
    ...more,
  };
}

export function makeRun(more: Partial<Run> = {}): Run {
  return {
    side: 'before',
    version: 0,
    prefilled: false,
    room_c: null,
    load_recipe: '',
    duration_min: null,
    fan_setting: '',
    power_profile: '',
    placement: '',
    start: '',
    firmware: '',
    tuning: '',
    trace: null,
    noise: [],
    spots: [],
    noise_figure: null,
    reading: null,
    findings: [],
    ladder: null,
    culprit: null,
    trouble: null,
    fan_blades: null,
    result_score: null,
    result_duration_s: null,
    result_frame_rate: null,
    repeats: [],
    sounds: [],
    air: null,
    ...more,
  };
}

export function makeReading(more: Partial<Reading> = {}): Reading {
  return {
    die_role: 'cpu_temperature',
    onset_s: 30,
    boost_end_s: 58,
    end_s: 930,
    load_seen: true,
    from_s: 600,
    to_s: 930,
    settled: true,
    remaining_rise_k: 0.3,
    final_c: 84,
    minutes_needed: 0,
    uncertainty_k: 1.2,
    chosen: false,
    phases: [],
    cool_from_s: null,
    cool_to_s: null,
    throttle_share: 0,
    throttle_spans: [],
    network: [],
    stats: { cpu_temperature: { mean: 83, maximum: 85, p95: 84, standard_error: 0.1 } },
    power_w: null,
    ...more,
  };
}

export function makeTrace(more: Partial<Schemas['TraceOut']> = {}): Schemas['TraceOut'] {
  return {
    id: 't1',
    file_name: 'run.csv',
    sha256: '0'.repeat(64),
    size_bytes: 2e6,
    samples: 990,
    interval_s: 1,
    duration_s: 990,
    channels: [
      { header: 'Die [°C]', role: 'cpu_temperature', unit: '°C', confidence: 0.9, numeric: true },
      { header: 'Rail 1 [V]', role: null, unit: 'V', confidence: 0, numeric: true },
      { header: 'Note', role: null, unit: '', confidence: 0, numeric: false },
    ],
    notices: [],
    uploaded_at: '2026-03-01T09:00:00Z',
    ...more,
  };
}

export function makeSound(more: Partial<Schemas['SoundOut']> = {}): Schemas['SoundOut'] {
  return {
    id: 's1',
    file_name: 'vent.wav',
    duration_s: 12,
    reference_db: null,
    is_background: false,
    calibrated: false,
    laeq_db: -41.2,
    lafmax_db: -38,
    l10_db: -40,
    l90_db: -43,
    tones: [{ frequency_hz: 1550, prominence_db: 14.2, prominent: true }],
    bands: [
      { centre_hz: 1000, level_db: -55 },
      { centre_hz: 1600, level_db: -43 },
    ],
    fan_rpm: null,
    blade_pass_hz: null,
    whines_hz: [],
    faults: [],
    ...more,
  };
}

export const paste: FitItem = {
  id: 'i1',
  target: 'cpu_die',
  kind: 'paste_stiff',
  product: 'Grey Heron 11',
  lot: 'GH',
  amount: 0.08,
  amount_unit: 'g',
  amount_is: 'planned',
  lot_id: null,
};

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
    priced: true,
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
