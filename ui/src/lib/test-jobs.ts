// A job, its runs and readings as the server sends them, for tests.
import type { FitItem, Glance, Job, Reading, Run, Schemas } from './api';

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
    serial: '',
    tag: '',
    lidded: 'unknown',
    device_id: '00000000-0000-4000-8000-00000000d001',
    done_on: null,
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
