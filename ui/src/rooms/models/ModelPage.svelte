<script lang="ts">
  import { say } from '$words/page-models.ftl';
  // One model: map with its order, dies, gaps, what was found, what it takes, and its notes.
  import { action, resource } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { fixed, plural } from '../../lib/format';
  import ScrewMap from '../../lib/maps/ScrewMap.svelte';
  import ClassShape from '../../lib/maps/ClassShape.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { go } from '../../lib/router.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { session } from '../../lib/session.svelte';
  import { KINDS } from '../../lib/words';
  import ModelFacts from './ModelFacts.svelte';

  interface Props {
    id: string;
  }
  let { id }: Props = $props();
  let torque = $state('');
  let notes = $state('');
  let sure = $state(false);
  const params = $derived({ path: { model_id: id } });
  const owner = $derived(session.present?.person?.role === 'owner');

  const kept = resource(
    () => id,
    async (model_id) => show(await take(client.GET('/api/models/{model_id}', { params: { path: { model_id } } }))),
  );
  const model = $derived(kept.value);

  function show(found: Schemas['ModelOut']) {
    torque = found.torque_notes;
    notes = found.notes;
    return found;
  }

  const save = action(async () => {
    const body = { version: model?.version ?? 0, torque_notes: torque, notes };
    kept.value = show(await take(client.PUT('/api/models/{model_id}', { params, body })));
    toast(say('model-page-notes-kept'));
  });
  const remove = action(async () => {
    await take(client.DELETE('/api/models/{model_id}', { params }));
    toast(say('model-page-model-thrown-away-its'));
    go('/models');
  });
</script>

<Trouble of={[kept, save, remove]}>
  {#snippet actions()}<Button onclick={() => void kept.load()}>{say('model-page-load-newer-state')}</Button><Button
      href="/models">{say('model-page-all-models')}</Button
    >{/snippet}
</Trouble>
{#if model}
  <header class="lay-head">
    <div>
      <h1>{model.model}</h1>
      <p class="quiet">
        {say('model-page-by-in-shop-from', {
          kind: KINDS[model.kind],
          maker: model.maker || say('maker-not-known'),
          jobs: plural(model.jobs, 'job'),
          source: !!model.source,
          source_2: model.source,
        })}
      </p>
    </div>
    <div class="lay-row">
      <Button href="/api/models/{model.id}/file" download>{say('model-page-export-as-json')}</Button>
      {#if owner && !sure}<Button onclick={() => (sure = true)}>{say('model-page-throw-away')}</Button>{/if}
      {#if sure}<Button kind="main" onclick={() => void remove.run()}>{say('model-page-yes-throw-away')}</Button>
        <Button onclick={() => (sure = false)}>{say('model-page-no')}</Button>{/if}
    </div>
  </header>
  <div class="split">
    <div>
      <ScrewMap
        kind={model.kind}
        places={model.places}
        outline={model.outline}
        label={say('model-page-map', { places: plural(model.places.length, 'place') })}
      />
      <ul class="classes lay-row">
        {#each model.classes as c (c.letter)}
          <li>
            <svg viewBox="-30 -30 60 60" width="40" height="40" aria-hidden="true"
              ><ClassShape shape={c.shape} letter={c.letter} r={22} /></svg
            >
            <span>{c.count} × {c.letter}<small>{c.words}</small></span>
          </li>
        {/each}
      </ul>
    </div>
    <div>
      <ModelFacts {model} />
    </div>
  </div>
  {#if model.steps.length}
    <section>
      <h2>{say('model-page-steps-its-own')}</h2>
      <ul class="plain">
        {#each model.steps as step, at (at)}<li>
            {step.text}<small>{say('model-page-in', { stage: step.stage })}</small>
          </li>{/each}
      </ul>
    </section>
  {/if}
  {#if model.minutes.length}
    <section>
      <h2>{say('model-page-hands-takes')}</h2>
      <DataTable
        rows={model.minutes}
        key={(row) => row.task}
        columns={[
          { head: say('model-page-task'), name: true, text: (row) => row.words },
          { head: say('model-page-median'), is: 'number', text: (row) => `${fixed(row.hands_min, 0)} min` },
          { head: say('model-page-jobs'), is: 'number', text: (row) => row.jobs },
        ]}
      />
    </section>
  {/if}
  <section class="notes lay-stack">
    <TextField
      label={say('model-page-torque-and-screws')}
      name="torque_notes"
      lines={2}
      bind:value={torque}
      hint={say('model-page-snug-spring-screws-stop')}
    />
    <TextField
      label={say('model-page-notes')}
      name="notes"
      lines={3}
      bind:value={notes}
      hint={say('model-page-weak-clip-at-left')}
    />
    <div><Button kind="main" onclick={() => void save.run()}>{say('model-page-keep-notes')}</Button></div>
  </section>
{:else if !kept.trouble}
  <p class="quiet" role="status">{say('model-page-opening-model')}</p>
{/if}

<style>
  header {
    margin-bottom: var(--gap-5);
  }
  .split {
    display: grid;
    grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
    gap: var(--gap-6);
    align-items: start;
  }
  .classes {
    gap: var(--gap-2) var(--gap-5);
    margin: var(--gap-3) 0 0;
  }
  .classes li {
    display: flex;
    align-items: center;
    gap: var(--gap-2);
    line-height: 1.25;
  }
  small {
    display: block;
    color: var(--soft);
  }
  h2 {
    margin: var(--gap-5) 0 var(--gap-2);
    font-size: var(--size-2);
  }
  .plain {
    padding-left: 1.2rem;
    list-style: disc;
  }
  section {
    margin-top: var(--gap-5);
  }
  .notes {
    max-width: 46rem;
  }
  @media (max-width: 900px) {
    .split {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
