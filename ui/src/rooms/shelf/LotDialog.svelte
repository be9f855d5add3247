<script lang="ts">
  import { say } from '$words/page-shelf.ftl';
  import { client, Problem, take, type Product, type Schemas, type Shelf } from '../../lib/api';
  import { once } from '../../lib/once';
  import { day, fixed, parseNumber } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Dialog from '../../lib/parts/Dialog.svelte';
  import DateField from '../../lib/parts/DateField.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
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
  let form = $state({ code: '', held: '', remaining: '', received_on: '', opened_on: '', expires_on: '', reason: '' });
  let errors = $state<Record<string, string>>({});
  let moves = $state.raw<Schemas['MoveOut'][]>([]);
  const unit = $derived(UNIT_WORDS[product.unit] ?? product.unit);

  $effect(() => {
    if (!open) return;
    errors = {};
    moves = [];
    form = {
      code: lot?.code ?? '',
      held: lot ? String(lot.held) : '',
      remaining: lot ? String(lot.remaining) : '',
      received_on: lot?.received_on ?? today(),
      opened_on: lot?.opened_on ?? '',
      expires_on: lot?.expires_on ?? '',
      reason: '',
    };
    if (lot) {
      const params = { path: { lot_id: lot.id } };
      void take(client.GET('/api/shelf/lots/{lot_id}/moves', { params })).then((found) => (moves = found.moves));
    }
  });

  const save = once(async () => {
    errors = {};
    const amount = parseNumber(lot ? form.remaining : form.held);
    if (amount === null || Number.isNaN(amount)) errors[lot ? 'remaining' : 'held'] = say('kinds-type-number');
    if (!lot && !form.code.trim()) errors.code = say('lot-dialog-type-what-stands-on');
    if (Object.keys(errors).length) return;
    const dates = { opened_on: form.opened_on || null, expires_on: form.expires_on || null };
    try {
      onshelf(
        lot
          ? await take(
              client.PUT('/api/shelf/lots/{lot_id}', {
                params: { path: { lot_id: lot.id } },
                body: { ...dates, version: lot.version, remaining: amount, reason: form.reason },
              }),
            )
          : await take(
              client.POST('/api/shelf/products/{product_id}/lots', {
                params: { path: { product_id: product.id } },
                body: { ...dates, code: form.code, held: amount ?? 0, received_on: form.received_on || today() },
              }),
            ),
      );
      open = false;
      toast(say('lot-dialog-saved'));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = Object.keys(error.fields).length ? error.fields : { code: `${error.body.detail} ${error.body.remedy}` };
    }
  });

  const remove = once(async () => {
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
  <form
    onsubmit={(e) => {
      e.preventDefault();
      void save();
    }}
  >
    {#if lot}
      <TextField
        label={say('lot-dialog-what-left-weighed-or')}
        name="remaining"
        numeric
        {unit}
        bind:value={form.remaining}
        error={errors.remaining}
      />
      <TextField
        label={say('lot-dialog-why-differs')}
        name="reason"
        bind:value={form.reason}
        hint={say('lot-dialog-weighed-spilt-dried-out')}
      />
    {:else}
      <TextField
        label={say('lot-dialog-code-on-label')}
        name="code"
        bind:value={form.code}
        error={errors.code}
        needed
        focusFirst
      />
      <TextField
        label={say('lot-dialog-holds')}
        name="held"
        numeric
        {unit}
        bind:value={form.held}
        error={errors.held}
        needed
      />
      <DateField
        label={say('lot-dialog-received-on')}
        name="received_on"
        bind:value={form.received_on}
        error={errors.received_on}
      />
    {/if}
    <DateField
      label={say('lot-dialog-opened-on')}
      name="opened_on"
      bind:value={form.opened_on}
      error={errors.opened_on}
    />
    <DateField
      label={say('lot-dialog-expires-on')}
      name="expires_on"
      bind:value={form.expires_on}
      error={errors.expires_on}
    />
    <footer>
      <Button kind="main" type="submit">{say('kinds-save')}</Button>
      {#if lot}<Button onclick={() => void remove()}>{say('lot-dialog-take-off-shelf')}</Button>{/if}
    </footer>
  </form>
  {#if moves.length}
    <h3>{say('lot-dialog-in-and-out')}</h3>
    <DataTable weight="small">
      <thead>
        <tr
          ><th scope="col">{say('lot-dialog-when')}</th><th scope="col">{say('lot-dialog-what')}</th><th
            scope="col"
            class="number">{say('lot-dialog-by')}</th
          ><th scope="col" class="number">{say('lot-dialog-left')}</th></tr
        >
      </thead>
      <tbody>
        {#each moves as m (m.id)}
          <tr>
            <td>{day(m.at)}, {m.by}</td>
            <td>{m.reason}</td>
            <td class="number">{m.amount > 0 ? '+' : ''}{fixed(m.amount, 3)} {unit}</td>
            <td class="number">{fixed(m.remaining, 2)} {unit}</td>
          </tr>
        {/each}
      </tbody>
    </DataTable>
  {/if}
</Dialog>

<style>
  form {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: var(--gap-3) var(--gap-4);
    align-items: start;
  }
  footer {
    grid-column: 1 / -1;
    display: flex;
    gap: var(--gap-3);
  }
  h3 {
    margin: var(--gap-4) 0 var(--gap-2);
  }
</style>
