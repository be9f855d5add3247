<script lang="ts">
  // The shop: a page for its instruments, its pricing, its people, its devices, its customers, and how this one looks.
  import { say } from '$words/page-shop.ftl';
  import type { Component } from 'svelte';
  import Late from '../../lib/parts/Late.svelte';
  import { session } from '../../lib/session.svelte';

  interface Props {
    page?: string;
  }
  let { page = 'instruments' }: Props = $props();
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- each page takes what it is given
  type Load = () => Promise<{ default: Component<any> }>;
  const owner = $derived(session.present?.person?.role === 'owner');
  const form: Load = () => import('./ShopForm.svelte');
  const EVERYONES: { id: string; name: string; load: Load }[] = [
    { id: 'instruments', name: say('shop-instruments'), load: form },
    { id: 'pricing', name: say('shop-pricing'), load: form },
    { id: 'people', name: say('shop-people'), load: () => import('./Everyone.svelte') },
    { id: 'devices', name: say('shop-devices'), load: () => import('./Tablets.svelte') },
    { id: 'looks', name: say('shop-looks'), load: () => import('./Looks.svelte') },
  ];
  const OWNERS: typeof EVERYONES = [
    { id: 'keys', name: say('shop-keys'), load: () => import('./Keys.svelte') },
    { id: 'past', name: say('shop-past'), load: () => import('./PastJobs.svelte') },
    { id: 'customers', name: say('shop-customers'), load: () => import('./Customers.svelte') },
  ];
  const pages = $derived(owner ? [...EVERYONES, ...OWNERS] : EVERYONES);
  const shown = $derived(pages.find((one) => one.id === page) ?? pages[0]);
</script>

<h1>{session.present?.person?.shop_name ?? say('shop-shop')}</h1>
<nav class="lay-row" aria-label={say('shop-pages')}>
  {#each pages as one (one.id)}
    <a href="/shop/{one.id}" aria-current={one === shown ? 'page' : undefined}>{one.name}</a>
  {/each}
</nav>
{#if shown}{#key shown.id}<Late load={shown.load} given={{ page: shown.id, owner }} />{/key}{/if}

<style>
  nav {
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
