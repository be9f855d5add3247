<script lang="ts">
  import { say } from './words';
  import Check from './Check.svelte';
  import LinkedRecord from './LinkedRecord.svelte';

  const [, place = '', token = ''] = location.pathname.split('/');
</script>

<svelte:head>
  <title>{place === 'check' ? say('check-title') : say('customer-title')}</title>
</svelte:head>
<main>
  {#if place === 'r'}<LinkedRecord {token} />{:else}<Check />{/if}
</main>

<style>
  main {
    max-width: 46rem;
    margin: 0 auto;
    padding: var(--gap-4);
  }
</style>
