import { describe, expect, it } from 'vitest';
import { bytes, change, clock, figure, money, parseDay, parseNumber } from './format';

describe('figures', () => {
  it('says not known instead of a zero', () => {
    expect(figure(null, 'K')).toBe('not known');
    expect(change(null, null, 'K')).toBe('not known');
  });
  it('gives resistance two digits and rpm none', () => {
    expect(figure(0.876, 'K/W')).toBe('0.88');
    expect(figure(2999.6, 'rpm')).toBe('3000');
  });
  it('signs a change and never writes minus zero', () => {
    expect(change(-24.31, 1.8, 'K')).toBe('−24.3 ± 1.8');
    expect(change(3.2, 1, 'W')).toBe('+3.2 ± 1.0');
    expect(change(-0.001, 0.02, 'K/W')).toBe('0.00 ± 0.02');
  });
});

describe('typed numbers', () => {
  it.each([
    ['24.5', 24.5],
    ['24,5', 24.5],
    ['−3', -3],
    [' 1 200 ', 1200],
    ['7.', 7],
  ])('reads %s', (text, value) => expect(parseNumber(text)).toBe(value));
  it('tells empty from wrong', () => {
    expect(parseNumber('  ')).toBeNull();
    expect(parseNumber('warm')).toBeNaN();
    expect(parseNumber('1.2.3')).toBeNaN();
  });
});

describe('clock, size and price', () => {
  it('writes hours only when there are some', () => {
    expect(clock(21)).toBe('0:21');
    expect(clock(3671)).toBe('1:01:11');
    expect(clock(-30)).toBe('−0:30');
  });
  it('writes sizes in the unit that fits', () => {
    expect(bytes(812)).toBe('1 kB');
    expect(bytes(14_600_000)).toBe('14.6 MB');
  });
  it('writes a price, or that none is set', () => {
    expect(money(8900, 'EUR')).toBe('€89.00');
    expect(money(null, 'EUR')).toBe('not set');
  });
});

describe('days as they are typed', () => {
  it.each([
    ['28 May 2027', '2027-05-28'],
    ['28. mai 2027', null],
    ['28.5.2027', '2027-05-28'],
    ['28/05/2027', '2027-05-28'],
    ['3 September 2026', '2026-09-03'],
    ['2027-5-8', '2027-05-08'],
    ['31 June 2027', null],
    ['29 February 2028', '2028-02-29'],
    ['tomorrow', null],
    ['  ', ''],
  ])('reads %s', (text, iso) => expect(parseDay(text)).toBe(iso));
});
