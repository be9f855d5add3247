<script lang="ts">
  import { say } from '$words/page-plan.ftl';
  import { action, resource } from '../asking.svelte';
  import { client, take, type Cut, type Part, type Product, type Schemas } from '../api';
  import CutDrawing from '../charts/CutDrawing.svelte';
  import { fixed, parseNumber } from '../format';
  import Button from './Button.svelte';
  import Notice from './Notice.svelte';
  import Pick from './Pick.svelte';
  import TextField from './TextField.svelte';
  import Trouble from './Trouble.svelte';
  import { toast } from '../toasts.svelte';
  import { TARGETS } from '../words';

  interface Props {
    jobId: string;
    parts: Part[];
    onbooked?: () => void;
  }
  let { jobId, parts, onbooked = () => {} }: Props = $props();
  let products = $state.raw<Product[]>([]);
  let productId = $state('');
  let kerf = $state('0.2');
  let preview = $state.raw<Cut | null>(null);
  let cuts = $state.raw<Cut[]>([]);
  const params = $derived({ path: { job_id: jobId } });
  const wanted = $derived(parts.filter((p) => !p.product_id || p.product_id === productId || parts.length === 1));
  const rows = $derived(
    (wanted.length ? wanted : parts).map((p) => ({
      label: TARGETS[p.target] ?? p.target,
      target: p.target as Schemas['CutRowIn']['target'],
      width_mm: p.width_mm ?? 0,
      length_mm: p.length_mm ?? 0,
      count: p.count,
      together: p.together,
    })),
  );

  const begun = resource(
    () => ({ params }),
    async (asked) => {
      const kinds = new Set(parts.map((p) => p.kind));
      const [shelf, kept] = await Promise.all([
        take(client.GET('/api/shelf')),
        take(client.GET('/api/jobs/{job_id}/cuts', asked)),
      ]);
      products = shelf.products.filter((p) => p.unit === 'sheet' && kinds.has(p.kind));
      productId = parts.find((p) => p.product_id)?.product_id ?? products[0]?.id ?? '';
      cuts = kept.cuts;
    },
  );
  const body = () => ({ product_id: productId, kerf_mm: parseNumber(kerf) || 0, rows });
  const nest = action(async () => {
    preview = await take(client.POST('/api/jobs/{job_id}/cuts/preview', { params, body: body() }));
  });
  const book = action(async () => {
    const done = await take(client.POST('/api/jobs/{job_id}/cuts', { params, body: body() }));
    preview = null;
    cuts = [...cuts, done];
    onbooked();
    toast(say('cut-panel-cut-and-booked-offcut'), { undo: () => void undo.run(done) });
  });
  const undo = action(async (cut: Cut) => {
    if (!cut.id) return;
    const path = { job_id: jobId, cut_id: cut.id };
    cuts = (await take(client.DELETE('/api/jobs/{job_id}/cuts/{cut_id}', { params: { path } }))).cuts;
    onbooked();
    toast(say('cut-panel-taken-back-sheet-and'));
  });
</script>

<section class="lay-stack">
  <h3>{say('cut-panel-cutting')}</h3>
  {#if products.length}
    <div class="row lay-row">
      <Pick
        label={say('cut-panel-from')}
        name="cut-product"
        options={products.map((p) => ({
          value: p.id,
          label: say('cut-panel-sheets-offcuts', {
            name: p.name,
            remaining: fixed(p.remaining, 0),
            count: p.offcuts.length,
          }),
        }))}
        bind:value={productId}
      />
      <TextField label={say('cut-panel-blade-takes')} name="kerf_mm" unit="mm" numeric bind:value={kerf} />
      <Button busy={nest.busy} onclick={() => void nest.run()}>{say('cut-panel-lay-pieces-out')}</Button>
    </div>
  {:else}
    <p class="quiet">{say('cut-panel-no-sheet-this-kind')} <a href="/shelf">{say('cut-panel-add-one')}</a>.</p>
  {/if}
  <Trouble of={[begun, nest, book, undo]} />
  {#if preview}
    {#if !preview.fits}
      <Notice
        tone="care"
        title={say('cut-panel-pieces-find-no-room', {
          count: preview.unplaced.length,
          join: [...new Set(preview.unplaced)].join(', '),
        })}
      >
        {say('cut-panel-add-sheet-on-shelf')}
      </Notice>
    {/if}
    <div class="sheets lay-row">
      {#each preview.drawings as drawing, i (i)}<CutDrawing {drawing} />{/each}
    </div>
    <p class="quiet">
      {say('cut-panel-what-touched-becomes-no', { waste_share: fixed(100 * preview.waste_share, 0) })}
    </p>
    <div class="row lay-row">
      <Button kind="main" busy={book.busy} disabled={!preview.fits} onclick={() => void book.run()}
        >{say('cut-panel-cut-and-book')}</Button
      >
    </div>
  {/if}
  {#each cuts as cut (cut.id)}
    <article class="lay-stack">
      <h4>{say('cut-panel-cut-from', { product: cut.product })}</h4>
      <div class="sheets lay-row">
        {#each cut.drawings as drawing, i (i)}<CutDrawing {drawing} />{/each}
      </div>
      <div class="row lay-row">
        {#each ['pdf', 'svg', 'dxf'] as form (form)}
          <Button href="/api/jobs/{jobId}/cuts/{cut.id}/sheet.{form}" download
            >{say('cut-panel-at', { to_upper_case: form.toUpperCase() })}</Button
          >
        {/each}
        <Button kind="bare" onclick={() => void undo.run(cut)}>{say('cut-panel-take-cut-back')}</Button>
      </div>
    </article>
  {/each}
</section>

<style>
  section {
    margin-top: var(--gap-5);
  }
  .row {
    align-items: end;
  }
  .sheets {
    gap: var(--gap-5);
  }
  article {
    gap: var(--gap-2);
    padding: var(--gap-3);
    border: var(--line) solid var(--rule);
    border-radius: var(--round);
  }
  h4 {
    margin: 0;
    font-family: var(--font-head);
  }
</style>
