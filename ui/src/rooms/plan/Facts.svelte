<script lang="ts">
  // One group of what is known or found: the facts that open a gate, size a part or tune the device.
  import { say } from '$words/page-plan.ftl';
  import ShimDrawing from '../../lib/charts/ShimDrawing.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Tick from '../../lib/parts/Tick.svelte';
  import { BATH_FIELDS, COVER_FIELDS, emptySpot, SHIM_FIELDS } from './plan-form';
  import type { PlanState } from './plan.svelte';
  import { FOUND_OPTIONS } from './plan-words';
  import GapRows from './GapRows.svelte';
  import type { FactGroup } from './facts';
  import SpotForm from './SpotForm.svelte';

  interface Props {
    state: PlanState;
    group: FactGroup;
    /** Not beside its option: where it is used stands elsewhere. */
    alone?: boolean;
  }
  let { state: plan, group, alone = false }: Props = $props();

  type Word = 'cold_plate' | 'aluminium_near' | 'parts_exposed' | 'insulation' | 'place';
  type Text = 'undervolt_mv' | 'cap_w';
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
  {#if group === 'metals'}
    <div class="grid">
      {#each metal as key (key)}{@render pick(key)}{/each}
    </div>
  {:else if group === 'gaps'}
    <GapRows {plan} />
  {:else if group === 'shim'}
    {#if plan.form.shim}
      <SpotForm {plan} group="shim" fields={SHIM_FIELDS} label={say('found-held-to-heatsink-by')} options={BONDS} />
      {#if plan.plan?.shim_reason}
        <p>
          {plan.plan.shim_reason}
          {#if plan.plan.shim_drop_k !== null}<strong
              >{say('found-chip-drops-by-k', { shim_drop_k: plan.plan.shim_drop_k.toFixed(0) })}</strong
            >{/if}
        </p>
        {#if plan.plan.found.shim}
          <ShimDrawing spot={plan.plan.found.shim} place={plan.plan.shim_place_mm} words={plan.plan.shim_reason} />
        {/if}
      {/if}
      <Button onclick={() => set('shim', null)}>{say('found-forget-shim')}</Button>
    {:else}
      <p class="quiet">
        {say('found-thick-pad-on-small')}
      </p>
      <Button onclick={() => set('shim', emptySpot('shim', SHIM_FIELDS))}>{say('found-measure-for-shim')}</Button>
    {/if}
  {:else if group === 'cover'}
    {#if !alone}<div class="grid">{@render pick('place')}</div>{/if}
    {#if plan.form.cover}
      <SpotForm {plan} group="cover" fields={COVER_FIELDS} label={say('found-cover')} options={COVERS} />
      <Button onclick={() => set('cover', null)}>{say('found-forget-cover')}</Button>
    {:else}
      <p class="quiet">
        {say('found-pad-between-heatsink-and')}
      </p>
      <Button onclick={() => set('cover', emptySpot('cover', COVER_FIELDS))}>{say('found-measure-for-cover')}</Button>
    {/if}
  {:else}
    <div class="grid">
      {@render number('undervolt_mv', say('found-undervolt-by'), 'mV', 'undervolt_mv')}
      {@render number('cap_w', say('found-power-cap'), 'W', 'cap_w')}
    </div>
    <div class="ticks lay-row">
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
  {/if}
{/if}

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 11rem), 1fr));
    gap: var(--gap-3);
    align-items: end;
  }
  .ticks {
    gap: var(--gap-2);
    margin-top: var(--gap-3);
  }
  p {
    margin: var(--gap-2) 0;
  }
</style>
