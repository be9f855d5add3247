<script lang="ts">
  import { say } from '$words/page-shelf.ftl';
  import { client, take, type Product, type Schemas, type Shelf } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import FilledForm from '../../lib/parts/FilledForm.svelte';
  import { SentForm } from '../../lib/sent-form.svelte';
  import { untrack } from 'svelte';
  import Dialog from '../../lib/parts/Dialog.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { PRODUCT, productBody, productFields, typedProduct } from './shelf-form';

  interface Props {
    open: boolean;
    /** null for a new one */
    product: Product | null;
    kinds: Schemas['KindOut'][];
    onshelf: (shelf: Shelf) => void;
  }
  let { open = $bindable(), product, kinds, onshelf }: Props = $props();
  const form: SentForm<typeof PRODUCT> = new SentForm(
    PRODUCT,
    async (values) => {
      const body = productBody(values, product);
      onshelf(
        product
          ? await take(
              client.PUT('/api/shelf/products/{product_id}', { params: { path: { product_id: product.id } }, body }),
            )
          : await take(client.POST('/api/shelf/products', { body })),
      );
      open = false;
      toast(product ? say('lot-dialog-saved') : say('product-dialog-on-shelf-add-lot'));
    },
    { shown: () => productFields(kinds, form.fields.unit, usual) },
  );
  const usual = (name: string) => {
    const found = kinds.find((k) => k.kind === form.fields.kind)?.values.find((v) => v.name === name);
    return found
      ? say('product-dialog-for-kind', { found: fixed(found.value, found.value < 20 ? 1 : 0), source: found.source })
      : '';
  };
  $effect(() => {
    if (open) untrack(() => form.fill(product && typedProduct(product)));
  });
</script>

<Dialog title={product ? product.name : say('product-dialog-product-for-shelf')} bind:open>
  <FilledForm {form} kind="main" action={say('kinds-save')} />
  {#if product}
    <h3 class="all">{say('product-dialog-in-force-with-where')}</h3>
    <DataTable
      weight="small"
      rows={product.values}
      key={(v) => v.name}
      columns={[
        { head: '', name: true, text: (v) => v.words },
        { head: '', is: 'number', text: (v) => `${fixed(v.value, v.value < 20 ? 2 : 0)} ${v.unit}` },
        { head: '', text: (v) => `${v.source}${v.note ? `, ${v.note}` : ''}` },
      ]}
    />
  {/if}
</Dialog>

<style>
  .all {
    margin: var(--gap-4) 0 var(--gap-2);
  }
</style>
