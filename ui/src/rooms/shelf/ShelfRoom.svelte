<script lang="ts">
  import { say } from '$words/page-shelf.ftl';
  import { action, resource } from '../../lib/asking.svelte';
  import { client, take, type Product, type Shelf } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import Sift from '../../lib/parts/Sift.svelte';
  import { hasWords } from '../../lib/sift';
  import { toast } from '../../lib/toasts.svelte';
  import Kinds from './Kinds.svelte';
  import ProductCard from './ProductCard.svelte';
  import ProductDialog from './ProductDialog.svelte';
  import { importShelf } from './import-shelf';

  const found = resource(
    () => ({}),
    () => take(client.GET('/api/shelf')),
  );
  const shelf = $derived(found.value);
  const put = (next: Shelf) => (found.value = next);
  let editing = $state.raw<Product | null>(null);
  let open = $state(false);
  let input: HTMLInputElement | undefined = $state();
  let [find, only, order] = $state(['', '', '']);
  const SHOWS = [
    { value: '', label: say('shelf-room-all') },
    { value: 'here', label: say('shelf-room-something-left') },
    { value: 'low', label: say('shelf-room-running-low') },
    { value: 'old', label: say('shelf-room-expired') },
  ];
  const ORDERS = [
    { value: '', label: say('shelf-room-as-added') },
    { value: 'name', label: say('sift-by-name') },
    { value: 'left', label: say('shelf-room-least-left') },
  ];
  const KEPT: Record<string, (p: Product) => boolean> = {
    here: (p) => p.remaining > 0,
    low: (p) => p.low,
    old: (p) => p.lots.some((lot) => lot.expired || lot.expires_soon),
  };
  const sifted = $derived.by(() => {
    const words = new Map(shelf?.kinds.map((k) => [k.kind, k.words]));
    const found = (shelf?.products ?? []).filter(
      (p) =>
        (KEPT[only]?.(p) ?? true) && hasWords(find, [p.name, words.get(p.kind) ?? '', ...p.lots.map((l) => l.code)]),
    );
    if (order === 'name') return found.sort((a, b) => a.name.localeCompare(b.name));
    return order === 'left' ? found.sort((a, b) => a.remaining - b.remaining) : found;
  });
  const planks = $derived(
    [
      { title: say('shelf-room-for-die'), kinds: shelf?.kinds.filter((k) => k.for_die) ?? [] },
      { title: say('shelf-room-for-gaps-and-all'), kinds: shelf?.kinds.filter((k) => !k.for_die) ?? [] },
    ]
      .map((plank) => ({
        title: plank.title,
        rows: plank.kinds.flatMap((k) => sifted.filter((p) => p.kind === k.kind).map((p) => ({ p, k }))),
      }))
      .filter((plank) => plank.rows.length),
  );
  const warnings = $derived(shelf?.products.flatMap((p) => p.warnings.map((w) => ({ name: p.name, text: w }))) ?? []);

  function edit(product: Product | null) {
    editing = product;
    open = true;
  }

  const bring = action(async (file: File) => {
    const brought = await importShelf(file);
    put(brought.shelf);
    toast(say('shelf-room-products-and-lots-were', { products: brought.products, lots: brought.lots }));
  });
</script>

<header class="lay-head">
  <div>
    <h1>{say('shelf-room-shelf')}</h1>
    <p class="quiet">{say('shelf-room-what-lies-there-how')}</p>
  </div>
  <div class="actions no-print lay-row">
    <Button kind="main" onclick={() => edit(null)}>{say('shelf-room-add-product')}</Button>
    <Button href="/api/shelf/shelf.csv" download>{say('shelf-room-export-csv')}</Button>
    <Button onclick={() => input?.click()}>{say('shelf-room-import-csv')}</Button>
    <input
      bind:this={input}
      class="off-screen"
      type="file"
      accept=".csv,text/csv"
      aria-label={say('shelf-room-csv-shelf')}
      tabindex="-1"
      onchange={(e) => {
        const [file] = e.currentTarget.files ?? [];
        if (file) void bring.run(file);
        e.currentTarget.value = '';
      }}
    />
  </div>
</header>
<div class="gap"><Trouble of={[found, bring]} /></div>
{#if shelf}
  {#if warnings.length}
    <div class="gap">
      <Notice tone="care" title={say('shelf-room-look-at-these')}>
        <ul>
          {#each warnings as w, i (i)}<li><strong>{w.name}</strong> {w.text}</li>{/each}
        </ul>
      </Notice>
    </div>
  {/if}
  {#if shelf.products.length > 3}
    <Sift
      bind:find
      bind:only
      bind:order
      shows={SHOWS}
      orders={ORDERS}
      shown={sifted.length}
      of={shelf.products.length}
    />
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
            onshelf={put}
            onedit={() => edit(product)}
          />
        {/each}
      </div>
    </section>
  {:else}
    <p>
      {shelf.products.length ? say('sift-nothing') : say('shelf-room-shelf-empty-add-tubes')}
    </p>
  {/each}
  <Kinds {shelf} onshelf={put} />
  <ProductDialog bind:open product={editing} kinds={shelf.kinds} onshelf={put} />
{:else if !found.trouble}
  <p class="quiet" role="status">{say('shelf-room-looking-along-shelf')}</p>
{/if}

<style>
  header {
    align-items: end;
    margin-bottom: var(--gap-4);
  }
  .actions {
    gap: var(--gap-2);
  }
  .gap {
    margin-bottom: var(--gap-4);
  }
  ul {
    padding-left: 1.2rem;
    list-style: disc;
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
    padding-top: var(--gap-2);
  }
</style>
