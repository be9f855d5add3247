// The plan of a job on the page: what is typed is saved by itself, and the options follow.
import { client, Problem, take, type Plan } from '../../lib/api';
import { dropDraft, keepDraft, readDraft } from '../../lib/draft.svelte';
import { check, formOf, type FoundForm } from './plan-form';

const PAUSE_MS = 180;

export class PlanState {
  plan = $state.raw<Plan | null>(null);
  form = $state<FoundForm | null>(null);
  errors = $state<Record<string, string>>({});
  trouble = $state<Problem | null>(null);
  busy = $state(false);
  saved = $state(true);
  readonly jobId: string;
  readonly #told: () => Promise<void>;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #sending = false;
  #again = false;

  constructor(jobId: string, told: () => Promise<void>) {
    this.jobId = jobId;
    this.#told = told;
  }

  get #params() {
    return { path: { job_id: this.jobId } };
  }

  get #draft() {
    return `plan:${this.jobId}`;
  }

  async load(): Promise<void> {
    try {
      const plan = await take(client.GET('/api/jobs/{job_id}/plan', { params: this.#params }));
      const draft = readDraft<FoundForm>(this.#draft);
      this.form = { ...formOf(plan), ...draft };
      this.plan = plan;
      this.trouble = null;
      if (draft) this.changed();
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.trouble = error;
    }
  }

  /** Something was typed: keep it at once, save it when the hand rests. */
  changed(): void {
    if (!this.form) return;
    this.saved = false;
    keepDraft(this.#draft, this.form);
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.save(), PAUSE_MS);
  }

  async save(): Promise<void> {
    if (!this.form || !this.plan) return;
    const checked = check(this.form);
    this.errors = checked.errors ?? {};
    if (!checked.found) return;
    if (this.#sending) {
      this.#again = true;
      return;
    }
    this.#sending = true;
    try {
      const body = { version: this.plan.version, goal: this.form.goal, found: checked.found };
      this.plan = await take(client.PUT('/api/jobs/{job_id}/plan', { params: this.#params, body }));
      this.trouble = null;
      if (!this.#again) {
        this.saved = true;
        dropDraft(this.#draft);
        if (this.plan?.chosen) await this.#told();
      }
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.errors = error.fields;
      if (!Object.keys(error.fields).length || error.body.reason === 'stale') this.trouble = error;
    } finally {
      this.#sending = false;
      if (this.#again) {
        this.#again = false;
        void this.save();
      }
    }
  }

  /** Take the newer state of the server; what was typed stays in the fields. */
  async reload(): Promise<void> {
    await this.load();
  }

  async choose(key: string | null): Promise<boolean> {
    if (!this.plan) return false;
    this.busy = true;
    try {
      const body = { version: this.plan.version, key };
      this.plan = await take(client.POST('/api/jobs/{job_id}/plan/choice', { params: this.#params, body }));
      this.trouble = null;
      await this.#told();
      return true;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.trouble = error;
      return false;
    } finally {
      this.busy = false;
    }
  }

  /** Begin the step list of what was chosen. Gives what is in the way, or null. */
  async begin(): Promise<Problem | null> {
    try {
      await take(client.POST('/api/jobs/{job_id}/bench/list', { params: this.#params, body: { with_model: true } }));
      return null;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      return error;
    }
  }

  async removeNote(id: string): Promise<void> {
    const path = { job_id: this.jobId, note_id: id };
    this.plan = await take(client.DELETE('/api/jobs/{job_id}/plan/notes/{note_id}', { params: { path } }));
  }
}
