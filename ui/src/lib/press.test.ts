import { expect, it } from 'vitest';
import { Problem } from './api';
import { press } from './press';
import { problem } from './test-server';
import { toasts } from './toasts.svelte';

it('tells what is refused, and hides no fault of ours', async () => {
  const refused = new Problem({ ...problem({ status: 409, detail: 'It was used meanwhile.', remedy: 'Weigh it.' }) });
  await press(async () => Promise.reject(refused))();
  expect(toasts.list.at(-1)?.text).toBe('It was used meanwhile. Weigh it.');
  await expect(press(async () => Promise.reject(new TypeError('ours')))()).rejects.toThrow('ours');
});
