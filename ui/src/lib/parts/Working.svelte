<script lang="ts">
  import { say } from '../say';
  import type { Snippet } from 'svelte';

  interface Props {
    summary?: string;
    /** How it stands inside, told without opening it. */
    stand?: string;
    /** What is shown instead of words. */
    line?: Snippet;
    open?: boolean;
    children: Snippet;
  }
  let { summary = say('working-show-working'), stand = '', line, open = $bindable(false), children }: Props = $props();
</script>

<details bind:open>
  <summary
    >{#if line}{@render line()}{:else}{summary}{#if stand}<span class="stand">{stand}</span>{/if}{/if}</summary
  >
  <div class="body">{@render children()}</div>
</details>

<style>
  summary {
    display: flex;
    align-items: center;
    gap: var(--gap-2);
    min-height: var(--target);
    color: var(--owl);
    font-weight: 620;
    cursor: pointer;
    list-style: none;
  }
  summary::-webkit-details-marker {
    display: none;
  }
  summary::before {
    content: '';
    flex: none;
    width: 0.5rem;
    height: 0.5rem;
    border: solid currentcolor;
    border-width: 0 2px 2px 0;
    transform: rotate(-45deg);
  }
  details[open] > summary::before {
    transform: rotate(45deg);
  }
  .stand {
    min-width: 0;
    overflow: hidden;
    color: var(--soft);
    font-weight: 400;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .body {
    padding-bottom: var(--gap-3);
  }
</style>
