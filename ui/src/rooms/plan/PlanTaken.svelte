<script lang="ts">
  import { say } from '$words/page-plan.ftl';
  // What was chosen, what was promised for it, and how it came out.
  import type { Plan } from '../../lib/api';
  import { day, fixed, money } from '../../lib/format';
  import Notice from '../../lib/parts/Notice.svelte';

  type Chosen = NonNullable<Plan['chosen']>;
  interface Props {
    plan: Plan;
    chosen: Chosen;
  }
  let { plan, chosen }: Props = $props();

  /** Watts tell nothing more once it holds all that it asks for. */
  const byWatts = (c: Chosen) => c.held && c.watts !== null && c.watts.high - c.watts.low > 0.5;
  function promise(c: Chosen): string {
    const [i, words] =
      byWatts(c) && c.watts ? [c.watts, say('plan-page-w-at-limit')] : [c.die_c, say('plan-page-c-at-work-before')];
    return say('plan-page-to', { median: fixed(i.median, 0), words, low: fixed(i.low, 0), high: fixed(i.high, 0) });
  }
  function measured(of: Plan): string {
    if (!of.outcome || !of.chosen) return '';
    if (byWatts(of.chosen) && of.outcome.watts !== null) return `${fixed(of.outcome.watts, 0)} W`;
    if (of.outcome.die_c !== null) return `${fixed(of.outcome.die_c, 1)} °C`;
    return `${fixed(of.outcome.resistance, 2)} K/W`;
  }
</script>

<Notice title={say('plan-page-taken', { words: chosen.words })}>
  {say('plan-page-promised-for', {
    by: chosen.by,
    at: day(chosen.at),
    chosen: promise(chosen),
    total_cents: chosen.total_cents === null ? null : money(chosen.total_cents, plan.currency),
  })}
  {#if plan.outcome}
    <p>
      <strong class={plan.outcome.inside ? 'in' : 'out'}
        >{say('plan-page-after-measured-at-fan', { plan: measured(plan), inside: !!plan.outcome.inside })}</strong
      >
    </p>
  {/if}
</Notice>

<style>
  .in {
    color: var(--after);
  }
  .out {
    color: var(--care);
  }
</style>
