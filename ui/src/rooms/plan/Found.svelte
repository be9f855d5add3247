<script lang="ts">
  import Choice from '../../lib/parts/Choice.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Tick from '../../lib/parts/Tick.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { BATH_FIELDS, COVER_FIELDS, emptySpot, SHIM_FIELDS } from './plan-form';
  import type { PlanState } from './plan.svelte';
  import { FOUND_OPTIONS, GOALS } from './plan-words';
  import GapRows from './GapRows.svelte';
  import SpotForm from './SpotForm.svelte';

  interface Props {
    state: PlanState;
  }
  let { state: plan }: Props = $props();

  type Word =
    'old_interface' | 'dust' | 'fan_state' | 'cold_plate' | 'aluminium_near' | 'parts_exposed' | 'insulation' | 'place';
  type Text = 'cpu_w' | 'cpu_l' | 'gpu_w' | 'gpu_l' | 'undervolt_mv' | 'cap_w';
  const seen: Word[] = ['old_interface', 'dust', 'fan_state'];
  const metal: Word[] = ['cold_plate', 'aluminium_near', 'parts_exposed', 'insulation'];
  const COVERS = ['aluminium', 'magnesium', 'steel', 'plastic', 'carbon', 'glass'].map((c) => ({ value: c, label: c }));
  const BONDS = [
    { value: 'glue', label: 'heat glue' },
    { value: 'paste', label: 'paste, both faces' },
  ];
  const METHODS = [
    { value: 'electroless', label: 'electroless' },
    { value: 'electrolytic', label: 'with current' },
  ];

  function set<K extends keyof NonNullable<PlanState['form']>>(key: K, value: NonNullable<PlanState['form']>[K]) {
    if (!plan.form || plan.form[key] === value) return;
    plan.form[key] = value;
    plan.changed();
  }
</script>

{#snippet pick(key: Word)}
  <Pick
    label={FOUND_OPTIONS[key]?.label ?? key}
    name={key}
    options={FOUND_OPTIONS[key]?.options ?? []}
    bind:value={() => plan.form?.[key] ?? '', (v) => set(key, v)}
    error={plan.errors[key]}
  />
{/snippet}
{#snippet number(key: Text, label: string, unit: string, field: string)}
  <TextField
    {label}
    name={key}
    {unit}
    numeric
    bind:value={() => plan.form?.[key] ?? '', (v) => set(key, v)}
    error={plan.errors[key] ?? plan.errors[field]}
  />
{/snippet}

{#if plan.form}
  <Choice
    legend="The customer wants it, above all"
    name="goal"
    options={[...GOALS]}
    bind:value={() => plan.form?.goal ?? 'cooler', (v) => set('goal', v)}
  />
  <section>
    <h3>What is known so far</h3>
    <div class="grid">
      {#each seen as key (key)}{@render pick(key)}{/each}
      {@render pick('place')}
      {@render number('cpu_w', 'Processor die, width', 'mm', 'cpu_die_width_mm')}
      {@render number('cpu_l', 'Processor die, length', 'mm', 'cpu_die_length_mm')}
      {@render number('gpu_w', 'Graphics die, width', 'mm', 'gpu_die_width_mm')}
      {@render number('gpu_l', 'Graphics die, length', 'mm', 'gpu_die_length_mm')}
    </div>
  </section>
  <div class="more">
    <Working summary="Metals and bare parts, for alloy">
      <div class="grid">
        {#each metal as key (key)}{@render pick(key)}{/each}
      </div>
    </Working>
    <Working summary="Gaps, pads and putty{plan.form.gaps.length ? ` (${plan.form.gaps.length})` : ''}">
      <GapRows {plan} />
    </Working>
    <Working summary="Copper shim on a small chip{plan.form.shim ? ' (measured)' : ''}">
      {#if plan.form.shim}
        <SpotForm {plan} group="shim" fields={SHIM_FIELDS} label="Held to the heatsink by" options={BONDS} />
        {#if plan.plan?.shim_reason}
          <p>
            {plan.plan.shim_reason}
            {#if plan.plan.shim_drop_k !== null}<strong>The chip drops by {plan.plan.shim_drop_k.toFixed(0)} K.</strong
              >{/if}
          </p>
        {/if}
        <Button onclick={() => set('shim', null)}>Forget the shim</Button>
      {:else}
        <p class="quiet">
          A thick pad on a small chip costs tens of kelvins. Measure package, die and pad to see how many.
        </p>
        <Button onclick={() => set('shim', emptySpot('shim', SHIM_FIELDS))}>Measure for a shim</Button>
      {/if}
    </Working>
    <Working summary="Coupling to the cover{plan.form.cover ? ' (measured)' : ''}">
      {#if plan.form.cover}
        <SpotForm {plan} group="cover" fields={COVER_FIELDS} label="Cover" options={COVERS} />
        <Button onclick={() => set('cover', null)}>Forget the cover</Button>
      {:else}
        <p class="quiet">
          A pad between heatsink and bottom cover lets a thin machine hold more watts, and warms the skin. Measure both
          to see how much.
        </p>
        <Button onclick={() => set('cover', emptySpot('cover', COVER_FIELDS))}>Measure for the cover</Button>
      {/if}
    </Working>
    <Working summary="Tuning and hazards">
      <div class="grid">
        {@render number('undervolt_mv', 'Undervolt by', 'mV', 'undervolt_mv')}
        {@render number('cap_w', 'Power cap', 'W', 'cap_w')}
      </div>
      <div class="ticks">
        <Tick label="Carried and shaken" bind:checked={() => plan.form?.carried ?? false, (v) => set('carried', v)} />
        <Tick
          label="The mains supply would be opened"
          tone="halt"
          bind:checked={() => plan.form?.opens_mains ?? false, (v) => set('opens_mains', v)}
        />
        <Tick
          label="The cold plate would be plated here"
          tone="halt"
          bind:checked={
            () => plan.form?.plating ?? false,
            (v) => {
              if (plan.form && v && !plan.form.bath) plan.form.bath = emptySpot('bath', BATH_FIELDS);
              set('plating', v);
            }
          }
        />
      </div>
      {#if plan.form.plating && plan.form.bath}
        <SpotForm {plan} group="bath" fields={BATH_FIELDS} label="Bath" options={METHODS} />
        <p class="quiet">The rate belongs to the bath: its sheet or a measured coupon beats the usual 2.5 µm/h.</p>
      {/if}
    </Working>
  </div>
{/if}

<style>
  section {
    margin-top: var(--gap-5);
  }
  h3 {
    margin-bottom: var(--gap-2);
  }
  .grid {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    gap: var(--gap-3);
    align-items: start;
  }
  .more {
    margin: var(--gap-2) 0 var(--gap-5);
    border-bottom: 1px solid var(--rule);
  }
  .ticks {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-2);
    margin-top: var(--gap-3);
  }
  p {
    margin: var(--gap-2) 0;
  }
  @media (max-width: 760px) {
    .grid {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
  }
</style>
