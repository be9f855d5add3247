<script lang="ts">
  // What was signed, word for word, with the strokes under it.
  import { say } from '$words/page-counter.ftl';
  import type { Schemas } from '../../lib/api';
  import { moment } from '../../lib/format';

  interface Props {
    signed: Schemas['SignedOut'];
  }
  let { signed }: Props = $props();
  const path = $derived(
    signed.strokes
      .filter((stroke) => stroke.length)
      .map((stroke) => `M${stroke.map(([x = 0, y = 0]) => `${x * 300} ${y * 300}`).join('L')}`)
      .join(''),
  );
</script>

<div>
  {#each signed.words as line, i (i)}<p>{line}</p>{/each}
  <svg viewBox="0 0 300 100" role="img" aria-label={say('signed-by', { name: signed.name })}><path d={path} /></svg>
  <p class="quiet">{say('signed-when', { name: signed.name, at: moment(signed.at), by: signed.by })}</p>
</div>

<style>
  p {
    margin-bottom: var(--gap-1);
  }
  svg {
    display: block;
    width: min(100%, 18rem);
    border-bottom: 1px solid var(--ink);
  }
  path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
</style>
