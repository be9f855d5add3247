// Words of the plan for stored names.
import { say } from '$words/page-plan.ftl';
export const GOALS = [
  { value: 'cooler', label: say('plan-words-cooler') },
  { value: 'quieter', label: say('plan-words-quieter') },
  { value: 'faster', label: say('plan-words-faster') },
  { value: 'cheaper', label: say('plan-words-cheaper') },
  { value: 'longest_rest', label: say('plan-words-longest-rest') },
] as const;

const unknown = { value: 'unknown', label: say('plan-words-not-looked-yet') };
export const FOUND_OPTIONS: Record<string, { label: string; options: { value: string; label: string }[] }> = {
  old_interface: {
    label: say('plan-words-old-interface'),
    options: [
      unknown,
      { value: 'sound', label: say('plan-words-sound') },
      { value: 'dry', label: say('plan-words-dry-chalk') },
      { value: 'pumped_out', label: say('plan-words-pumped-out') },
      { value: 'not_touching', label: say('plan-words-does-not-touch') },
      { value: 'still_liquid', label: say('plan-words-phase-change-still-liquid') },
      { value: 'alloy', label: say('plan-words-alloy') },
    ],
  },
  dust: {
    label: say('plan-words-dust-in-fins'),
    options: [
      unknown,
      { value: 'none', label: say('plan-words-none') },
      { value: 'light', label: say('plan-words-light') },
      { value: 'felt', label: say('plan-words-felt-blocked') },
    ],
  },
  fan_state: {
    label: say('plan-words-fan-by-hand'),
    options: [
      unknown,
      { value: 'free', label: say('plan-words-spins-freely') },
      { value: 'drags', label: say('plan-words-drags') },
    ],
  },
  pads_state: {
    label: say('plan-words-old-pads'),
    options: [
      unknown,
      { value: 'sound', label: say('plan-words-sound-may-stay') },
      { value: 'bad', label: say('plan-words-oily-crumbling-torn') },
    ],
  },
  gap_filler: {
    label: say('plan-words-gaps-get'),
    options: [
      { value: 'pads', label: say('plan-words-pads') },
      { value: 'putty', label: say('gap-rows-putty') },
    ],
  },
  cold_plate: {
    label: say('plan-words-cold-plate'),
    options: [
      unknown,
      { value: 'copper', label: say('plan-words-bare-copper') },
      { value: 'nickel', label: say('plan-words-nickel-plated') },
      { value: 'aluminium', label: say('plan-words-aluminium') },
    ],
  },
  aluminium_near: {
    label: say('plan-words-aluminium-beside'),
    options: [unknown, { value: 'no', label: say('plan-words-no') }, { value: 'yes', label: say('plan-words-yes') }],
  },
  parts_exposed: {
    label: say('plan-words-bare-parts-by-die'),
    options: [unknown, { value: 'no', label: say('plan-words-none') }, { value: 'yes', label: say('plan-words-yes') }],
  },
  insulation: {
    label: say('plan-words-they-will-be'),
    options: [
      { value: 'none', label: say('plan-words-left-bare') },
      { value: 'coat', label: say('plan-words-coated-twice') },
      { value: 'tape', label: say('plan-words-taped') },
      { value: 'lacquer', label: say('plan-words-lacquered') },
    ],
  },
  place: {
    label: say('plan-words-used-on'),
    options: [
      { value: 'desk', label: 'A desk' },
      { value: 'stand', label: 'A stand' },
      { value: 'dock', label: 'A dock' },
      { value: 'lap', label: say('plan-words-lap') },
      { value: 'hand', label: say('plan-words-in-hand') },
    ],
  },
};
export const GAP_TARGETS = [
  { value: 'memory', label: say('plan-words-memory') },
  { value: 'regulators', label: say('plan-words-regulators') },
  { value: 'inductors', label: say('plan-words-inductors') },
  { value: 'other', label: say('plan-words-other') },
];
export const GAP_WAYS = [
  { value: 'imprint', label: say('plan-words-putty-ball-pressed') },
  { value: 'measured', label: say('plan-words-measured-gap') },
  { value: 'old_pad', label: say('plan-words-old-pad-crushed') },
];
export const STOCK: Record<string, string> = {
  held: say('plan-words-on-shelf'),
  short: say('plan-words-not-on-shelf'),
  'not known': say('part-line-amount-not-known'),
  'not needed': say('plan-words-needs-nothing'),
};
