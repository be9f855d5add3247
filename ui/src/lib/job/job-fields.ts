// What is asked of a job and its device, by where it decides something: at the counter what decides whether it is taken in,
// the rest where it is needed.
import { say } from '$words/page-intake.ftl';
import '$words/page-job.ftl';
import { answers, openOr, type FieldList } from '../fields';
import { languageOptions } from '../languages';

const yesOrNo = (yes: string, no: string) =>
  openOr([
    { value: 'yes', label: yes },
    { value: 'no', label: no },
  ]);

/** Who brings what, and what is wrong with it. */
export const WHAT_COMES_IN = [
  {
    key: 'customer_name',
    label: say('intake-customer'),
    needed: say('intake-form-this-needed-stands-on'),
    suggest: 'customer_name',
  },
  { key: 'customer_contact', label: say('intake-how-to-reach-them') },
  {
    key: 'kind',
    kind: 'choice',
    label: say('intake-device'),
    wide: true,
    options: answers('device', ['laptop', 'console', 'handheld', 'other']),
  },
  { key: 'maker', label: say('intake-maker'), suggest: 'maker' },
  {
    key: 'model',
    label: say('intake-model'),
    needed: say('intake-form-this-needed-at-least'),
    suggest: 'model',
    within: 'maker',
  },
  { key: 'device_id', kind: 'hidden', label: '' },
  { key: 'symptom', label: say('intake-symptom-in-customers-words'), wide: true, lines: 2 },
] as const satisfies FieldList;

/** What must be settled before the customer leaves. */
export const SETTLED_AT_ONCE = [
  {
    key: 'backup_done',
    kind: 'choice',
    label: say('intake-backup-done'),
    options: yesOrNo(say('intake-yes'), say('intake-no')),
  },
  { key: 'battery_swollen', kind: 'tick', label: say('intake-battery-swollen'), tone: 'halt' },
  { key: 'liquid_damage', kind: 'tick', label: say('intake-traces-liquid') },
] as const satisfies FieldList;

/** What tells this device from another one, and whom to write how. Made when it is asked for: which languages there are is known then. */
export const marks = () =>
  [
    { key: 'serial', label: say('intake-serial'), hint: say('intake-serial-hint') },
    { key: 'tag', label: say('intake-tag') },
    { key: 'language', kind: 'pick', label: say('intake-language'), options: languageOptions() },
    { key: 'done_on', kind: 'day', label: say('intake-done-on'), hint: say('intake-done-on-hint') },
  ] as const satisfies FieldList;

/** Asked before it is opened. */
export const WARRANTY = [
  {
    key: 'warranty',
    kind: 'choice',
    label: say('intake-warranty'),
    options: openOr(answers('intake', ['running', 'over'])),
  },
  {
    key: 'seal',
    kind: 'choice',
    label: say('intake-tamper-seal'),
    options: openOr(answers('intake', ['intact', 'broken', 'none'])),
  },
] as const satisfies FieldList;

/** Asked where the plan is made. */
export const LIFE = [
  { key: 'age_months', kind: 'whole', label: say('intake-life-age'), unit: 'months' },
  { key: 'months_since_service', kind: 'whole', label: say('intake-life-since-last-service'), unit: 'months' },
  {
    key: 'factory_interface',
    label: say('intake-life-interface-from-factory'),
    suggest: 'factory_interface',
  },
  { key: 'lives', label: say('intake-life-where-lives'), hint: say('intake-life-lid-closed-shelf-carpet') },
  {
    key: 'lidded',
    kind: 'choice',
    label: say('intake-lidded'),
    options: yesOrNo(say('intake-lidded-yes'), say('intake-lidded-no')),
  },
  {
    key: 'fan',
    kind: 'choice',
    label: say('intake-life-fan'),
    options: yesOrNo(say('intake-life-has-one'), say('intake-life-has-none')),
  },
  {
    key: 'surroundings',
    kind: 'choice',
    label: say('intake-life-surroundings'),
    wide: true,
    options: openOr(answers('intake-life', ['normal', 'dusty', 'pets', 'smoke'])),
  },
  {
    key: 'place',
    kind: 'choice',
    label: say('intake-life-used-on'),
    wide: true,
    options: openOr(answers('intake-life', ['desk', 'stand', 'dock', 'lap', 'hand'])),
  },
] as const satisfies FieldList;

/** Asked where it is measured. Limits of sensors are kept together; each is a field of its own, so that two tablets may fill
 *  in two. */
export const LIMITS = [
  { key: 'power_limit_cpu_w', kind: 'number', label: say('intake-processor-power'), unit: 'W' },
  { key: 'power_limit_gpu_w', kind: 'number', label: say('intake-graphics-power'), unit: 'W' },
  { key: 'power_limit_both_w', kind: 'number', label: say('intake-shared-power'), unit: 'W' },
  { key: 'limit_c', kind: 'number', label: say('intake-temperature'), unit: '°C' },
  { key: 'gpu_hotspot', kind: 'number', label: say('intake-limit-hotspot'), unit: '°C' },
  { key: 'memory_temperature', kind: 'number', label: say('intake-limit-memory'), unit: '°C' },
  { key: 'regulator_temperature', kind: 'number', label: say('intake-limit-regulators'), unit: '°C' },
  { key: 'drive_temperature', kind: 'number', label: say('intake-limit-drive'), unit: '°C' },
  { key: 'skin_temperature', kind: 'number', label: say('intake-limit-surface'), unit: '°C' },
] as const satisfies FieldList;

export const intakeFields = () =>
  [...WHAT_COMES_IN, ...SETTLED_AT_ONCE, ...marks(), ...WARRANTY, ...LIFE, ...LIMITS] as const;
export type IntakeFields = ReturnType<typeof intakeFields>;

/** Lists by what they are about, for where they are asked. What it is used on the plan asks itself, with what was found. */
export const ASKED = {
  limits: LIMITS,
  factory: LIFE.filter(({ key }) => key !== 'place'),
  warranty: WARRANTY,
} as const;
