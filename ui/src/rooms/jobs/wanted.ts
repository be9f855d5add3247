// What is looked for among the jobs, and how the address holds it.
export interface Wanted {
  find: string;
  state: string;
  stage: string;
  kind: string;
  verdict: string;
  material: string;
  since: string;
  until: string;
  order: string;
  offset: number;
}

export const BLANK: Wanted = {
  find: '',
  state: '',
  stage: '',
  kind: '',
  verdict: '',
  material: '',
  since: '',
  until: '',
  order: 'changed',
  offset: 0,
};

/** From the part of an address behind the question mark; what is not known there is left out. */
export function fromAddress(search: string): Wanted {
  const given = new URLSearchParams(search);
  const found = { ...BLANK };
  for (const key of Object.keys(BLANK) as (keyof Wanted)[]) {
    const value = given.get(key);
    if (value === null) continue;
    if (key === 'offset') found.offset = Math.max(0, Number.parseInt(value, 10) || 0);
    else found[key] = value;
  }
  return found;
}

/** Only what differs from all jobs stands in the address. */
export function asAddress(wanted: Wanted): string {
  const query = new URLSearchParams();
  for (const key of Object.keys(BLANK) as (keyof Wanted)[])
    if (wanted[key] !== BLANK[key]) query.set(key, String(wanted[key]));
  const text = query.toString();
  return text ? `/jobs?${text}` : '/jobs';
}

/** What is sent: what was not chosen is not asked. */
export const narrowed = (wanted: Wanted): Record<string, string> =>
  Object.fromEntries(Object.entries({ ...wanted, offset: '' }).filter(([, value]) => value !== ''));
