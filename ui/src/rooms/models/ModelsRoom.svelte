<script lang="ts">
  import { say } from '$words/page-models.ftl';
  // Models: what the shop has learnt of each, as plates with their maps.
  import { onMount } from 'svelte';
  import { client, Problem, raw, take, type Schemas } from '../../lib/api';
  import { once } from '../../lib/once';
  import ScrewMap from '../../lib/maps/ScrewMap.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Sift from '../../lib/parts/Sift.svelte';
  import { hasWords } from '../../lib/sift';
  import KnownTable from './KnownTable.svelte';
  import { plural } from '../../lib/format';
  import { go } from '../../lib/router.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { KINDS } from '../../lib/words';

  let models = $state.raw<Schemas['ModelOut'][] | null>(null);
  let known = $state.raw<Schemas['WhatIsKnownOut'] | null>(null);
  let trouble = $state.raw<Problem | null>(null);
  let waiting = $state.raw<string | null>(null);
  let field: HTMLInputElement | undefined = $state();

  let [find, only, order] = $state(['', '', '']);
  const SHOWS = [
    { value: '', label: say('models-room-all') },
    ...Object.entries(KINDS).map(([value, label]) => ({ value, label })),
  ];
  const ORDERS = [
    { value: '', label: say('sift-by-name') },
    { value: 'jobs', label: say('models-room-most-jobs') },
  ];
  const sifted = $derived.by(() => {
    const found = (models ?? []).filter((m) => (!only || m.kind === only) && hasWords(find, [m.model, m.maker]));
    return found.sort((a, b) => (order === 'jobs' ? b.jobs - a.jobs : 0) || a.model.localeCompare(b.model));
  });

  async function load() {
    try {
      models = (await take(client.GET('/api/models'))).models;
      known = await take(client.GET('/api/known'));
      trouble = null;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = error;
    }
  }
  onMount(() => void load());

  async function read(event: Event) {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (file) await bring(await file.text(), false);
  }

  const bring = once(async (text: string, replace: boolean) => {
    try {
      const params = { query: replace ? { replace } : {} };
      const model = await take(client.POST('/api/models/import', { params, ...raw(text, 'application/json') }));
      waiting = null;
      trouble = null;
      toast(say('models-room-taken-in', { model: model.model, places: plural(model.places.length, 'place') }));
      go(`/models/${model.id}`);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = error;
      waiting = error.body.reason === 'kept' ? text : null;
    }
  });
</script>

<header class="lay-head">
  <div>
    <h1>{say('models-room-models')}</h1>
    <p class="quiet">{say('models-room-what-shop-knows-model')}</p>
  </div>
  <Button onclick={() => field?.click()}>{say('models-room-import-model')}</Button>
</header>
{#if trouble}
  <Notice tone="care" title={trouble.body.detail}>
    {trouble.body.remedy}
    {#snippet actions()}
      {#if waiting}
        <Button onclick={() => waiting && void bring(waiting, true)}>{say('models-room-replace-kept-one')}</Button>
        <Button onclick={() => ((waiting = null), (trouble = null))}>{say('models-room-leave')}</Button>
      {:else}<Button onclick={() => void load()}>{say('models-room-load-again')}</Button>{/if}
    {/snippet}
  </Notice>
{/if}
{#if models && !models.length}
  <section class="empty lay-stack">
    <h2>{say('models-room-no-model-kept-yet')}</h2>
    <p class="quiet">{say('models-room-map-device-in-open')}</p>
  </section>
{:else if models}
  <Sift bind:find bind:only bind:order shows={SHOWS} orders={ORDERS} shown={sifted.length} of={models.length} />
  {#if !sifted.length}<p>{say('sift-nothing')}</p>{/if}
  <ul>
    {#each sifted as model (model.id)}
      <li>
        <a href="/models/{model.id}">
          <ScrewMap
            kind={model.kind}
            places={model.places}
            outline={model.outline}
            label={say('models-room-map', { model: model.model })}
          />
          <strong>{model.model}</strong>
          <span class="quiet">{model.maker || KINDS[model.kind]} · {plural(model.jobs, 'job')}</span>
          <span
            >{say('models-room-in-no', {
              screw: plural(model.places.filter((p) => p.kind === 'screw').length, 'screw'),
              count: model.classes.length,
              plug: plural(model.places.filter((p) => p.kind === 'plug').length, 'plug'),
              count_2: !!model.steps.length,
              steps: plural(model.steps.length, 'own step'),
            })}</span
          >
        </a>
      </li>
    {/each}
  </ul>
{/if}
{#if known && (known.models.length || known.materials.length)}
  <KnownTable heading={say('known-by-model')} rows={known.models} least={known.least} />
  <KnownTable heading={say('known-by-material')} rows={known.materials} least={known.least} />
  <p class="quiet">{say('known-note', { least: known.least })}</p>
{/if}
<input
  bind:this={field}
  class="off-screen"
  type="file"
  accept=".json,application/json"
  tabindex="-1"
  aria-label={say('models-room-model-file')}
  onchange={read}
/>

<style>
  header {
    margin-bottom: var(--gap-5);
  }
  .empty {
    gap: var(--gap-2);
    padding: var(--gap-6) 0;
  }
  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(19rem, 1fr));
    gap: var(--gap-5);
  }
  a {
    display: grid;
    gap: var(--gap-1);
    text-decoration: none;
  }
  a:hover strong {
    text-decoration: underline;
  }
  strong {
    margin-top: var(--gap-1);
    font-size: var(--size-3);
    font-family: var(--font-head);
  }
</style>
