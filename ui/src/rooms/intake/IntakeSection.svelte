<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Subject } from '../../lib/handbook';
  import Why from '../../lib/parts/Why.svelte';

  interface Props {
    title: string;
    columns?: 2 | 3;
    why?: Subject;
    children: Snippet;
  }
  let { title, columns = 2, why, children }: Props = $props();
</script>

<section>
  <div>
    <h2>{title}</h2>
    {#if why}<Why subject={why} />{/if}
  </div>
  <div class="grid" class:three={columns === 3}>{@render children()}</div>
</section>

<style>
  section {
    padding: var(--gap-4) 0 var(--gap-5);
    border-top: var(--line) solid var(--rule);
    display: grid;
    grid-template-columns: 11rem minmax(0, 1fr);
    gap: var(--gap-4);
  }
  h2 {
    font-size: var(--size-2);
  }
  .grid {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: var(--gap-4);
  }
  .three {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
  @media (max-width: 1100px) {
    section {
      grid-template-columns: 1fr;
      gap: var(--gap-3);
    }
  }
  @media (max-width: 640px) {
    .grid,
    .three {
      grid-template-columns: 1fr;
    }
  }
</style>
