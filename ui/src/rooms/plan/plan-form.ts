// What was found, as typed, and what is sent of it. Empty means not measured; a word where a number belongs is told.
import { say } from '$words/page-plan.ftl';
import type { Plan, Schemas } from '../../lib/api';
import { formOf, readForm, type FieldList, type FormOf, type Option } from '../../lib/fields';

type Words = Record<string, string>;
const named = <const T extends Words>(words: T): Option[] =>
  Object.entries(words).map(([value, label]) => ({ value, label }));
/** Answers to what may not have been looked at yet. */
const seen = (words: Words): Option[] => named({ unknown: say('plan-words-not-looked-yet'), ...words });
const no = say('plan-words-no');
const yes = say('plan-words-yes');
const none = say('plan-words-none');

/** What is looked at and named. */
export const LOOKED = {
  old_interface: {
    key: 'old_interface',
    kind: 'pick',
    label: say('plan-words-old-interface'),
    options: seen({
      sound: say('plan-words-sound'),
      dry: say('plan-words-dry-chalk'),
      pumped_out: say('plan-words-pumped-out'),
      not_touching: say('plan-words-does-not-touch'),
      still_liquid: say('plan-words-phase-change-still-liquid'),
      alloy: say('plan-words-alloy'),
    }),
  },
  dust: {
    key: 'dust',
    kind: 'pick',
    label: say('plan-words-dust-in-fins'),
    options: seen({ none, light: say('plan-words-light'), felt: say('plan-words-felt-blocked') }),
  },
  fan_state: {
    key: 'fan_state',
    kind: 'pick',
    label: say('plan-words-fan-by-hand'),
    options: seen({ free: say('plan-words-spins-freely'), drags: say('plan-words-drags') }),
  },
  pads_state: {
    key: 'pads_state',
    kind: 'pick',
    label: say('plan-words-old-pads'),
    options: seen({ sound: say('plan-words-sound-may-stay'), bad: say('plan-words-oily-crumbling-torn') }),
  },
  gap_filler: {
    key: 'gap_filler',
    kind: 'pick',
    label: say('plan-words-gaps-get'),
    options: named({ pads: say('plan-words-pads'), putty: say('gap-rows-putty') }),
  },
  cold_plate: {
    key: 'cold_plate',
    kind: 'pick',
    label: say('plan-words-cold-plate'),
    options: seen({
      copper: say('plan-words-bare-copper'),
      nickel: say('plan-words-nickel-plated'),
      aluminium: say('plan-words-aluminium'),
    }),
  },
  aluminium_near: {
    key: 'aluminium_near',
    kind: 'pick',
    label: say('plan-words-aluminium-beside'),
    options: seen({ no, yes }),
  },
  parts_exposed: {
    key: 'parts_exposed',
    kind: 'pick',
    label: say('plan-words-bare-parts-by-die'),
    options: seen({ no: none, yes }),
  },
  insulation: {
    key: 'insulation',
    kind: 'pick',
    label: say('plan-words-they-will-be'),
    options: named({
      none: say('plan-words-left-bare'),
      coat: say('plan-words-coated-twice'),
      tape: say('plan-words-taped'),
      lacquer: say('plan-words-lacquered'),
    }),
  },
  place: {
    key: 'place',
    kind: 'pick',
    label: say('plan-words-used-on'),
    options: named({
      desk: say('plan-words-desk'),
      stand: say('plan-words-stand'),
      dock: say('plan-words-dock'),
      lap: say('plan-words-lap'),
      hand: say('plan-words-in-hand'),
    }),
  },
} as const satisfies Record<string, FieldList[number]>;
export const DIES = [
  { key: 'cpu_die_width_mm', kind: 'number', label: say('found-processor-die-width'), unit: 'mm' },
  { key: 'cpu_die_length_mm', kind: 'number', label: say('found-processor-die-length'), unit: 'mm' },
  { key: 'gpu_die_width_mm', kind: 'number', label: say('found-graphics-die-width'), unit: 'mm' },
  { key: 'gpu_die_length_mm', kind: 'number', label: say('found-graphics-die-length'), unit: 'mm' },
] as const satisfies FieldList;
export const TUNING = [
  { key: 'undervolt_mv', kind: 'number', label: say('found-undervolt-by'), unit: 'mV' },
  { key: 'cap_w', kind: 'number', label: say('found-power-cap'), unit: 'W' },
] as const satisfies FieldList;
export const HAZARDS = [
  { key: 'carried', kind: 'tick', label: say('found-carried-and-shaken') },
  { key: 'opens_mains', kind: 'tick', label: say('found-mains-supply-would-be'), tone: 'halt' },
  { key: 'plating', kind: 'tick', label: say('found-cold-plate-would-be'), tone: 'halt' },
] as const satisfies FieldList;
const FOUND = [...Object.values(LOOKED), ...DIES, ...TUNING, ...HAZARDS] as const;

const needed = true;
const mm = 'mm';
export const GAP_TOLERANCE = {
  key: 'tolerance_mm',
  kind: 'number',
  label: say('gap-rows-may-be-off-by'),
  unit: mm,
  usual: '0.05',
  needed,
} as const;
export const GAP = [
  {
    key: 'target',
    kind: 'pick',
    label: say('gap-rows-under-cooler'),
    options: named({
      memory: say('plan-words-memory'),
      regulators: say('plan-words-regulators'),
      inductors: say('plan-words-inductors'),
      other: say('plan-words-other'),
    }),
  },
  {
    key: 'how',
    kind: 'pick',
    label: say('gap-rows-read-from'),
    options: named({
      imprint: say('plan-words-putty-ball-pressed'),
      measured: say('plan-words-measured-gap'),
      old_pad: say('plan-words-old-pad-crushed'),
    }),
  },
  { key: 'reading_mm', kind: 'number', label: say('gap-rows-reading'), unit: mm, needed },
  { key: 'width_mm', kind: 'number', label: say('gap-rows-part-width'), unit: mm, needed },
  { key: 'length_mm', kind: 'number', label: say('gap-rows-part-length'), unit: mm, needed },
  { key: 'count', kind: 'whole', label: say('gap-rows-how-many'), usual: '1', needed },
  GAP_TOLERANCE,
  { key: 'together', kind: 'tick', label: say('gap-rows-one-strip-for-all') },
] as const satisfies FieldList;
export const SHIM = [
  {
    key: 'bond',
    kind: 'pick',
    label: say('found-held-to-heatsink-by'),
    options: named({ glue: say('found-heat-glue'), paste: say('found-paste-both-faces') }),
  },
  { key: 'package_width_mm', kind: 'number', label: say('plan-form-package-width'), unit: mm, needed },
  { key: 'package_length_mm', kind: 'number', label: say('plan-form-package-length'), unit: mm, needed },
  { key: 'die_width_mm', kind: 'number', label: say('plan-form-die-in-width'), unit: mm, needed },
  { key: 'die_length_mm', kind: 'number', label: say('plan-form-die-in-length'), unit: mm, needed },
  { key: 'offset_x_mm', kind: 'number', label: say('plan-form-die-off-middle-across'), unit: mm, usual: '0', needed },
  { key: 'offset_y_mm', kind: 'number', label: say('plan-form-die-off-middle-along'), unit: mm, usual: '0', needed },
  { key: 'neighbours_mm', kind: 'number', label: say('plan-form-bare-parts-begin-after'), unit: mm },
  { key: 'power_w', kind: 'number', label: say('plan-form-heat-chip'), unit: 'W', usual: '8', needed },
  { key: 'pad_mm', kind: 'number', label: say('plan-form-old-pad-where-pressed'), unit: mm, usual: '2', needed },
  {
    key: 'pad_conductivity',
    kind: 'number',
    label: say('plan-form-its-conductivity'),
    unit: 'W/m·K',
    usual: '3',
    needed,
  },
  { key: 'shim_width_mm', kind: 'number', label: say('plan-form-shim-width'), unit: mm, needed },
  { key: 'shim_length_mm', kind: 'number', label: say('plan-form-shim-length'), unit: mm, needed },
  { key: 'shim_mm', kind: 'number', label: say('plan-form-shim-thickness'), unit: mm, usual: '1.5', needed },
] as const satisfies FieldList;
export const COVER = [
  {
    key: 'material',
    kind: 'pick',
    label: say('found-cover'),
    options: ['aluminium', 'magnesium', 'steel', 'plastic', 'carbon', 'glass'].map((c) => ({
      value: c,
      label: say(`cover-${c}`),
    })),
  },
  { key: 'thickness_mm', kind: 'number', label: say('plan-form-cover-thickness'), unit: mm, usual: '1', needed },
  { key: 'width_mm', kind: 'number', label: say('plan-form-cover-width'), unit: mm, usual: '300', needed },
  { key: 'length_mm', kind: 'number', label: say('plan-form-cover-length'), unit: mm, usual: '200', needed },
  { key: 'pad_width_mm', kind: 'number', label: say('plan-form-pad-width'), unit: mm, usual: '40', needed },
  { key: 'pad_length_mm', kind: 'number', label: say('plan-form-pad-length'), unit: mm, usual: '40', needed },
  {
    key: 'pad_conductivity',
    kind: 'number',
    label: say('plan-form-its-conductivity'),
    unit: 'W/m·K',
    usual: '6',
    needed,
  },
  { key: 'gap_mm', kind: 'number', label: say('plan-form-gap-to-closed-cover'), unit: mm },
  { key: 'gap_tolerance_mm', kind: 'number', label: say('plan-form-differs-by'), unit: mm, usual: '0.05', needed },
  { key: 'battery_mm', kind: 'number', label: say('plan-form-battery-begins-after'), unit: mm },
] as const satisfies FieldList;
export const BATH = [
  {
    key: 'method',
    kind: 'pick',
    label: say('found-bath'),
    options: named({ electroless: say('found-electroless'), electrolytic: say('found-with-current') }),
  },
  { key: 'area_cm2', kind: 'number', label: say('plan-form-wetted-area-both-sides'), unit: 'cm²', usual: '20', needed },
  { key: 'target_um', kind: 'number', label: say('plan-form-nickel-wanted'), unit: 'µm', usual: '20', needed },
  { key: 'temperature_c', kind: 'number', label: say('found-bath-temperature'), unit: '°C', usual: '70', needed },
  { key: 'rate_um_h', kind: 'number', label: say('plan-form-its-rate-by-sheet'), unit: 'µm/h' },
  { key: 'current_density_a_dm2', kind: 'number', label: say('plan-form-current-density'), unit: 'A/dm²' },
] as const satisfies FieldList;
const GROUPS = { shim: SHIM, cover: COVER, bath: BATH };

export type GapForm = FormOf<typeof GAP>;
export type FoundForm = FormOf<typeof FOUND> & {
  goal: Plan['goal'];
  gaps: GapForm[];
  shim: FormOf<typeof SHIM> | null;
  cover: FormOf<typeof COVER> | null;
  bath: FormOf<typeof BATH> | null;
};

export function planForm({ goal, found }: Plan): FoundForm {
  return {
    ...formOf(FOUND, { ...found, undervolt_mv: found.undervolt_mv || null }),
    goal,
    gaps: found.gaps.map((gap) => formOf(GAP, gap)),
    shim: found.shim && formOf(SHIM, found.shim),
    cover: found.cover && formOf(COVER, found.cover),
    bath: found.bath && formOf(BATH, found.bath),
  };
}

export type Checked = { found: Schemas['FoundIn']; errors: null } | { found: null; errors: Record<string, string> };

/** The findings to send, or what cannot be sent by field. Half-filled groups are told, not dropped. */
export function checkFound(form: FoundForm): Checked {
  const errors: Record<string, string> = {};
  /** What is read of a part of the form; what is wrong in it is told under its name. */
  const part = <const L extends FieldList>(list: L, of: FormOf<L>, prefix: string) => {
    const read = readForm(list, of);
    for (const [key, words] of Object.entries(read.errors ?? {})) errors[prefix + key] = words;
    return read.values;
  };
  const group = <K extends keyof typeof GROUPS>(name: K) =>
    form[name] && part(GROUPS[name] as FieldList, form[name] as Record<string, string>, `${name}.`);
  const found = part(FOUND, form, '');
  for (const die of ['cpu', 'gpu'] as const) {
    const [width, length] = [`${die}_die_width_mm`, `${die}_die_length_mm`] as const;
    if (found && (found[width] === null) !== (found[length] === null))
      errors[found[width] === null ? width : length] = say('plan-form-both-sides-or-none');
  }
  const gaps = form.gaps.map((gap, i) => part(GAP, gap, `gaps.${i}.`));
  const groups = { shim: group('shim'), cover: group('cover'), bath: form.plating ? group('bath') : null };
  if (!found || Object.keys(errors).length) return { found: null, errors };
  const body = { ...found, undervolt_mv: found.undervolt_mv ?? 0, gaps, ...groups };
  return { found: body as unknown as Schemas['FoundIn'], errors: null };
}
