<script lang="ts">
  import { say } from './words';
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
    { value: 'glue', label: say('found-heat-glue') },
    { value: 'paste', label: say('found-paste-both-faces') },
  ];
  const METHODS = [
    { value: 'electroless', label: 'electroless' },
    { value: 'electrolytic', label: say('found-with-current') },
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
    legend={say('found-customer-wants-above-all')}
    name="goal"
    options={[...GOALS]}
    bind:value={() => plan.form?.goal ?? 'cooler', (v) => set('goal', v)}
  />
  <section>
    <h3>{say('found-what-known-so-far')}</h3>
    <div class="grid">
      {#each seen as key (key)}{@render pick(key)}{/each}
      {@render pick('place')}
      {@render number('cpu_w', say('found-processor-die-width'), 'mm', 'cpu_die_width_mm')}
      {@render number('cpu_l', say('found-processor-die-length'), 'mm', 'cpu_die_length_mm')}
      {@render number('gpu_w', say('found-graphics-die-width'), 'mm', 'gpu_die_width_mm')}
      {@render number('gpu_l', say('found-graphics-die-length'), 'mm', 'gpu_die_length_mm')}
    </div>
  </section>
  <div class="more">
    <Working summary={say('found-metals-and-bare-parts')}>
      <div class="grid">
        {#each metal as key (key)}{@render pick(key)}{/each}
      </div>
    </Working>
    <Working
      summary={say('found-gaps-pads-and-putty', { count: !!plan.form.gaps.length, count_2: plan.form.gaps.length })}
    >
      <GapRows {plan} />
    </Working>
    <Working summary={say('found-copper-shim-on-small', { shim: !!plan.form.shim })}>
      {#if plan.form.shim}
        <SpotForm {plan} group="shim" fields={SHIM_FIELDS} label={say('found-held-to-heatsink-by')} options={BONDS} />
        {#if plan.plan?.shim_reason}
          <p>
            {plan.plan.shim_reason}
            {#if plan.plan.shim_drop_k !== null}<strong
                >{say('found-chip-drops-by-k', { shim_drop_k: plan.plan.shim_drop_k.toFixed(0) })}</strong
              >{/if}
          </p>
        {/if}
        <Button onclick={() => set('shim', null)}>{say('found-forget-shim')}</Button>
      {:else}
        <p class="quiet">
          {say('found-thick-pad-on-small')}
        </p>
        <Button onclick={() => set('shim', emptySpot('shim', SHIM_FIELDS))}>{say('found-measure-for-shim')}</Button>
      {/if}
    </Working>
    <Working summary={say('found-coupling-to-cover-measured', { cover: !!plan.form.cover })}>
      {#if plan.form.cover}
        <SpotForm {plan} group="cover" fields={COVER_FIELDS} label={say('found-cover')} options={COVERS} />
        <Button onclick={() => set('cover', null)}>{say('found-forget-cover')}</Button>
      {:else}
        <p class="quiet">
          {say('found-pad-between-heatsink-and')}
        </p>
        <Button onclick={() => set('cover', emptySpot('cover', COVER_FIELDS))}>{say('found-measure-for-cover')}</Button>
      {/if}
    </Working>
    <Working summary={say('found-tuning-and-hazards')}>
      <div class="grid">
        {@render number('undervolt_mv', say('found-undervolt-by'), 'mV', 'undervolt_mv')}
        {@render number('cap_w', say('found-power-cap'), 'W', 'cap_w')}
      </div>
      <div class="ticks">
        <Tick
          label={say('found-carried-and-shaken')}
          bind:checked={() => plan.form?.carried ?? false, (v) => set('carried', v)}
        />
        <Tick
          label={say('found-mains-supply-would-be')}
          tone="halt"
          bind:checked={() => plan.form?.opens_mains ?? false, (v) => set('opens_mains', v)}
        />
        <Tick
          label={say('found-cold-plate-would-be')}
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
        <SpotForm {plan} group="bath" fields={BATH_FIELDS} label={say('found-bath')} options={METHODS} />
        <p class="quiet">{say('found-rate-belongs-to-bath')}</p>
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
