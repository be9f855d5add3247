// One job at the bench: what the server says, what is on its way, and the way there.
import { say } from '../say';
import { v7 as uuidv7 } from 'uuid';
import { client, isKept, Problem, raw, take } from '../api';
import { toast } from '../toasts.svelte';
import { nowIso } from './clock';
import { hear, line, lineSeen } from './news.svelte';
import { serverClock } from './server-clock.svelte';
import { deviceName, openBenches, Outbox } from './outbox';
import { project, stacks } from './project';
import type { Bench, BenchWords, Queued, SentBack } from './types';

const [BATCH_MOST, RETRY_MS] = [100, 2000];
/** The line or the server failed, not what was sent: it is tried again. */
const passes = ({ body }: Problem) => body.reason === 'offline' || body.status >= 500;

let words = $state.raw<BenchWords | null>(null);
/** Words of the bench that do not change, asked for once. */
export const benchWords = {
  get table() {
    return words;
  },
};

export class BenchJob {
  readonly jobId: string;
  /** As the server said it last. */
  said = $state.raw<Bench | null>(null);
  queue = $state.raw<readonly Queued[]>([]);
  back = $state.raw<readonly SentBack[]>([]);
  trouble = $state.raw<Problem | null>(null);
  clockOffS = $state<number | null>(null);
  get offsetMs(): number {
    return serverClock.offsetMs;
  }

  readonly bench = $derived.by(() =>
    this.said && words ? project(this.said, this.queue, this.offsetMs, words) : this.said,
  );
  /** Ids of what counts and of what was taken back, each latest last, with what is on its way. */
  readonly #stacks = $derived.by(() => {
    const found = this.said ? stacks(this.said, this.queue, this.offsetMs) : { active: [], undone: [] };
    return { active: found.active.map((e) => e.id), undone: found.undone.map((e) => e.id) };
  });
  /** What taking back means now, and what bringing again means, in words; empty when there is nothing. */
  readonly undoWords = $derived(this.#words(this.#stacks.active.at(-1)));
  readonly redoWords = $derived(this.#words(this.#stacks.undone.at(-1)));
  /** Id of what counts latest. */
  readonly last = $derived(this.#stacks.active.at(-1));
  readonly canUndo = $derived(this.#stacks.active.length > 0);
  readonly canRedo = $derived(this.#stacks.undone.length > 0);
  /** Something that the server has is being taken back: until it answers, nothing is built on what is shown. */
  readonly settling = $derived.by(() => {
    const own = this.queue.map((q) => q.id);
    const back = (q: Queued) => q.kind === 'undo' || q.kind === 'redo';
    return (
      line.stands && this.queue.some((q) => back(q) && q.number === undefined && !own.includes(String(q.data.event)))
    );
  });
  readonly waiting = $derived(this.queue.filter((q) => q.number === undefined).length);
  readonly #outbox: Outbox;
  #sending = false;
  #loading = false;
  #again = false;
  #retry: ReturnType<typeof setTimeout> | undefined;
  #stop: (() => void) | null = null;
  #rests = false;
  readonly #online = () => void this.flush();
  readonly #onsettled: () => void;

  constructor(jobId: string, onsettled: () => void = () => undefined) {
    [this.jobId, this.#onsettled] = [jobId, onsettled];
    this.#outbox = new Outbox(jobId);
    this.#mirror();
  }

  #words(id: string | undefined): string {
    if (id === undefined) return '';
    const known = [...(this.said?.recent ?? []), ...(this.said?.undone ?? [])].find((e) => e.id === id);
    return known?.words ?? say('bench-what-was-done-last');
  }

  get #params() {
    return { path: { job_id: this.jobId } };
  }

  #mirror(): void {
    this.queue = [...this.#outbox.queue];
    this.back = [...this.#outbox.back];
  }

  /** Load, listen to other tablets, and send what was left over. Call what it returns when done. */
  open(): () => void {
    this.#rests = false;
    openBenches.push(this.jobId);
    void this.refresh();
    void this.flush();
    this.#stop ??= hear((job, number) => {
      if (job === null || (job === this.jobId && number > (this.said?.number ?? 0))) void this.refresh();
      if (job === null) void this.flush();
    });
    addEventListener('online', this.#online);
    return () => this.rest();
  }

  /** Hear nothing, try nothing again. */
  rest(): void {
    this.#rests = true;
    if (this.#stop) openBenches.splice(openBenches.indexOf(this.jobId), 1);
    this.#stop?.();
    this.#stop = null;
    clearTimeout(this.#retry);
    removeEventListener('online', this.#online);
  }

  async refresh(): Promise<void> {
    if (this.#loading) {
      this.#again = true;
      return;
    }
    this.#loading = true;
    try {
      words ??= await take(client.GET('/api/bench/words'));
      let fresh = true;
      const call = client.GET('/api/jobs/{job_id}/bench', { params: this.#params });
      const bench = await take(call, (answer) => (fresh = !isKept(answer)));
      // The clock of an answer that was kept stands still.
      if (fresh) serverClock.learn(bench.now);
      this.#heard(bench);
      this.trouble = null;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      if (error.body.reason === 'offline') lineSeen(false);
      else this.trouble = error;
    } finally {
      this.#loading = false;
      if (this.#again) {
        this.#again = false;
        void this.refresh();
      }
    }
  }

  #heard(bench: Bench): void {
    if (this.said && bench.number < this.said.number) return;
    this.#outbox.forgetUpTo(bench.number);
    this.said = bench;
    this.#mirror();
  }

  /** The moment by the server's clock. */
  now(): number {
    return serverClock.now();
  }

  /** Something happened: kept at once, shown at once, sent as soon as the line allows. */
  do(kind: string, data: Record<string, unknown> = {}): Queued {
    const event = this.#outbox.add(kind, data);
    this.#mirror();
    void this.flush();
    return event;
  }

  /** Keep a photo and send it. Gives its id. */
  async addPhoto(file: Blob, what: string, step: string): Promise<string> {
    const photo = uuidv7();
    if (!(await this.#outbox.keepPhoto(photo, file))) {
      // No room to keep it: it goes out at once, or it is told that it is lost.
      try {
        await this.#upload(photo, file);
      } catch (error) {
        if (!(error instanceof Problem)) throw error;
        toast(say('bench-photo-not-kept', { detail: error.body.detail }), { tone: 'wrong', lasts: true });
        return '';
      }
    }
    this.#outbox.add('photo', { photo, what, ...(step ? { step } : {}) }, photo);
    this.#mirror();
    await this.flush();
    return photo;
  }

  /** Take the latest back. False when the server has it and the line is down: what it changed cannot be shown here. */
  undo(): boolean {
    return this.#turn('undo', this.#stacks.active.at(-1));
  }

  /** Bring the latest that was taken back again. */
  redo(): boolean {
    return this.#turn('redo', this.#stacks.undone.at(-1));
  }

  #turn(kind: 'undo' | 'redo', event: string | undefined): boolean {
    if (event === undefined) return false;
    if (!line.stands && !this.queue.some((q) => q.id === event && q.number === undefined)) return false;
    this.do(kind, { event });
    return true;
  }

  dismiss(id: string): void {
    this.#outbox.dismiss(id);
    this.#mirror();
  }

  /** Begin the list. Gives what is in the way, or null. */
  async begin(withModel: boolean): Promise<Problem | null> {
    return this.#ask(() =>
      take(client.POST('/api/jobs/{job_id}/bench/list', { params: this.#params, body: { with_model: withModel } })),
    );
  }

  /** Make the list anew from the plan. Gives what is in the way, or null. */
  async renew(): Promise<Problem | null> {
    return this.#ask(() => take(client.PUT('/api/jobs/{job_id}/bench/list', { params: this.#params })));
  }

  async #ask(call: () => Promise<Bench>): Promise<Problem | null> {
    try {
      this.#heard(await call());
      this.#onsettled();
      return null;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      return error;
    }
  }

  /** Send what waits, in order. A broken line is tried again; nothing is dropped for it. */
  async flush(): Promise<void> {
    if (this.#sending || !this.#outbox.waiting.length) return;
    this.#sending = true;
    let stopped = false;
    clearTimeout(this.#retry);
    try {
      while (this.#outbox.waiting.length) {
        const batch = this.#outbox.waiting.slice(0, BATCH_MOST);
        for (const event of batch) if (event.photo) await this.#sendPhoto(event);
        const events = this.#outbox.waiting.filter((q) => batch.some((b) => b.id === q.id));
        if (!events.length) continue;
        const body = {
          device: deviceName(),
          sent_at: nowIso(),
          events: events.map(({ id, kind, data, turn, made_at }) => ({ id, kind, data, turn, made_at })),
        };
        const answer = await take(client.POST('/api/jobs/{job_id}/bench/events', { params: this.#params, body }));
        this.clockOffS = answer.clock_off_s;
        this.#sort(events, answer.taken);
        this.#mirror();
      }
      this.trouble = null;
      await this.refresh();
      this.#onsettled();
    } catch (error) {
      stopped = true;
      if (!(error instanceof Problem)) throw error;
      if (passes(error)) {
        lineSeen(false);
        if (!this.#rests) this.#retry = setTimeout(() => void this.flush(), RETRY_MS);
      } else {
        this.trouble = error;
      }
    } finally {
      this.#sending = false;
      // What was done while the answer was being loaded waits for nobody else.
      if (!stopped) void this.flush();
    }
  }

  async #upload(photo_id: string, bytes: Blob): Promise<void> {
    const params = { path: { job_id: this.jobId, photo_id } };
    await take(
      client.POST('/api/jobs/{job_id}/photos/{photo_id}', { params, ...raw(bytes, 'application/octet-stream') }),
    );
  }

  async #sendPhoto(event: Queued): Promise<void> {
    const bytes = event.photo ? await this.#outbox.photo(event.photo) : undefined;
    if (!event.photo || !bytes) return;
    try {
      await this.#upload(event.photo, bytes);
      await this.#outbox.dropPhoto(event.photo);
    } catch (error) {
      if (!(error instanceof Problem) || passes(error)) throw error;
      // The picture itself is refused: the tablet says why; its event would point at nothing.
      const { detail, remedy, reason } = error.body;
      this.#outbox.sendBack(event, { detail, remedy, reason, rule: '', field: 'photo', next_turn: null }, true);
      await this.#outbox.dropPhoto(event.photo);
      this.#renumberAfterGap();
      this.#mirror();
    }
  }

  #renumberAfterGap(): void {
    const [first] = this.#outbox.waiting;
    const before = this.#outbox.queue.filter((q) => q.number !== undefined);
    const last = before.length ? Math.max(...before.map((q) => q.turn)) : (first?.turn ?? 1) - 1;
    if (first && first.turn !== last + 1) this.#outbox.renumber(last + 1);
  }

  #sort(
    events: readonly Queued[],
    taken: { id: string; number: number | null; refusal: SentBack['refusal'] | null; told: string }[],
  ) {
    for (const result of taken) {
      const event = events.find((e) => e.id === result.id);
      if (!event) continue;
      if (result.refusal?.reason === 'out_of_order') {
        this.#outbox.renumber(result.refusal.next_turn ?? 1);
        return;
      }
      if (result.refusal) {
        const harmless = result.refusal.reason === 'done_already';
        this.#outbox.sendBack(event, result.refusal, !harmless);
        if (harmless) toast(say('bench-was-done-on-another', { detail: result.refusal.detail }));
      } else if (result.number !== null) {
        this.#outbox.taken(result.id, result.number);
        if (result.told) toast(result.told, { tone: 'wrong' });
      }
    }
  }
}

export { line };
