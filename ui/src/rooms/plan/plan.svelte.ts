// The plan of a job on the page: what is typed is saved by itself, and the options follow.
import { client, take, type Plan, type Problem } from '../../lib/api';
import { action } from '../../lib/asking.svelte';
import { LiveForm } from '../../lib/live-form.svelte';
import { checkFound, planForm, type FoundForm } from './plan-form';

const PAUSE_MS = 180;

export class PlanState {
  plan = $state.raw<Plan | null>(null);
  live = $state.raw<LiveForm<FoundForm> | null>(null);
  readonly jobId: string;
  readonly #told: () => Promise<void>;

  constructor(jobId: string, told: () => Promise<void>) {
    this.jobId = jobId;
    this.#told = told;
  }

  get #params() {
    return { path: { job_id: this.jobId } };
  }

  get form(): FoundForm | null {
    return this.live?.fields ?? null;
  }

  set form(form: FoundForm | null) {
    if (this.live && form) this.live.fields = form;
  }

  get errors(): Record<string, string> {
    return this.live?.errors ?? {};
  }

  get trouble(): Problem | null {
    const kept = this.live?.trouble ?? null;
    return this.choice.trouble ?? this.#asked.trouble ?? (kept && !Object.keys(kept.fields).length ? kept : null);
  }

  get saved(): boolean {
    return this.live?.saver.stand === 'saved';
  }

  readonly #asked = action(async () => {
    const plan = await take(client.GET('/api/jobs/{job_id}/plan', { params: this.#params }));
    this.plan = plan;
    this.choice.trouble = null;
    if (this.live) return this.live.take(planForm(plan));
    this.live = new LiveForm(planForm(plan), {
      key: `plan:${this.jobId}`,
      write: (form) => this.#write(form),
      reload: () => this.load(),
      saves: () => true,
      restMs: PAUSE_MS,
    });
    if (this.live.restored) this.changed();
  });

  /** The newer state of the server; what was typed stays in the fields. */
  async load(): Promise<void> {
    await this.#asked.queue();
  }

  /** Something was typed: keep it at once, save it when the hand rests. */
  changed(): void {
    this.live?.track();
  }

  async #write(form: FoundForm): Promise<FoundForm | null> {
    if (!this.plan || !this.live) return null;
    const checked = checkFound(form);
    this.live.errors = checked.errors ?? {};
    if (!checked.found) return null;
    const body = { version: this.plan.version, goal: form.goal, found: checked.found };
    this.plan = await take(client.PUT('/api/jobs/{job_id}/plan', { params: this.#params, body }));
    if (this.plan.chosen) await this.#told();
    return planForm(this.plan);
  }

  /** Take a decision, or none. */
  readonly choice = action(async (key: string | null) => {
    if (!this.plan) return false;
    const body = { version: this.plan.version, key };
    this.plan = await take(client.POST('/api/jobs/{job_id}/plan/choice', { params: this.#params, body }));
    await this.#told();
    return true;
  });

  async choose(key: string | null): Promise<boolean> {
    return !!(await this.choice.run(key));
  }

  /** Begin the step list of what was chosen. Gives what is in the way, or null. */
  async begin(): Promise<Problem | null> {
    const list = action(() =>
      take(client.POST('/api/jobs/{job_id}/bench/list', { params: this.#params, body: { with_model: true } })),
    );
    await list.run();
    return list.trouble;
  }

  async removeNote(id: string): Promise<void> {
    const path = { job_id: this.jobId, note_id: id };
    this.plan = await take(client.DELETE('/api/jobs/{job_id}/plan/notes/{note_id}', { params: { path } }));
  }
}
