<script lang="ts">
  import TextField from '../../lib/parts/TextField.svelte';
  import type { SHIM_FIELDS } from './plan-form';
  import type { PlanState } from './plan.svelte';

  interface Props {
    plan: PlanState;
    group: 'shim' | 'cover';
    fields: typeof SHIM_FIELDS;
  }
  let { plan, group, fields }: Props = $props();

  function set(key: string, value: string) {
    const row = plan.form?.[group];
    if (!row || row[key] === value) return;
    row[key] = value;
    plan.changed();
  }
</script>

<div class="grid">
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
