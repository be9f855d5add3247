<script lang="ts">
  // A dry run: what each row of a list becomes, and why some become nothing.
  import type { Schemas } from '../../lib/api';
  import { day, fixed, money, NOT_KNOWN } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import { session } from '../../lib/session.svelte';
  import { say } from '$words/page-data.ftl';

  type State = '' | 'new' | 'twice' | 'known' | 'faulty';
  interface Props {
    list: Schemas['PastListOut'];
    shown: State;
    onshow: (state: State, offset: number) => void;
  }
  let { list, shown, onshow }: Props = $props();
  const counts = $derived(list.counts ?? { new: 0, twice: 0, known: 0, faulty: 0 });
  const all = $derived(counts.new + counts.twice + counts.known + counts.faulty);
  const STATES: Record<string, string> = {
    new: say('past-state-new'),
    twice: say('past-state-twice'),
    known: say('past-state-known'),
    faulty: say('past-state-faulty'),
  };
  const options = $derived<{ value: State; label: string }[]>([
    { value: '', label: say('past-all', { count: all }) },
    { value: 'new', label: say('past-new', { count: counts.new }) },
    { value: 'twice', label: say('past-twice', { count: counts.twice }) },
    { value: 'known', label: say('past-known', { count: counts.known }) },
    { value: 'faulty', label: say('past-faulty', { count: counts.faulty }) },
  ]);
  const degrees = (value: number | null) => (value === null ? NOT_KNOWN : `${fixed(value, 0)} °C`);
  /** As the list tells them, under whatever conditions. */
  const temperatures = (row: Schemas['PastRowOut']) =>
    row.before_c === null && row.after_c === null ? '' : `${degrees(row.before_c)} → ${degrees(row.after_c)}`;
  const currency = $derived(session.present?.person?.currency ?? '');
</script>

<section class="lay-stack">
  <h3>{say('past-rows')}</h3>
  <Choice
    bare
    legend={say('past-show')}
    name="shown"
    {options}
    bind:value={() => shown, (state: State) => onshow(state, 0)}
  />
  {#if list.rows.length}
    {#snippet state(row: (typeof list.rows)[number])}
      <span class="state {row.state}">{STATES[row.state]}</span>
      {#each row.why as why, at (at)}<small>{why}</small>{/each}
    {/snippet}
    {#snippet device(row: (typeof list.rows)[number])}
      {row.device || '–'}{#if row.serial}<small>{row.serial}</small>{/if}
    {/snippet}
    {#snippet work(row: (typeof list.rows)[number])}
      {row.work || row.symptom || '–'}{#if temperatures(row)}<small>{temperatures(row)}</small>{/if}
    {/snippet}
    <DataTable
      rows={list.rows}
      key={(row) => row.line}
      rowIs={(row) => row.state}
      columns={[
        { head: say('past-line'), name: true, text: (row) => row.line },
        { head: say('past-becomes'), cell: state },
        { head: say('past-date'), text: (row) => (row.day ? day(row.day) : '–') },
        { head: say('past-customer'), text: (row) => row.customer || row.contact || '–' },
        { head: say('past-device'), cell: device },
        { head: say('past-work'), cell: work },
        {
          head: say('past-price'),
          is: 'number',
          text: (row) => (row.price_cents === null ? '–' : money(row.price_cents, currency)),
        },
      ]}
    />
    {#if list.rows.length < list.rows_total}
      <Button onclick={() => onshow(shown, list.rows.length)}>{say('past-more')}</Button>
    {/if}
  {:else}
    <p class="quiet">{say('past-no-rows')}</p>
  {/if}
</section>

<style>
  section {
    justify-items: start;
    margin-top: var(--gap-5);
  }
  section > :global(.around) {
    width: 100%;
  }
  small {
    display: block;
    max-width: 22rem;
    color: var(--soft);
  }
  .state.faulty {
    color: var(--care);
    font-weight: 620;
  }
  .state.twice,
  .state.known {
    color: var(--soft);
  }
</style>
