<script lang="ts">
  // What the shop offers, and the customer's answer to it.
  import { onMount } from 'svelte';
  import type { Schemas } from '../lib/api';
  import { day, money } from '../lib/format';
  import Notice from '../lib/parts/Notice.svelte';
  import { ask, Refusal, tell } from './ask';
  import { say } from './words';

  interface Props {
    token: string;
  }
  let { token }: Props = $props();
  type Offered = Schemas['OfferedOut'];
  const at = $derived(`/api/quotes/${token}`);
  let found = $state.raw<Offered | null>(null);
  let refused = $state('');
  let chosen = $state<string | null>(null);
  let words = $state('');
  let busy = $state(false);
  const REASONS: Record<string, () => string> = {
    withdrawn: () => say('quote-was-withdrawn'),
    over: () => say('quote-is-over'),
    answered: () => say('quote-was-answered'),
    offline: () => say('customer-offline'),
    often: () => say('customer-often'),
  };

  async function taken(work: () => Promise<Offered>) {
    [refused, busy] = ['', true];
    try {
      found = await work();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      refused = error.reason;
    } finally {
      busy = false;
    }
  }
  onMount(() => taken(() => ask<Offered>(at)));
  const answer = (key: string) => taken(() => tell<Offered>(`${at}/answer`, { key, words }));
  const accepted = $derived(found?.options.find((option) => option.key === found?.answer));
</script>

{#if refused}
  <Notice tone="care" title={(REASONS[refused] ?? (() => say('customer-unknown')))()}>{say('customer-ask-shop')}</Notice
  >
{/if}
{#if found}
  <header>
    <p class="shop">{found.shop_name}</p>
    <h1>{say('quote-for', { device: found.device })}</h1>
    <p class="quiet">
      {say('quote-to', { number: found.number, customer: found.customer_name, day: day(found.good_until) })}
    </p>
  </header>
  {#if found.words}<p class="words">{found.words}</p>{/if}
  {#if found.state === 'open'}
    <fieldset>
      <legend>{say('quote-choose')}</legend>
      {#each found.options as option (option.key)}
        <label class:chosen={chosen === option.key}>
          <input type="radio" name="option" value={option.key} bind:group={chosen} />
          <span>
            <strong>{option.title}</strong>
            {#if option.expected}<small>{option.expected}</small>{/if}
            {#if option.takes}<small>{option.takes}</small>{/if}
          </span>
          <b>{money(option.price_cents, found.currency)}</b>
        </label>
      {/each}
    </fieldset>
    <label class="add">
      <span>{say('quote-add')}</span>
      <textarea rows="2" maxlength="1000" bind:value={words}></textarea>
    </label>
    <p class="quiet">{say('quote-binds')}</p>
    <div class="row">
      <button class="main" type="button" disabled={busy || !chosen} onclick={() => chosen && void answer(chosen)}>
        {say('quote-accept')}
      </button>
      <button type="button" disabled={busy} onclick={() => void answer('')}>{say('quote-decline')}</button>
    </div>
  {:else if accepted}
    <Notice title={say('quote-accepted')}>
      {say('quote-accepted-words', {
        title: accepted.title,
        price: money(accepted.price_cents, found.currency),
        day: day(found.answered_at),
      })}
    </Notice>
  {:else if found.state === 'declined'}
    <Notice title={say('quote-declined')}>{say('quote-declined-words', { day: day(found.answered_at) })}</Notice>
  {:else}
    <Notice tone="care" title={(REASONS[found.state] ?? (() => say('customer-unknown')))()}
      >{say('customer-ask-shop')}</Notice
    >
  {/if}
{:else if !refused}
  <p class="quiet" role="status">{say('customer-opening')}</p>
{/if}

<style>
  header {
    margin-bottom: var(--gap-4);
    padding-bottom: var(--gap-3);
    border-bottom: 2px solid var(--ink);
  }
  .shop {
    font-family: var(--font-head);
    font-size: var(--size-3);
    font-weight: 700;
  }
  h1 {
    margin: var(--gap-3) 0 var(--gap-2);
  }
  .words {
    margin-bottom: var(--gap-4);
    font-size: var(--size-2);
  }
  fieldset {
    display: grid;
    gap: var(--gap-3);
    margin: 0 0 var(--gap-4);
    padding: 0;
    border: 0;
  }
  legend {
    margin-bottom: var(--gap-3);
    font-size: var(--size-2);
    font-weight: 700;
  }
  fieldset label {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr) auto;
    gap: var(--gap-3);
    align-items: start;
    padding: var(--gap-3) var(--gap-4);
    border: var(--line) solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    cursor: pointer;
  }
  .chosen {
    box-shadow: inset 6px 0 0 var(--owl);
  }
  input {
    width: 1.5rem;
    height: 1.5rem;
    margin: 0;
    accent-color: var(--owl);
  }
  strong::first-letter {
    text-transform: uppercase;
  }
  strong,
  small {
    display: block;
  }
  small {
    color: var(--soft);
    font-size: var(--size-1);
  }
  .add {
    display: grid;
    gap: var(--gap-1);
    margin-bottom: var(--gap-3);
    font-weight: 620;
  }
  textarea {
    padding: var(--gap-3);
    border: 1px solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    color: var(--ink);
  }
  .row {
    display: grid;
    gap: var(--gap-3);
    margin-top: var(--gap-4);
  }
  button {
    min-height: 56px;
    padding: 0 var(--gap-4);
    border: var(--line) solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    color: var(--ink);
    font-weight: 700;
  }
  .main {
    border-color: var(--owl);
    background: var(--owl);
    color: var(--paper);
  }
  button:disabled {
    opacity: 0.55;
  }
</style>
