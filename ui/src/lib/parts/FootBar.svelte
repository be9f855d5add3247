<script lang="ts">
  import { say } from '../say';
  import type { Snippet } from 'svelte';

  interface Props {
    /** What still stands between here and the next step, each with where it is settled. */
    missing?: { text: string; href?: string | undefined }[];
    /** How it stands when nothing is missing: saved, closed, what comes. */
    note?: string;
    children: Snippet;
  }
  let { missing = [], note = '', children }: Props = $props();
</script>

<div class="foot no-print" role="region" aria-label={say('foot-bar-next-step')}>
  <div class="inner">
    <p aria-live="polite">
      {#if missing.length}
        <b>{say('foot-bar-missing')}</b>
        {#each missing as item, i (item.text)}{i ? ', ' : ' '}{#if item.href}<a href={item.href}>{item.text}</a
            >{:else}{item.text}{/if}{/each}
      {:else}
        <span class="quiet">{note}</span>
      {/if}
    </p>
    <div class="actions">{@render children()}</div>
  </div>
</div>

<style>
  .foot {
    position: fixed;
    inset: auto 0 0;
    z-index: 6;
    border-top: 2px solid var(--ink);
    background: var(--sheet);
  }
  .inner {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-2) var(--gap-5);
    max-width: var(--page);
    min-height: var(--foot);
    margin: 0 auto;
    padding: var(--gap-2) var(--gap-5);
  }
  p {
    min-width: 0;
    line-height: 1.3;
  }
  b {
    color: var(--care);
  }
  .actions {
    display: flex;
    flex: none;
    gap: var(--gap-3);
  }
  @media (max-width: 640px) {
    .inner {
      flex-direction: column;
      align-items: stretch;
      justify-content: center;
      padding: var(--gap-2) var(--gap-3);
    }
    p {
      display: -webkit-box;
      overflow: hidden;
      font-size: var(--size-0);
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 2;
      line-clamp: 2;
    }
    .actions {
      flex-wrap: wrap;
      gap: var(--gap-2);
    }
    .actions > :global(*) {
      flex: 1 1 auto;
    }
  }
</style>
