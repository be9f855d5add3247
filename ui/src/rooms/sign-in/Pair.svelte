<script lang="ts">
  // A tablet that opened the code of the Shop page: it comes in under its own name.
  import { say } from '$words/page-sign-in.ftl';
  import { onMount } from 'svelte';
  import { action } from '../../lib/asking.svelte';
  import Owl from '../../lib/glyphs/Owl.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { go } from '../../lib/router.svelte';
  import { pairTablet } from '../../lib/session.svelte';

  const blank = { measured: false, rise_k: null, noise_db: null, held_share: null };
  const pair = action(async (code: string) => {
    await pairTablet(code);
    go('/', true);
  });
  onMount(() => {
    const code = location.hash.slice(1);
    // The code is good once: it does not stay in the address.
    history.replaceState(null, '', '/pair');
    void pair.run(code);
  });
</script>

<main class="lay-stack">
  <Owl before={blank} after={blank} size={120} decorative />
  <h1>{say('pair-title')}</h1>
  <Trouble of={pair}>
    {#snippet actions()}<Button href="/">{say('pair-sign-in')}</Button>{/snippet}
  </Trouble>
  {#if !pair.trouble}<p class="quiet" role="status">{say('pair-under-way')}</p>{/if}
</main>

<style>
  main {
    gap: var(--gap-4);
    justify-items: center;
    max-width: 30rem;
    margin: var(--gap-7) auto;
    padding: 0 var(--gap-4);
  }
</style>
