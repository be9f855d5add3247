<script lang="ts">
  // The shop: a page for its instruments, its pricing, its people, its devices, and how this one looks.
  import { say } from './words';
  import { session } from '../../lib/session.svelte';
  import Late from '../../lib/parts/Late.svelte';
  import Keys from './Keys.svelte';
  import Looks from './Looks.svelte';
  import People from './People.svelte';
  import ShopForm from './ShopForm.svelte';
  import SignIns from './SignIns.svelte';
  import Tablets from './Tablets.svelte';

  interface Props {
    page?: string;
  }
  let { page = 'instruments' }: Props = $props();
  const owner = $derived(session.present?.person?.role === 'owner');
  const OWN = [
    { id: 'keys', name: say('shop-keys') },
    { id: 'past', name: say('shop-past') },
    { id: 'customers', name: say('shop-customers') },
  ];
  const past = () => import('../data/PastJobs.svelte');
  const customers = () => import('../data/Customers.svelte');
  const PAGES = $derived([
    { id: 'instruments', name: say('shop-instruments') },
    { id: 'pricing', name: say('shop-pricing') },
    { id: 'people', name: say('shop-people') },
    { id: 'devices', name: say('shop-devices') },
    ...(owner ? OWN : []),
    { id: 'looks', name: say('shop-looks') },
  ]);
</script>

<h1>{session.present?.person?.shop_name ?? say('shop-shop')}</h1>
<nav aria-label={say('shop-pages')}>
  {#each PAGES as one (one.id)}
    <a href="/shop/{one.id}" aria-current={one.id === page ? 'page' : undefined}>{one.name}</a>
  {/each}
</nav>
{#if page === 'pricing'}
  <ShopForm page="pricing" />
{:else if page === 'people'}
  {#if owner}<People />{/if}
  <SignIns />
{:else if page === 'devices'}
  <Tablets {owner} />
{:else if page === 'keys' && owner}
  <Keys />
{:else if page === 'past' && owner}
  <Late load={past} given={{}} />
{:else if page === 'customers' && owner}
  <Late load={customers} given={{}} />
{:else if page === 'looks'}
  <Looks />
{:else}
  <ShopForm page="instruments" />
{/if}

<style>
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-1);
    margin: var(--gap-3) 0 var(--gap-4);
    border-bottom: 2px solid var(--ink);
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: var(--target);
    padding: 0 var(--gap-3);
    font-weight: 620;
    text-decoration: none;
  }
  a[aria-current] {
    box-shadow: inset 0 -4px 0 var(--owl);
  }
</style>
