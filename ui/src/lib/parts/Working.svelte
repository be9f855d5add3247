<script lang="ts">
  import { say } from '../say';
  import type { Snippet } from 'svelte';

  interface Props {
    summary?: string;
    children: Snippet;
  }
  let { summary = say('working-show-working'), children }: Props = $props();
</script>

<details>
  <summary>{summary}</summary>
  <div class="body">{@render children()}</div>
</details>

<style>
  summary {
    display: inline-flex;
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
    width: 0.5rem;
    height: 0.5rem;
    border: solid currentcolor;
    border-width: 0 2px 2px 0;
    transform: rotate(-45deg);
  }
  details[open] > summary::before {
    transform: rotate(45deg);
  }
  .body {
    padding-bottom: var(--gap-3);
  }
</style>
