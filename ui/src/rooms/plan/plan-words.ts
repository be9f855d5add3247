// Words of the plan for stored names.
import { say } from '$words/page-plan.ftl';
export const GOALS = [
  { value: 'cooler', label: say('plan-words-cooler') },
  { value: 'quieter', label: say('plan-words-quieter') },
  { value: 'faster', label: say('plan-words-faster') },
  { value: 'cheaper', label: say('plan-words-cheaper') },
  { value: 'longest_rest', label: say('plan-words-longest-rest') },
] as const;

export const STOCK: Record<string, string> = {
  held: say('plan-words-on-shelf'),
  short: say('plan-words-not-on-shelf'),
  'not known': say('part-line-amount-not-known'),
  'not needed': say('plan-words-needs-nothing'),
};
