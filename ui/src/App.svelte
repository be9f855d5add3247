<script lang="ts">
  import { say } from './lib/say';
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
  import { DOORS, PAGES, type PageOf } from './pages';
  import { roomOf } from './lib/rooms';

  let helpOpen = $state(false);
  let findOpen = $state(false);

  const route = $derived.by(() => {
    for (const page of PAGES as readonly PageOf[]) {
      const found = match(page.at, router.path);
      const names = found && (page.same ?? Object.keys(found));
      if (found) return { page, found, identity: [page.room, ...(names ?? []).map((name) => found[name])].join(' ') };
    }
    return null;
  });
  const load = $derived(route && roomOf(route.page.room));
  // Held still by its value, so that nothing remounts while only the rest of the address changes.
  const identity = $derived(route?.identity ?? '');
  const person = $derived(session.present?.person ?? null);
  const whole = $derived(!!route?.page.whole);
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
  untrack(() => void load?.().catch(() => undefined));

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
  <Late load={roomOf(DOORS.pair)} given={{}} />
{:else if session.present && !person}
  <Late load={roomOf(DOORS.signIn)} given={{}} />
{:else if person}
  <a class="skip off-screen" href="#main">{say('app-skip-to-content')}</a>
  {#if !whole}<Header {person} onhelp={() => (helpOpen = true)} onfind={() => (findOpen = true)} />{/if}
  <Alarms />
  {#if whole && route && load}
    {#key identity}<Late {load} given={route.found} />{/key}
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
      {#if route && load}
        {#key identity}<Late {load} given={route.found} />{/key}
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
