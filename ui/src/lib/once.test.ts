import { expect, it, vi } from 'vitest';
import { once } from './once';

it('counts a press once while it is under way, and each thing for itself', async () => {
  const ends: (() => void)[] = [];
  const work = vi.fn<(thing: string) => Promise<void>>(() => new Promise<void>((end) => ends.push(end)));
  const press = once(work);
  const first = press('a');
  void press('a');
  void press('b');
  expect(work.mock.calls).toEqual([['a'], ['b']]);
  ends.forEach((end) => end());
  await first;
  void press('a');
  expect(work).toHaveBeenCalledTimes(3);
});

it('may be pressed again after it failed', async () => {
  const work = vi.fn(async () => Promise.reject(new Error('no')));
  const press = once(work);
  await expect(press()).rejects.toThrow('no');
  await expect(press()).rejects.toThrow('no');
  expect(work).toHaveBeenCalledTimes(2);
});
