// Where a job opens: at the stage that needs a hand.
import type { Job } from '../../lib/api';

export function stageToOpen(job: Job): string {
  const stage = job.stage === 'stopped' ? 'intake' : job.stage === 'done' ? 'handover' : job.stage;
  return `/jobs/${job.id}/${stage}`;
}
