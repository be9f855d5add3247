<script lang="ts">
  // Why something did not come or was not done, and what to do about it.
  import type { Snippet } from 'svelte';
  import type { Failing } from '../asking.svelte';
  import Notice from './Notice.svelte';

  interface Props {
    of: Failing | Failing[];
    actions?: Snippet;
  }
  let { of, actions }: Props = $props();
  const told = $derived([of].flat().flatMap(({ trouble }) => trouble ?? []));
</script>

{#each told as trouble (trouble)}
  <Notice tone="care" title={trouble.body.detail} {actions}>{trouble.body.remedy}</Notice>
{/each}
