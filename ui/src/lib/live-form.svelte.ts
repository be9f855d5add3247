// A form over a value of the server that others change too. What a hand changed here stays and is all that is sent;
// everything else is as the server has it now. Where both changed one field, both sides are shown and nothing of it is
// sent until someone has chosen. What is typed and not yet there is kept in the browser, with what it was laid on.
import { onDestroy, tick, untrack } from 'svelte';
import { Problem } from './api';
import { AutoSave } from './autosave.svelte';
import { dropDraft, keepDraft, readDraft } from './draft.svelte';
import { formOf, readForm, type FieldList, type FormOf, type KeyOf, type ValuesOf } from './fields';

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
type Key<T> = keyof T & string;
const keysOf = <T extends object>(value: T) => Object.keys(value) as Key<T>[];

/** One field that was changed here and on another screen, each to something else. */
export interface Clash<T> {
  key: Key<T>;
  mine: T[keyof T];
  theirs: T[keyof T];
}

/** What a hand changed, and what the server had there then. */
interface Draft<T> {
  base: Partial<T>;
  changed: Partial<T>;
}

export interface Ways<T> {
  /** Where the draft is kept. */
  key: string;
  /** Send what was changed. Gives the form as the server has it then, or null where a field holds it back. */
  write: (form: T, changed: Key<T>[]) => Promise<T | null>;
  /** Ask the server for the newer state; `take` hears of it. */
  reload: () => Promise<unknown>;
  /** Whether it saves itself once the hand rests. */
  saves?: () => boolean;
  /** It is sent as a whole, also where nothing was changed: what is made new. */
  whole?: boolean;
  /** So long the hand rests. */
  restMs?: number;
}

/** So often is what was refused as out of date merged and sent again before it is told. */
const MERGES_MOST = 2;

export class LiveForm<T extends object> {
  fields = $state() as T;
  errors = $state.raw<Record<string, string>>({});
  trouble = $state.raw<Problem | null>(null);
  clashes = $state.raw<Clash<T>[]>([]);
  /** What was typed in an earlier hour lies over what the server has. */
  restored = $state(false);
  readonly saver: AutoSave;
  /** What stands in the fields while no hand has changed them: the server's, a proposal, or as it was typed and sent. */
  #base = $state.raw() as T;
  /** As the server has it. */
  #server: T;
  readonly #ways: Ways<T>;
  /** What is under way: what the server says of it meanwhile may be its own way of writing it, and is heard with the
   *  answer. */
  #under: Key<T>[] = [];

  /** proposed: what lies in a field that nobody has filled in; it is sent when somebody says so. */
  constructor(server: T, ways: Ways<T>, proposed: Partial<T> = {}) {
    [this.#ways, this.#server] = [ways, server];
    this.saver = new AutoSave(() => this.#save(), ways.restMs);
    this.#base = { ...server, ...proposed };
    this.fields = { ...this.#base };
    const draft = readDraft<Draft<T>>(ways.key);
    if (!draft?.changed || !draft.base) return;
    // Laid on what the server had then: what moved on meanwhile comes in, and what differs on both sides is shown.
    [this.#server, this.#base] = [
      { ...server, ...draft.base },
      { ...this.#base, ...draft.base },
    ];
    this.fields = { ...this.#base, ...draft.changed };
    this.take(server);
    this.restored = this.changed.length > 0;
  }

  /** Fields that a hand changed. */
  get changed(): Key<T>[] {
    return keysOf(this.#base).filter((key) => !same(this.fields[key], this.#base[key]));
  }

  /** Follow the typing: keep it at once, send it when the hand rests. Called by an effect of the page. */
  track(): void {
    const changed = this.changed;
    if (!changed.length) {
      this.#clean();
      untrack(() => this.saver.same());
      return;
    }
    const pick = (from: T) => Object.fromEntries(changed.map((key) => [key, from[key]]));
    keepDraft(this.#ways.key, { base: pick(this.#server), changed: pick($state.snapshot(this.fields) as T) });
    if (this.#ways.saves?.()) untrack(() => this.saver.typed());
  }

  #clean(): void {
    this.restored = false;
    dropDraft(this.#ways.key);
  }

  /** The server has this now. */
  take(newest: T): void {
    const next = { ...newest };
    for (const key of this.#under) next[key] = this.#server[key];
    const [fields, base] = [$state.snapshot(this.fields) as T, { ...this.#base }];
    let clashes = this.clashes;
    for (const key of keysOf(next)) {
      if (same(next[key], this.#server[key])) continue;
      const mine = !same(fields[key], base[key]);
      base[key] = next[key];
      clashes = clashes.filter((c) => c.key !== key);
      if (!mine) fields[key] = next[key];
      else if (!same(fields[key], next[key])) clashes = [...clashes, { key, mine: fields[key], theirs: next[key] }];
    }
    [this.#server, this.#base, this.fields, this.clashes] = [next, base, fields, clashes];
  }

  /** Forget what was typed. */
  drop(): void {
    [this.fields, this.clashes, this.restored] = [{ ...this.#base }, [], false];
  }

  /** One side of a clash is chosen. */
  settle(key: Key<T>, theirs: boolean): void {
    const clash = this.clashes.find((c) => c.key === key);
    this.clashes = this.clashes.filter((c) => c.key !== key);
    if (clash && theirs) this.fields[key] = clash.theirs as T[Key<T>];
    else this.saver.typed();
  }

  /** Send at once, whoever asks: whether the server has all of it. */
  async save(): Promise<boolean> {
    this.saver.typed();
    await this.saver.flush();
    return this.saver.stand === 'saved';
  }

  /** What the server wrote of what was sent; what was typed while it was under way stays. */
  #landed(next: T, sent: T, changed: Key<T>[]): void {
    const landed = <V extends object>(into: V, from: V) =>
      Object.assign({ ...into }, Object.fromEntries(changed.map((key) => [key, from[key as unknown as keyof V]])));
    // A field stays as it was typed: "1." is not made "1" under the hand.
    this.#base = landed(this.#base, sent);
    this.#server = landed(this.#server, next);
    this.take(next);
    if (!this.changed.length) this.#clean();
  }

  async #save(merges = 0): Promise<boolean> {
    const sent = $state.snapshot(this.fields) as T;
    const held = this.clashes.map((c) => c.key);
    for (const key of held) sent[key] = this.#base[key];
    const changed = this.changed.filter((key) => !held.includes(key));
    [this.errors, this.trouble] = [{}, null];
    if (!changed.length && !this.#ways.whole) return !held.length;
    this.#under = changed;
    try {
      const next = await this.#ways.write(sent, changed).finally(() => (this.#under = []));
      if (next === null) return false;
      this.#landed(next, sent, changed);
      return !held.length;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      if (error.body.reason === 'stale' && merges < MERGES_MOST) {
        await this.#ways.reload();
        await tick();
        return this.#save(merges + 1);
      }
      this.errors = error.fields;
      this.trouble = error;
      return false;
    }
  }
}

/** How a form by a list of fields is sent. */
export interface Sending<L extends FieldList> extends Omit<Ways<FormOf<L>>, 'write'> {
  /** Send what was changed, as it is stored. Gives what the server has then, or null where a field holds it back. */
  send: (given: Partial<ValuesOf<L>>) => Promise<Record<KeyOf<L>, unknown> | null>;
  /** What lies in a field that nobody has filled in. */
  proposed?: Partial<Record<KeyOf<L>, unknown>>;
}

/** A form by a list of fields. */
export class FieldForm<L extends FieldList> extends LiveForm<FormOf<L>> {
  readonly #list: L;

  constructor(list: L, server: Record<KeyOf<L>, unknown>, ways: Ways<FormOf<L>>, proposed: Partial<FormOf<L>> = {}) {
    super(formOf(list, server), ways, proposed);
    this.#list = list;
  }

  /** The whole of it was sent by a press: it stands as the server has it. */
  landed(value: Record<KeyOf<L>, unknown>): void {
    this.take(formOf(this.#list, value));
    this.drop();
  }
}

/** A form by its list over what the server has, as long as the component is there: it follows the server's value and the
 *  typing, and what is typed is sent when one leaves. */
export function liveForm<const L extends FieldList>(
  list: L,
  value: () => Record<KeyOf<L>, unknown>,
  { send, proposed = {}, ...ways }: Sending<L>,
): FieldForm<L> {
  const write = async (form: FormOf<L>, changed: string[]): Promise<FormOf<L> | null> => {
    // Only what is sent is read: what nobody touched holds nothing back.
    const sent = ways.whole ? list : list.filter((field) => changed.includes(field.key));
    const { values, errors } = readForm(sent, form as never);
    live.errors = errors ?? {};
    const next = values && (await send(values as unknown as Partial<ValuesOf<L>>));
    return next && formOf(list, next);
  };
  const offered = list.filter((field) => field.key in proposed);
  const live: FieldForm<L> = new FieldForm(
    list,
    untrack(value),
    { ...ways, write },
    formOf(offered, proposed as Record<string, unknown>) as Partial<FormOf<L>>,
  );
  $effect(() => {
    const now = formOf(list, value());
    untrack(() => live.take(now));
  });
  $effect(() => live.track());
  onDestroy(() => void (ways.saves?.() && live.saver.flush()));
  return live;
}
