// A form that saves itself: it waits for the hand to rest, sends one at a time, and sends again what was typed meanwhile.

export type Stand = 'saved' | 'typing' | 'saving' | 'refused';
const REST_MS = 1500;

export class AutoSave {
  stand = $state<Stand>('saved');
  #timer: ReturnType<typeof setTimeout> | undefined;
  #again = false;
  #under: Promise<void> | null = null;
  readonly #write: () => Promise<boolean>;
  readonly #restMs: number;

  /** `write` sends what the form holds now, and says whether the server has it. */
  constructor(write: () => Promise<boolean>, restMs = REST_MS) {
    [this.#write, this.#restMs] = [write, restMs];
  }

  /** Something was typed: it is sent once the hand rests. */
  typed(): void {
    clearTimeout(this.#timer);
    this.stand = this.#under ? 'saving' : 'typing';
    this.#timer = setTimeout(() => void this.flush(), this.#restMs);
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
      } while (this.#again);
    } finally {
      this.#under = null;
      this.stand = !kept ? 'refused' : this.#timer === undefined ? 'saved' : 'typing';
    }
  }
}
