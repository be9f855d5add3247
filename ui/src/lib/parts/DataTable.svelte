<script lang="ts" generics="R">
  // A table by its columns: head and cells of one are said in one place, so that a figure never stands under another's
  // name, also where a narrow screen shows row under row.
  import type { Column } from '../columns';
  import { foldWhenNarrow } from './narrow';

  interface Props {
    rows: readonly R[];
    /** One that is not wanted now may stand as false. */
    columns: readonly (Column<R> | false)[];
    key: (row: R) => string | number;
    /** Classes of a row. */
    rowIs?: (row: R) => string | undefined;
    caption?: string;
    /** strong: heavy rules above and below, for the table that a page is about. */
    weight?: 'plain' | 'strong' | 'small';
  }
  let { rows, columns, key, rowIs, caption = '', weight = 'plain' }: Props = $props();
  let table: HTMLTableElement | undefined = $state();
  // Other rows or other columns may need another width.
  $effect(() => {
    if (table && rows && shown.length) return foldWhenNarrow(table);
  });
  const shown = $derived(columns.filter((column) => column !== false));
  const classes = (column: Column<R>, row?: R) =>
    [column.is, row !== undefined && column.rowIs?.(row)].filter(Boolean).join(' ') || undefined;
  const label = (column: Column<R>) => [column.head, column.unit].filter(Boolean).join(' ');
</script>

{#snippet content(column: Column<R>, row: R, i: number)}
  {#if column.cell}{@render column.cell(row, i)}{:else}{column.text?.(row) ?? ''}{/if}
{/snippet}
<div class="around">
  <table class={weight} bind:this={table}>
    {#if caption}<caption class="off-screen">{caption}</caption>{/if}
    {#if shown.some((column) => column.head)}
      <thead>
        <tr>
          {#each shown as column, i (i)}
            {#if column.head || column.heading}
              <th scope="col" class={classes(column)}>
                {#if column.heading}{@render column.heading()}{:else}<span class:off-screen={column.silent}
                    >{column.head}</span
                  >{#if column.unit}&nbsp;<small>{column.unit}</small>{/if}{/if}
              </th>
            {:else}<td></td>{/if}
          {/each}
        </tr>
      </thead>
    {/if}
    <tbody>
      {#each rows as row (key(row))}
        <tr class={rowIs?.(row)}>
          {#each shown as column, i (i)}
            {#if column.name}
              <th scope="row" class={classes(column, row)} data-label={label(column)}
                >{@render content(column, row, i)}</th
              >
            {:else}
              <td class={classes(column, row)} data-label={label(column)}>{@render content(column, row, i)}</td>
            {/if}
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .around {
    min-width: 0;
    overflow-x: auto;
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  table :global(:is(th, td)) {
    padding: var(--gap-1) var(--gap-3) var(--gap-1) 0;
    border-bottom: 1px solid var(--rule);
    text-align: left;
    font-weight: 400;
  }
  table :global(:is(th, td):last-child) {
    padding-right: 0;
  }
  table :global(tbody th) {
    overflow-wrap: anywhere;
  }
  table :global(small) {
    color: var(--soft);
    font-weight: 400;
  }
  table :global(thead th) {
    color: var(--soft);
    font-size: var(--size-1);
  }
  table :global(tbody th) {
    font-weight: 620;
  }
  /* A link that names a row is pressed by a finger. */
  table :global(tbody th a) {
    display: inline-flex;
    align-items: center;
    min-width: var(--target);
    min-height: var(--target);
  }
  table :global(.number) {
    text-align: right;
    white-space: nowrap;
  }
  table :global(:is(th, td).before) {
    color: var(--before);
  }
  table :global(:is(th, td).after) {
    color: var(--after);
  }
  .strong {
    border-top: 2px solid var(--ink);
    border-bottom: 2px solid var(--ink);
  }
  .strong :global(:is(th, td)) {
    padding-top: var(--gap-2);
    padding-bottom: var(--gap-2);
  }
  .strong :global(tbody tr:last-child > *) {
    border-bottom: 0;
  }
  .small {
    font-size: var(--size-0);
  }
  .small :global(:is(th, td)) {
    padding: 3px 0;
  }
  .small :global(thead th) {
    font-size: var(--size-0);
  }
  .small :global(tbody th) {
    color: var(--soft);
    font-weight: 400;
  }
  table:global(.folded),
  table:global(.folded) :global(:is(tbody, tr)) {
    display: block;
  }
  table:global(.folded) :global(thead) {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  table:global(.folded) :global(tbody tr) {
    padding: var(--gap-2) 0;
    border-bottom: 1px solid var(--rule);
  }
  table:global(.folded) :global(tbody > tr > *) {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    justify-content: space-between;
    gap: var(--gap-3);
    width: auto;
    padding: 2px 0;
    border: 0;
    text-align: right;
  }
  table:global(.folded) :global(tbody > tr > :is(th, td):not([data-label='']))::before {
    flex: none;
    color: var(--soft);
    content: attr(data-label);
    font-weight: 400;
    text-align: left;
  }
  table:global(.folded) :global(tbody > tr > [data-label='']) {
    justify-content: start;
    text-align: left;
  }
  @media print {
    .strong {
      break-inside: avoid;
    }
  }
</style>
