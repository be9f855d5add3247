<script lang="ts">
  import { say } from './words';
  import type { Option, Plan } from '../../lib/api';
  import { fixed, money } from '../../lib/format';
  import { STOCK } from './plan-words';
  import { place, scaleOf } from './scale';

  interface Props {
    plan: Plan;
    selected: string;
    onselect: (key: string) => void;
  }
  let { plan, selected, onselect }: Props = $props();
  const WIDTH = 400;
  const ROW = 40;
  const uid = $props.id();
  const scale = $derived(scaleOf(plan));
  const x = (value: number) => (scale ? place(scale, value, WIDTH) : 0);
  const digits = $derived(scale?.unit === 'W' && plan.before_watts !== null && plan.before_watts < 20 ? 1 : 0);

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
    if (option.blocked) return 'stopped';
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
        {#each scale.ticks as tick (tick)}
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
            <svg
              viewBox="0 0 {WIDTH} {ROW}"
              preserveAspectRatio="none"
              class="bar"
              role="img"
              aria-label={told(option)}
            >
              <defs>
                <pattern id="blur-{uid}-{i}" width="6" height="6" patternUnits="userSpaceOnUse">
                  <path d="M0 6L6 0" class="hatch" />
                </pattern>
              </defs>
              <rect
                x={x(scale.now - scale.blur)}
                width={Math.max(1, x(scale.now + scale.blur) - x(scale.now - scale.blur))}
                height={ROW}
                fill="url(#blur-{uid}-{i})"
              />
              <line class="now" x1={x(scale.now)} x2={x(scale.now)} y2={ROW} />
              {#if interval}
                <line class="span" x1={x(interval.low)} x2={x(interval.high)} y1={ROW / 2} y2={ROW / 2} />
                <line class="end" x1={x(interval.low)} x2={x(interval.low)} y1={ROW / 2 - 7} y2={ROW / 2 + 7} />
                <line class="end" x1={x(interval.high)} x2={x(interval.high)} y1={ROW / 2 - 7} y2={ROW / 2 + 7} />
                <line
                  class="median"
                  x1={x(interval.median)}
                  x2={x(interval.median)}
                  y1={ROW / 2 - 11}
                  y2={ROW / 2 + 11}
                />
              {/if}
              {#if taken && scale.measured !== null}
                <line class="measured" x1={x(scale.measured)} x2={x(scale.measured)} y1="2" y2={ROW - 2} />
              {/if}
            </svg>
            <span class="figure"
              >{interval ? `${fixed(interval.median, digits)} ${scale.unit}` : say('option-scale-not-known')}</span
            >
            <span class="price">
              <strong
                >{option.total_cents || option.key !== 'leave'
                  ? money(option.total_cents, plan.currency)
                  : 'free'}</strong
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
    <p class="legend">
      <span><i class="key now"></i>{say('option-scale-now')}</span>
      <span><i class="key blur"></i>{say('option-scale-cannot-be-shown')}</span>
      <span><i class="key span"></i>{say('option-scale-interval-with-its-median')}</span>
      {#if scale.measured !== null}<span><i class="key measured"></i>{say('option-scale-measured-after')}</span>{/if}
      <span class="quiet">{say('option-scale-judged-against', { reference_words: plan.reference_words })}</span>
    </p>
  </div>
{/if}

<style>
  .options {
    border-top: 2px solid var(--ink);
    border-bottom: 2px solid var(--ink);
  }
  .head,
  button {
    display: grid;
    grid-template-columns: 1.6rem 13.5rem minmax(0, 1fr) 4.4rem 7.2rem;
    gap: 0 var(--gap-3);
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
    min-height: 3.4rem;
    padding: 0;
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
  .bar {
    width: 100%;
    height: 40px;
    overflow: visible;
  }
  .bar line {
    vector-effect: non-scaling-stroke;
  }
  .hatch {
    stroke: var(--edge);
    stroke-width: 1;
    opacity: 0.55;
  }
  .now {
    stroke: var(--before);
    stroke-width: 2;
    stroke-dasharray: 5 4;
  }
  .span {
    stroke: var(--after);
    stroke-width: 7;
    opacity: 0.45;
  }
  .end {
    stroke: var(--after);
    stroke-width: 2;
  }
  .median {
    stroke: var(--after);
    stroke-width: 4;
  }
  .measured {
    stroke: var(--ink);
    stroke-width: 3;
  }
  .blocked :is(.span, .end, .median) {
    stroke: var(--edge);
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
  .legend {
    display: flex;
    flex-wrap: wrap;
    gap: 0 var(--gap-4);
    padding: var(--gap-2) var(--gap-1);
    border-top: 1px solid var(--edge);
    font-size: var(--size-0);
  }
  .legend span {
    display: inline-flex;
    align-items: center;
    gap: var(--gap-2);
  }
  .key {
    display: inline-block;
    width: 1.4rem;
    height: 0.8rem;
  }
  .key.now {
    width: 2px;
    border-left: 2px dashed var(--before);
  }
  .key.blur {
    background: repeating-linear-gradient(135deg, var(--edge) 0 1px, transparent 1px 5px);
  }
  .key.span {
    border: solid var(--after);
    border-width: 0 2px;
    background: linear-gradient(
      transparent 30%,
      color-mix(in srgb, var(--after) 45%, transparent) 30% 70%,
      transparent 70%
    );
  }
  .key.measured {
    width: 3px;
    background: var(--ink);
  }
  @media (max-width: 760px) {
    .head,
    button {
      grid-template-columns: 1.4rem minmax(0, 1fr) 6rem;
    }
    .bar,
    .axis,
    .labels {
      grid-column: 2 / 4;
      grid-row: auto;
    }
    .figure {
      display: none;
    }
  }
</style>
