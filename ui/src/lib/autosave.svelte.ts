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

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** One field that was changed here and on another screen, each to something else. */
export interface Clash<T> {
  key: keyof T & string;
  mine: T[keyof T];
  theirs: T[keyof T];
}

/** A form over a newer state: what was typed here stays, everything else is as the server has it now. Where both changed
 *  the same field, both sides are kept until someone has chosen. */
export class TwoSides<T extends object> {
  clashes = $state.raw<Clash<T>[]>([]);
  #sent: Partial<T> = {};

  /** What this screen sent comes back as the server's; it is nobody else's. */
  sending(form: T): void {
    this.#sent = { ...form };
  }

  merge(form: T, was: T, now: T): T {
    const keys = Object.keys(now) as (keyof T & string)[];
    const found = keys.filter(
      (key) =>
        !same(form[key], was[key]) &&
        !same(now[key], was[key]) &&
        !same(form[key], now[key]) &&
        !same(now[key], this.#sent[key]),
    );
    if (found.length)
      this.clashes = [
        ...this.clashes.filter((clash) => !found.includes(clash.key)),
        ...found.map((key) => ({ key, mine: form[key], theirs: now[key] })),
      ];
    return Object.fromEntries(keys.map((key) => [key, same(form[key], was[key]) ? now[key] : form[key]])) as T;
  }

  settle(key: string): void {
    this.clashes = this.clashes.filter((clash) => clash.key !== key);
  }
}
