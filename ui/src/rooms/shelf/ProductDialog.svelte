<script lang="ts">
  import { say } from '$words/page-shelf.ftl';
  import { client, Problem, take, type Product, type Schemas, type Shelf } from '../../lib/api';
  import { once } from '../../lib/once';
  import { fixed } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Dialog from '../../lib/parts/Dialog.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { check, formOf, SOURCES, UNITS, UNIT_WORDS, type ProductForm } from './shelf-form';

  interface Props {
    open: boolean;
    /** null for a new one */
    product: Product | null;
    kinds: Schemas['KindOut'][];
    onshelf: (shelf: Shelf) => void;
  }
  let { open = $bindable(), product, kinds, onshelf }: Props = $props();
  let form = $state<ProductForm>(formOf(null));
  let errors = $state<Record<string, string>>({});
  const typical = $derived(kinds.find((k) => k.kind === form.kind)?.values ?? []);
  const usual = (name: string) => {
    const found = typical.find((v) => v.name === name);
    return found
      ? say('product-dialog-for-kind', { found: fixed(found.value, found.value < 20 ? 1 : 0), source: found.source })
      : '';
  };

  $effect(() => {
    if (!open) return;
    form = formOf(product);
    errors = {};
  });

  const save = once(async () => {
    const checked = check(form, product);
    errors = checked.errors ?? {};
    if (!checked.body) return;
    try {
      onshelf(
        product
          ? await take(
              client.PUT('/api/shelf/products/{product_id}', {
                params: { path: { product_id: product.id } },
                body: checked.body,
              }),
            )
          : await take(client.POST('/api/shelf/products', { body: checked.body })),
      );
      open = false;
      toast(product ? say('lot-dialog-saved') : say('product-dialog-on-shelf-add-lot'));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = Object.keys(error.fields).length ? error.fields : { name: `${error.body.detail} ${error.body.remedy}` };
    }
  });
</script>

<Dialog title={product ? product.name : say('product-dialog-product-for-shelf')} bind:open>
  <form
    onsubmit={(e) => {
      e.preventDefault();
      void save();
    }}
  >
    <TextField
      label={say('product-dialog-name')}
      name="name"
      bind:value={form.name}
      error={errors.name}
      needed
      focusFirst
    />
    <Pick
      label={say('kinds-kind')}
      name="kind"
      bind:value={form.kind}
      options={kinds.map((k) => ({ value: k.kind, label: k.words }))}
      error={errors.kind}
    />
    <Pick
      label={say('product-dialog-counted-in')}
      name="unit"
      bind:value={form.unit}
      options={UNITS}
      error={errors.unit}
    />
    <TextField
      label={say('product-dialog-price-one-without-tax')}
      name="price"
      numeric
      bind:value={form.price}
      error={errors.price ?? errors.price_cents}
    />
    <TextField
      label={say('product-dialog-warn-below')}
      name="low_at"
      numeric
      unit={UNIT_WORDS[form.unit] ?? ''}
      bind:value={form.low_at}
      error={errors.low_at}
    />
    {#if form.unit === 'sheet'}
      <TextField
        label={say('product-dialog-sheet-width')}
        name="sheet_width_mm"
        numeric
        unit="mm"
        bind:value={form.sheet_width_mm}
        error={errors.sheet_width_mm}
      />
      <TextField
        label={say('product-dialog-sheet-length')}
        name="sheet_length_mm"
        numeric
        unit="mm"
        bind:value={form.sheet_length_mm}
        error={errors.sheet_length_mm}
      />
      <TextField
        label={say('product-dialog-thickness')}
        name="thickness_mm"
        numeric
        unit="mm"
        bind:value={form.thickness_mm}
        error={errors.thickness_mm}
      />
    {/if}
    <h3>{say('product-dialog-its-own-values-where')}</h3>
    <TextField
      label={say('product-dialog-conductivity')}
      name="conductivity"
      numeric
      unit="W/m·K"
      bind:value={form.conductivity}
      error={errors.conductivity}
      hint={usual('conductivity')}
    />
    <TextField
      label={say('product-dialog-density')}
      name="density_g_ml"
      numeric
      unit="g/mL"
      bind:value={form.density_g_ml}
      error={errors.density_g_ml}
      hint={usual('density_g_ml')}
    />
    <TextField
      label={say('product-dialog-usual-film')}
      name="film_um"
      numeric
      unit="µm"
      bind:value={form.film_um}
      error={errors.film_um}
      hint={usual('film_um')}
    />
    <Pick label={say('product-dialog-they-come-from')} name="source" bind:value={form.source} options={SOURCES} />
    <footer><Button kind="main" type="submit">{say('kinds-save')}</Button></footer>
  </form>
  {#if product}
    <h3 class="all">{say('product-dialog-in-force-with-where')}</h3>
    <DataTable weight="small">
      <tbody>
        {#each product.values as v (v.name)}
          <tr>
            <th scope="row">{v.words}</th>
            <td class="number">{fixed(v.value, v.value < 20 ? 2 : 0)} {v.unit}</td>
            <td>{v.source}{v.note ? `, ${v.note}` : ''}</td>
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
  h3,
  footer {
    grid-column: 1 / -1;
  }
  h3 {
    margin-top: var(--gap-2);
  }
  .all {
    margin: var(--gap-4) 0 var(--gap-2);
  }
</style>
