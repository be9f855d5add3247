<script lang="ts" generics="F extends object">
  // Fields by a list, in the order of the list. They stand in whatever lays them out.
  import type { Snippet } from 'svelte';
  import { isNumber, type Field } from '../fields';
  import { Suggestions } from '../suggestions.svelte';
  import Choice from './Choice.svelte';
  import DateField from './DateField.svelte';
  import Pick from './Pick.svelte';
  import TextField from './TextField.svelte';
  import Tick from './Tick.svelte';

  type Key = keyof F & string;
  interface Props {
    list: readonly (Field & { readonly key: Key })[];
    form: F;
    errors?: Record<string, string>;
    /** Stands before each name and each key of an error, where a page has the same list more than once. */
    prefix?: string;
    /** What stands behind a field. */
    behind?: Snippet<[Key]>;
  }
  let { list, form = $bindable(), errors = {}, prefix = '', behind }: Props = $props();

  const suggestions = new Suggestions();
  const text = (field: Field) => String(form[field.key as Key] ?? '');
  const set = (field: Field, value: string | boolean) => (form[field.key as Key] = value as F[Key]);
  const within = (name: string | undefined) => (name ? String(form[name as Key]) : '');
</script>

{#each list as field (field.key)}
  {@const name = prefix + (field.name ?? field.key)}
  {@const error = errors[prefix + field.key] ?? errors[field.key]}
  {@const { label, hint = '', wide = false } = field}
  {#if field.heading}<h3 class="lay-wide">{field.heading}</h3>{/if}
  {#if field.kind === 'hidden'}
    <!-- shown by what stands behind it -->
  {:else if field.kind === 'tick'}
    <Tick {label} tone={field.tone ?? 'plain'} bind:checked={() => form[field.key] === true, (v) => set(field, v)} />
  {:else if field.kind === 'choice'}
    <Choice
      legend={label}
      {name}
      {wide}
      {error}
      options={[...field.options]}
      unmade="unknown"
      bind:value={() => text(field), (v) => set(field, v)}
    />
  {:else if field.kind === 'pick'}
    <Pick
      {label}
      {name}
      {hint}
      {error}
      options={[...field.options]}
      bind:value={() => text(field), (v) => set(field, v)}
    />
  {:else if field.kind === 'day'}
    <DateField {label} {name} {hint} {error} bind:value={() => text(field), (v) => set(field, v)} />
  {:else if isNumber(field)}
    <TextField
      {label}
      {name}
      {hint}
      {error}
      {wide}
      numeric
      unit={field.unit ?? (field.kind === 'share' ? '%' : '')}
      needed={!!field.needed}
      bind:value={() => text(field), (v) => set(field, v)}
    />
  {:else}
    {@const asked = field.suggest}
    <TextField
      {label}
      {name}
      {hint}
      {error}
      {wide}
      lines={field.lines ?? 1}
      type={field.kind === 'password' ? 'password' : 'text'}
      needed={!!field.needed}
      focusFirst={field.first ?? false}
      autocomplete={field.autocomplete ?? 'off'}
      suggestions={asked ? suggestions.of(asked) : [...(field.offered ?? [])]}
      onfocus={() => asked && void suggestions.ask(asked, within(field.within))}
      bind:value={() => text(field), (v) => set(field, v)}
    />
  {/if}
  {@render behind?.(field.key)}
{/each}
