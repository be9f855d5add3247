<script lang="ts">
  import { say } from './words';
  import type { Option, Plan, Schemas } from '../../lib/api';
  import { fixed, money } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import PartLine from './PartLine.svelte';
  import StepList from './StepList.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    option: Option;
    plan: Plan;
    busy: boolean;
    closed: boolean;
    ontake: (key: string | null) => void;
    /** What the shop's own services with this kind brought, or null. */
    known?: Schemas['KnownOut'] | null;
  }
  let { option, plan, busy, closed, ontake, known = null }: Props = $props();
  const taken = $derived(plan.chosen?.key === option.key);
  const range = (i: { low: number; median: number; high: number }, digits = 0) =>
    say('option-detail-to', {
      median: fixed(i.median, digits),
      low: fixed(i.low, digits),
      high: fixed(i.high, digits),
    });
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
      `${money(option.total_cents, plan.currency)}${option.priced ? '' : say('option-detail-some-parts-not-priced')}`,
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

<section aria-label={option.words}>
  <header>
    <Titled why={option.key === 'tune' ? 'tuning' : 'materials'}>
      <h3>{option.words[0]?.toUpperCase()}{option.words.slice(1)}</h3>
    </Titled>
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
  {#if option.parts.length}
    <h4>{say('option-detail-what-goes-where')}</h4>
    <ul>
      {#each option.parts as part, i (i)}<PartLine {part} />{/each}
    </ul>
  {/if}
  {#each option.procedures as procedure (procedure.name)}<StepList {procedure} />{/each}
  {#if !closed}
    <footer>
      {#if taken}
        <Button {busy} onclick={() => ontake(null)}>{say('option-detail-put-decision-back')}</Button>
      {:else}
        <Button kind="main" {busy} disabled={option.blocked} onclick={() => ontake(option.key)}
          >{option.key === 'leave' ? say('option-detail-leave-alone') : say('option-detail-take-this-plan')}</Button
        >
        {#if option.blocked}<span class="halt">{say('option-detail-stop-stands-in-way')}</span>{/if}
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
