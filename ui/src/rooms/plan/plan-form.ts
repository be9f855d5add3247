// What was found, as typed, and what is sent of it. Empty means not measured; a word where a number belongs is told.
import { say } from '$words/page-plan.ftl';
import type { Plan, Schemas } from '../../lib/api';
import { parseNumber } from '../../lib/format';

export type Found = Schemas['FoundOut'];
export type Row = Record<string, string>;

export interface GapForm extends Row {
  target: string;
  how: string;
  reading_mm: string;
  tolerance_mm: string;
  width_mm: string;
  length_mm: string;
  count: string;
  together: string;
}

export interface FoundForm {
  goal: Plan['goal'];
  cpu_w: string;
  cpu_l: string;
  gpu_w: string;
  gpu_l: string;
  old_interface: string;
  dust: string;
  fan_state: string;
  pads_state: string;
  gap_filler: string;
  cold_plate: string;
  aluminium_near: string;
  parts_exposed: string;
  insulation: string;
  place: string;
  carried: boolean;
  opens_mains: boolean;
  plating: boolean;
  bath: Row | null;
  undervolt_mv: string;
  cap_w: string;
  gaps: Row[];
  shim: Row | null;
  cover: Row | null;
}

export const CHOICES = [
  'old_interface', 'dust', 'fan_state', 'pads_state', 'gap_filler', 'cold_plate', 'aluminium_near', 'parts_exposed',
  'insulation', 'place',
] as const; // prettier-ignore
export const SHIM_FIELDS: { key: string; label: string; unit: string; usual: string; needed: boolean }[] = [
  { key: 'package_width_mm', label: say('plan-form-package-width'), unit: 'mm', usual: '', needed: true },
  { key: 'package_length_mm', label: say('plan-form-package-length'), unit: 'mm', usual: '', needed: true },
  { key: 'die_width_mm', label: say('plan-form-die-in-width'), unit: 'mm', usual: '', needed: true },
  { key: 'die_length_mm', label: say('plan-form-die-in-length'), unit: 'mm', usual: '', needed: true },
  { key: 'offset_x_mm', label: say('plan-form-die-off-middle-across'), unit: 'mm', usual: '0', needed: true },
  { key: 'offset_y_mm', label: say('plan-form-die-off-middle-along'), unit: 'mm', usual: '0', needed: true },
  { key: 'neighbours_mm', label: say('plan-form-bare-parts-begin-after'), unit: 'mm', usual: '', needed: false },
  { key: 'power_w', label: say('plan-form-heat-chip'), unit: 'W', usual: '8', needed: true },
  { key: 'pad_mm', label: say('plan-form-old-pad-where-pressed'), unit: 'mm', usual: '2', needed: true },
  { key: 'pad_conductivity', label: say('plan-form-its-conductivity'), unit: 'W/m·K', usual: '3', needed: true },
  { key: 'shim_width_mm', label: say('plan-form-shim-width'), unit: 'mm', usual: '', needed: true },
  { key: 'shim_length_mm', label: say('plan-form-shim-length'), unit: 'mm', usual: '', needed: true },
  { key: 'shim_mm', label: say('plan-form-shim-thickness'), unit: 'mm', usual: '1.5', needed: true },
];
export const COVER_FIELDS: typeof SHIM_FIELDS = [
  { key: 'thickness_mm', label: say('plan-form-cover-thickness'), unit: 'mm', usual: '1', needed: true },
  { key: 'width_mm', label: say('plan-form-cover-width'), unit: 'mm', usual: '300', needed: true },
  { key: 'length_mm', label: say('plan-form-cover-length'), unit: 'mm', usual: '200', needed: true },
  { key: 'pad_width_mm', label: say('plan-form-pad-width'), unit: 'mm', usual: '40', needed: true },
  { key: 'pad_length_mm', label: say('plan-form-pad-length'), unit: 'mm', usual: '40', needed: true },
  { key: 'pad_conductivity', label: say('plan-form-its-conductivity'), unit: 'W/m·K', usual: '6', needed: true },
  { key: 'gap_mm', label: say('plan-form-gap-to-closed-cover'), unit: 'mm', usual: '', needed: false },
  { key: 'gap_tolerance_mm', label: say('plan-form-differs-by'), unit: 'mm', usual: '0.05', needed: true },
  { key: 'battery_mm', label: say('plan-form-battery-begins-after'), unit: 'mm', usual: '', needed: false },
];
export const BATH_FIELDS: typeof SHIM_FIELDS = [
  { key: 'area_cm2', label: say('plan-form-wetted-area-both-sides'), unit: 'cm²', usual: '20', needed: true },
  { key: 'target_um', label: say('plan-form-nickel-wanted'), unit: 'µm', usual: '20', needed: true },
  { key: 'temperature_c', label: say('found-bath'), unit: '°C', usual: '70', needed: true },
  { key: 'rate_um_h', label: say('plan-form-its-rate-by-sheet'), unit: 'µm/h', usual: '', needed: false },
  { key: 'current_density_a_dm2', label: say('plan-form-current-density'), unit: 'A/dm²', usual: '', needed: false },
];
/** The word that goes with the numbers of a group, and the one to begin with. */
export const GROUP_WORD = {
  shim: ['bond', 'glue'],
  cover: ['material', 'aluminium'],
  bath: ['method', 'electroless'],
} as const;
export type Group = keyof typeof GROUP_WORD;

const text = (value: number | null | undefined) => (value === null || value === undefined ? '' : String(value));

function rowOf(value: object): Row {
  return Object.fromEntries(
    Object.entries(value).map(([k, v]) => [k, typeof v === 'boolean' ? (v ? 'yes' : 'no') : text(v as number)]),
  );
}

export function emptyGap(): Row {
  return {
    target: 'memory', how: 'imprint', reading_mm: '', tolerance_mm: '0.05', width_mm: '', length_mm: '', count: '1',
    together: 'no',
  }; // prettier-ignore
}

export function emptySpot(group: Group, fields: typeof SHIM_FIELDS): Row {
  const [word, first] = GROUP_WORD[group];
  return { [word]: first, ...Object.fromEntries(fields.map((f) => [f.key, f.usual])) };
}

export function formOf(plan: Plan): FoundForm {
  const f = plan.found;
  const choices = Object.fromEntries(CHOICES.map((k) => [k, f[k]])) as Record<(typeof CHOICES)[number], string>;
  return {
    goal: plan.goal,
    ...choices,
    cpu_w: text(f.cpu_die_width_mm),
    cpu_l: text(f.cpu_die_length_mm),
    gpu_w: text(f.gpu_die_width_mm),
    gpu_l: text(f.gpu_die_length_mm),
    carried: f.carried,
    opens_mains: f.opens_mains,
    plating: f.plating,
    undervolt_mv: f.undervolt_mv ? text(f.undervolt_mv) : '',
    cap_w: text(f.cap_w),
    gaps: f.gaps.map(rowOf),
    shim: f.shim ? rowOf(f.shim) : null,
    cover: f.cover ? rowOf(f.cover) : null,
    bath: f.bath ? rowOf(f.bath) : null,
  };
}

export type Checked = { found: Schemas['FoundIn']; errors: null } | { found: null; errors: Record<string, string> };

/** The findings to send, or what cannot be sent by field. Half-filled groups are told, not dropped. */
export function check(form: FoundForm): Checked {
  const errors: Record<string, string> = {};
  const numberAt = (field: string, value: string | undefined): number | null => {
    const found = parseNumber(value ?? '');
    if (!Number.isNaN(found)) return found;
    errors[field] = say('plan-form-no-number', { value });
    return null;
  };
  const die = (name: 'cpu' | 'gpu') => {
    const [w, l] = [numberAt(`${name}_w`, form[`${name}_w`]), numberAt(`${name}_l`, form[`${name}_l`])];
    if ((w === null) !== (l === null))
      errors[w === null ? `${name}_w` : `${name}_l`] ??= say('plan-form-both-sides-or-none');
    return { [`${name}_die_width_mm`]: w, [`${name}_die_length_mm`]: l };
  };
  const spot = (group: Group, fields: typeof SHIM_FIELDS): Record<string, number | string | null> | null => {
    const row = form[group];
    if (!row) return null;
    const [word, first] = GROUP_WORD[group];
    const out: Record<string, number | string | null> = { [word]: row[word] ?? first };
    for (const f of fields) {
      const value = numberAt(`${group}.${f.key}`, row[f.key]);
      if (value === null && f.needed) errors[`${group}.${f.key}`] ??= say('plan-form-needed');
      out[f.key] = value;
    }
    return out;
  };
  const gaps = form.gaps.map((row, i) => {
    const at = (key: string) => {
      const value = numberAt(`gaps.${i}.${key}`, row[key]);
      if (value === null) errors[`gaps.${i}.${key}`] ??= say('plan-form-needed');
      return value ?? 0;
    };
    return {
      target: row.target ?? 'memory', how: row.how ?? 'measured', reading_mm: at('reading_mm'),
      tolerance_mm: at('tolerance_mm'), width_mm: at('width_mm'), length_mm: at('length_mm'),
      count: Math.round(at('count')), together: row.together === 'yes',
    }; // prettier-ignore
  });
  const shim = spot('shim', SHIM_FIELDS);
  const cover = spot('cover', COVER_FIELDS);
  const bath = form.plating ? spot('bath', BATH_FIELDS) : null;
  const found = {
    ...Object.fromEntries(CHOICES.map((k) => [k, form[k]])),
    ...die('cpu'),
    ...die('gpu'),
    carried: form.carried,
    opens_mains: form.opens_mains,
    plating: form.plating,
    undervolt_mv: numberAt('undervolt_mv', form.undervolt_mv) ?? 0,
    cap_w: numberAt('cap_w', form.cap_w),
    gaps,
    shim,
    cover,
    bath,
  };
  if (Object.keys(errors).length) return { found: null, errors };
  return { found: found as unknown as Schemas['FoundIn'], errors: null };
}
