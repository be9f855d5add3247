<script lang="ts">
  // What is offered to the customer, and what they answered.
  import { say } from '$words/page-counter.ftl';
  import { client, take, type Plan, type Schemas } from '../../lib/api';
  import { day, money, moment } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Tick from '../../lib/parts/Tick.svelte';
  import Sure from '../../lib/parts/Sure.svelte';
  import { toast } from '../../lib/toasts.svelte';

  interface Props {
    jobId: string;
    quotes: Schemas['QuoteOut'][];
    currency: string;
    closed: boolean;
    busy: boolean;
    act: (work: () => Promise<Schemas['CounterOut']>) => Promise<boolean>;
  }
  let { jobId, quotes, currency, closed, busy, act }: Props = $props();
  let offering = $state(false);
  let plan = $state.raw<Plan | null>(null);
  let keys = $state<string[]>([]);
  let words = $state('');
  let days = $state('14');
  const params = $derived({ path: { job_id: jobId } });
  const free = $derived(plan?.options.filter((option) => !option.blocked && option.total_cents !== null) ?? []);
  const STATES: Record<string, (q: Schemas['QuoteOut']) => string> = {
    open: (q) => say('quotes-open', { day: day(q.good_until) }),
    accepted: (q) => say('quotes-accepted', { at: moment(q.answered_at ?? ''), title: titleOf(q) }),
    declined: (q) => say('quotes-declined', { at: moment(q.answered_at ?? '') }),
    withdrawn: () => say('quotes-withdrawn-short'),
    over: (q) => say('quotes-over-short', { day: day(q.good_until) }),
  };
  const titleOf = (q: Schemas['QuoteOut']) => q.options.find((option) => option.key === q.answer)?.title ?? '';

  async function begin() {
    offering = true;
    plan = await take(client.GET('/api/jobs/{job_id}/plan', { params }));
  }
  async function send() {
    const body = { keys, days: Number(days) || 14, words };
    if (await act(() => take(client.POST('/api/jobs/{job_id}/quotes', { params, body })))) {
      offering = false;
      [keys, words] = [[], ''];
    }
  }
  const withdraw = (quote: Schemas['QuoteOut']) =>
    act(() =>
      take(
        client.DELETE('/api/jobs/{job_id}/quotes/{quote_id}', {
          params: { path: { job_id: jobId, quote_id: quote.id } },
        }),
      ),
    );
  async function copy(address: string) {
    try {
      await navigator.clipboard.writeText(address);
      toast(say('quotes-copied'));
    } catch {
      toast(say('quotes-copy-by-hand'), { tone: 'wrong' });
    }
  }
</script>

{#each quotes as quote (quote.id)}
  <article class={quote.state}>
    <h3>{say('quotes-number', { number: quote.number })}</h3>
    <p class="state">{STATES[quote.state]?.(quote)}</p>
    {#if quote.answer_words}<p>“{quote.answer_words}”</p>{/if}
    <ul>
      {#each quote.options as option (option.key)}
        <li class:taken={quote.answer === option.key}>
          <span>{option.title}</span><b>{money(option.price_cents, currency)}</b>
        </li>
      {/each}
    </ul>
    {#if quote.state === 'open'}
      <div class="live">
        <img src={quote.drawing} alt={say('quotes-code', { address: quote.address })} width="132" height="132" />
        <div>
          <a href={quote.address} target="_blank" rel="noopener">{quote.address}</a>
          <div class="row">
            <Button onclick={() => void copy(quote.address)}>{say('quotes-copy')}</Button>
            <Sure
              words={say('quotes-withdraw')}
              sure={say('quotes-withdraw-sure')}
              keep={say('quotes-keep')}
              {busy}
              onsure={() => void withdraw(quote)}
            />
          </div>
        </div>
      </div>
    {/if}
  </article>
{/each}
{#if closed}
  {#if !quotes.length}<p class="quiet">{say('quotes-none')}</p>{/if}
{:else if offering}
  {#if plan && !free.length}
    <p class="quiet">{say('quotes-nothing-to-offer')}</p>
    <Button href="/jobs/{jobId}/plan">{say('quotes-to-plan')}</Button>
  {:else if plan}
    <fieldset class="lay-stack">
      <legend>{say('quotes-which')}</legend>
      {#each free as option (option.key)}
        <Tick
          label={say('quotes-option', { words: option.words, price: money(option.total_cents, currency) })}
          bind:checked={
            () => keys.includes(option.key),
            (on) => (keys = on ? [...keys, option.key] : keys.filter((k) => k !== option.key))
          }
        />
      {/each}
    </fieldset>
    <TextField label={say('quotes-words')} name="quote_words" wide lines={2} bind:value={words} />
    <div class="row">
      <TextField label={say('quotes-days')} name="good_days" numeric unit="days" bind:value={days} />
      <Button kind="main" {busy} disabled={!keys.length} onclick={() => void send()}>{say('quotes-send')}</Button>
      <Button onclick={() => (offering = false)}>{say('quotes-cancel')}</Button>
    </div>
  {/if}
{:else}
  {#if !quotes.length}<p class="quiet lead">{say('quotes-lead')}</p>{/if}
  <Button onclick={() => void begin()}>{quotes.length ? say('quotes-another') : say('quotes-make')}</Button>
{/if}

<style>
  article {
    max-width: 44rem;
    margin-bottom: var(--gap-4);
    padding: var(--gap-4);
    border: var(--line) solid var(--rule);
    border-radius: var(--round);
    background: var(--sheet);
  }
  .accepted {
    border-color: var(--after);
  }
  .withdrawn,
  .over {
    color: var(--soft);
  }
  .state {
    font-weight: 620;
  }
  li {
    display: flex;
    justify-content: space-between;
    gap: var(--gap-4);
    padding: var(--gap-2) 0;
    border-bottom: 1px solid var(--rule);
  }
  .taken span::before {
    content: '✓ ';
    font-weight: 700;
  }
  .live,
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-3);
    align-items: end;
    margin-top: var(--gap-3);
  }
  .live > div {
    flex: 1 1 14rem;
    min-width: 0;
    overflow-wrap: anywhere;
  }
  .lead {
    margin-bottom: var(--gap-3);
  }
  fieldset {
    gap: var(--gap-2);
    margin: 0 0 var(--gap-3);
    padding: 0;
    border: 0;
  }
  legend {
    margin-bottom: var(--gap-2);
    font-weight: 620;
  }
</style>
