<script lang="ts">
  import { say } from './lib/say';
  import type { Component } from 'svelte';
  import { onMount, untrack } from 'svelte';
  import Alarms from './rooms/Alarms.svelte';
  import Header from './rooms/Header.svelte';
  import Button from './lib/parts/Button.svelte';
  import Notice from './lib/parts/Notice.svelte';
  import Toasts from './lib/parts/Toasts.svelte';
  import Late from './lib/parts/Late.svelte';
  import { followArrivals, type Arrivals } from './lib/arrival';
  import { sendWhatWaits } from './lib/bench/sender.svelte';
  import { watchWaits } from './lib/bench/waits.svelte';
  import { tellFailures } from './lib/failures';
  import { listenForKeys, offer } from './lib/keys.svelte';
  import { go, listen, match, router } from './lib/router.svelte';
  import { openSession, session } from './lib/session.svelte';

  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- pages take the parameters of their path
  type Page = Component<any>;
  type Loader = () => Promise<{ default: Page }>;
  const jobRoom: Loader = () => import('./rooms/job/JobRoom.svelte');
  // Bench mode fills the screen and keeps the keyboard for itself.
  const benchMode: Loader = () => import('./rooms/bench-mode/BenchMode.svelte');
  const door: Loader = () => import('./rooms/sign-in/SignIn.svelte');
  const shop: Loader = () => import('./rooms/shop/Shop.svelte');
  const pair: Loader = () => import('./rooms/sign-in/Pair.svelte');
  const workings: Loader = () => import('./rooms/workings/Workings.svelte');
  // A page belongs to its address: another id is another page. `same` names the parameters that make it another one where
  // not all do: a job's room stays while one goes through its stages.
  const pages: [string, Loader, same?: string[]][] = [
    ['', () => import('./rooms/bench/Bench.svelte')],
    ['/jobs', () => import('./rooms/jobs/Jobs.svelte')],
    ['/jobs/new', () => import('./rooms/intake/NewJob.svelte')],
    ['/jobs/:id', jobRoom, ['id']],
    ['/jobs/:id/bench', benchMode],
    ['/jobs/:id/tray', () => import('./rooms/open/TrayLabels.svelte')],
    ['/jobs/:id/counter', () => import('./rooms/counter/CounterPage.svelte')],
    ['/jobs/:id/attempts', () => import('./rooms/attempts/AttemptsPage.svelte')],
    ['/jobs/:id/runs', () => import('./rooms/runs/AllRuns.svelte')],
    ['/jobs/:id/runs/:key', () => import('./rooms/runs/RunPage.svelte')],
    ['/jobs/:id/:stage', jobRoom, ['id']],
    ['/shelf', () => import('./rooms/shelf/ShelfRoom.svelte')],
    ['/workings', workings],
    ['/workings/:name', workings, []],
    ['/handbook/:subject', workings, []],
    ['/models', () => import('./rooms/models/ModelsRoom.svelte')],
    ['/models/:id', () => import('./rooms/models/ModelPage.svelte')],
    ['/devices', () => import('./rooms/devices/DevicesRoom.svelte')],
    ['/devices/:id', () => import('./rooms/devices/DevicePage.svelte')],
    ['/shop', shop],
    ['/shop/:page', shop, []],
    ['/record/:id', () => import('./rooms/record/RecordRoom.svelte')],
    ['/record/:id/:version', () => import('./rooms/record/RecordRoom.svelte')],
  ];

  let helpOpen = $state(false);
  let findOpen = $state(false);

  const route = $derived.by(() => {
    for (const [pattern, load, same] of pages) {
      const found = match(pattern, router.path);
      if (found) return { load, found, identity: (same ?? Object.keys(found)).map((name) => found[name]).join('/') };
    }
    return null;
  });
  // Held still by its value, so that nothing remounts while only the rest of the address changes.
  const identity = $derived(route?.identity ?? '');
  const person = $derived(session.present?.person ?? null);
  const whole = $derived(route?.load === benchMode);
  // The clocks of the bench are watched on every page, so that the bell rings wherever one is.
  const signedIn = $derived(person !== null);
  $effect(() => (signedIn ? watchWaits() : undefined));
  // What waits to be sent is this person's, and goes out from any page.
  const personId = $derived(person?.id ?? '');
  $effect(() => (personId ? sendWhatWaits(personId) : undefined));

  let arrivals: Arrivals | undefined;
  const turns = $derived(router.turns);
  $effect(() => {
    if (turns && !untrack(() => whole)) arrivals?.expect(router.down);
  });

  // The script of the page that was asked for comes while it is still being found out who is here. One that does not come
  // is told where it is needed.
  untrack(() => void route?.load().catch(() => undefined));

  onMount(() => {
    void openSession();
    arrivals = followArrivals();
    const stops = [
      arrivals.stop,
      listen(),
      listenForKeys(),
      tellFailures(),
      offer([
        { key: '?', words: say('header-show-keys'), run: () => (helpOpen = true) },
        { key: '/', words: say('find-find'), run: () => (findOpen = true) },
        { key: 'b', words: say('app-go-to-bench'), run: () => go('/') },
        { key: 'n', words: say('app-take-device-in'), run: () => go('/jobs/new') },
      ]),
    ];
    return () => stops.forEach((stop) => stop());
  });
</script>

{#if session.trouble}
  <main class="page">
    <Notice tone="care" title={say('app-no-connection')}
      >{session.trouble}
      {#snippet actions()}<Button onclick={() => void openSession()}>{say('app-try-again')}</Button>{/snippet}</Notice
    >
  </main>
{:else if session.present && router.path === '/pair'}
  <Late load={pair} given={{}} />
{:else if session.present && !person}
  <Late load={door} given={{}} />
{:else if person}
  <a class="skip off-screen" href="#main">{say('app-skip-to-content')}</a>
  {#if !whole}<Header {person} onhelp={() => (helpOpen = true)} onfind={() => (findOpen = true)} />{/if}
  <Alarms />
  {#if whole && route}
    {#key identity}<Late load={route.load} given={route.found} />{/key}
  {:else}
    <main id="main" class="page" tabindex="-1">
      {#if session.present?.space === 'low' || session.present?.space === 'full'}
        <Notice
          tone={session.present.space === 'full' ? 'halt' : 'care'}
          title={session.present.space === 'full' ? say('app-disk-full') : say('app-disk-nearly-full')}
        >
          {session.present.space === 'full' ? say('app-logs-recordings-and-photos') : say('app-less-than-tenth-free')}
        </Notice>
      {/if}
      {#if route}
        {#key identity}<Late load={route.load} given={route.found} />{/key}
      {:else}
        <h1>{say('app-there-nothing-here')}</h1>
        <p class="quiet">
          {say('app-address-leads-nowhere', { path: router.path })} <a href="/">{say('app-go-to-bench')}</a>
        </p>
      {/if}
    </main>
  {/if}
  {#if helpOpen}{#await import('./rooms/KeyHelp.svelte') then { default: KeyHelp }}<KeyHelp
        bind:open={helpOpen}
      />{/await}{/if}
  {#if findOpen}{#await import('./rooms/Find.svelte') then { default: Find }}<Find bind:open={findOpen} />{/await}{/if}
{/if}
<Toasts />

<style>
  .page {
    max-width: var(--page);
    margin: 0 auto;
    padding: var(--gap-5) var(--gap-5) calc(var(--gap-7) + var(--foot, 0px));
  }
  @media (max-width: 760px) {
    .page {
      padding: var(--gap-4) var(--gap-3) calc(var(--gap-6) + var(--foot, 0px));
    }
  }
  .skip:focus {
    position: fixed;
    top: 0;
    left: 0;
    width: auto;
    height: auto;
    clip-path: none;
    padding: var(--gap-3);
    background: var(--sheet);
    z-index: 20;
  }
  @media print {
    .page {
      max-width: none;
      padding: 0;
    }
  }
</style>
