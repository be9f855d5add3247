<script lang="ts">
  import { say } from '../say';
  import { line as makePath } from 'd3-shape';
  import { clock, figure } from '../format';
  import Button from '../parts/Button.svelte';
  import { makeScales, nearest, type Line } from './scales';
  import WindowGrips from './WindowGrips.svelte';

  interface Props {
    lines: Line[];
    unit: string;
    title: string;
    height?: number;
    /** Says below what the hand can do. */
    hint?: boolean;
    /** The stretch that is shown, null for all. */
    domain?: [number, number] | null;
    /** Where the read-out stands. */
    at?: number | null;
    /** Draws the settled window, the marks and the held stretches; a second chart below leaves them out. */
    full?: boolean;
    /** Takes a window moved by hand; without it the window stands still. */
    onwindow?: ((from: number, to: number) => void) | undefined;
  }
  let {
    lines,
    unit,
    title,
    height = 300,
    hint = true,
    domain = $bindable(null),
    at = $bindable(null),
    full = true,
    onwindow,
  }: Props = $props();

  const uid = $props.id();
  let width = $state(700);
  let dragFrom = $state<number | null>(null);
  let dragTo = $state(0);

  // A window that was moved stands until the figures that belong to it are in: then another window is there.
  let held = $state<{ of: string; to: [number, number] } | null>(null);
  const windowNow = $derived(String(lines[0]?.window));
  const dragged = $derived(held?.of === windowNow ? held.to : null);
  $effect(() => {
    void windowNow;
    held = null;
  });

  const BAND = 24;
  const rows = $derived(full ? lines.length : 0);
  const marked = $derived(full && lines.length === 1 ? (lines[0]?.marks ?? []) : []);
  const phased = $derived(full && lines.length === 1 ? (lines[0]?.phases ?? []) : []);
  const top = $derived(phased.length ? 46 : 26);
  const box = $derived({ width, height, left: 46, right: 12, top, bottom: 34 + BAND * rows + (rows ? 4 : 0) });
  const scales = $derived(makeScales(lines, box, domain));
  const floor = $derived(height - box.bottom);
  const path = $derived(
    makePath<[number, number]>()
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
      : say('trace-chart-after-load', { at: clock(at) }) +
          readings.map((r) => `${r.side} ${figure(r.value, unit)} ${unit}`).join(', '),
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
  const bandY = (row: number) => floor + 28 + BAND * row;
  const windowOf = (l: Line) => (onwindow && dragged ? dragged : l.window);
</script>

<figure>
  <div class="plot" bind:clientWidth={width}>
    <!-- The chart is a slider over time: arrow keys move the read-out, plus and minus zoom, Escape shows all. -->
    <svg
      viewBox="0 0 {width} {height}"
      {height}
      role="slider"
      tabindex="0"
      aria-label={say('trace-chart-arrow-keys-read-values', { title })}
      aria-valuemin={scales.x.domain()[0]}
      aria-valuemax={scales.x.domain()[1]}
      aria-valuenow={at ?? 0}
      aria-valuetext={readout || say('trace-chart-no-time-chosen')}
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
      {#each scales.y.ticks(height > 200 ? 5 : 3) as v (v)}
        <path class="grid" d="M{box.left} {scales.y(v)}H{width - box.right}" />
        <text class="tick" x={box.left - 8} y={scales.y(v) + 5} text-anchor="end">{v}</text>
      {/each}
      <text class="tick" x={box.left - 8} y={14} text-anchor="end">{unit}</text>
      {#each scales.minutes as m (m)}
        <path class="tickmark" d="M{scales.x(m * 60)} {floor}v5" />
        <text class="tick" x={scales.x(m * 60)} y={floor + 20} text-anchor="middle"
          >{m === 0 ? say('trace-chart-load-on') : `${m} min`}</text
        >
      {/each}
      <path class="axis" d="M{box.left} {floor}H{width - box.right}" />
      <clipPath id="plot-{uid}"
        ><rect x={box.left} y="0" width={Math.max(0, width - box.left - box.right)} {height} /></clipPath
      >
      <pattern id="lean-{uid}" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
        <path class="lean" d="M0 0V7" />
      </pattern>
      <g clip-path="url(#plot-{uid})">
        {#if full}
          {#each lines as l (l.side)}
            {#each l.held as [from, to] (from)}
              {#if lines.length === 1}
                <rect
                  fill="url(#lean-{uid})"
                  x={scales.x(from)}
                  y={box.top}
                  width={Math.max(1, scales.x(to) - scales.x(from))}
                  height={Math.max(0, floor - box.top)}
                />
              {/if}
              <rect
                class="held {l.side}"
                x={scales.x(from)}
                y={floor - (l.side === 'before' ? 9 : 18)}
                width={Math.max(1, scales.x(to) - scales.x(from))}
                height="7"
              />
            {/each}
          {/each}
          {#each phased as p (p.from)}
            {@const from = clampX(p.from)}
            {@const wide = clampX(p.to) - from}
            <path class="phase" d="M{from + 2} 33v-7h{Math.max(0, wide - 4)}v7" />
            {#if wide > 78}<text class="mark" x={from + wide / 2} y="42" text-anchor="middle">{p.words}</text>{/if}
          {/each}
          {#each marked as m (m.words)}
            <path class="markline" d="M{scales.x(m.at)} 20V{floor}" />
            <text
              class="mark"
              x={scales.x(m.at) + (scales.x(m.at) > width - 90 ? -6 : 6)}
              y="15"
              text-anchor={scales.x(m.at) > width - 90 ? 'end' : 'start'}>{m.words}</text
            >
          {/each}
        {/if}
        {#each lines as l (l.side)}
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
      {#if full}
        {#each lines as l, row (l.side)}
          {@const shown = windowOf(l)}
          {#if shown}
            {@const from = clampX(shown[0])}
            {@const wide = Math.max(2, clampX(shown[1]) - from)}
            <rect class="window {l.side}" x={from} y={bandY(row)} width={wide} height="18" />
            {#if wide > 250}
              <text class="label {l.side}" x={from + wide / 2} y={bandY(row) + 13.5} text-anchor="middle"
                >{say('trace-chart-figures-from-this-stretch', { side: l.side })}</text
              >
            {/if}
          {/if}
        {/each}
      {/if}
      {#if !full}
        <text class="mark" x={width - box.right} y="14" text-anchor="end">{readout || title}</text>
      {/if}
      {#if at !== null}
        <path class="hair" d="M{scales.x(at)} {box.top}V{floor}" />
        {#each readings as r (r.side)}<circle
            class={r.side}
            cx={scales.x(r.time)}
            cy={scales.y(r.value)}
            r="5"
          />{/each}
      {/if}
    </svg>
    {#if onwindow && lines[0]?.window}
      <WindowGrips
        shown={dragged ?? lines[0].window}
        x={scales.x}
        y={bandY(0) + 9}
        side={lines[0].side}
        onmove={(w) => (held = { of: windowNow, to: w })}
        onset={(w) => {
          held = { of: windowNow, to: w };
          onwindow(w[0], w[1]);
        }}
        oncancel={() => (held = null)}
      />
    {/if}
  </div>
  {#if full}
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
        {#if lines.some((l) => l.held.length)}
          <span class="quiet">
            <svg viewBox="0 0 24 8" width="24" height="8" aria-hidden="true"
              ><rect class="held {lines[0]?.side}" width="24" height="8" /></svg
            >
            {say('trace-chart-held-back-by-heat')}
          </span>
        {/if}
      </span>
      <span class="quiet readout">
        {readout || (hint && !domain ? say('trace-chart-drag-to-zoom') : '')}
        {#if domain}<Button onclick={() => (domain = null)}>{say('trace-chart-show-all')}</Button>{/if}
      </span>
    </figcaption>
  {/if}
</figure>

<style>
  figure {
    margin: 0;
    min-width: 0;
  }
  .plot {
    position: relative;
  }
  .plot > svg {
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
  .mark {
    fill: var(--ink);
    font-size: 13px;
  }
  .markline {
    stroke: var(--ink);
    stroke-width: 1.2;
    stroke-dasharray: 1 4;
    stroke-linecap: round;
  }
  .phase {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .lean {
    stroke: var(--edge);
    stroke-width: 1.4;
    opacity: 0.5;
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
    align-items: center;
    min-height: var(--target);
    font-size: var(--size-1);
  }
  .key {
    display: flex;
    gap: var(--gap-4);
  }
  .key svg {
    vertical-align: middle;
  }
  .readout {
    display: flex;
    align-items: center;
    gap: var(--gap-3);
  }
  @media print {
    .readout {
      display: none;
    }
  }
</style>
