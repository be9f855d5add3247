<script lang="ts">
  // The record of one job, as its customer opens it on a phone.
  import { onMount } from 'svelte';
  import type { Schemas } from '../lib/api';
  import { day } from '../lib/format';
  import Owl from '../lib/glyphs/Owl.svelte';
  import Notice from '../lib/parts/Notice.svelte';
  import PageOne from '../rooms/record/PageOne.svelte';
  import { ask, Refusal } from './ask';
  import { say } from './words';

  interface Props {
    token: string;
  }
  let { token }: Props = $props();
  const at = $derived(`/api/open/${token}`);
  let found = $state.raw<Schemas['OpenedOut'] | null>(null);
  let refused = $state('');
  const REASONS: Record<string, () => string> = {
    withdrawn: () => say('customer-withdrawn'),
    over: () => say('customer-over'),
    offline: () => say('customer-offline'),
    often: () => say('customer-often'),
  };

  async function open() {
    refused = '';
    try {
      found = await ask<Schemas['OpenedOut']>(at);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      refused = error.reason;
    }
  }
  onMount(open);
</script>

{#if refused}
  <h1 class="none">{say('customer-title')}</h1>
  <Notice tone="care" title={(REASONS[refused] ?? (() => say('customer-unknown')))()}>
    {#if refused === 'offline'}
      <button type="button" onclick={() => void open()}>{say('customer-again')}</button>
    {:else}
      {say('customer-ask-shop')}
    {/if}
  </Notice>
{:else if found}
  {@const record = found.record}
  {@const job = record.job}
  <header>
    <div>
      <p class="shop">{record.shop_name}</p>
      <p class="quiet">
        {say('customer-record', { number: job.number, day: day(job.handed_over_at ?? job.updated_at) })}
      </p>
    </div>
    <Owl before={job.glance_before} after={job.glance_after} verdict={job.verdict} stopped={false} size={96} />
  </header>
  {#if record.version && record.version.number > 1}
    <p class="quiet version">
      {say('customer-version', { number: record.version.number, why: record.version.why })}
    </p>
  {/if}
  <PageOne {record} photo={(which) => `${at}/photos/${which}`} />
  <nav aria-label={say('customer-keep')}>
    <h2>{say('customer-keep')}</h2>
    <a href="{at}/record.pdf" download>{say('customer-pdf')}</a>
    <a href="{at}/record.zip" download>{say('customer-zip')}</a>
    <a href="{at}/dates.ics" download>{say('customer-dates')}</a>
    <a href="/check">{say('customer-check')}</a>
  </nav>
  <p class="quiet foot">{say('customer-until', { day: day(found.expires_at) })}</p>
{:else}
  <p class="quiet" role="status">{say('customer-opening')}</p>
{/if}

<style>
  header {
    display: flex;
    align-items: start;
    justify-content: space-between;
    gap: var(--gap-4);
    margin-bottom: var(--gap-4);
    padding-bottom: var(--gap-3);
    border-bottom: 2px solid var(--ink);
  }
  .shop {
    font-family: var(--font-head);
    font-size: var(--size-3);
    font-weight: 700;
  }
  .none {
    margin-bottom: var(--gap-4);
  }
  .version {
    margin-bottom: var(--gap-3);
  }
  h2 {
    margin: var(--gap-5) 0 var(--gap-3);
    font-size: var(--size-2);
  }
  nav a,
  button {
    display: flex;
    align-items: center;
    min-height: 52px;
    margin-bottom: var(--gap-2);
    padding: 0 var(--gap-4);
    border: var(--line) solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    color: var(--ink);
    font-weight: 620;
    text-decoration: none;
  }
  button {
    margin-top: var(--gap-3);
  }
  .foot {
    margin-top: var(--gap-5);
    font-size: var(--size-1);
  }
  @media print {
    nav,
    .foot {
      display: none;
    }
  }
</style>
