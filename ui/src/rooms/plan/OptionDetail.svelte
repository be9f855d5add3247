<script lang="ts">
  import { say } from '$words/page-plan.ftl';
  import type { Option, Plan, Schemas } from '../../lib/api';
  import { fixed, money } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Facts from './Facts.svelte';
  import type { FactGroup } from './facts';
  import type { PlanState } from './plan.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import PartLine from './PartLine.svelte';
  import StepList from '../../lib/parts/StepList.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    option: Option;
    plan: Plan;
    busy: boolean;
    closed: boolean;
    ontake: (key: string | null) => void;
    state: PlanState;
    /** Groups of facts that matter here. */
    matter: FactGroup[];
    /** What the shop's own services with this kind brought, or null. */
    known?: Schemas['KnownOut'] | null;
  }
  let { option, plan, busy, closed, ontake, state: plan_, matter, known = null }: Props = $props();
  const taken = $derived(plan.chosen?.key === option.key);
  const range = (i: { low: number; median: number; high: number }, digits = 0) =>
    say('option-detail-to', {
      median: fixed(i.median, digits),
      low: fixed(i.low, digits),
      high: fixed(i.high, digits),
    });
  // What opens a gate comes before the figures, what sizes a part after them.
  const GATES: FactGroup[] = ['metals', 'cover'];
  const partsStand = $derived(
    option.parts
      .map((part) => part.product || part.words)
      .filter(Boolean)
      .join(' · '),
  );
  const facts = $derived([
    [say('option-detail-die-at-same-work'), `${range(option.die_c)} °C`],
    [say('option-detail-cooler-by'), `${range(option.gain_k)} K`],
    [
      say('option-detail-watts-at-limit'),
      option.watts ? `${range(option.watts)} W` : say('option-detail-not-known-without-limit'),
    ],
    [
      say('option-detail-noise-at-same-temperature'),
      option.noise_db
        ? `${option.noise_floor ? say('option-detail-at-least') : ''}${range(option.noise_db)} dB`
        : say('option-detail-no-fan'),
    ],
    [say('option-detail-look-again-after'), `${option.life_months} months`],
    [
      say('option-detail-takes'),
      say('option-detail-min-hands-min-waiting', {
        hands_min: fixed(option.hands_min, 0),
        wait_min: fixed(option.wait_min, 0),
      }),
    ],
    [
      say('option-detail-price'),
      option.total_cents === null
        ? say('option-detail-some-parts-not-priced', { work: money(option.work_cents, plan.currency) })
        : money(option.total_cents, plan.currency),
    ],
    ...(known?.gain_k_per_w
      ? [
          [
            say('option-detail-own-services'),
            say('option-detail-own-gain', {
              median: fixed(known.gain_k_per_w.median, 2),
              low: fixed(known.gain_k_per_w.low, 2),
              high: fixed(known.gain_k_per_w.high, 2),
              n: known.gain_k_per_w.n,
              promised: known.promised,
              kept: known.kept,
            }),
          ],
        ]
      : []),
  ]);
</script>

{#snippet matters(groups: FactGroup[])}
  {#if !closed}
    {#each groups as group (group)}<Facts state={plan_} {group} />{/each}
  {/if}
{/snippet}
<section class="lay-stack" aria-label={option.words}>
  <header class="lay-head">
    <Titled why={option.key === 'tune' ? 'tuning' : 'materials'}>
      <h3>{option.words[0]?.toUpperCase()}{option.words.slice(1)}</h3>
    </Titled>
    {#if taken && !closed}
      <Button {busy} onclick={() => ontake(null)}>{say('option-detail-put-decision-back')}</Button>
    {/if}
  </header>
  <p>{option.reason}</p>
  {#each option.gates as gate (gate.rule)}
    <Notice
      tone={gate.severity === 'stop' ? 'halt' : gate.severity === 'acknowledge' ? 'care' : 'note'}
      title={gate.reason}
    >
      <p>{gate.remedy}</p>
    </Notice>
  {/each}
  {@render matters(matter.filter((g) => GATES.includes(g)))}
  <dl>
    {#each facts as [words, value] (words)}
      <div>
        <dt>{words}</dt>
        <dd>{value}</dd>
      </div>
    {/each}
    {#if option.chip_drop_k !== null}<div>
        <dt>{say('option-detail-small-chip')}</dt>
        <dd>{say('option-detail-k-cooler', { chip_drop_k: fixed(option.chip_drop_k, 0) })}</dd>
      </div>{/if}
    {#if option.skin}
      <div>
        <dt>{say('found-cover')}</dt>
        <dd>
          {say('option-detail-c-to-limit-c', {
            skin_c: fixed(option.skin.skin_c, 0),
            low_c: fixed(option.skin.low_c, 0),
            high_c: fixed(option.skin.high_c, 0),
            limit_c: fixed(option.skin.limit_c, 0),
            battery_c: option.skin.battery_c === null ? null : fixed(option.skin.battery_c, 0),
          })}
        </dd>
      </div>
    {/if}
  </dl>
  {@render matters(matter.filter((g) => !GATES.includes(g)))}
  {#if option.parts.length}
    <Working summary={say('option-detail-what-goes-where')} stand={partsStand}>
      <ul>
        {#each option.parts as part, i (i)}<PartLine {part} />{/each}
      </ul>
    </Working>
  {/if}
  {#each option.procedures as procedure (procedure.name)}<StepList {procedure} />{/each}
</section>

<style>
  section {
    gap: var(--gap-2);
    align-content: start;
    padding: var(--gap-3) var(--gap-4);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
  }
  dl {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(12rem, 1fr));
    gap: var(--gap-1) var(--gap-4);
    margin: 0;
  }
  dt {
    color: var(--soft);
    font-size: var(--size-0);
  }
  dd {
    margin: 0;
    font-weight: 620;
  }
  header {
    gap: var(--gap-2) var(--gap-3);
  }
</style>
