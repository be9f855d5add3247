<script lang="ts" generics="L extends FieldList">
  // A form that a press sends, by its list of fields.
  import type { Snippet } from 'svelte';
  import type { FieldList } from '../fields';
  import type { SentForm } from '../sent-form.svelte';
  import Button from './Button.svelte';
  import Fields from './Fields.svelte';
  import Trouble from './Trouble.svelte';

  interface Props {
    form: SentForm<L>;
    /** What the press does. */
    action: string;
    kind?: 'main' | 'plain';
    /** How its fields stand: in columns, or one below the other. */
    lay?: 'form' | 'stack';
    /** Beside the button. */
    children?: Snippet;
    prefix?: string;
  }
  let { form, action, kind = 'plain', lay = 'form', children, prefix = '' }: Props = $props();
</script>

<form
  class="lay-{lay}"
  onsubmit={(e) => {
    e.preventDefault();
    void form.send();
  }}
>
  <Fields
    list={form.shown as never}
    bind:form={() => form.fields, (fields) => (form.fields = fields)}
    errors={form.errors}
    {prefix}
  />
  <Trouble of={form} />
  <div class="lay-row lay-wide">
    <Button {kind} type="submit" busy={form.busy}>{action}</Button>
    {@render children?.()}
  </div>
</form>
