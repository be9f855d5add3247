// What happened on this tablet and is not on the server yet. It survives a reload and a dead battery.
import { v7 as uuidv7 } from 'uuid';
import { createStore, del, get, set } from 'idb-keyval';
import { say } from '../say';
import { toast } from '../toasts.svelte';
import type { Queued, SentBack } from './types';

interface Kept {
  turn: number;
  queue: Queued[];
  back: SentBack[];
}

/** Jobs whose bench is open on this page and sends by itself. */
export const openBenches: string[] = [];

const DEVICE = 'bench-device';

let unkept = '';

/** A name for this tablet, made once; where there is no room to keep it, once a page. */
export function deviceName(): string {
  const name = localStorage.getItem(DEVICE) ?? (unkept ||= `tablet-${uuidv7()}`);
  try {
    localStorage.setItem(DEVICE, name);
  } catch {
    // It is told where a step finds no room.
  }
  return name;
}

// Whose steps wait here: another person who signs in neither sees nor sends them.
let owner = '';
let heard: () => void = () => undefined;
const PREFIX = 'bench:';
const keyOf = (job: string) => `${PREFIX}${owner}:${job}`;

/** From now on this person's; what was kept before there were persons becomes theirs. */
export function outboxOf(person: string): void {
  owner = person;
  for (const key of Object.keys(localStorage)) {
    if (!key.startsWith(PREFIX) || key.slice(PREFIX.length).includes(':')) continue;
    localStorage.setItem(keyOf(key.slice(PREFIX.length)), localStorage.getItem(key) ?? '');
    localStorage.removeItem(key);
  }
  heard();
}

/** Told whenever something is kept or sent. */
export function onOutbox(ear: () => void): void {
  heard = ear;
}

const countIn = (text: string | null): number => {
  try {
    return (JSON.parse(text ?? '{}') as Partial<Kept>).queue?.filter((q) => q.number === undefined).length ?? 0;
  } catch {
    return 0;
  }
};

/** Jobs with steps of this person that wait, with how many; and how many of others do. */
export function waitingHere(): { jobs: Record<string, number>; others: number } {
  const jobs: Record<string, number> = {};
  let others = 0;
  for (const key of Object.keys(localStorage)) {
    if (!key.startsWith(PREFIX)) continue;
    const count = countIn(localStorage.getItem(key));
    const [person = '', job = ''] = key.slice(PREFIX.length).split(':');
    if (!count) continue;
    if (person === owner) jobs[job] = count;
    else others += count;
  }
  return { jobs, others };
}

let photos: ReturnType<typeof createStore> | null = null;
const photoStore = () => (photos ??= createStore('vividowl-photos', 'waiting'));

export class Outbox {
  readonly jobId: string;
  #kept: Kept;
  /** What is kept here found no room in the browser's storage. */
  #unsaved = false;

  constructor(jobId: string) {
    this.jobId = jobId;
    this.#kept = this.#read();
  }

  /** What is kept now, by this page or another one of the same tablet: read anew before each change. */
  #read(): Kept {
    if (this.#unsaved) return this.#kept;
    const blank: Kept = { turn: 0, queue: [], back: [] };
    try {
      const text = localStorage.getItem(this.#key);
      return text ? { ...blank, ...(JSON.parse(text) as Kept) } : blank;
    } catch {
      return blank; // a text that is none of ours: begin anew rather than lock the bench
    }
  }

  get #key(): string {
    return keyOf(this.jobId);
  }

  get queue(): readonly Queued[] {
    return this.#kept.queue;
  }

  get back(): readonly SentBack[] {
    return this.#kept.back;
  }

  get waiting(): Queued[] {
    return this.#kept.queue.filter((q) => q.number === undefined);
  }

  /** Keep an event. A photo's bytes are kept beside it until they are sent. */
  add(kind: string, data: Record<string, unknown>, photo?: string): Queued {
    this.#kept = this.#read();
    const event: Queued = { id: uuidv7(), kind, data, turn: this.#kept.turn + 1, made_at: new Date().toISOString() };
    if (photo) event.photo = photo;
    this.#write({ ...this.#kept, turn: event.turn, queue: [...this.#kept.queue, event] });
    return event;
  }

  /** The server took it as this number of the log. */
  taken(id: string, number: number): void {
    this.#kept = this.#read();
    this.#write({ ...this.#kept, queue: this.#kept.queue.map((q) => (q.id === id ? { ...q, number } : q)) });
  }

  /** The server has it in what it shows; it needs no keeping. */
  forgetUpTo(number: number): void {
    this.#kept = this.#read();
    const queue = this.#kept.queue.filter((q) => q.number === undefined || q.number > number);
    if (queue.length !== this.#kept.queue.length) this.#write({ ...this.#kept, queue });
  }

  sendBack(event: Queued, refusal: SentBack['refusal'], show: boolean): void {
    this.#kept = this.#read();
    const queue = this.#kept.queue.filter((q) => q.id !== event.id);
    this.#write({ ...this.#kept, queue, back: show ? [...this.#kept.back, { event, refusal }] : this.#kept.back });
  }

  dismiss(id: string): void {
    this.#kept = this.#read();
    this.#write({ ...this.#kept, back: this.#kept.back.filter((b) => b.event.id !== id) });
  }

  /** Count anew from what the server expects; the ids stay, so nothing doubles. */
  renumber(next: number): void {
    this.#kept = this.#read();
    let turn = next;
    const queue = this.#kept.queue.map((q) => (q.number === undefined ? { ...q, turn: turn++ } : q));
    this.#write({ ...this.#kept, queue, turn: turn - 1 });
  }

  #write(kept: Kept): void {
    this.#kept = kept;
    try {
      localStorage.setItem(this.#key, JSON.stringify(kept));
      this.#unsaved = false;
    } catch {
      // No room: it is sent from here, and it is told that a reload would lose it.
      if (!this.#unsaved) toast(say('bench-storage-full'), { tone: 'wrong', lasts: true });
      this.#unsaved = true;
    }
    heard();
  }

  /** Keep a photo's bytes until they are sent. False where there is no room for them. */
  async keepPhoto(id: string, bytes: Blob): Promise<boolean> {
    try {
      await set(id, bytes, photoStore());
      return true;
    } catch {
      return false;
    }
  }

  photo(id: string): Promise<Blob | undefined> {
    return get<Blob>(id, photoStore());
  }

  dropPhoto(id: string): Promise<void> {
    return del(id, photoStore());
  }
}
