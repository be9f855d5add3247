import { expect, it } from 'vitest';
import { asAddress, BLANK, fromAddress, narrowed } from './wanted';

it('what is looked for goes into the address and back', () => {
  const wanted = { ...BLANK, find: 'marrow wen', kind: 'console', offset: 50 };
  expect(asAddress(wanted)).toBe('/jobs?find=marrow+wen&kind=console&offset=50');
  expect(fromAddress('?find=marrow+wen&kind=console&offset=50&strange=1')).toEqual(wanted);
  expect(asAddress(BLANK)).toBe('/jobs');
  expect(fromAddress('?offset=-3').offset).toBe(0);
  expect(narrowed({ ...BLANK, kind: 'console' })).toMatchObject({ order: 'changed', kind: 'console' });
  expect(narrowed(BLANK)).not.toHaveProperty('kind');
});
