import { describe, expect, it } from 'vitest';
import { formOf, readForm, type FieldList } from './fields';

const LIST = [
  { key: 'name', label: 'Name', needed: 'A name, please.' },
  { key: 'limit_c', kind: 'number', label: 'Limit', unit: '°C' },
  { key: 'months', kind: 'whole', label: 'Age' },
  { key: 'price_cents', kind: 'price', label: 'Price' },
  { key: 'power_share', kind: 'share', label: 'Power' },
  { key: 'took_s', kind: 'duration', label: 'Took' },
  { key: 'done_on', kind: 'day', label: 'Day' },
  { key: 'wet', kind: 'tick', label: 'Wet' },
  { key: 'seal', kind: 'choice', label: 'Seal', options: [{ value: 'none' as const, label: 'None' }] },
] as const satisfies FieldList;
const STORED = {
  name: 'Wen',
  limit_c: 95.5,
  months: 40,
  price_cents: 8950,
  power_share: 0.035,
  took_s: 754,
  done_on: null,
  wet: true,
  seal: 'none',
};
const blank = () => formOf(LIST, null);

describe('a form by its list of fields', () => {
  it('is typed as people write it, and is stored as it was', () => {
    const form = formOf(LIST, STORED);
    expect(form).toMatchObject({ limit_c: '95.5', price_cents: '89.50', power_share: '3.5', took_s: '12:34' });
    expect(readForm(LIST, form).values).toEqual(STORED);
  });
  it('sends empty numbers as not known, never as zero', () => {
    const { values } = readForm(LIST, { ...blank(), name: 'Wen' });
    expect(values).toMatchObject({ limit_c: null, months: null, price_cents: null, wet: false, seal: 'none' });
  });
  it('reads a decimal comma and refuses words, each beside its field', () => {
    expect(readForm(LIST, { ...formOf(LIST, STORED), limit_c: '45,5' }).values?.limit_c).toBe(45.5);
    const { errors } = readForm(LIST, { ...blank(), name: ' ', limit_c: 'hot', months: '3.5', price_cents: '-1' });
    expect(errors).toEqual({
      name: 'A name, please.',
      limit_c: '“hot” is no number.',
      months: '“3.5” is no whole number.',
      price_cents: '“-1” is no number.',
    });
  });
});
