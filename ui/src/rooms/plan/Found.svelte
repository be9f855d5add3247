<script lang="ts">
  import { say } from '$words/page-plan.ftl';
  // What is known so far, folded with how it stands in each line; what matters for the option shown stands beside it.
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import Facts from './Facts.svelte';
  import { FACT_GROUPS, type FactGroup } from './facts';
  import type { FoundForm } from './plan-form';
  import type { PlanState } from './plan.svelte';
  import { FOUND_OPTIONS } from './plan-words';

  interface Props {
    state: PlanState;
    /** Groups that are shown elsewhere. */
    without: FactGroup[];
  }
  let { state: plan, without }: Props = $props();

  const SEEN = ['old_interface', 'dust', 'fan_state', 'place'] as const;
  // Where it is used belongs to the cover, where that matters.
  const seen = $derived(SEEN.filter((key) => key !== 'place' || !without.includes('cover')));
  const SIZES = [
    ['cpu_w', say('found-processor-die-width'), 'cpu_die_width_mm'],
    ['cpu_l', say('found-processor-die-length'), 'cpu_die_length_mm'],
    ['gpu_w', say('found-graphics-die-width'), 'gpu_die_width_mm'],
    ['gpu_l', say('found-graphics-die-length'), 'gpu_die_length_mm'],
  ] as const;

  function set<K extends keyof FoundForm>(key: K, value: FoundForm[K]) {
    if (!plan.form || plan.form[key] === value) return;
    plan.form[key] = value;
    plan.changed();
  }
  const said = (key: (typeof SEEN)[number] | 'cold_plate' | 'aluminium_near') => {
    const value = plan.form?.[key];
    const words = FOUND_OPTIONS[key]?.options.find((o) => o.value === value)?.label ?? '';
    return `${FOUND_OPTIONS[key]?.label ?? key}: ${words.toLowerCase()}`;
  };
  const LINES: Record<FactGroup, string> = {
    metals: say('found-metals-and-bare-parts'),
    gaps: say('found-gaps'),
    shim: say('found-shim'),
    cover: say('found-cover-coupling'),
    tuning: say('found-tuning-and-hazards'),
  };
  const stands = $derived<Record<FactGroup, string>>({
    metals: [said('cold_plate'), said('aluminium_near')].join(' · '),
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
      <div class="grid">
        {#each seen as key (key)}
          <Pick
            label={FOUND_OPTIONS[key]?.label ?? key}
            name={key}
            options={FOUND_OPTIONS[key]?.options ?? []}
            bind:value={() => plan.form?.[key] ?? '', (v) => set(key, v)}
            error={plan.errors[key]}
          />
        {/each}
        {#each SIZES as [key, label, field] (key)}
          <TextField
            {label}
            name={key}
            unit="mm"
            numeric
            bind:value={() => plan.form?.[key] ?? '', (v) => set(key, v)}
            error={plan.errors[key] ?? plan.errors[field]}
          />
        {/each}
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
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 11rem), 1fr));
    gap: var(--gap-3);
    align-items: end;
  }
</style>
