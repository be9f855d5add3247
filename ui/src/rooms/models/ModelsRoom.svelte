<script lang="ts">
  import { say } from '$words/page-models.ftl';
  // Models: what the shop has learnt of each, as plates with their maps.
  import { action, resource } from '../../lib/asking.svelte';
  import { client, raw, take } from '../../lib/api';
  import ScrewMap from '../../lib/maps/ScrewMap.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import Sift from '../../lib/parts/Sift.svelte';
  import { hasWords } from '../../lib/sift';
  import KnownTable from './KnownTable.svelte';
  import { plural } from '../../lib/format';
  import { go } from '../../lib/router.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { KINDS } from '../../lib/words';

  const found = resource(
    () => ({}),
    () => take(client.GET('/api/models')),
  );
  const models = $derived(found.value?.models ?? null);
  const shopKnows = resource(
    () => ({}),
    () => take(client.GET('/api/known')),
  );
  const known = $derived(shopKnows.value);
  /** What was read of a file last. */
  let waiting = '';
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

  async function read(event: Event) {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (file) await bring.run(await file.text(), false);
  }

  const bring = action(async (text: string, replace: boolean) => {
    waiting = text;
    const params = { query: replace ? { replace } : {} };
    const model = await take(client.POST('/api/models/import', { params, ...raw(text, 'application/json') }));
    toast(say('models-room-taken-in', { model: model.model, places: plural(model.places.length, 'place') }));
    go(`/models/${model.id}`);
  });
  /** One of that name is kept already. */
  const twice = $derived(bring.trouble?.body.reason === 'kept');
</script>

<header class="lay-head">
  <div>
    <h1>{say('models-room-models')}</h1>
    <p class="quiet">{say('models-room-what-shop-knows-model')}</p>
  </div>
  <Button onclick={() => field?.click()}>{say('models-room-import-model')}</Button>
</header>
<Trouble of={[found, shopKnows]}>
  {#snippet actions()}<Button onclick={() => void found.load()}>{say('models-room-load-again')}</Button>{/snippet}
</Trouble>
<Trouble of={bring}>
  {#snippet actions()}
    {#if twice}<Button onclick={() => void bring.run(waiting, true)}>{say('models-room-replace-kept-one')}</Button>{/if}
    <Button onclick={() => (bring.trouble = null)}>{say('models-room-leave')}</Button>
  {/snippet}
</Trouble>
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
{#if models && known && (known.models.length || known.materials.length)}
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
