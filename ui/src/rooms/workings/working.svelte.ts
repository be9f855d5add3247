// One calculator on the page: what is typed, worked out anew while typing, and the link that carries it.
import { client, Problem, take, type Schemas } from '../../lib/api';

export type WorkingInfo = Schemas['WorkingOut'];
const PAUSE_MS = 60;

export class WorkingState {
  readonly info: WorkingInfo;
  form = $state<Record<string, string>>({});
  results = $state<Schemas['ResultOut'][]>([]);
  drawings = $state<Schemas['DrawingOut'][]>([]);
  errors = $state<Record<string, string>>({});
  busy = $state(false);
  #timer: ReturnType<typeof setTimeout> | undefined;
  #turn = 0;

  constructor(info: WorkingInfo, given: URLSearchParams) {
    this.info = info;
    const carried = info.inputs.some((i) => given.has(i.key));
    for (const input of info.inputs) {
      this.form[input.key] = given.get(input.key) ?? (carried ? (input.choices[0] ?? '') : input.example);
      if (input.choices.length && !input.choices.includes(this.form[input.key] ?? '') && input.needed)
        this.form[input.key] = input.choices[0] ?? '';
    }
    void this.work();
  }

  /** What was typed, without the empty ones. */
  get given(): Record<string, string> {
    return Object.fromEntries(Object.entries(this.form).filter(([, text]) => text.trim() !== ''));
  }

  get link(): string {
    const pairs = Object.entries(this.given).map(([k, v]) => `${k}=${encodeURIComponent(v)}`);
    return `/workings/${this.info.name}?${pairs.join('&')}`;
  }

  set(key: string, text: string): void {
    this.form[key] = text;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.work(), PAUSE_MS);
  }

  async work(): Promise<void> {
    const turn = ++this.#turn;
    history.replaceState(history.state, '', this.link);
    this.busy = true;
    try {
      const params = { path: { name: this.info.name } };
      const found = await take(client.POST('/api/workings/{name}', { params, body: { given: this.given } }));
      if (turn !== this.#turn) return;
      this.results = found.results;
      this.drawings = found.drawings;
      this.errors = {};
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      if (turn !== this.#turn) return;
      this.results = [];
      this.drawings = [];
      const fields = error.fields;
      this.errors = Object.keys(fields).length ? fields : { '': error.words };
    } finally {
      if (turn === this.#turn) this.busy = false;
    }
  }
}
