<script lang="ts">
  import { say } from '$words/page-plan.ftl';
  import type { Option, Plan } from '../../lib/api';
  import { fixed, money } from '../../lib/format';
  import { STOCK } from './plan-words';
  import OptionBar from './OptionBar.svelte';
  import OptionLegend from './OptionLegend.svelte';
  import { place, scaleOf } from './scale';

  interface Props {
    plan: Plan;
    selected: string;
    onselect: (key: string) => void;
  }
  let { plan, selected, onselect }: Props = $props();
  const WIDTH = 400;
  const scale = $derived(scaleOf(plan));
  const x = (value: number) => (scale ? place(scale, value, WIDTH) : 0);
  const digits = $derived(scale?.unit === 'W' && plan.before_watts !== null && plan.before_watts < 20 ? 1 : 0);

  // A narrow scale has room for four words or five.
  const labelled = $derived(scale?.ticks.filter((_, i, all) => all.length < 6 || i % 2 === 0) ?? []);
  const tickDigits = $derived(scale && (scale.ticks[1] ?? 1) - (scale.ticks[0] ?? 0) < 1 ? 1 : 0);

  function told(option: Option): string {
    const i = scale?.of(option);
    if (!scale || !i) return say('option-scale-not-known');
    return say('option-scale-to', {
      median: fixed(i.median, digits),
      unit: scale.unit,
      low: fixed(i.low, digits),
      high: fixed(i.high, digits),
    });
  }
  function marks(option: Option): string {
    const open = option.gates.filter((g) => g.severity === 'acknowledge').length;
    if (option.blocked) return say('option-scale-stopped');
    return open ? say('option-scale-to-accept', { open }) : '';
  }
</script>

{#if scale}
  <div class="options">
    <div class="head">
      <span class="title">{scale.title} [{scale.unit}]</span>
      <svg viewBox="0 0 {WIDTH} 34" preserveAspectRatio="none" aria-hidden="true" class="axis">
        {#each scale.ticks as tick (tick)}<line x1={x(tick)} x2={x(tick)} y1="26" y2="34" />{/each}
      </svg>
      <div class="labels" aria-hidden="true">
        {#each labelled as tick (tick)}
          <span style:left="{(100 * x(tick)) / WIDTH}%">{fixed(tick, tickDigits)}</span>
        {/each}
      </div>
    </div>
    <ol>
      {#each plan.options as option, i (option.key)}
        {@const interval = scale.of(option)}
        {@const taken = plan.chosen?.key === option.key}
        <li class:blocked={option.blocked} class:selected={selected === option.key} class:taken>
          <button type="button" aria-expanded={selected === option.key} onclick={() => onselect(option.key)}>
            <span class="rank" aria-hidden="true">{i + 1}</span>
            <span class="name">
              <strong>{option.words}</strong>
              <small>
                {#if taken}<b>{say('option-scale-taken')}</b>{/if}
                {#if marks(option)}<b class:halt={option.blocked}>{marks(option)}</b>{/if}
                {STOCK[option.stock] ?? option.stock}
              </small>
            </span>
            <OptionBar {scale} {interval} {taken} blocked={option.blocked} told={told(option)} />
            <span class="figure"
              >{interval ? `${fixed(interval.median, digits)} ${scale.unit}` : say('option-scale-not-known')}</span
            >
            <span class="price">
              <strong
                >{option.total_cents === null
                  ? say('option-scale-no-price')
                  : option.total_cents || option.key !== 'leave'
                    ? money(option.total_cents, plan.currency)
                    : say('option-scale-free')}</strong
              >
              <small
                >{option.hands_min
                  ? say('option-scale-min-hands', { hands_min: fixed(option.hands_min, 0) })
                  : ''}</small
              >
            </span>
          </button>
        </li>
      {/each}
    </ol>
    <OptionLegend measured={scale.measured !== null} reference={plan.reference_words} />
  </div>
{/if}

<style>
  .options {
    container-type: inline-size;
    border-top: 2px solid var(--ink);
    border-bottom: 2px solid var(--ink);
  }
  .head,
  button {
    display: grid;
    grid-template-columns: 1.4rem minmax(0, 12.5rem) minmax(5rem, 1fr) 3.4rem 6.2rem;
    gap: 0 var(--gap-2);
    align-items: center;
    width: 100%;
  }
  .head {
    position: relative;
    padding: var(--gap-1) 0;
    border-bottom: 1px solid var(--edge);
  }
  .title {
    grid-column: 1 / 3;
    color: var(--soft);
    font-size: var(--size-0);
    line-height: 1.25;
  }
  .axis,
  .labels {
    grid-column: 3;
    grid-row: 1;
    width: 100%;
    height: 34px;
  }
  .axis line {
    stroke: var(--edge);
    vector-effect: non-scaling-stroke;
  }
  .labels {
    position: relative;
    font-size: var(--size-0);
  }
  .labels span {
    position: absolute;
    top: 4px;
    transform: translateX(-50%);
  }
  li {
    border-bottom: 1px solid var(--rule);
  }
  li:last-child {
    border-bottom: 0;
  }
  button {
    min-height: 3rem;
    padding: 2px 0;
    border: 0;
    background: none;
    text-align: left;
    cursor: pointer;
  }
  button:hover {
    background: var(--well);
  }
  .selected button {
    background: var(--owl-tint);
    box-shadow: inset 5px 0 0 var(--owl);
  }
  .rank {
    justify-self: end;
    color: var(--soft);
    font-family: var(--font-head);
    font-weight: 700;
  }
  .name strong,
  .price strong {
    display: block;
    line-height: 1.2;
  }
  small {
    color: var(--soft);
    font-size: var(--size-0);
  }
  small b {
    margin-right: var(--gap-2);
    color: var(--care);
  }
  .taken small b:first-child {
    color: var(--owl);
  }
  small b.halt {
    color: var(--halt);
  }
  .blocked .name strong {
    color: var(--soft);
    text-decoration: line-through;
  }
  .figure {
    font-weight: 620;
    white-space: nowrap;
  }
  .price {
    padding-right: var(--gap-2);
    text-align: right;
    white-space: nowrap;
  }
  @container (max-width: 480px) {
    .head,
    button {
      grid-template-columns: 1.4rem minmax(0, 1fr) 6.2rem;
    }
    .axis,
    .labels {
      grid-column: 2 / 4;
      grid-row: 2;
    }
    .title {
      grid-column: 1 / 4;
    }
    .figure {
      display: none;
    }
    .price {
      grid-column: 3;
      grid-row: 1;
    }
  }
</style>
