// A form that saves itself: it waits for the hand to rest, sends one at a time, and sends again what was typed meanwhile.

export type Stand = 'saved' | 'typing' | 'saving' | 'refused';
const REST_MS = 1500;

export class AutoSave {
  stand = $state<Stand>('saved');
  #timer: ReturnType<typeof setTimeout> | undefined;
  #again = false;
  #under: Promise<void> | null = null;
  readonly #write: () => Promise<boolean>;

  /** `write` sends what the form holds now, and says whether the server has it. */
  constructor(write: () => Promise<boolean>) {
    this.#write = write;
  }

  /** Something was typed: it is sent once the hand rests. */
  typed(): void {
    clearTimeout(this.#timer);
    this.stand = this.#under ? 'saving' : 'typing';
    this.#timer = setTimeout(() => void this.flush(), REST_MS);
  }

  /** The form is as the server has it. */
  same(): void {
    clearTimeout(this.#timer);
    this.#timer = undefined;
    if (!this.#under) this.stand = 'saved';
  }

  /** What was typed is sent now: a field was left, or the page is. */
  async flush(): Promise<void> {
    if (this.stand === 'saved' && !this.#under) return;
    clearTimeout(this.#timer);
    this.#timer = undefined;
    if (this.#under) {
      this.#again = true;
      return this.#under;
    }
    this.#under = this.#send();
    await this.#under;
  }

  async #send(): Promise<void> {
    let kept = false;
    try {
      do {
        this.#again = false;
        this.stand = 'saving';
        kept = await this.#write();
      } while (this.#again && kept);
    } finally {
      this.#under = null;
      this.stand = !kept ? 'refused' : this.#timer === undefined ? 'saved' : 'typing';
    }
  }
}

/** A form over a newer state: what was typed here stays, everything else is as the server has it now. */
export function rebase<T extends object>(form: T, was: T, now: T): T {
  const keys = Object.keys(now) as (keyof T)[];
  return Object.fromEntries(
    keys.map((key) => [key, JSON.stringify(form[key]) === JSON.stringify(was[key]) ? now[key] : form[key]]),
  ) as T;
}
