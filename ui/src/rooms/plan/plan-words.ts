// Words of the plan for stored names.
export const GOALS = [
  { value: 'cooler', label: 'Cooler' },
  { value: 'quieter', label: 'Quieter' },
  { value: 'faster', label: 'Faster' },
  { value: 'cheaper', label: 'Cheaper' },
  { value: 'longest_rest', label: 'Longest rest' },
] as const;

const unknown = { value: 'unknown', label: 'Not looked yet' };
export const FOUND_OPTIONS: Record<string, { label: string; options: { value: string; label: string }[] }> = {
  old_interface: {
    label: 'Old interface',
    options: [
      unknown,
      { value: 'sound', label: 'Sound' },
      { value: 'dry', label: 'Dry, chalk' },
      { value: 'pumped_out', label: 'Pumped out' },
      { value: 'not_touching', label: 'Does not touch' },
      { value: 'still_liquid', label: 'Phase change, still liquid' },
      { value: 'alloy', label: 'Alloy' },
    ],
  },
  dust: {
    label: 'Dust in the fins',
    options: [
      unknown,
      { value: 'none', label: 'None' },
      { value: 'light', label: 'Light' },
      { value: 'felt', label: 'Felt, blocked' },
    ],
  },
  fan_state: {
    label: 'Fan by hand',
    options: [unknown, { value: 'free', label: 'Spins freely' }, { value: 'drags', label: 'Drags' }],
  },
  pads_state: {
    label: 'Old pads',
    options: [unknown, { value: 'sound', label: 'Sound, may stay' }, { value: 'bad', label: 'Oily, crumbling, torn' }],
  },
  gap_filler: {
    label: 'Gaps get',
    options: [
      { value: 'pads', label: 'Pads' },
      { value: 'putty', label: 'Putty' },
    ],
  },
  cold_plate: {
    label: 'Cold plate',
    options: [
      unknown,
      { value: 'copper', label: 'Bare copper' },
      { value: 'nickel', label: 'Nickel-plated' },
      { value: 'aluminium', label: 'Aluminium' },
    ],
  },
  aluminium_near: {
    label: 'Aluminium beside it',
    options: [unknown, { value: 'no', label: 'No' }, { value: 'yes', label: 'Yes' }],
  },
  parts_exposed: {
    label: 'Bare parts by the die',
    options: [unknown, { value: 'no', label: 'None' }, { value: 'yes', label: 'Yes' }],
  },
  insulation: {
    label: 'They will be',
    options: [
      { value: 'none', label: 'Left bare' },
      { value: 'coat', label: 'Coated twice' },
      { value: 'tape', label: 'Taped' },
      { value: 'lacquer', label: 'Lacquered' },
    ],
  },
  place: {
    label: 'Used on',
    options: [
      { value: 'desk', label: 'A desk' },
      { value: 'stand', label: 'A stand' },
      { value: 'dock', label: 'A dock' },
      { value: 'lap', label: 'The lap' },
      { value: 'hand', label: 'In the hand' },
    ],
  },
};
export const GAP_TARGETS = [
  { value: 'memory', label: 'Memory' },
  { value: 'regulators', label: 'Regulators' },
  { value: 'inductors', label: 'Inductors' },
  { value: 'other', label: 'Other' },
];
export const GAP_WAYS = [
  { value: 'imprint', label: 'Putty ball, pressed' },
  { value: 'measured', label: 'Measured gap' },
  { value: 'old_pad', label: 'Old pad, crushed' },
];
export const STOCK: Record<string, string> = {
  held: 'on the shelf',
  short: 'not on the shelf',
  'not known': 'amount not known',
  'not needed': 'needs nothing',
};
