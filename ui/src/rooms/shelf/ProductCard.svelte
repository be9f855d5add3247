<script lang="ts">
  import { say } from '$words/page-shelf.ftl';
  import { client, take, type Product, type Schemas, type Shelf } from '../../lib/api';
  import { press } from '../../lib/press';
  import { day, fixed, money } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import LotDialog from './LotDialog.svelte';
  import { UNIT_WORDS } from './shelf-form';
  import OffcutShape from './OffcutShape.svelte';

  interface Props {
    product: Product;
    kind: string;
    currency: string;
    onshelf: (shelf: Shelf) => void;
    onedit: () => void;
  }
  let { product, kind, currency, onshelf, onedit }: Props = $props();
  let open = $state(false);
  let lot = $state.raw<Schemas['LotOut'] | null>(null);
  const unit = $derived(UNIT_WORDS[product.unit] ?? product.unit);
  const digits = $derived(product.unit === 'g' || product.unit === 'mL' ? 2 : 0);
  const most = $derived(Math.max(...product.lots.map((l) => l.held), 1e-9));

  function edit(found: Schemas['LotOut'] | null) {
    lot = found;
    open = true;
  }

  const remove = press(async (what: 'product' | 'offcut', id: string) => {
    const call = {
      product: [
        () => client.DELETE('/api/shelf/products/{product_id}', { params: { path: { product_id: id } } }),
        () => client.POST('/api/shelf/products/{product_id}/restore', { params: { path: { product_id: id } } }),
      ],
      offcut: [
        () => client.DELETE('/api/shelf/offcuts/{offcut_id}', { params: { path: { offcut_id: id } } }),
        () => client.POST('/api/shelf/offcuts/{offcut_id}/restore', { params: { path: { offcut_id: id } } }),
      ],
    }[what];
    onshelf(await take(call[0]!()));
    toast(say('lot-dialog-taken-off-shelf'), { undo: async () => onshelf(await take(call[1]!())) });
  });
</script>

<article class:low={product.low}>
  <header>
    <h3><small class="kind">{kind}</small>{product.name}</h3>
    <strong>{fixed(product.remaining, digits)}<small>{unit}</small></strong>
  </header>
  <p class="quiet">
    {#if product.sheet_width_mm && product.sheet_length_mm}{fixed(product.sheet_width_mm, 0)} × {fixed(
        product.sheet_length_mm,
        0,
      )}{product.thickness_mm ? ` × ${fixed(product.thickness_mm, 2)}` : ''} mm,{/if}
    {money(product.price_cents, currency)} a {product.unit}
  </p>
  {#each product.lots as row (row.id)}
    <button type="button" class="lot" onclick={() => edit(row)}>
      <span class="tube" aria-hidden="true"
        ><i style:width="{(100 * row.remaining) / most}%" class:gone={row.expired}></i></span
      >
      <span class="code"
        >{say('product-card-lot', { code: row.code })}<i
          >{say('product-card-figures', {
            remaining: fixed(row.remaining, digits),
            held: fixed(row.held, digits),
            unit,
          })}</i
        ></span
      >
      <span class="quiet state">
        {#if row.expired}<b>{say('product-card-expired')}</b>{:else if row.expires_soon}<b
            >{say('product-card-expires', { expires_on: day(row.expires_on) })}</b
          >{:else if row.opened_on}{say('product-card-opened', { opened_on: day(row.opened_on) })}{:else}{say(
            'product-card-not-opened',
          )}{/if}
      </span>
    </button>
  {:else}
    <p class="quiet">{say('product-card-no-lot-yet')}</p>
  {/each}
  {#if product.offcuts.length}
    <div class="offcuts lay-row">
      {#each product.offcuts as offcut (offcut.id)}
        <OffcutShape {offcut} onremove={() => void remove('offcut', offcut.id)} />
      {/each}
    </div>
  {/if}
  <footer class="no-print">
    <Button kind="bare" onclick={() => edit(null)}>{say('product-card-add-lot')}</Button>
    <Button kind="bare" onclick={onedit}>{say('product-card-values')}</Button>
    <Button
      kind="bare"
      label={say('product-card-take-off-shelf', { name: product.name })}
      onclick={() => void remove('product', product.id)}>✕</Button
    >
  </footer>
</article>
<LotDialog bind:open {product} {lot} {onshelf} />

<style>
  /* Cards of a row begin together and stand on one plank. */
  article {
    display: flex;
    flex-direction: column;
    padding: var(--gap-3) var(--gap-4) var(--gap-1);
    border: var(--line) solid var(--edge);
    /* The plank that it stands on. */
    border-bottom: 6px solid var(--edge);
    border-radius: var(--round) var(--round) 0 0;
    background: var(--sheet);
  }
  header {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
    gap: var(--gap-3);
  }
  header strong {
    font-family: var(--font-head);
    font-size: var(--size-3);
    white-space: nowrap;
  }
  .kind {
    display: block;
    margin: 0;
    color: var(--soft);
    font-family: var(--font-text);
    font-size: var(--size-0);
  }
  .low header strong {
    color: var(--care);
  }
  small {
    margin-left: 0.25em;
    font-size: var(--size-1);
    font-weight: 400;
  }
  .lot {
    display: grid;
    grid-template-columns: 5rem 1fr;
    gap: 0 var(--gap-3);
    align-items: center;
    width: 100%;
    min-height: var(--target);
    margin-top: var(--gap-1);
    padding: var(--gap-1) 0;
    border: 0;
    border-top: 1px solid var(--rule);
    background: none;
    text-align: left;
    cursor: pointer;
  }
  .lot:hover {
    background: var(--owl-tint);
  }
  .code {
    display: flex;
    justify-content: space-between;
    gap: var(--gap-2);
    white-space: nowrap;
  }
  .code i {
    font-style: normal;
  }
  .state {
    grid-column: 2;
    font-size: var(--size-0);
  }
  b {
    color: var(--care);
  }
  /* A tube lying on its side, as full as it is. */
  .tube {
    grid-row: 1 / 3;
    height: 1.1rem;
    border: var(--line) solid var(--ink);
    border-radius: 3px 9px 9px 3px;
    overflow: hidden;
  }
  .tube i {
    display: block;
    height: 100%;
    background: var(--after);
  }
  .tube .gone {
    background: repeating-linear-gradient(135deg, var(--edge) 0 2px, transparent 2px 6px);
  }
  .offcuts {
    padding: var(--gap-2) 0;
    border-top: 1px solid var(--rule);
  }
  footer {
    display: flex;
    margin-top: auto; /* at the foot of the card, however much lies above */
    justify-content: flex-end;
    border-top: 1px solid var(--rule);
  }
</style>
