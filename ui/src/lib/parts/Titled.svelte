<script lang="ts">
  // A heading, or what leads a page, with the rules behind it at hand.
  import type { Snippet } from 'svelte';
  import type { Subject } from '../handbook';
  import Why from './Why.svelte';

  interface Props {
    why: Subject;
    children: Snippet;
  }
  let { why, children }: Props = $props();
</script>

<div class="titled">
  {@render children()}
  <Why subject={why} />
</div>

<style>
  .titled {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
    gap: var(--gap-3);
  }
</style>
