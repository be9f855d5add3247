<script lang="ts">
  import TextField from '../../lib/parts/TextField.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import { GROUP_WORD, type Group, type SHIM_FIELDS } from './plan-form';
  import type { PlanState } from './plan.svelte';

  interface Props {
    plan: PlanState;
    group: Group;
    fields: typeof SHIM_FIELDS;
    label: string;
    options: { value: string; label: string }[];
  }
  let { plan, group, fields, label, options }: Props = $props();
  const word = $derived(GROUP_WORD[group][0]);

  function set(key: string, value: string) {
    const row = plan.form?.[group];
    if (!row || row[key] === value) return;
    row[key] = value;
    plan.changed();
  }
</script>

<div class="grid">
  <Pick
    {label}
    name={word}
    {options}
    bind:value={() => plan.form?.[group]?.[word] ?? GROUP_WORD[group][1], (v) => set(word, v)}
    error={plan.errors[`${group}.${word}`] ?? plan.errors[word]}
  />
  {#each fields as field (field.key)}
    <TextField
      label={field.label}
      name="{group}-{field.key}"
      unit={field.unit}
      numeric
      bind:value={() => plan.form?.[group]?.[field.key] ?? '', (v) => set(field.key, v)}
      error={plan.errors[`${group}.${field.key}`] ?? plan.errors[field.key]}
    />
  {/each}
</div>

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    gap: var(--gap-3);
    align-items: start;
    margin-bottom: var(--gap-3);
  }
  @media (max-width: 760px) {
    .grid {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
  }
</style>
