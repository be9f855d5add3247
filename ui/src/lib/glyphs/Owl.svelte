<script lang="ts">
  import type { Glance } from '../api';
  import { isHeld, owlWords, pupilShare, RISE_FULL_K, ringPath } from './owl';

  interface Props {
    before: Glance;
    after: Glance;
    verdict?: string | null;
    stopped?: boolean;
    /** Width on screen in px; below 60 the small drawing with fewer, heavier parts is used. */
    size?: number;
    decorative?: boolean;
  }
  let { before, after, verdict = null, stopped = false, size = 64, decorative = false }: Props = $props();

  const small = $derived(size < 60);
  const BEAKS: Record<string, string> = {
    improved: 'M53 54h14l-7 13z',
    worse: 'M53 67h14l-7 -13z',
    improved_if_same: 'M53 54h14l-7 13z',
    worse_if_same: 'M53 67h14l-7 -13z',
    no_difference_shown: 'M52 57h16v6h-16z',
    cannot_be_compared: 'M53 54l14 13m0 -13l-14 13',
  };
  const eyes = $derived([
    { glance: before, cx: small ? 28 : 32, name: 'before', hollow: true },
    { glance: after, cx: small ? 92 : 88, name: 'after', hollow: false },
  ]);
  const radius = 22;
  const width = $derived(small ? 13 : 9);
</script>

<svg
  viewBox="0 0 120 72"
  width={size}
  height={size * 0.6}
  role={decorative ? undefined : 'img'}
  aria-hidden={decorative || undefined}
  aria-label={decorative ? undefined : owlWords(before, after, stopped)}
>
  {#if !small}
    <path class="brow" d="M6 4Q34 17 60 13Q86 17 114 4" />
  {/if}
  {#each eyes as eye (eye.name)}
    {@const cy = small ? 36 : 43}
    {@const pupil = pupilShare(eye.glance.noise_db)}
    {#if stopped}
      <path class="shut" d="M{eye.cx - 22} {cy}q22 16 44 0" />
      <path class="lash" d="M{eye.cx - 11} {cy + 8}l-5 8M{eye.cx} {cy + 9}v9M{eye.cx + 11} {cy + 8}l5 8" />
    {:else if !eye.glance.measured}
      <circle class="socket" cx={eye.cx} {cy} r={radius} stroke-width={small ? 5 : 2.5} />
    {:else}
      <circle class="track" cx={eye.cx} {cy} r={radius} stroke-width={small ? 5 : 2.5} />
      {#if eye.glance.rise_k !== null}
        {@const path = ringPath(eye.cx, cy, radius, eye.glance.rise_k / RISE_FULL_K)}
        <path class="ring {eye.name}" d={path} stroke-width={width} />
        {#if eye.hollow}<path class="core" d={path} stroke-width={width - (small ? 7 : 5)} />{/if}
      {/if}
      {#if pupil !== null || !small}
        <circle
          class="pupil {eye.name}"
          class:hollow={eye.hollow || pupil === null}
          cx={eye.cx}
          {cy}
          r={pupil === null ? 5 : small ? 4 + 6 * pupil : 3 + 9 * pupil}
          stroke-width={small ? 4 : 2.5}
        />
      {/if}
      {#if isHeld(eye.glance)}
        <path class="lid" d="M{eye.cx - radius - 6} {cy - 1}a{radius + 6} {radius + 6} 0 0 1 {2 * radius + 12} 0z" />
      {/if}
    {/if}
  {/each}
  {#if verdict && BEAKS[verdict] && !stopped}
    <path
      class="beak"
      class:cross={verdict === 'cannot_be_compared'}
      class:open={verdict.endsWith('_if_same')}
      d={BEAKS[verdict]}
    />
  {/if}
</svg>

<style>
  svg {
    display: block;
    flex: none;
    overflow: visible;
  }
  path,
  circle {
    fill: none;
  }
  .brow,
  .shut,
  .lash {
    stroke: var(--ink);
    stroke-linecap: round;
    stroke-width: 4;
  }
  .shut {
    stroke: var(--halt);
    stroke-width: 6;
  }
  .lash {
    stroke: var(--halt);
  }
  .socket {
    stroke: var(--edge);
    stroke-dasharray: 3 7;
  }
  .track {
    stroke: var(--rule);
  }
  .ring.before,
  .pupil.before {
    stroke: var(--before);
  }
  .ring.after,
  .pupil.after {
    stroke: var(--after);
  }
  .pupil.after:not(.hollow) {
    fill: var(--after);
  }
  .core {
    stroke: var(--paper);
  }
  .lid,
  .beak {
    fill: var(--ink);
    stroke: var(--ink);
    stroke-width: 2;
    stroke-linejoin: round;
  }
  .beak.open {
    fill: none;
    stroke-width: 3;
  }
  .beak.cross {
    fill: none;
    stroke-width: 4.5;
    stroke-linecap: round;
  }
</style>
