<script lang="ts">
  import { say } from '$words/page-attempts.ftl';
  // What was promised as an interval, and what came as a point with its U, on one scale.
  import type { Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';

  interface Props {
    attempt: Schemas['AttemptOut'];
  }
  let { attempt }: Props = $props();
  const WIDE = 240;
  const told = $derived(
    attempt.promised_low_k_per_w !== null &&
      attempt.promised_high_k_per_w !== null &&
      attempt.resistance_k_per_w !== null &&
      attempt.resistance_u95_k_per_w !== null
      ? {
          low: attempt.promised_low_k_per_w,
          high: attempt.promised_high_k_per_w,
          value: attempt.resistance_k_per_w,
          u95: attempt.resistance_u95_k_per_w,
        }
      : null,
  );
  const reach = $derived(told ? 1.1 * Math.max(told.high, told.value + told.u95) : 1);
  const at = $derived((value: number) => (WIDE * value) / reach);
</script>

{#if told}
  <figure>
    <svg viewBox="0 0 {WIDE} 40" role="img" aria-label={say('attempts-promise-drawn')}>
      <line x1="0" y1="34" x2={WIDE} y2="34" class="ground" />
      <rect x={at(told.low)} y="8" width={at(told.high) - at(told.low)} height="22" />
      <path
        d="M{at(told.value - told.u95)} 19H{at(told.value + told.u95)}M{at(told.value - told.u95)} 13v12M{at(
          told.value + told.u95,
        )} 13v12"
      />
      <circle cx={at(told.value)} cy="19" r="5" />
    </svg>
    <figcaption>
      {say('attempts-promised', {
        low: fixed(told.low, 2),
        high: fixed(told.high, 2),
        measured: fixed(told.value, 2),
        u95: fixed(told.u95, 2),
      })}
    </figcaption>
  </figure>
{/if}

<style>
  figure {
    margin: 0 0 var(--gap-3);
    max-width: 26rem;
  }
  svg {
    display: block;
    width: 100%;
  }
  rect {
    fill: var(--after-tint);
    stroke: var(--after);
    stroke-dasharray: 4 3;
  }
  .ground {
    stroke: var(--rule);
  }
  path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  circle {
    fill: var(--before);
  }
</style>
