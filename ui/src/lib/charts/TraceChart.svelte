<script lang="ts">
  import { line as makeLine } from 'd3-shape';
  import { clock, fixed } from '../format';
  import { makeScales, nearest, type Line } from './scales';

  interface Props {
    lines: Line[];
    unit: string;
    title: string;
    height?: number;
    hint?: boolean;
  }
  let { lines, unit, title, height = 300, hint = true }: Props = $props();

  let width = $state(700);
  let domain = $state<[number, number] | null>(null);
  let at = $state<number | null>(null);
  let dragFrom = $state<number | null>(null);
  let dragTo = $state(0);

  const rows = $derived(lines.length);
  const box = $derived({ width, height, left: 46, right: 12, top: 26, bottom: 34 + 22 * rows });
  const scales = $derived(makeScales(lines, box, domain));
  const floor = $derived(height - box.bottom);
  const path = $derived(
    makeLine<[number, number]>()
      .x((d) => scales.x(d[0]))
      .y((d) => scales.y(d[1])),
  );
  const readings = $derived(
    at === null
      ? []
      : lines.map((l) => {
          const i = nearest(l.time, at ?? 0);
          return { side: l.side, time: l.time[i] ?? 0, value: l.values[i] ?? 0 };
        }),
  );
  const readout = $derived(
    at === null
      ? ''
      : `${clock(at)} after load: ` + readings.map((r) => `${r.side} ${fixed(r.value, 1)} ${unit}`).join(', '),
  );

  function toTime(event: PointerEvent): number {
    const rect = (event.currentTarget as SVGElement).getBoundingClientRect();
    const x = ((event.clientX - rect.left) / rect.width) * width;
    const [low, high] = scales.x.domain() as [number, number];
    return Math.min(high, Math.max(low, scales.x.invert(x)));
  }

  function onKey(event: KeyboardEvent) {
    const [low, high] = scales.x.domain() as [number, number];
    const step = (high - low) / (event.shiftKey ? 10 : 100);
    const now = at ?? low;
    if (event.key === 'ArrowRight') at = Math.min(high, now + step);
    else if (event.key === 'ArrowLeft') at = Math.max(low, now - step);
    else if (event.key === 'Escape') domain = null;
    else if (event.key === '+' || event.key === '-') {
      const half = ((high - low) / 2) * (event.key === '+' ? 0.6 : 1 / 0.6);
      domain = event.key === '-' && half * 2 > 1e5 ? null : [now - half, now + half];
    } else return;
    event.preventDefault();
  }

  function endDrag() {
    if (dragFrom !== null && Math.abs(scales.x(dragTo) - scales.x(dragFrom)) > 12)
      domain = [Math.min(dragFrom, dragTo), Math.max(dragFrom, dragTo)];
    dragFrom = null;
  }

  const clampX = (t: number) => Math.min(width - box.right, Math.max(box.left, scales.x(t)));
</script>

<figure bind:clientWidth={width}>
  <!-- The chart is a slider over time: arrow keys move the read-out, plus and minus zoom, Escape shows all. -->
  <svg
    viewBox="0 0 {width} {height}"
    {height}
    role="slider"
    tabindex="0"
    aria-label="{title}. Arrow keys read values, plus and minus zoom, Escape shows all."
    aria-valuemin={scales.x.domain()[0]}
    aria-valuemax={scales.x.domain()[1]}
    aria-valuenow={at ?? 0}
    aria-valuetext={readout || 'no time chosen'}
    onkeydown={onKey}
    onpointerdown={(e) => {
      e.currentTarget.setPointerCapture(e.pointerId);
      dragFrom = dragTo = toTime(e);
    }}
    onpointermove={(e) => {
      at = toTime(e);
      dragTo = at;
    }}
    onpointerup={endDrag}
    onpointerleave={() => (at = null)}
    ondblclick={() => (domain = null)}
  >
    {#each scales.y.ticks(5) as v (v)}
      <path class="grid" d="M{box.left} {scales.y(v)}H{width - box.right}" />
      <text class="tick" x={box.left - 8} y={scales.y(v) + 5} text-anchor="end">{v}</text>
    {/each}
    <text class="tick" x={box.left - 8} y={14} text-anchor="end">{unit}</text>
    {#each scales.minutes as m (m)}
      <path class="tickmark" d="M{scales.x(m * 60)} {floor}v5" />
      <text class="tick" x={scales.x(m * 60)} y={floor + 20} text-anchor="middle"
        >{m === 0 ? 'load on' : `${m} min`}</text
      >
    {/each}
    <path class="axis" d="M{box.left} {floor}H{width - box.right}" />
    <clipPath id="plot-{width}"
      ><rect x={box.left} y="0" width={Math.max(0, width - box.left - box.right)} {height} /></clipPath
    >
    <g clip-path="url(#plot-{width})">
      {#each lines as l (l.side)}
        {#each l.held as [from, to] (from)}
          <rect
            class="held {l.side}"
            x={scales.x(from)}
            y={floor - (l.side === 'before' ? 9 : 18)}
            width={Math.max(1, scales.x(to) - scales.x(from))}
            height="7"
          />
        {/each}
        <path class="line {l.side}" d={path(l.time.map((t, i) => [t, l.values[i] ?? 0])) ?? ''} />
      {/each}
      {#if dragFrom !== null}
        <rect
          class="zoom"
          x={Math.min(scales.x(dragFrom), scales.x(dragTo))}
          y={box.top}
          width={Math.abs(scales.x(dragTo) - scales.x(dragFrom))}
          height={floor - box.top}
        />
      {/if}
    </g>
    {#each lines as l, row (l.side)}
      {#if l.window}
        {@const from = clampX(l.window[0])}
        {@const wide = Math.max(2, clampX(l.window[1]) - from)}
        <rect class="window {l.side}" x={from} y={floor + 28 + 22 * row} width={wide} height="17" />
        {#if wide > 210}
          <text class="label {l.side}" x={from + 8} y={floor + 41 + 22 * row}>{l.side}: figures from this stretch</text>
        {/if}
      {/if}
    {/each}
    {#if at !== null}
      <path class="hair" d="M{scales.x(at)} {box.top}V{floor}" />
      {#each readings as r (r.side)}<circle class={r.side} cx={scales.x(r.time)} cy={scales.y(r.value)} r="5" />{/each}
    {/if}
  </svg>
  <figcaption>
    <span class="key">
      {#each lines as l (l.side)}
        <span class={l.side}>
          <svg viewBox="0 0 34 8" width="34" height="8" aria-hidden="true"
            ><path class="line {l.side}" d="M1 4h32" /></svg
          >
          {l.side}
        </span>
      {/each}
      {#if lines.some((l) => l.held.length)}<span class="quiet">▨ held back by heat</span>{/if}
    </span>
    <span class="quiet readout">{readout || (hint ? 'Drag to zoom, double-click for all' : '')}</span>
  </figcaption>
</figure>

<style>
  figure {
    margin: 0;
    min-width: 0;
  }
  figure > svg {
    display: block;
    width: 100%;
    touch-action: pan-y;
    cursor: crosshair;
  }
  .grid {
    stroke: var(--rule);
  }
  .axis,
  .tickmark {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .tick {
    fill: var(--soft);
    font-size: 14px;
  }
  .label {
    font-size: 13px;
  }
  .line {
    fill: none;
    stroke-width: 2.2;
    stroke-linejoin: round;
  }
  .line.before {
    stroke: var(--before);
    stroke-dasharray: 7 4;
  }
  .line.after {
    stroke: var(--after);
  }
  .window {
    stroke-width: 1.5;
  }
  .window.before {
    fill: none;
    stroke: var(--before);
    stroke-dasharray: 7 4;
  }
  .window.after {
    fill: var(--after);
    stroke: var(--after);
  }
  text.before {
    fill: var(--before);
  }
  text.after {
    fill: var(--paper);
  }
  .held.before {
    fill: var(--before);
    opacity: 0.55;
  }
  .held.after {
    fill: var(--after);
    opacity: 0.55;
  }
  .zoom {
    fill: var(--owl);
    opacity: 0.18;
  }
  .hair {
    stroke: var(--ink);
    stroke-dasharray: 2 3;
  }
  circle.before {
    fill: var(--paper);
    stroke: var(--before);
    stroke-width: 2.5;
  }
  circle.after {
    fill: var(--after);
  }
  figcaption {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: var(--gap-1) var(--gap-4);
    min-height: 1.5em;
    font-size: var(--size-1);
  }
  .key {
    display: flex;
    gap: var(--gap-4);
  }
  .key svg {
    vertical-align: middle;
  }
  @media print {
    .readout {
      display: none;
    }
  }
</style>
