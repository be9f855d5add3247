<script lang="ts">
  import { say } from '../say';
  import { pathOf } from '../handbook';
  import Notice from './Notice.svelte';

  interface Props {
    subject: string;
  }
  let { subject }: Props = $props();

  const BODIES = import.meta.glob<string>('../../../../docs/handbook/*.md', { query: '?body', import: 'default' });
  // HTML that was made from our own file when the application was built.
  const body = $derived(BODIES[`../${pathOf(subject)}`]?.() ?? Promise.resolve(''));
</script>

<div class="text">
  {#await body then html}
    <!-- eslint-disable-next-line svelte/no-at-html-tags -- made from a file of this repository when it was built -->
    {@html html}
  {:catch}
    <Notice tone="care" title={say('handbook-not-loaded')}>{say('handbook-not-loaded-remedy')}</Notice>
  {/await}
</div>

<style>
  .text {
    max-width: 44rem;
  }
  .text :global(ul),
  .text :global(ol) {
    margin: var(--gap-3) 0;
    padding-left: 1.4rem;
    list-style: revert;
  }
  .text :global(li) {
    margin-bottom: var(--gap-2);
  }
  .text :global(code) {
    font-size: 0.9em;
    overflow-wrap: anywhere;
  }
</style>
