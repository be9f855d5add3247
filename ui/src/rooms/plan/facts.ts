// Which of the facts matter for an option: they stand open beside it, the others fold.
import type { Option } from '../../lib/api';

export const FACT_GROUPS = ['metals', 'gaps', 'shim', 'cover', 'tuning'] as const;
export type FactGroup = (typeof FACT_GROUPS)[number];

const GAP_FILLERS = ['pad', 'putty'];

/** Groups of facts that open a gate of this option or size one of its parts. */
export function factsThatMatter(option: Option): FactGroup[] {
  const rules = option.gates.map((gate) => gate.rule);
  const found: Record<FactGroup, boolean> = {
    metals: option.kind === 'gallium_alloy' || rules.some((r) => r.startsWith('alloy') || r.startsWith('parts_')),
    gaps: option.parts.some((part) => GAP_FILLERS.includes(part.kind)),
    shim: option.parts.some((part) => part.kind === 'copper_shim'),
    cover: option.key.startsWith('cover') || rules.some((r) => r.startsWith('cover') || r === 'skin_limit'),
    tuning: option.key.startsWith('tune') || rules.some((r) => r.startsWith('mains') || r.startsWith('plating')),
  };
  return FACT_GROUPS.filter((group) => found[group]);
}
