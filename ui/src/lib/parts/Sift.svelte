<script lang="ts">
  // Sifts a list that is all there: words as one types them, one choice, an order, and how many are left of how many.
  import { say } from '../say';
  import Pick from './Pick.svelte';
  import TextField from './TextField.svelte';

  interface Option {
    value: string;
    label: string;
  }
  interface Props {
    find: string;
    only?: string;
    order?: string;
    shows: Option[];
    orders: Option[];
    shown: number;
    of: number;
  }
  let { find = $bindable(), only = $bindable(''), order = $bindable(''), shows, orders, shown, of }: Props = $props();
</script>

<search class="no-print">
  <TextField label={say('sift-find')} name="sift-find" bind:value={find} />
  <Pick label={say('sift-show')} name="sift-only" options={shows} bind:value={only} />
  <Pick label={say('sift-order')} name="sift-order" options={orders} bind:value={order} />
  <p class="quiet" role="status">{say('sift-of', { shown, of })}</p>
</search>

<style>
  search {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1fr) auto;
    align-items: end;
    gap: var(--gap-3);
    margin-bottom: var(--gap-4);
  }
  p {
    line-height: var(--target);
    white-space: nowrap;
  }
  @media (max-width: 760px) {
    search {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    }
  }
</style>
