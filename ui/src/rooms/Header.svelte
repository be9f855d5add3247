<script lang="ts">
  import { say } from '../lib/say';
  import type { Schemas } from '../lib/api';
  import WaitingHere from './WaitingHere.svelte';
  import Button from '../lib/parts/Button.svelte';
  import { router } from '../lib/router.svelte';
  import { signOut } from '../lib/session.svelte';
  import { choose, theme } from '../lib/theme.svelte';

  interface Props {
    person: Schemas['PersonOut'];
    onhelp: () => void;
    onfind: () => void;
  }
  let { person, onhelp, onfind }: Props = $props();

  const places = [
    { path: '/', name: say('header-bench') },
    { path: '/jobs', name: say('header-jobs') },
    { path: '/devices', name: say('header-devices') },
    { path: '/shelf', name: say('header-shelf') },
    { path: '/models', name: say('header-models') },
    { path: '/workings', name: say('header-workings') },
    { path: '/shop', name: say('header-shop') },
  ];
  // On a phone the places fold into a menu, which closes as one goes somewhere.
  let open = $state(false);
  $effect(() => {
    if (router.turns) open = false;
  });
  const isHere = (path: string) =>
    path === '/' ? router.path === '/' : router.path === path || router.path.startsWith(`${path}/`);
  const NEXT = { system: 'day', day: 'night', night: 'system' } as const;
  const THEME_WORDS = { system: say('header-as-system'), day: 'day', night: 'night' };
</script>

<header class="no-print">
  <div class="inner lay-row">
    <a class="mark" href="/" aria-label={say('header-vivid-owl-to-bench')}>
      <svg viewBox="0 0 44 32" width="44" height="32" aria-hidden="true">
        <path class="brow" d="M2 3q11 9 20 5q9 4 20-5" />
        <circle class="left" cx="13" cy="19" r="7.5" />
        <circle class="right" cx="31" cy="19" r="7.5" /><circle class="pupil" cx="31" cy="19" r="3.4" />
        <path class="beak" d="M20 25h4l-2 5z" />
      </svg>
      <span>{say('header-vivid-owl')}</span>
    </a>
    <WaitingHere />
    <div class="menu">
      <Button kind="bare" label={say('header-find-job-key-slash')} onclick={onfind}>{say('header-find')}</Button>
      <Button expanded={open} onclick={() => (open = !open)}>{say('header-menu')}</Button>
    </div>
    <nav class="lay-row" class:open aria-label={say('header-places')}>
      {#each places as place (place.path)}
        <a href={place.path} aria-current={isHere(place.path) ? 'page' : undefined}>{place.name}</a>
      {/each}
    </nav>
    <div class="right" class:open>
      {#if person.demo}<span class="demo">{say('header-demo-invented-data')}</span>{/if}
      <span class="find"
        ><Button kind="bare" label={say('header-find-job-key-slash')} onclick={onfind}>{say('header-find')}</Button
        ></span
      >
      <Button
        kind="bare"
        label={say('header-theme-change', { chosen: THEME_WORDS[theme.chosen] })}
        onclick={() => choose(NEXT[theme.chosen])}
      >
        <svg viewBox="0 0 24 24" width="22" height="22" aria-hidden="true">
          <circle class="disc" cx="12" cy="12" r="8.5" />
          {#if theme.chosen === 'night'}<circle class="full" cx="12" cy="12" r="8.5" />
          {:else if theme.chosen === 'system'}<path class="full" d="M12 3.5a8.5 8.5 0 0 1 0 17z" />{/if}
        </svg>
      </Button>
      <Button kind="bare" label={say('header-show-keys')} onclick={onhelp}>?</Button>
      <Button kind="bare" onclick={() => void signOut()}>{say('header-sign-out')}</Button>
    </div>
  </div>
</header>

<style>
  header {
    border-bottom: 2px solid var(--ink);
    /* The edge of a cutting mat: a tick each 10 px, a long one each 50. */
    background:
      repeating-linear-gradient(90deg, var(--edge) 0 1px, transparent 1px 50px) bottom left / 100% 9px no-repeat,
      repeating-linear-gradient(90deg, var(--edge) 0 1px, transparent 1px 10px) bottom left / 100% 5px no-repeat,
      var(--paper);
  }
  .inner {
    align-items: center;
    gap: 0 var(--gap-5);
    max-width: var(--page);
    min-height: 4rem;
    margin: 0 auto;
    padding: var(--gap-1) var(--gap-5) var(--gap-3);
  }
  .mark {
    display: flex;
    align-items: center;
    gap: var(--gap-2);
    min-height: var(--target);
    font-family: var(--font-head);
    font-size: var(--size-3);
    font-weight: 750;
    text-decoration: none;
  }
  nav {
    gap: var(--gap-2);
  }
  nav a {
    display: flex;
    align-items: center;
    min-height: var(--target);
    padding: 0 var(--gap-2);
    font-weight: 620;
    text-decoration: none;
  }
  nav a[aria-current] {
    box-shadow: inset 0 -4px 0 var(--owl);
  }
  .right {
    display: flex;
    align-items: center;
    gap: var(--gap-1);
    margin-left: auto;
  }
  .demo {
    padding: 0 var(--gap-2);
    border: var(--line) solid var(--care);
    border-radius: var(--round);
    background: var(--care-tint);
    color: var(--care);
    font-size: var(--size-0);
    font-weight: 620;
    white-space: nowrap;
  }
  .menu {
    display: none;
    gap: var(--gap-1);
    margin-left: auto;
  }
  @media (max-width: 1099px) {
    .inner {
      gap: 0 var(--gap-4);
    }
    .mark span {
      display: none;
    }
  }
  @media (max-width: 760px) {
    .inner {
      min-height: 3.5rem;
      padding: var(--gap-1) var(--gap-3) var(--gap-3);
    }
    .mark span {
      display: inline;
    }
    .menu {
      display: flex;
    }
    .find {
      display: none;
    }
    nav:not(.open),
    .right:not(.open) {
      display: none;
    }
    nav.open {
      display: grid;
      flex-basis: 100%;
      grid-template-columns: 1fr 1fr;
    }
    .right.open {
      flex-basis: 100%;
      flex-wrap: wrap;
    }
  }
  .mark svg * {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.4;
    stroke-linecap: round;
  }
  .mark .left {
    stroke: var(--before);
  }
  .mark .right {
    stroke: var(--after);
  }
  .mark .pupil {
    fill: var(--after);
    stroke: none;
  }
  .mark .beak {
    fill: var(--ink);
    stroke: none;
  }
  .disc {
    fill: none;
    stroke: currentcolor;
    stroke-width: 2;
  }
  .full {
    fill: currentcolor;
  }
</style>
