<script lang="ts">
  // Models: what the shop has learnt of each, as plates with their maps.
  import { onMount } from 'svelte';
  import { client, Problem, sendText, take, type Schemas } from '../../lib/api';
  import ScrewMap from '../../lib/maps/ScrewMap.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import { plural } from '../../lib/format';
  import { go } from '../../lib/router.svelte';
  import { say } from '../../lib/toasts.svelte';
  import { KINDS } from '../../lib/words';

  let models = $state.raw<Schemas['ModelOut'][] | null>(null);
  let trouble = $state.raw<Problem | null>(null);
  let waiting = $state.raw<string | null>(null);
  let field: HTMLInputElement | undefined = $state();

  async function load() {
    try {
      models = (await take(client.GET('/api/models'))).models;
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

  async function bring(text: string, replace: boolean) {
    try {
      const url = `/api/models/import${replace ? '?replace=true' : ''}`;
      const model = await sendText<Schemas['ModelOut']>(url, text, 'application/json');
      waiting = null;
      trouble = null;
      say(`${model.model} taken in: ${plural(model.places.length, 'place')}.`);
      go(`/models/${model.id}`);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = error;
      waiting = error.body.reason === 'kept' ? text : null;
    }
  }
</script>

<header>
  <div>
    <h1>Models</h1>
    <p class="quiet">What the shop knows of a model, offered again on its next job.</p>
  </div>
  <Button onclick={() => field?.click()}>Import a model</Button>
</header>
{#if trouble}
  <Notice tone="care" title={trouble.body.detail}>
    {trouble.body.remedy}
    {#snippet actions()}
      {#if waiting}
        <Button onclick={() => waiting && void bring(waiting, true)}>Replace the kept one</Button>
        <Button onclick={() => ((waiting = null), (trouble = null))}>Leave it</Button>
      {:else}<Button onclick={() => void load()}>Load again</Button>{/if}
    {/snippet}
  </Notice>
{/if}
{#if models && !models.length}
  <section class="empty">
    <h2>No model is kept yet</h2>
    <p class="quiet">Map a device in Open, and save it to its model in Close; or import one from another shop.</p>
  </section>
{:else if models}
  <ul>
    {#each models as model (model.id)}
      <li>
        <a href="/models/{model.id}">
          <ScrewMap kind={model.kind} places={model.places} outline={model.outline} label="Map of {model.model}" />
          <strong>{model.model}</strong>
          <span class="quiet">{model.maker || KINDS[model.kind]} · {plural(model.jobs, 'job')}</span>
          <span
            >{plural(model.places.filter((p) => p.kind === 'screw').length, 'screw')} in {model.classes.length}
            {model.classes.length === 1 ? 'class' : 'classes'}, {plural(
              model.places.filter((p) => p.kind === 'plug').length,
              'plug',
            )}{model.steps.length ? `, ${plural(model.steps.length, 'own step')}` : ''}</span
          >
        </a>
      </li>
    {/each}
  </ul>
{/if}
<input
  bind:this={field}
  class="off-screen"
  type="file"
  accept=".json,application/json"
  tabindex="-1"
  aria-label="Model file"
  onchange={read}
/>

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-3);
    margin-bottom: var(--gap-5);
  }
  .empty {
    display: grid;
    gap: var(--gap-2);
    padding: var(--gap-6) 0;
  }
  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(19rem, 1fr));
    gap: var(--gap-5);
    margin: 0;
    padding: 0;
    list-style: none;
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
