// What is asked and done: late answers, failed refreshes, double presses.
import { describe, expect, it, vi } from 'vitest';
import { Problem } from './api';
import { action, Resource } from './asking.svelte';
import { problem } from './test-server';

const refused = (detail: string) => new Problem({ ...problem({ status: 503, detail }), reason: 'away' });
const later = <T>() => {
  let resolve: (value: T) => void = () => undefined;
  const promise = new Promise<T>((yes) => (resolve = yes));
  return { promise, resolve };
};

describe('what is asked', () => {
  it('counts the latest question, whatever comes first', async () => {
    const answers = [later<string>(), later<string>()];
    let turn = 0;
    const found = new Resource(
      () => 'a',
      () => answers[turn++]!.promise,
    );
    const both = [found.load(), found.load()];
    answers[1]!.resolve('new');
    answers[0]!.resolve('old');
    await Promise.all(both);
    expect(found.value).toBe('new');
  });

  it('keeps the last good answer while the same fails, and none of another question', async () => {
    let key = 'a';
    const fetch = vi.fn((of: string) => Promise.resolve(`answer to ${of}`));
    const found = new Resource(() => key, fetch);
    await found.load();
    fetch.mockRejectedValueOnce(refused('away for now'));
    await found.load();
    expect(found.value).toBe('answer to a');
    expect(found.trouble?.body.detail).toBe('away for now');
    key = 'b';
    fetch.mockRejectedValueOnce(refused('away for now'));
    await found.load();
    expect(found.value).toBeNull();
    await found.load();
    expect([found.value, found.trouble]).toEqual(['answer to b', null]);
  });

  it('asks nothing without a key and lets go of what was there', async () => {
    let key: string | null = 'a';
    const fetch = vi.fn((of: string) => Promise.resolve(of));
    const found = new Resource(() => key, fetch);
    await found.load();
    key = null;
    await found.load();
    expect(fetch).toHaveBeenCalledTimes(1);
    expect(found.value).toBeNull();
  });

  it('does not hide what is no refusal', async () => {
    const found = new Resource(
      () => 'a',
      () => Promise.reject(new TypeError('a fault of ours')),
    );
    await expect(found.load()).rejects.toThrow('a fault of ours');
  });
});

describe('what is done', () => {
  it('is done once for two presses and tells when it is under way', async () => {
    const answer = later<number>();
    const work = vi.fn(() => answer.promise);
    const press = action(work);
    const both = [press.run(), press.run()];
    expect(press.busy).toBe(true);
    answer.resolve(7);
    expect(await Promise.all(both)).toEqual([7, undefined]);
    expect(work).toHaveBeenCalledTimes(1);
    expect(press.busy).toBe(false);
  });

  it('keeps why it failed until it is pressed again', async () => {
    const body = { ...problem({ status: 422, detail: 'Please check.' }), reason: '' };
    const wrong = { field: 'name', message: 'This is needed.', remedy: '' };
    const work = vi.fn().mockRejectedValueOnce(new Problem({ ...body, errors: [wrong] }));
    const press = action(work);
    expect(await press.run()).toBeUndefined();
    expect(press.trouble?.fields).toEqual({ name: 'This is needed.' });
    await press.run();
    expect(press.trouble).toBeNull();
  });
});
