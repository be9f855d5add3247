<script lang="ts">
  import type { Snippet } from 'svelte';
  import { foldWhenNarrow } from './narrow';

  interface Props {
    /** Rows of head and body; cells take the classes number, before, after and quiet. */
    children: Snippet;
    caption?: string;
    /** strong: heavy rules above and below, for the table that a page is about. */
    weight?: 'plain' | 'strong' | 'small';
  }
  let { children, caption = '', weight = 'plain' }: Props = $props();
</script>

<div class="around">
  <table class={weight} use:foldWhenNarrow>
    {#if caption}<caption class="off-screen">{caption}</caption>{/if}
    {@render children()}
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
  table :global(thead th) {
    color: var(--soft);
    font-size: var(--size-1);
  }
  table :global(tbody th) {
    font-weight: 620;
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
