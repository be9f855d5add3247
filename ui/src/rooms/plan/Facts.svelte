<script lang="ts">
  // One group of what is known or found: the facts that open a gate, size a part or tune the device.
  import { say } from '$words/page-plan.ftl';
  import ShimDrawing from '../../lib/charts/ShimDrawing.svelte';
  import { formOf } from '../../lib/fields';
  import Button from '../../lib/parts/Button.svelte';
  import Fields from '../../lib/parts/Fields.svelte';
  import { BATH, COVER, HAZARDS, LOOKED, SHIM, TUNING } from './plan-form';
  import type { PlanState } from './plan.svelte';
  import GapRows from './GapRows.svelte';
  import type { FactGroup } from './facts';

  interface Props {
    state: PlanState;
    group: FactGroup;
    /** Not beside its option: where it is used stands elsewhere. */
    alone?: boolean;
  }
  let { state: plan, group, alone = false }: Props = $props();
  const METALS = [LOOKED.cold_plate, LOOKED.aluminium_near, LOOKED.parts_exposed, LOOKED.insulation];

  // A bath begins with its usual values.
  $effect(() => {
    if (plan.form?.plating && !plan.form.bath) plan.form.bath = formOf(BATH, null);
  });
</script>

{#if plan.form}
  {#if group === 'metals'}
    <div class="lay-form">
      <Fields list={METALS} bind:form={() => plan.form!, (form) => (plan.form = form)} errors={plan.errors} />
    </div>
  {:else if group === 'gaps'}
    <GapRows {plan} />
  {:else if group === 'shim'}
    {#if plan.form.shim}
      <div class="lay-form">
        <Fields
          list={SHIM}
          prefix="shim."
          bind:form={() => plan.form!.shim!, (part) => (plan.form!.shim = part)}
          errors={plan.errors}
        />
      </div>
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
      <Button onclick={() => plan.form && (plan.form.shim = null)}>{say('found-forget-shim')}</Button>
    {:else}
      <p class="quiet">{say('found-thick-pad-on-small')}</p>
      <Button onclick={() => plan.form && (plan.form.shim = formOf(SHIM, null))}>{say('found-measure-for-shim')}</Button
      >
    {/if}
  {:else if group === 'cover'}
    {#if !alone}
      <div class="lay-form">
        <Fields list={[LOOKED.place]} bind:form={() => plan.form!, (form) => (plan.form = form)} errors={plan.errors} />
      </div>
    {/if}
    {#if plan.form.cover}
      <div class="lay-form">
        <Fields
          list={COVER}
          prefix="cover."
          bind:form={() => plan.form!.cover!, (part) => (plan.form!.cover = part)}
          errors={plan.errors}
        />
      </div>
      <Button onclick={() => plan.form && (plan.form.cover = null)}>{say('found-forget-cover')}</Button>
    {:else}
      <p class="quiet">{say('found-pad-between-heatsink-and')}</p>
      <Button onclick={() => plan.form && (plan.form.cover = formOf(COVER, null))}
        >{say('found-measure-for-cover')}</Button
      >
    {/if}
  {:else}
    <div class="lay-form">
      <Fields list={TUNING} bind:form={() => plan.form!, (form) => (plan.form = form)} errors={plan.errors} />
    </div>
    <div class="ticks lay-row">
      <Fields list={HAZARDS} bind:form={() => plan.form!, (form) => (plan.form = form)} />
    </div>
    {#if plan.form.plating && plan.form.bath}
      <div class="lay-form">
        <Fields
          list={BATH}
          prefix="bath."
          bind:form={() => plan.form!.bath!, (part) => (plan.form!.bath = part)}
          errors={plan.errors}
        />
      </div>
      <p class="quiet">{say('found-rate-belongs-to-bath')}</p>
    {/if}
  {/if}
{/if}

<style>
  .lay-form {
    margin-bottom: var(--gap-3);
  }
  .ticks {
    gap: var(--gap-2);
    margin: var(--gap-3) 0;
  }
  p {
    margin: var(--gap-2) 0;
  }
</style>
