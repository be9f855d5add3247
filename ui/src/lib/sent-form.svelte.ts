// A form that is sent by a press: what stands in its fields, what is wrong with them, and one press at a time.
import { Problem } from './api';
import type { Failing } from './asking.svelte';
import { dropDraft, keepDraft, readDraft } from './draft.svelte';
import { formOf, readForm, type Field, type FieldList, type FormOf, type KeyOf, type ValuesOf } from './fields';

interface Begun<L extends FieldList> {
  /** What stands in it to begin with. */
  like?: Partial<Record<KeyOf<L>, unknown>>;
  /** What is typed and not sent is kept in the browser under this name. */
  draft?: string;
  /** Where a refusal is told that is of no field. */
  under?: KeyOf<L>;
  /** Those of its fields that are asked now, where that depends on what is chosen; the others are sent as they stand. */
  shown?: () => readonly (Field & { readonly key: KeyOf<L> })[];
}

export class SentForm<const L extends FieldList> implements Failing {
  fields = $state() as FormOf<L>;
  errors = $state.raw<Record<string, string>>({});
  trouble = $state.raw<Problem | null>(null);
  busy = $state(false);
  readonly #list: L;
  readonly #shown: () => readonly (Field & { readonly key: KeyOf<L> })[];
  readonly #under: KeyOf<L> | undefined;
  readonly #write: (values: ValuesOf<L>) => Promise<unknown>;

  constructor(list: L, write: (values: ValuesOf<L>) => Promise<unknown>, begun: Begun<L> = {}) {
    [this.#list, this.#write, this.#shown] = [list, write, begun.shown ?? (() => list)];
    this.#under = begun.under;
    this.fill(begun.like ?? null);
    const { draft } = begun;
    if (!draft) return;
    const start = JSON.stringify(this.fields);
    Object.assign(this.fields as object, readDraft<FormOf<L>>(draft));
    $effect(() => {
      const now = $state.snapshot(this.fields) as object;
      if (JSON.stringify(now) === start) dropDraft(draft);
      else keepDraft(draft, now);
    });
  }

  /** The fields that are asked now. */
  get shown(): readonly (Field & { readonly key: KeyOf<L> })[] {
    return this.#shown();
  }

  /** What stands in the fields to begin with; null for what is new. */
  fill(value: Partial<Record<KeyOf<L>, unknown>> | null): void {
    [this.fields, this.errors, this.trouble] = [formOf(this.#list, value), {}, null];
  }

  /** What would be sent, or null where a field holds it back and says so. */
  read(): ValuesOf<L> | null {
    const shown = this.shown;
    // What is not asked now may stay empty.
    const asked = this.#list.map(
      (field): Field => shown.find(({ key }) => key === field.key) ?? { ...field, needed: false },
    );
    const { values, errors } = readForm(asked, this.fields as never);
    this.errors = errors ?? {};
    return values as unknown as ValuesOf<L> | null;
  }

  /** Send it; a press while it is under way does nothing. Whether the server has it. */
  readonly send = async (): Promise<boolean> => {
    if (this.busy) return false;
    this.trouble = null;
    const values = this.read();
    if (!values) return false;
    this.busy = true;
    try {
      await this.#write(values);
      return true;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.errors = error.fields;
      if (this.shown.some((field) => field.key in error.fields)) return false;
      const [words] = [...Object.values(error.fields), error.words];
      if (this.#under) this.errors = { [this.#under]: words ?? '' };
      else this.trouble = error;
      return false;
    } finally {
      this.busy = false;
    }
  };
}
