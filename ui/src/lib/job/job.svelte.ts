// One job on the page: the job itself, its runs and its verdict, loaded together and kept in step.
import { client, Problem, take, type Job, type Run, type SideName, type Verdict } from '../api';

export class JobState {
  job = $state<Job | null>(null);
  before = $state<Run | null>(null);
  after = $state<Run | null>(null);
  verdict = $state<Verdict | null>(null);
  trouble = $state('');
  readonly id: string;
  #turn = 0;
  #shown = 0;

  constructor(id: string) {
    this.id = id;
  }

  async load(): Promise<void> {
    // An answer that comes after a later question's is out of date; an earlier one is shown until the later is there.
    const turn = ++this.#turn;
    const params = { path: { job_id: this.id } };
    const side = (name: SideName) => ({ params: { path: { job_id: this.id, side: name } } });
    try {
      const [job, before, after] = await Promise.all([
        take(client.GET('/api/jobs/{job_id}', { params })),
        take(client.GET('/api/jobs/{job_id}/runs/{side}', side('before'))),
        take(client.GET('/api/jobs/{job_id}/runs/{side}', side('after'))),
      ]);
      const verdict =
        before.trace && after.trace ? await take(client.GET('/api/jobs/{job_id}/verdict', { params })) : null;
      if (turn < this.#shown) return;
      this.#shown = turn;
      this.verdict = verdict;
      this.job = job;
      this.before = before;
      this.after = after;
      this.trouble = '';
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      // What is shown stays, with what was typed in it: only a room that was never there cannot be shown.
      if (turn === this.#turn && !this.job) this.trouble = error.words;
    }
  }

  /** The server's answer to a write on one run; the job's own figures follow. */
  async keepRun(run: Run): Promise<void> {
    if (run.side === 'before') this.before = run;
    else this.after = run;
    await this.load();
  }
}
