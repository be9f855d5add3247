<script lang="ts">
  import { say } from './words';
  import Check from './Check.svelte';
  import LinkedQuote from './LinkedQuote.svelte';
  import LinkedRecord from './LinkedRecord.svelte';

  const [, place = '', token = ''] = location.pathname.split('/');
  const TITLES: Record<string, string> = { r: say('customer-title'), q: say('quote-page-title') };
</script>

<svelte:head>
  <title>{TITLES[place] ?? say('check-title')}</title>
</svelte:head>
<main>
  {#if place === 'r'}<LinkedRecord {token} />{:else if place === 'q'}<LinkedQuote {token} />{:else}<Check />{/if}
</main>

<style>
  main {
    max-width: 46rem;
    margin: 0 auto;
    padding: var(--gap-4);
  }
</style>
