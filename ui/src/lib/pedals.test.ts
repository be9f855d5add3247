import { beforeEach, expect, it } from 'vitest';
import { learn, learnt, meant } from './pedals';

beforeEach(() => {
  for (const pedal of ['Enter', 'Backspace'] as const) learn(pedal, null);
});

it('a pedal that was pressed once means what it was learnt as', () => {
  expect([meant(' '), meant('PageDown'), meant('b')]).toEqual(['Enter', 'PageDown', 'b']);
  expect(learn('Enter', 'PageDown')).toBe(true);
  expect(learn('Backspace', 'b')).toBe(true);
  expect([meant('PageDown'), meant('b'), meant('Enter')]).toEqual(['Enter', 'Backspace', 'Enter']);
});

it('one key is one pedal, and a key that leads out is none', () => {
  learn('Enter', 'a');
  learn('Backspace', 'a');
  expect(learnt()).toEqual({ Backspace: 'a' });
  expect(learn('Enter', 'Escape')).toBe(false);
  expect(learnt()).toEqual({ Backspace: 'a' });
});
