// Taking a log or a reading off, with the way back in the message.
import { client, take, type Run, type RunKey } from '../../lib/api';
import { toast } from '../../lib/toasts.svelte';

export async function removeReading(
  where: { job_id: string; side: RunKey },
  what: 'log' | 'noise' | 'spot' | 'sound' | 'frames',
  id: string,
  words: string,
  onrun: (run: Run) => Promise<void>,
): Promise<void> {
  const params = { path: { ...where, what, row_id: id } };
  await onrun(await take(client.DELETE('/api/jobs/{job_id}/runs/{side}/{what}/{row_id}', { params })));
  toast(words, {
    undo: async () =>
      onrun(await take(client.POST('/api/jobs/{job_id}/runs/{side}/{what}/{row_id}/restore', { params }))),
  });
}
