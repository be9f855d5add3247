<script lang="ts">
  import { say } from '$words/page-fit.ftl';
  import '$words/page-job.ftl';
  // What was fitted, and a way to take it off the list and bring it back.
  import { client, take, type FitItem } from '../../lib/api';
  import { press } from '../../lib/press';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { AMOUNT_IS, INTERFACES, TARGETS } from '../../lib/words';

  interface Props {
    jobId: string;
    items: FitItem[];
    onitems: (items: FitItem[]) => void;
  }
  let { jobId, items, onitems }: Props = $props();

  const amount = (item: FitItem) => {
    if (item.amount === null) return '–';
    const words =
      item.amount_unit === 'pieces'
        ? say('piece-count', { count: item.amount - item.spare, spare: item.spare })
        : `${item.amount} ${item.amount_unit}`;
    return words + (AMOUNT_IS[item.amount_is] ?? '');
  };

  const remove = press(async (item: FitItem) => {
    const path = { job_id: jobId, item_id: item.id };
    onitems((await take(client.DELETE('/api/jobs/{job_id}/fit/items/{item_id}', { params: { path } }))).items);
    toast(item.lot_id ? say('fit-taken-off-list-shelf') : say('fit-taken-off-list'), {
      undo: () => void bringBack(path),
    });
  });

  const bringBack = press(async (path: { job_id: string; item_id: string }) => {
    onitems((await take(client.POST('/api/jobs/{job_id}/fit/items/{item_id}/restore', { params: { path } }))).items);
  });
</script>

{#if items.length}
  {#snippet off(item: FitItem)}
    <Button
      kind="bare"
      label={say('fit-take-off-list', { kind: INTERFACES[item.kind] })}
      onclick={() => void remove(item)}>✕</Button
    >
  {/snippet}
  <DataTable
    rows={items}
    key={(item) => item.id}
    columns={[
      { head: say('fit-where'), name: true, text: (item) => TARGETS[item.target] ?? item.target },
      { head: say('effect-table-what'), text: (item) => INTERFACES[item.kind] ?? item.kind },
      { head: say('fit-product'), text: (item) => item.product || '–' },
      {
        head: say('fit-lot'),
        text: (item) => (item.lot_id ? say('fit-lot-booked', { lot: item.lot || '–' }) : item.lot || '–'),
      },
      { head: say('fit-amount'), is: 'number', text: amount },
      { head: '', cell: off },
    ]}
  />
{:else}
  <p class="quiet">{say('fit-nothing-yet-name-each')}</p>
{/if}
