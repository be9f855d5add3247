// Rates and ways of the shop as typed, and what is sent of them.
import { say } from '$words/page-shop.ftl';
import type { Schemas } from '../../lib/api';
import { parseNumber } from '../../lib/format';

export interface HabitsForm {
  hourly_rate: string;
  tax_percent: string;
  application_school: string;
  life_school: string;
  hands_min: Record<string, string>;
  tighten_percent: string;
  usual_load: string;
  usual_fan: string;
  work_warranty_months: string;
  language: string;
  customer_address: string;
  link_months: string;
  zone: string;
}

export const SCHOOLS = [
  { value: '', label: say('habits-die-and-paste-decide') },
  { value: 'bead', label: 'A bead' },
  { value: 'line', label: 'A line' },
  { value: 'cross', label: 'A cross' },
  { value: 'film', label: say('habits-spread-film') },
];
export const LIFE_SCHOOLS = [
  { value: 'careful', label: say('habits-careful-sooner') },
  { value: 'usual', label: say('habits-usual') },
  { value: 'long', label: say('habits-long') },
];

export const TIGHTENING = [
  { value: '50', label: say('habits-half-turns-then-fully') },
  { value: '70', label: say('habits-turns-then-fully') },
];

export function habitsForm(shop: Schemas['ShopOut']): HabitsForm {
  const h = shop.habits;
  return {
    hourly_rate: String(h.hourly_rate_cents / 100),
    tax_percent: String(h.tax_percent),
    application_school: h.application_school ?? '',
    life_school: h.life_school,
    hands_min: Object.fromEntries(shop.tasks.map((t) => [t.name, String(h.hands_min[t.name] ?? t.hands_min)])),
    tighten_percent: String(h.tighten_percent),
    usual_load: h.usual_load,
    usual_fan: h.usual_fan,
    work_warranty_months: h.work_warranty_months === null ? '' : String(h.work_warranty_months),
    language: h.language,
    customer_address: h.customer_address,
    link_months: String(h.link_months),
    zone: h.zone,
  };
}

export type Checked = { body: Schemas['HabitsIn']; errors: null } | { body: null; errors: Record<string, string> };

export function checkHabits(form: HabitsForm): Checked {
  const errors: Record<string, string> = {};
  const at = (name: string, text: string) => {
    const value = parseNumber(text);
    if (value !== null && !Number.isNaN(value)) return value;
    errors[name] = say('shop-type-number');
    return 0;
  };
  const body = {
    hourly_rate_cents: Math.round(100 * at('hourly_rate', form.hourly_rate)),
    tax_percent: at('tax_percent', form.tax_percent),
    application_school: form.application_school || null,
    life_school: form.life_school,
    hands_min: Object.fromEntries(Object.entries(form.hands_min).map(([name, text]) => [name, at(name, text)])),
    tighten_percent: Number(form.tighten_percent),
    usual_load: form.usual_load,
    usual_fan: form.usual_fan,
    work_warranty_months: form.work_warranty_months.trim()
      ? Math.round(at('work_warranty', form.work_warranty_months))
      : null,
    language: form.language,
    customer_address: form.customer_address,
    link_months: Math.round(at('link_months', form.link_months)),
    zone: form.zone,
  };
  return Object.keys(errors).length ? { body: null, errors } : { body, errors: null };
}
