<script lang="ts">
  import { onMount } from 'svelte';
  import { client, Problem, take, type Product, type Shelf } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import { say } from '../../lib/toasts.svelte';
  import Kinds from './Kinds.svelte';
  import ProductCard from './ProductCard.svelte';
  import ProductDialog from './ProductDialog.svelte';
  import { importShelf } from './import-shelf';

  let shelf = $state.raw<Shelf | null>(null);
  let trouble = $state.raw<Problem | null>(null);
  let editing = $state.raw<Product | null>(null);
  let open = $state(false);
  let input: HTMLInputElement | undefined = $state();
  const planks = $derived(
    [
      { title: 'For the die', kinds: shelf?.kinds.filter((k) => k.for_die) ?? [] },
      { title: 'For gaps and all else', kinds: shelf?.kinds.filter((k) => !k.for_die) ?? [] },
    ]
      .map((plank) => ({
        title: plank.title,
        rows: plank.kinds.flatMap((k) =>
          (shelf?.products ?? []).filter((p) => p.kind === k.kind).map((p) => ({ p, k })),
        ),
      }))
      .filter((plank) => plank.rows.length),
  );
  const warnings = $derived(shelf?.products.flatMap((p) => p.warnings.map((w) => ({ name: p.name, text: w }))) ?? []);

  onMount(async () => {
    try {
      shelf = await take(client.GET('/api/shelf'));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = error;
    }
  });

  function edit(product: Product | null) {
    editing = product;
    open = true;
  }

  async function bring(files: FileList | null) {
    const file = files?.[0];
    if (!file) return;
    try {
      const found = await importShelf(file);
      shelf = found.shelf;
      trouble = null;
      say(`${found.products} products and ${found.lots} lots were added; what was there stays as it is.`);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = error;
    } finally {
      if (input) input.value = '';
    }
  }
</script>

<header>
  <div>
    <h1>Shelf</h1>
    <p class="quiet">What lies there, how much of it, and how sure its values are. Every use comes from a job.</p>
  </div>
  <div class="actions no-print">
    <Button kind="main" onclick={() => edit(null)}>Add a product</Button>
    <Button href="/api/shelf/shelf.csv" download>Export CSV</Button>
    <Button onclick={() => input?.click()}>Import CSV</Button>
    <input
      bind:this={input}
      class="off-screen"
      type="file"
      accept=".csv,text/csv"
      aria-label="A CSV of the shelf"
      tabindex="-1"
      onchange={(e) => void bring(e.currentTarget.files)}
    />
  </div>
</header>
{#if trouble}<div class="gap"><Notice tone="care" title={trouble.body.detail}>{trouble.body.remedy}</Notice></div>{/if}
{#if shelf}
  {#if warnings.length}
    <div class="gap">
      <Notice tone="care" title="Look at these">
        <ul>
          {#each warnings as w, i (i)}<li><strong>{w.name}</strong> {w.text}</li>{/each}
        </ul>
      </Notice>
    </div>
  {/if}
  {#each planks as plank (plank.title)}
    <section>
      <h2>{plank.title}</h2>
      <div class="board">
        {#each plank.rows as { p: product, k: kind } (product.id)}
          <ProductCard
            {product}
            kind={kind.words}
            currency={shelf.currency}
            onshelf={(found) => (shelf = found)}
            onedit={() => edit(product)}
          />
        {/each}
      </div>
    </section>
  {:else}
    <p>
      The shelf is empty. Add the tubes and sheets you work with; a plan then says whether the shelf holds what it
      needs, books it, and prices it.
    </p>
  {/each}
  <Kinds {shelf} onshelf={(found) => (shelf = found)} />
  <ProductDialog bind:open product={editing} kinds={shelf.kinds} onshelf={(found) => (shelf = found)} />
{:else if !trouble}
  <p class="quiet" role="status">Looking along the shelf …</p>
{/if}

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    justify-content: space-between;
    gap: var(--gap-3);
    margin-bottom: var(--gap-4);
  }
  .actions {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-2);
  }
  .gap {
    margin-bottom: var(--gap-4);
  }
  ul {
    margin: 0;
    padding-left: 1.2rem;
  }
  section {
    margin-bottom: var(--gap-5);
  }
  h2 {
    font-size: var(--size-2);
  }
  .board {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(21rem, 1fr));
    gap: var(--gap-4);
    align-items: end;
    padding-top: var(--gap-2);
  }
</style>
