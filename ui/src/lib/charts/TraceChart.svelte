<script lang="ts">
  import { say } from '../say';
  import { clock, figure } from '../format';
  import Button from '../parts/Button.svelte';
  import { makeScales, nearest, pathOf, type Line } from './scales';
  import TraceGrid from './TraceGrid.svelte';
  import TraceKey from './TraceKey.svelte';
  import TraceLine from './TraceLine.svelte';
  import TraceMarks from './TraceMarks.svelte';
  import TraceWindows from './TraceWindows.svelte';
  import WindowGrips from './WindowGrips.svelte';

  interface Props {
    lines: Line[];
    unit: string;
    title: string;
    height?: number;
    /** Shows the stretch that the figures come from, and says what the hand can do; a customer's chart does neither. */
    workings?: boolean;
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
    workings = true,
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
  const rows = $derived(full && workings ? lines.length : 0);
  const phased = $derived(full && lines.length === 1 && lines[0]?.phases.length);
  const top = $derived(phased ? 46 : 26);
  const box = $derived({ width, height, left: 46, right: 12, top, bottom: 34 + BAND * rows + (rows ? 4 : 0) });
  const scales = $derived(makeScales(lines, box, domain));
  const floor = $derived(height - box.bottom);
  const readings = $derived(
    at === null
      ? []
      : lines.map((l) => {
          const i = nearest(l.time, at ?? 0);
          return { side: l.side, name: l.name, time: l.time[i] ?? 0, value: l.values[i] ?? 0 };
        }),
  );
  const readout = $derived(
    at === null
      ? ''
      : say('trace-chart-after-load', { at: clock(at) }) +
          readings.map((r) => `${r.name} ${figure(r.value, unit)} ${unit}`).join(', '),
  );

  function toTime(event: PointerEvent): number {
    const rect = (event.currentTarget as SVGElement).getBoundingClientRect();
    const x = ((event.clientX - rect.left) / rect.width) * width;
    const [low, high] = scales.x.domain();
    return Math.min(high, Math.max(low, scales.x.invert(x)));
  }

  function onKey(event: KeyboardEvent) {
    const [low, high] = scales.x.domain();
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
      <TraceGrid {scales} {box} {unit} />
      <clipPath id="plot-{uid}"
        ><rect x={box.left} y="0" width={Math.max(0, width - box.left - box.right)} {height} /></clipPath
      >
      <g clip-path="url(#plot-{uid})">
        {#if full}<TraceMarks {lines} {scales} {box} />{/if}
        {#each lines as l (l.side)}
          <TraceLine side={l.side} d={pathOf(l, scales)} />
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
      {#if rows}<TraceWindows {lines} {scales} {box} shown={windowOf} y={bandY} />{/if}
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
      <TraceKey {lines} />
      <span class="quiet readout">
        {readout || (workings && !domain ? say('trace-chart-drag-to-zoom') : '')}
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
  .mark {
    fill: var(--ink);
    font-size: 13px;
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
