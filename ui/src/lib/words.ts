// Words of the trade for stored names.
export const KINDS: Record<string, string> = {
  laptop: 'Laptop',
  console: 'Console',
  handheld: 'Handheld',
  other: 'Other',
};
/** How an amount is known: what nobody weighed does not read like what somebody did. */
export const AMOUNT_IS: Record<string, string> = { planned: ' planned', weighed: ' weighed' };
export const TARGETS: Record<string, string> = {
  cpu_die: 'Processor die',
  gpu_die: 'Graphics die',
  memory: 'Memory',
  regulators: 'Regulators',
  inductors: 'Inductors',
  cover: 'Bottom cover',
  other: 'Other',
};
export const INTERFACES: Record<string, string> = {
  paste_stiff: 'Paste, stiff (diamond)',
  paste_soft: 'Paste, soft',
  phase_change_sheet: 'Phase-change sheet',
  phase_change_paste: 'Phase-change paste (solvent)',
  gallium_alloy: 'Gallium alloy',
  pad: 'Pad',
  putty: 'Putty',
  heat_glue: 'Heat glue',
  copper_shim: 'Copper shim',
};
export const CLEANED: Record<string, string> = {
  fins: 'Fins',
  fan: 'Fan',
  vents: 'Vents and filters',
  contact: 'Contact surfaces',
  old_interface: 'Old interface removed',
  pads_checked: 'Pads checked',
};
export const SPOTS: Record<string, string> = { exhaust: 'Exhaust', skin: 'Skin', heatsink: 'Heatsink probe' };
export const ROLES: Record<string, string> = {
  cpu_temperature: 'Processor temperature',
  gpu_temperature: 'Graphics temperature',
  gpu_hotspot: 'Graphics hot spot',
  cpu_power: 'Processor power',
  gpu_power: 'Graphics power',
  total_power: 'Total power',
  cpu_clock: 'Processor clock',
  gpu_clock: 'Graphics clock',
  cpu_utilisation: 'Processor utilisation',
  gpu_utilisation: 'Graphics utilisation',
  fan_speed: 'Fan speed',
  heatsink_temperature: 'Heatsink probe',
  exhaust_temperature: 'Exhaust air',
  room_temperature: 'Room air',
  throttle_flag: 'Throttle flag',
};
export const VERDICTS: Record<string, string> = {
  improved: 'Improved',
  worse: 'Worse',
  improved_if_same: 'Improved, if all else was the same',
  worse_if_same: 'Worse, if all else was the same',
  no_difference_shown: 'No difference shown',
  cannot_be_compared: 'Cannot be compared',
};
export const STAGES: { id: string; name: string }[] = [
  { id: 'intake', name: 'Intake' },
  { id: 'before', name: 'Before' },
  { id: 'plan', name: 'Plan' },
  { id: 'open', name: 'Open' },
  { id: 'clean', name: 'Clean' },
  { id: 'fit', name: 'Fit' },
  { id: 'close', name: 'Close' },
  { id: 'after', name: 'After' },
  { id: 'handover', name: 'Hand over' },
];
/** The verdict is read within After. */
export const railStage = (stage: string): string => (stage === 'verdict' ? 'after' : stage);
export const RUNGS: Record<string, string> = {
  interface: 'interface',
  heatsink: 'heatsink',
  air: 'air and case',
  behind: 'heatsink and air',
  whole: 'die to room',
};
