<script lang="ts">
  import { say } from '$words/page-shelf.ftl';
  import { untrack } from 'svelte';
  import { resource } from '../../lib/asking.svelte';
  import { client, take, type Product, type Schemas, type Shelf } from '../../lib/api';
  import { press } from '../../lib/press';
  import type { FieldList } from '../../lib/fields';
  import { day, fixed } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Dialog from '../../lib/parts/Dialog.svelte';
  import FilledForm from '../../lib/parts/FilledForm.svelte';
  import { SentForm } from '../../lib/sent-form.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { today } from '../../lib/zone';
  import { UNIT_WORDS } from './shelf-form';

  interface Props {
    open: boolean;
    product: Product;
    /** null for a new one */
    lot: Schemas['LotOut'] | null;
    onshelf: (shelf: Shelf) => void;
  }
  let { open = $bindable(), product, lot, onshelf }: Props = $props();

  const KEPT = [
    {
      key: 'remaining',
      kind: 'number',
      label: say('lot-dialog-what-left-weighed-or'),
      needed: say('kinds-type-number'),
    },
    { key: 'reason', label: say('lot-dialog-why-differs'), hint: say('lot-dialog-weighed-spilt-dried-out') },
  ] as const satisfies FieldList;
  const COMING = [
    { key: 'code', label: say('lot-dialog-code-on-label'), needed: say('lot-dialog-type-what-stands-on'), first: true },
    { key: 'held', kind: 'number', label: say('lot-dialog-holds'), needed: say('kinds-type-number') },
    { key: 'received_on', kind: 'day', label: say('lot-dialog-received-on') },
  ] as const satisfies FieldList;
  const DATES = [
    { key: 'opened_on', kind: 'day', label: say('lot-dialog-opened-on') },
    { key: 'expires_on', kind: 'day', label: say('lot-dialog-expires-on') },
  ] as const satisfies FieldList;
  const unit = $derived(UNIT_WORDS[product.unit] ?? product.unit);
  const moves = resource(
    () => (open && lot ? { path: { lot_id: lot.id } } : null),
    (params) => take(client.GET('/api/shelf/lots/{lot_id}/moves', { params })),
  );
  const form = new SentForm(
    [...KEPT, ...COMING, ...DATES] as const,
    async ({ opened_on, expires_on, ...given }) => {
      const dates = { opened_on, expires_on };
      onshelf(
        lot
          ? await take(
              client.PUT('/api/shelf/lots/{lot_id}', {
                params: { path: { lot_id: lot.id } },
                body: { ...dates, version: lot.version, remaining: given.remaining, reason: given.reason },
              }),
            )
          : await take(
              client.POST('/api/shelf/products/{product_id}/lots', {
                params: { path: { product_id: product.id } },
                body: { ...dates, code: given.code, held: given.held, received_on: given.received_on ?? today() },
              }),
            ),
      );
      open = false;
      toast(say('lot-dialog-saved'));
    },
    {
      shown: () =>
        [...(lot ? KEPT : COMING), ...DATES].map((field) =>
          'kind' in field && field.kind === 'number' ? { ...field, unit } : field,
        ),
    },
  );
  $effect(() => {
    if (open) untrack(() => form.fill(lot ?? { received_on: today() }));
  });

  const remove = press(async () => {
    if (!lot) return;
    const params = { path: { lot_id: lot.id } };
    onshelf(await take(client.DELETE('/api/shelf/lots/{lot_id}', { params })));
    open = false;
    toast(say('lot-dialog-taken-off-shelf'), {
      undo: async () => onshelf(await take(client.POST('/api/shelf/lots/{lot_id}/restore', { params }))),
    });
  });
</script>

<Dialog
  title={lot
    ? say('lot-dialog-lot', { name: product.name, code: lot.code })
    : say('lot-dialog-lot-comes-in', { name: product.name })}
  bind:open
>
  <FilledForm {form} kind="main" action={say('kinds-save')}>
    {#if lot}<Button onclick={() => void remove()}>{say('lot-dialog-take-off-shelf')}</Button>{/if}
  </FilledForm>
  {#if moves.value?.moves.length}
    <h3>{say('lot-dialog-in-and-out')}</h3>
    <DataTable
      weight="small"
      rows={moves.value.moves}
      key={(m) => m.id}
      columns={[
        { head: say('lot-dialog-when'), text: (m) => `${day(m.at)}, ${m.by}` },
        { head: say('lot-dialog-what'), text: (m) => m.reason },
        {
          head: say('lot-dialog-by'),
          is: 'number',
          text: (m) => `${m.amount > 0 ? '+' : ''}${fixed(m.amount, 3)} ${unit}`,
        },
        { head: say('lot-dialog-left'), is: 'number', text: (m) => `${fixed(m.remaining, 2)} ${unit}` },
      ]}
    />
  {/if}
</Dialog>

<style>
  h3 {
    margin: var(--gap-4) 0 var(--gap-2);
  }
</style>
