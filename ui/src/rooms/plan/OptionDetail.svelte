<script lang="ts">
  import type { Option, Plan } from '../../lib/api';
  import { fixed, money } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import PartLine from './PartLine.svelte';
  import StepList from './StepList.svelte';

  interface Props {
    option: Option;
    plan: Plan;
    busy: boolean;
    closed: boolean;
    ontake: (key: string | null) => void;
  }
  let { option, plan, busy, closed, ontake }: Props = $props();
  const taken = $derived(plan.chosen?.key === option.key);
  const range = (i: { low: number; median: number; high: number }, digits = 0) =>
    `${fixed(i.median, digits)} (${fixed(i.low, digits)} to ${fixed(i.high, digits)})`;
  const facts = $derived([
    ['Die at the same work', `${range(option.die_c)} °C`],
    ['Cooler by', `${range(option.gain_k)} K`],
    ['Watts at the limit', option.watts ? `${range(option.watts)} W` : 'not known without a limit'],
    [
      'Noise at the same temperature',
      option.noise_db ? `${option.noise_floor ? 'at least ' : ''}${range(option.noise_db)} dB` : 'no fan',
    ],
    ['Look again after', `${option.life_months} months`],
    ['Takes', `${fixed(option.hands_min, 0)} min of hands, ${fixed(option.wait_min, 0)} min of waiting`],
    ['Price', `${money(option.total_cents, plan.currency)}${option.priced ? '' : ', some parts not priced'}`],
  ]);
</script>

<section aria-label={option.words}>
  <header>
    <h3>{option.words[0]?.toUpperCase()}{option.words.slice(1)}</h3>
    <p>{option.reason}</p>
  </header>
  {#each option.gates as gate (gate.rule)}
    <Notice
      tone={gate.severity === 'stop' ? 'halt' : gate.severity === 'acknowledge' ? 'care' : 'note'}
      title={gate.reason}
    >
      <p>{gate.remedy}</p>
    </Notice>
  {/each}
  <dl>
    {#each facts as [words, value] (words)}
      <div>
        <dt>{words}</dt>
        <dd>{value}</dd>
      </div>
    {/each}
    {#if option.chip_drop_k !== null}<div>
        <dt>The small chip</dt>
        <dd>{fixed(option.chip_drop_k, 0)} K cooler</dd>
      </div>{/if}
    {#if option.skin}
      <div>
        <dt>Cover</dt>
        <dd>
          {fixed(option.skin.skin_c, 0)} °C ({fixed(option.skin.low_c, 0)} to {fixed(option.skin.high_c, 0)}), limit {fixed(
            option.skin.limit_c,
            0,
          )} °C{option.skin.battery_c === null ? '' : `; at the battery up to ${fixed(option.skin.battery_c, 0)} °C`}
        </dd>
      </div>
    {/if}
  </dl>
  {#if option.parts.length}
    <h4>What goes where</h4>
    <ul>
      {#each option.parts as part, i (i)}<PartLine {part} />{/each}
    </ul>
  {/if}
  {#each option.procedures as procedure (procedure.name)}<StepList {procedure} />{/each}
  {#if !closed}
    <footer>
      {#if taken}
        <Button {busy} onclick={() => ontake(null)}>Put the decision back</Button>
      {:else}
        <Button kind="main" {busy} disabled={option.blocked} onclick={() => ontake(option.key)}
          >{option.key === 'leave' ? 'Leave it alone' : 'Take this plan'}</Button
        >
        {#if option.blocked}<span class="halt">A stop stands in the way.</span>{/if}
      {/if}
    </footer>
  {/if}
</section>

<style>
  section {
    display: grid;
    gap: var(--gap-3);
    margin-top: var(--gap-5);
    padding: var(--gap-4);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
  }
  h4 {
    margin: var(--gap-2) 0 0;
    font-family: var(--font-head);
    font-size: var(--size-1);
  }
  dl {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
    gap: var(--gap-2) var(--gap-5);
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
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  footer {
    display: flex;
    align-items: center;
    gap: var(--gap-3);
  }
  .halt {
    color: var(--halt);
    font-weight: 620;
  }
</style>
