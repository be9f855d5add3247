<script lang="ts">
  import { say } from '$words/page-plan.ftl';
  import { formOf } from '../../lib/fields';
  import Button from '../../lib/parts/Button.svelte';
  import Fields from '../../lib/parts/Fields.svelte';
  import { GAP, GAP_TOLERANCE, LOOKED } from './plan-form';
  import type { PlanState } from './plan.svelte';

  interface Props {
    plan: PlanState;
  }
  let { plan }: Props = $props();
  const TICK = GAP.filter((field) => field.key === 'together');
  const READ = GAP.filter((field) => field.key !== 'together' && field !== GAP_TOLERANCE);
  /** What the server calls it where it refuses a reading. */
  const errorsOf = (i: number) => {
    const { gap_mm, imprint_mm } = plan.errors;
    const reading = gap_mm ?? imprint_mm;
    return { ...(reading && { [`gaps.${i}.reading_mm`]: reading }), ...plan.errors };
  };
</script>

{#if plan.form}
  <div class="row">
    <Fields
      list={[LOOKED.pads_state, LOOKED.gap_filler]}
      bind:form={() => plan.form!, (form) => (plan.form = form)}
      errors={plan.errors}
    />
  </div>
  {#each plan.form.gaps as row, i (i)}
    {@const advice = plan.plan?.gaps[i]}
    <fieldset>
      <legend>{say('gap-rows-gap', { i: i + 1 })}</legend>
      <div class="row">
        <Fields
          list={row.how === 'measured' ? [...READ, GAP_TOLERANCE] : READ}
          prefix="gaps.{i}."
          bind:form={() => row, (gap) => (plan.form!.gaps[i] = gap)}
          errors={errorsOf(i)}
        />
      </div>
      <div class="foot">
        <Fields list={TICK} bind:form={() => row, (gap) => (plan.form!.gaps[i] = gap)} />
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
        {:else}<span></span>{/if}
        <Button
          kind="bare"
          label={say('gap-rows-forget-gap', { i: i + 1 })}
          onclick={() => plan.form?.gaps.splice(i, 1)}>✕</Button
        >
      </div>
    </fieldset>
  {/each}
  {#if plan.plan?.heights}<p class="quiet">{plan.plan.heights}</p>{/if}
  <Button onclick={() => plan.form?.gaps.push(formOf(GAP, null))}>{say('gap-rows-add-gap')}</Button>
{/if}

<style>
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
    .row {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
    .foot {
      grid-template-columns: 1fr auto;
    }
  }
</style>
