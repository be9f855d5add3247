<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // Bars from before to after that add up; the last is what no change explains. Each opens its runs.
  import { linear } from '../../lib/charts/linear';
  import type { Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';

  interface Props {
    bars: Schemas['Bar'][];
    unit: string;
    term: (name: string) => string;
    opened: string;
    onopen: (term: string) => void;
  }
  let { bars, unit, term, opened, onopen }: Props = $props();
  const ROW = 44;
  const LEFT = 190;
  let width = $state(760);

  const first = $derived(bars[0]?.start ?? 0);
  const last = $derived(bars.at(-1)?.end ?? null);
  const values = $derived(bars.flatMap((b) => [b.start, b.end ?? b.start]));
  const [low, high] = $derived([Math.min(...values), Math.max(...values)]);
  const pad = $derived((high - low || Math.abs(high) || 1) * 0.15);
  const x = $derived(linear([low - pad, high + pad], [LEFT, width - 70]));
  const digits = $derived(high - low < 2 ? 3 : 1);
  const height = $derived((bars.length + 2) * ROW);
  const written = (v: number) => `${fixed(v, digits)} ${unit}`;
  const words = $derived(
    [
      say('run-list-before-at', { value: written(first) }),
      ...bars.map((b) =>
        b.end === null
          ? say('run-list-bar-unknown', { term: term(b.term) })
          : say('run-list-bar', { term: term(b.term), change: written(b.end - b.start) }),
      ),
      ...(last === null ? [] : [say('run-list-after-at', { value: written(last) })]),
    ].join(', '),
  );
</script>

<div class="fall" bind:clientWidth={width}>
  <svg viewBox="0 0 {width} {height}" {height} role="img" aria-label={words}>
    <text class="name" x="0" y={ROW / 2 + 5}>{say('run-list-before')}</text>
    <path class="post before" d="M{x(first)} 8V{ROW - 8}" />
    <text class="value" x={x(first) + 8} y={ROW / 2 + 5}>{written(first)}</text>
    {#each bars as b, i (b.term)}
      {@const top = (i + 1) * ROW}
      <path class="thread" d="M{x(b.start)} {top - 8}V{top + ROW - 8}" />
      {#if b.end !== null}
        <rect
          class:rest={b.term === 'rest'}
          class:worse={b.end > b.start}
          x={Math.min(x(b.start), x(b.end))}
          y={top + 8}
          width={Math.max(2, Math.abs(x(b.end) - x(b.start)))}
          height={ROW - 16}
        />
        <text class="value" x={Math.max(x(b.start), x(b.end)) + 8} y={top + ROW / 2 + 5}
          >{b.end - b.start > 0 ? '+' : ''}{written(b.end - b.start)}</text
        >
      {/if}
    {/each}
    {#if last !== null}
      {@const top = (bars.length + 1) * ROW}
      <text class="name" x="0" y={top + ROW / 2 + 5}>{say('run-list-after')}</text>
      <path class="post after" d="M{x(last)} {top + 8}V{top + ROW - 8}" />
      <text class="value" x={x(last) + 8} y={top + ROW / 2 + 5}>{written(last)}</text>
    {/if}
  </svg>
  <div class="names" style:--row="{ROW}px" style:--left="{LEFT - 12}px">
    {#each bars as b (b.term)}
      <button type="button" aria-expanded={opened === b.term} onclick={() => onopen(b.term)}>{term(b.term)}</button>
    {/each}
  </div>
</div>

<style>
  .fall {
    position: relative;
  }
  svg {
    display: block;
    width: 100%;
  }
  .name,
  .value {
    fill: var(--ink);
    font-size: 15px;
    font-variant-numeric: tabular-nums;
  }
  .name {
    fill: var(--soft);
  }
  rect {
    fill: var(--after-tint);
    stroke: var(--after);
    stroke-width: 2;
  }
  rect.worse {
    fill: var(--before-tint);
    stroke: var(--before);
  }
  rect.rest {
    fill: none;
    stroke: var(--edge);
    stroke-dasharray: 5 4;
  }
  .thread {
    stroke: var(--edge);
  }
  .post {
    stroke-width: 5;
  }
  .post.before {
    stroke: var(--before);
  }
  .post.after {
    stroke: var(--after);
  }
  .names {
    position: absolute;
    top: var(--row);
    left: 0;
    width: var(--left);
  }
  .names button {
    display: block;
    width: 100%;
    height: var(--row);
    padding: 0;
    border: 0;
    background: none;
    color: var(--owl);
    font: inherit;
    font-weight: 620;
    text-align: left;
    text-decoration: underline dotted;
    cursor: pointer;
  }
</style>
