<script lang="ts">
  // Lists that were brought before, each with a way back.
  import type { Schemas } from '../../lib/api';
  import { day } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Dialog from '../../lib/parts/Dialog.svelte';
  import { say } from '$words/page-data.ftl';

  type Row = Schemas['PastImportOut'];
  interface Props {
    lists: Row[];
    busy: boolean;
    onlook: (id: string) => void;
    onback: (row: Row) => void;
  }
  let { lists, busy, onlook, onback }: Props = $props();
  let sure = $state.raw<Row | null>(null);
  const STATES: Record<string, (row: Row) => string> = {
    taken: (row) => say('past-list-taken', { day: day(row.taken_at), count: row.counts?.new ?? 0 }),
    draft: (row) => say('past-list-draft', { day: day(row.made_at) }),
    undone: (row) => say('past-list-undone', { day: day(row.undone_at) }),
  };
</script>

<h3>{say('past-history')}</h3>
{#if lists.length}
  <ul>
    {#each lists as row (row.id)}
      <li>
        <strong>{row.file_name}</strong>
        <span class="quiet">{STATES[row.state]?.(row)}</span>
        {#if row.state === 'draft'}
          <Button disabled={busy} onclick={() => onlook(row.id)}>{say('past-look')}</Button>
        {:else if row.state === 'taken'}
          <Button disabled={busy} label={say('past-back-which', { name: row.file_name })} onclick={() => (sure = row)}
            >{say('past-back')}</Button
          >
        {/if}
      </li>
    {/each}
  </ul>
{:else}
  <p class="quiet">{say('past-history-none')}</p>
{/if}
<Dialog title={say('past-back-sure')} bind:open={() => sure !== null, (open) => (sure = open ? sure : null)}>
  {#if sure}
    {@const row = sure}
    <p><strong>{row.file_name}</strong></p>
    <p>{say('past-back-words')}</p>
    <div class="row">
      <Button
        kind="main"
        onclick={() => {
          onback(row);
          sure = null;
        }}>{say('past-back')}</Button
      >
      <Button onclick={() => (sure = null)}>{say('past-keep')}</Button>
    </div>
  {/if}
</Dialog>

<style>
  h3 {
    margin-top: var(--gap-5);
  }
  ul {
    margin: var(--gap-3) 0;
    border-top: 1px solid var(--rule);
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) auto;
    gap: var(--gap-2) var(--gap-4);
    align-items: center;
    min-height: var(--target);
    padding: var(--gap-2) 0;
    border-bottom: 1px solid var(--rule);
  }
  strong {
    overflow-wrap: anywhere;
  }
  .row {
    display: flex;
    gap: var(--gap-3);
    margin-top: var(--gap-4);
  }
  @media (max-width: 640px) {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
