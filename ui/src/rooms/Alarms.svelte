<script lang="ts">
  // Waits that are over, on every page, until someone has seen them.
  import { say } from '../lib/say';
  import { waits } from '../lib/bench/waits.svelte';
  import Button from '../lib/parts/Button.svelte';
</script>

{#if waits.over.length}
  <div class="alarms no-print" role="alert">
    {#each waits.over as wait (wait.id)}
      <div>
        <strong>{say('alarm-over', { words: wait.words, model: wait.model, number: wait.number })}</strong>
        <span>
          <Button kind="main" href="/jobs/{wait.job_id}/bench" onclick={() => waits.seen(wait.id)}
            >{say('alarm-open')}</Button
          >
          <Button onclick={() => waits.seen(wait.id)}>{say('alarm-seen')}</Button>
          <Button onclick={() => waits.snooze(wait.id)}>{say('alarm-snooze')}</Button>
        </span>
      </div>
    {/each}
  </div>
{/if}

<style>
  /* Over the page and not in it: nothing jumps when a clock runs out, and the foot of the bench stays free. */
  .alarms {
    position: fixed;
    inset: var(--gap-2) var(--gap-3) auto auto;
    z-index: 8;
    max-width: min(36rem, calc(100vw - 2 * var(--gap-3)));
    border: 2px solid var(--ink);
    border-radius: var(--round);
    background: var(--care-tint);
    color: var(--ink);
    box-shadow: 5px 5px 0 var(--owl-tint);
  }
  div > div {
    display: grid;
    gap: var(--gap-2);
    padding: var(--gap-3) var(--gap-4);
  }
  span {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-2);
  }
</style>
