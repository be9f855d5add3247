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
  .alarms {
    position: sticky;
    top: 0;
    z-index: 8;
    border-bottom: 2px solid var(--ink);
    background: var(--care-tint);
    color: var(--ink);
  }
  div > div {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-2) var(--gap-5);
    max-width: var(--page);
    margin: 0 auto;
    padding: var(--gap-2) var(--gap-5);
  }
  span {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-2);
  }
</style>
