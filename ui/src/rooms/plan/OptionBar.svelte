<script lang="ts">
  // One option on the scale that all share: now with what cannot be shown around it, the interval, what was measured.
  import { place, type Interval, type PlanScale } from './scale';

  interface Props {
    scale: PlanScale;
    interval: Interval | null;
    taken: boolean;
    blocked: boolean;
    told: string;
  }
  let { scale, interval, taken, blocked, told }: Props = $props();
  const WIDTH = 400;
  const ROW = 40;
  const uid = $props.id();
  const x = (value: number): number => place(scale, value, WIDTH);
</script>

<svg viewBox="0 0 {WIDTH} {ROW}" preserveAspectRatio="none" class:blocked role="img" aria-label={told}>
  <defs>
    <pattern id="blur-{uid}" width="6" height="6" patternUnits="userSpaceOnUse">
      <path d="M0 6L6 0" class="hatch" />
    </pattern>
  </defs>
  <rect
    x={x(scale.now - scale.blur)}
    width={Math.max(1, x(scale.now + scale.blur) - x(scale.now - scale.blur))}
    height={ROW}
    fill="url(#blur-{uid})"
  />
  <line class="now" x1={x(scale.now)} x2={x(scale.now)} y2={ROW} />
  {#if interval}
    <line class="span" x1={x(interval.low)} x2={x(interval.high)} y1={ROW / 2} y2={ROW / 2} />
    <line class="end" x1={x(interval.low)} x2={x(interval.low)} y1={ROW / 2 - 7} y2={ROW / 2 + 7} />
    <line class="end" x1={x(interval.high)} x2={x(interval.high)} y1={ROW / 2 - 7} y2={ROW / 2 + 7} />
    <line class="median" x1={x(interval.median)} x2={x(interval.median)} y1={ROW / 2 - 11} y2={ROW / 2 + 11} />
  {/if}
  {#if taken && scale.measured !== null}
    <line class="measured" x1={x(scale.measured)} x2={x(scale.measured)} y1="2" y2={ROW - 2} />
  {/if}
</svg>

<style>
  svg {
    width: 100%;
    height: 40px;
    overflow: visible;
  }
  line {
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
  @container (max-width: 480px) {
    svg {
      grid-column: 2 / 4;
      grid-row: 2;
    }
  }
</style>
