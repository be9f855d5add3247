<script lang="ts">
  import { say } from '$words/page-plan.ftl';
  // What is known so far, folded with how it stands in each line; what matters for the option shown stands beside it.
  import Fields from '../../lib/parts/Fields.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import Facts from './Facts.svelte';
  import { FACT_GROUPS, type FactGroup } from './facts';
  import { DIES, LOOKED } from './plan-form';
  import type { PlanState } from './plan.svelte';

  interface Props {
    state: PlanState;
    /** Groups that are shown elsewhere. */
    without: FactGroup[];
  }
  let { state: plan, without }: Props = $props();

  const SEEN = [LOOKED.old_interface, LOOKED.dust, LOOKED.fan_state, LOOKED.place];
  // Where it is used belongs to the cover, where that matters.
  const seen = $derived(SEEN.filter((field) => field.key !== 'place' || !without.includes('cover')));
  $effect(() => plan.changed());

  const said = ({ key, label, options }: (typeof LOOKED)[keyof typeof LOOKED]) => {
    const words = options.find((o) => o.value === plan.form?.[key])?.label ?? '';
    return `${label}: ${words.toLowerCase()}`;
  };
  const LINES: Record<FactGroup, string> = {
    metals: say('found-metals-and-bare-parts'),
    gaps: say('found-gaps'),
    shim: say('found-shim'),
    cover: say('found-cover-coupling'),
    tuning: say('found-tuning-and-hazards'),
  };
  const stands = $derived<Record<FactGroup, string>>({
    metals: [said(LOOKED.cold_plate), said(LOOKED.aluminium_near)].join(' · '),
    gaps: plan.form?.gaps.length ? say('found-gaps-noted', { count: plan.form.gaps.length }) : say('found-none'),
    shim: plan.form?.shim ? say('found-measured') : say('found-none'),
    cover: plan.form?.cover ? say('found-measured') : say('found-none'),
    tuning: [
      plan.form?.undervolt_mv && `${plan.form.undervolt_mv} mV`,
      plan.form?.cap_w && `${plan.form.cap_w} W`,
      plan.form?.carried && say('found-carried-and-shaken'),
      plan.form?.opens_mains && say('found-mains-supply-would-be'),
      plan.form?.plating && say('found-cold-plate-would-be'),
    ]
      .filter(Boolean)
      .join(' · '),
  });
</script>

{#if plan.form}
  <section>
    <Working summary={say('found-what-known-so-far')} stand={seen.map(said).join(' · ')}>
      <div class="lay-form">
        <Fields
          list={[...seen, ...DIES]}
          bind:form={() => plan.form!, (form) => (plan.form = form)}
          errors={plan.errors}
        />
      </div>
    </Working>
    {#each FACT_GROUPS.filter((g) => !without.includes(g)) as group (group)}
      <Working summary={LINES[group]} stand={stands[group]}><Facts state={plan} {group} alone /></Working>
    {/each}
  </section>
{/if}

<style>
  section {
    margin-top: var(--gap-4);
    border-bottom: 1px solid var(--rule);
  }
</style>
