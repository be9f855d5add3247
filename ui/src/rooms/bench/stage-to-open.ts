// Where a job opens: at the stage that needs a hand.
import type { Job } from '../../lib/api';
import type { Address } from '../../pages';

export function stageToOpen(job: Job): Address {
  const stage = job.stage === 'stopped' ? 'intake' : job.stage === 'done' ? 'handover' : job.stage;
  return `/jobs/${job.id}/${stage}`;
}
