<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // What stands beside a step: the map with its order and tray, the things to look at, or its photos.
  import type { BenchJob } from '../../lib/bench/bench.svelte';
  import type { Bench, Step } from '../../lib/bench/types';
  import ClassShape from '../../lib/maps/ClassShape.svelte';
  import ScrewMap from '../../lib/maps/ScrewMap.svelte';
  import SeenPicker from '../../lib/bench/SeenPicker.svelte';

  interface Props {
    at: BenchJob;
    bench: Bench;
    step: Step;
    kind: string;
  }
  let { at, bench, step, kind }: Props = $props();
  const mine = $derived(new Set([...step.takes_out, ...step.puts_in, ...step.pads]));
  const order = $derived(step.takes_out.length ? step.takes_out : step.puts_in);
  const tray = $derived(
    bench.classes
      .map((c) => ({ ...c, here: bench.places.filter((p) => mine.has(p.id) && p.letter === c.letter).length }))
      .filter((c) => c.here),
  );
  const photos = $derived(bench.photos.filter((p) => p.step === step.id));
  const outCount = $derived(bench.places.filter((p) => mine.has(p.id) && p.is_out).length);
</script>

<aside class="lay-stack">
  {#if step.shows === 'map' || step.pads.length}
    <ScrewMap
      {kind}
      places={bench.places}
      outline={bench.outline || null}
      {order}
      faint={(p) => mine.size > 0 && !mine.has(p.id)}
      onplace={(p) => p.kind !== 'pad' && at.do(p.is_out ? 'place_in' : 'place_out', { place: p.id })}
      label={say('side-pane-map-places-this-step', { count: order.length })}
    />
    {#if tray.length}
      <ul class="tray lay-row" aria-label={say('side-pane-tray')}>
        {#each tray as c (c.letter)}
          <li>
            <svg viewBox="-30 -30 60 60" width="52" height="52" aria-hidden="true"
              ><ClassShape shape={c.shape} letter={c.letter} r={22} /></svg
            >
            <span><b>{c.here} × {c.letter}</b><small>{c.words}</small></span>
          </li>
        {/each}
        <li class="count"><b>{say('side-pane-out', { out_count: outCount, size: mine.size })}</b></li>
      </ul>
    {:else if step.pads.length}
      <ul>
        {#each bench.places.filter((p) => mine.has(p.id)) as pad (pad.id)}<li>{pad.words}</li>{/each}
      </ul>
    {:else if !mine.size}
      <p class="quiet">{say('side-pane-nothing-mapped-here-yet')}</p>
    {/if}
  {:else if step.shows === 'seen'}
    <SeenPicker {at} />
  {/if}
  {#if photos.length}
    <div class="photos lay-row">
      {#each photos as photo (photo.photo)}
        <img
          src="/api/photos/{photo.photo}?size=small"
          alt={say('side-pane-taken-at-this-step')}
          loading="lazy"
          width="160"
          height="120"
        />
      {/each}
    </div>
  {:else if step.photo && step.shows !== 'seen'}
    <p class="wanted">{say('side-pane-photo-belongs-here')} <kbd>P</kbd> {say('side-pane-or-key-below')}</p>
  {/if}
</aside>

<style>
  aside {
    min-width: 0;
    align-content: start;
  }
  .tray {
    gap: var(--gap-3) var(--gap-5);
  }
  .tray li {
    display: flex;
    align-items: center;
    gap: var(--gap-2);
    font-size: var(--size-2);
  }
  small {
    display: block;
    color: var(--soft);
  }
  .count {
    margin-left: auto;
  }
  .photos {
    gap: var(--gap-2);
  }
  img {
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    object-fit: cover;
  }
  .wanted {
    padding: var(--gap-4);
    border: 3px dashed var(--edge);
    border-radius: var(--round);
    font-size: var(--size-3);
    text-align: center;
  }
</style>
