// The intake form as typed, and what is sent of it.
import { say } from '$words/page-job.ftl';
import { client, take, type Job, type Schemas } from '../../lib/api';
import { parseNumber } from '../../lib/format';
import { session } from '../../lib/session.svelte';

/** Sensors beside the die whose limits are noted: each is a field of its own, so that two tablets may fill in two. */
export const LIMITED = [
  'gpu_hotspot',
  'memory_temperature',
  'regulator_temperature',
  'drive_temperature',
  'skin_temperature',
] as const;
export type LimitField = `limit_${(typeof LIMITED)[number]}`;
export const limitField = (role: (typeof LIMITED)[number]): LimitField => `limit_${role}`;

export interface IntakeForm extends Record<LimitField, string> {
  customer_name: string;
  customer_contact: string;
  kind: 'laptop' | 'console' | 'handheld' | 'other';
  maker: string;
  model: string;
  symptom: string;
  age_months: string;
  months_since_service: string;
  surroundings: 'normal' | 'dusty' | 'pets' | 'smoke' | 'unknown';
  place: 'unknown' | 'desk' | 'stand' | 'dock' | 'lap' | 'hand';
  fan: 'unknown' | 'yes' | 'no';
  lives: string;
  warranty: 'running' | 'over' | 'unknown';
  seal: 'intact' | 'broken' | 'none' | 'unknown';
  backup_done: 'yes' | 'no' | 'unknown';
  battery_swollen: boolean;
  liquid_damage: boolean;
  factory_interface: string;
  power_limit_cpu_w: string;
  power_limit_gpu_w: string;
  power_limit_both_w: string;
  limit_c: string;
  serial: string;
  tag: string;
  lidded: 'unknown' | 'yes' | 'no';
  done_on: string;
  language: string;
  /** A device that has been here, or empty for another one. */
  device_id: string;
  /** Whether the serial number of a known device stands on another one. */
  another_device: boolean;
}

const NUMBERS = [
  'age_months',
  'months_since_service',
  'power_limit_cpu_w',
  'power_limit_gpu_w',
  'power_limit_both_w',
  'limit_c',
] as const;
const WHOLE = new Set<string>(['age_months', 'months_since_service']);

const limitsOf = (noted: Record<string, number>): Record<LimitField, string> =>
  Object.fromEntries(LIMITED.map((role) => [limitField(role), String(noted[role] ?? '')])) as Record<
    LimitField,
    string
  >;

export function emptyForm(): IntakeForm {
  return {
    customer_name: '',
    customer_contact: '',
    kind: 'laptop',
    maker: '',
    model: '',
    symptom: '',
    age_months: '',
    months_since_service: '',
    surroundings: 'unknown',
    place: 'unknown',
    fan: 'unknown',
    lives: '',
    warranty: 'unknown',
    seal: 'unknown',
    backup_done: 'unknown',
    battery_swollen: false,
    liquid_damage: false,
    factory_interface: '',
    power_limit_cpu_w: '',
    power_limit_gpu_w: '',
    power_limit_both_w: '',
    limit_c: '',
    ...limitsOf({}),
    serial: '',
    tag: '',
    lidded: 'unknown',
    done_on: '',
    language: session.present?.person?.language ?? 'en',
    device_id: '',
    another_device: false,
  };
}

export function formOf(job: Job): IntakeForm {
  const form: Record<string, unknown> = { ...emptyForm() };
  for (const key of Object.keys(form)) {
    const value = job[key as keyof Job];
    form[key] = typeof value === 'number' ? String(value) : (value ?? '');
  }
  Object.assign(form, limitsOf(job.sensor_limits));
  form.another_device = false;
  return form as unknown as IntakeForm;
}

export type Checked = { body: Schemas['IntakeIn']; errors: null } | { body: null; errors: Record<string, string> };

/** What can be told wrong without asking the server: empty names and words where numbers belong. */
export function check(form: IntakeForm): Checked {
  const errors: Record<string, string> = {};
  if (!form.customer_name.trim()) errors.customer_name = say('intake-form-this-needed-stands-on');
  if (!form.model.trim()) errors.model = say('intake-form-this-needed-at-least');
  const numbers: Record<string, number | null> = {};
  for (const key of NUMBERS) {
    const value = parseNumber(form[key]);
    if (Number.isNaN(value)) errors[key] = say('intake-form-no-number-leave-empty', { key: form[key] });
    else if (value !== null && WHOLE.has(key) && !Number.isInteger(value))
      errors[key] = say('intake-form-whole-months-please');
    else numbers[key] = value;
  }
  const sensor_limits: Record<string, number> = {};
  const rest: Partial<IntakeForm> = { ...form };
  for (const role of LIMITED) {
    const typed = form[limitField(role)];
    delete rest[limitField(role)];
    const value = parseNumber(typed);
    if (Number.isNaN(value)) errors[limitField(role)] = say('intake-form-no-number-leave-empty', { key: typed });
    else if (value !== null) sensor_limits[role] = value;
  }
  if (Object.keys(errors).length) return { body: null, errors };
  const chosen = { device_id: form.device_id || null, done_on: form.done_on || null };
  return { body: { ...rest, ...numbers, ...chosen, sensor_limits } as unknown as Schemas['IntakeIn'], errors: null };
}

/** Of what would be sent, what was changed. */
export const only = (body: Schemas['IntakeIn'], changed: (keyof IntakeForm)[]): Partial<Schemas['IntakeIn']> =>
  Object.fromEntries(
    changed.map((key) => {
      const name = LIMITED.some((role) => limitField(role) === key) ? 'sensor_limits' : key;
      return [name, body[name as keyof Schemas['IntakeIn']]];
    }),
  );

/** The form with what is known of a device that has been here. */
export function withDevice(form: IntakeForm, device: Schemas['DeviceOut']): IntakeForm {
  const written = (v: number | null) => (v === null ? '' : String(v));
  return {
    ...form,
    device_id: device.id,
    another_device: false,
    customer_name: form.customer_name || device.customer,
    customer_contact: form.customer_contact || device.customer_contact,
    kind: device.kind as IntakeForm['kind'],
    maker: device.maker,
    model: device.model,
    serial: device.serial,
    tag: device.tag,
    fan: device.fan as IntakeForm['fan'],
    lidded: device.lidded as IntakeForm['lidded'],
    factory_interface: device.factory_interface,
    power_limit_cpu_w: written(device.power_limit_cpu_w),
    power_limit_gpu_w: written(device.power_limit_gpu_w),
    power_limit_both_w: written(device.power_limit_both_w),
    limit_c: written(device.limit_c),
    ...limitsOf(device.sensor_limits),
  };
}

/** A yes or no that may be not known. */
export const known = (yes: string, no: string) => [
  { value: 'unknown' as const, label: say('conditions-form-not-known') },
  { value: 'yes' as const, label: yes },
  { value: 'no' as const, label: no },
];

/** What was agreed goes with its gate, where the saved job has one. */
export async function agree(kept: Job, agreed: Record<string, string>): Promise<Job> {
  for (const gate of kept.gates) {
    const words = agreed[gate.rule]?.trim();
    if (!words || gate.acknowledged_by) continue;
    const params = { path: { job_id: kept.id } };
    kept = await take(client.POST('/api/jobs/{job_id}/acknowledgements', { params, body: { rule: gate.rule, words } }));
  }
  return kept;
}
