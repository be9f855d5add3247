<script lang="ts">
  import { say } from '$words/page-plan.ftl';
  import Button from '../../lib/parts/Button.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Tick from '../../lib/parts/Tick.svelte';
  import { emptyGap } from './plan-form';
  import type { PlanState } from './plan.svelte';
  import { FOUND_OPTIONS, GAP_TARGETS, GAP_WAYS } from './plan-words';

  interface Props {
    plan: PlanState;
  }
  let { plan }: Props = $props();
  const NUMBERS = [
    { key: 'reading_mm', label: say('gap-rows-reading'), unit: 'mm' },
    { key: 'width_mm', label: say('gap-rows-part-width'), unit: 'mm' },
    { key: 'length_mm', label: say('gap-rows-part-length'), unit: 'mm' },
    { key: 'count', label: say('gap-rows-how-many'), unit: '' },
  ];

  function set(index: number, key: string, value: string) {
    const row = plan.form?.gaps[index];
    if (!row || row[key] === value) return;
    row[key] = value;
    plan.changed();
  }
</script>

{#if plan.form}
  <div class="top">
    {#each ['pads_state', 'gap_filler'] as const as key (key)}
      <Pick
        label={FOUND_OPTIONS[key]?.label ?? key}
        name={key}
        options={FOUND_OPTIONS[key]?.options ?? []}
        bind:value={
          () => plan.form?.[key] ?? '',
          (v) => {
            if (plan.form) plan.form[key] = v;
            plan.changed();
          }
        }
      />
    {/each}
  </div>
  {#each plan.form.gaps as row, i (i)}
    {@const advice = plan.plan?.gaps[i]}
    <fieldset>
      <legend>{say('gap-rows-gap', { i: i + 1 })}</legend>
      <div class="row">
        <Pick
          label={say('gap-rows-under-cooler')}
          name="gap-target-{i}"
          options={GAP_TARGETS}
          bind:value={() => row.target ?? '', (v) => set(i, 'target', v)}
        />
        <Pick
          label={say('gap-rows-read-from')}
          name="gap-how-{i}"
          options={GAP_WAYS}
          bind:value={() => row.how ?? '', (v) => set(i, 'how', v)}
        />
        {#each NUMBERS as field (field.key)}
          <TextField
            label={field.label}
            name="gap-{field.key}-{i}"
            unit={field.unit}
            numeric
            bind:value={() => row[field.key] ?? '', (v) => set(i, field.key, v)}
            error={plan.errors[`gaps.${i}.${field.key}`] ??
              (field.key === 'reading_mm' ? (plan.errors.gap_mm ?? plan.errors.imprint_mm) : undefined)}
          />
        {/each}
        {#if row.how === 'measured'}
          <TextField
            label={say('gap-rows-may-be-off-by')}
            name="gap-tolerance-{i}"
            unit="mm"
            numeric
            bind:value={() => row.tolerance_mm ?? '', (v) => set(i, 'tolerance_mm', v)}
            error={plan.errors[`gaps.${i}.tolerance_mm`] ?? plan.errors.tolerance_mm}
          />
        {/if}
      </div>
      <div class="foot">
        <Tick
          label={say('gap-rows-one-strip-for-all')}
          bind:checked={() => row.together === 'yes', (v) => set(i, 'together', v ? 'yes' : 'no')}
        />
        {#if advice}
          <p class:putty={advice.putty || advice.open}>
            <strong
              >{advice.open
                ? say('gap-rows-measure-again')
                : advice.putty
                  ? say('gap-rows-putty')
                  : say('gap-rows-pad-mm', { join: advice.stack_mm.join(' + ') })}</strong
            >
            {advice.reason}
          </p>
        {/if}
        <Button
          kind="bare"
          label={say('gap-rows-forget-gap', { i: i + 1 })}
          onclick={() => {
            plan.form?.gaps.splice(i, 1);
            plan.changed();
          }}>✕</Button
        >
      </div>
    </fieldset>
  {/each}
  {#if plan.plan?.heights}<p class="quiet">{plan.plan.heights}</p>{/if}
  <Button onclick={() => plan.form?.gaps.push(emptyGap())}>{say('gap-rows-add-gap')}</Button>
{/if}

<style>
  .top,
  .row {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: var(--gap-3);
    align-items: start;
  }
  fieldset {
    margin: var(--gap-3) 0;
    padding: var(--gap-2) var(--gap-3) var(--gap-3);
    border: var(--line) solid var(--rule);
    border-radius: var(--round);
  }
  legend {
    padding: 0 var(--gap-1);
    font-weight: 620;
  }
  .foot {
    display: grid;
    grid-template-columns: auto 1fr auto;
    gap: var(--gap-4);
    align-items: center;
    margin-top: var(--gap-3);
  }
  .putty strong {
    color: var(--care);
  }
  @media (max-width: 760px) {
    .top,
    .row {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
    .foot {
      grid-template-columns: 1fr auto;
    }
  }
</style>
