<script lang="ts">
  // One model: map with its order, dies, gaps, what was found, what it takes, and its notes.
  import { client, Problem, take, type Schemas } from '../../lib/api';
  import { fixed, plural } from '../../lib/format';
  import ScrewMap from '../../lib/maps/ScrewMap.svelte';
  import ClassShape from '../../lib/maps/ClassShape.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { go } from '../../lib/router.svelte';
  import { say } from '../../lib/toasts.svelte';
  import { session } from '../../lib/session.svelte';
  import { KINDS, TARGETS } from '../../lib/words';

  interface Props {
    id: string;
  }
  let { id }: Props = $props();
  let model = $state.raw<Schemas['ModelOut'] | null>(null);
  let trouble = $state.raw<Problem | null>(null);
  let torque = $state('');
  let notes = $state('');
  let sure = $state(false);
  const params = $derived({ path: { model_id: id } });
  const owner = $derived(session.present?.person?.role === 'owner');

  $effect(() => void load());

  function show(found: Schemas['ModelOut']) {
    model = found;
    torque = found.torque_notes;
    notes = found.notes;
    trouble = null;
  }

  async function attempt(call: () => Promise<void>) {
    try {
      await call();
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = error;
    }
  }
  const load = () => attempt(async () => show(await take(client.GET('/api/models/{model_id}', { params }))));
  const save = () =>
    attempt(async () => {
      const body = { version: model?.version ?? 0, torque_notes: torque, notes };
      show(await take(client.PUT('/api/models/{model_id}', { params, body })));
      say('Notes kept.');
    });
  async function remove() {
    const { error, response } = await client.DELETE('/api/models/{model_id}', { params });
    if (!response.ok) {
      trouble = new Problem(error as Schemas['Problem']);
      return;
    }
    say('The model is thrown away; its jobs keep their maps.');
    go('/models');
  }

  const facts = $derived.by(() => {
    const m = model;
    if (!m) return [];
    const die = (w: number | null, l: number | null) => (w === null || l === null ? 'not measured' : `${w} × ${l} mm`);
    const rise = (v: number | null) => (v === null ? 'not known' : `${fixed(v, 0)} K over room`);
    return [
      ['Processor die', die(m.cpu_die_width_mm, m.cpu_die_length_mm)],
      ['Graphics die', die(m.gpu_die_width_mm, m.gpu_die_length_mm)],
      ['Before a service, typically', rise(m.before_rise_k)],
      ['After it', rise(m.after_rise_k)],
      [
        'A healthy one, die to room',
        m.total_k_per_w === null
          ? 'not known'
          : `${fixed(m.total_k_per_w, 2)} K/W, of it interface ${m.interface_k_per_w === null ? 'not known' : `${fixed(m.interface_k_per_w, 2)} K/W`} (${m.reference.replaceAll('_', ' ')})`,
      ],
    ];
  });
</script>

{#if trouble}
  <Notice tone="care" title={trouble.body.detail}
    >{trouble.body.remedy}
    {#snippet actions()}<Button onclick={() => void load()}>Load the newer state</Button><Button href="/models"
        >All models</Button
      >{/snippet}</Notice
  >
{/if}
{#if model}
  <header>
    <div>
      <h1>{model.model}</h1>
      <p class="quiet">
        {KINDS[model.kind]} by {model.maker || 'an unknown maker'} · {plural(model.jobs, 'job')} in the shop{model.source
          ? ` · from ${model.source}`
          : ''}
      </p>
    </div>
    <div class="row">
      <Button href="/api/models/{model.id}/file" download>Export as JSON</Button>
      {#if owner && !sure}<Button onclick={() => (sure = true)}>Throw it away</Button>{/if}
      {#if sure}<Button kind="main" onclick={() => void remove()}>Yes, throw it away</Button>
        <Button onclick={() => (sure = false)}>No</Button>{/if}
    </div>
  </header>
  <div class="split">
    <div>
      <ScrewMap
        kind={model.kind}
        places={model.places}
        outline={model.outline}
        label="Map: {plural(model.places.length, 'place')}"
      />
      <ul class="classes">
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
      <dl>
        {#each facts as [name, value] (name)}<div>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>{/each}
      </dl>
      <h2>Gaps</h2>
      {#if model.gaps.length}
        <ul class="plain">
          {#each model.gaps as gap, i (i)}
            <li>
              {TARGETS[gap.target] ?? gap.target}: {fixed(gap.reading_mm, 2)} mm, {gap.count} of {fixed(
                gap.width_mm,
                0,
              )} × {fixed(gap.length_mm, 0)} mm
            </li>
          {/each}
        </ul>
      {:else}<p class="quiet">None measured yet.</p>{/if}
      <h2>Found at the bench</h2>
      {#if model.found.length}
        <ul class="plain">
          {#each model.found as one (`${one.part}-${one.seen}`)}
            <li>{one.part}: {one.seen.toLowerCase()}, {one.times} of {plural(model.learnt_jobs, 'job')}</li>
          {/each}
        </ul>
      {:else}<p class="quiet">Nothing out of order was noted.</p>{/if}
    </div>
  </div>
  {#if model.steps.length}
    <section>
      <h2>Steps of its own</h2>
      <ul class="plain">
        {#each model.steps as step (step.text)}<li>{step.text}<small>in {step.stage}</small></li>{/each}
      </ul>
    </section>
  {/if}
  {#if model.minutes.length}
    <section>
      <h2>Hands it takes</h2>
      <DataTable>
        <thead
          ><tr
            ><th scope="col">Task</th><th scope="col" class="number">Median</th><th scope="col" class="number">Jobs</th
            ></tr
          ></thead
        >
        <tbody>
          {#each model.minutes as row (row.task)}
            <tr
              ><th scope="row">{row.words}</th><td class="number">{fixed(row.hands_min, 0)} min</td><td class="number"
                >{row.jobs}</td
              ></tr
            >
          {/each}
        </tbody>
      </DataTable>
    </section>
  {/if}
  <section class="notes">
    <TextField
      label="Torque and screws"
      name="torque_notes"
      lines={2}
      bind:value={torque}
      hint="Snug, spring screws stop at the shoulder"
    />
    <TextField
      label="Notes"
      name="notes"
      lines={3}
      bind:value={notes}
      hint="Weak clip at the left, ribbon under the speaker"
    />
    <div><Button kind="main" onclick={() => void save()}>Keep the notes</Button></div>
  </section>
{:else if !trouble}
  <p class="quiet" role="status">Opening the model …</p>
{/if}

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-3);
    margin-bottom: var(--gap-5);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-3);
  }
  .split {
    display: grid;
    grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
    gap: var(--gap-6);
    align-items: start;
  }
  .classes {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-2) var(--gap-5);
    margin: var(--gap-3) 0 0;
    padding: 0;
    list-style: none;
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
  dl {
    margin: 0;
    border-top: 2px solid var(--ink);
  }
  dl div {
    display: grid;
    grid-template-columns: 1fr 1.2fr;
    gap: var(--gap-3);
    padding: var(--gap-2) 0;
    border-bottom: 1px solid var(--rule);
  }
  dd {
    margin: 0;
    font-weight: 620;
  }
  h2 {
    margin: var(--gap-5) 0 var(--gap-2);
    font-size: var(--size-2);
  }
  .plain {
    margin: 0;
    padding-left: 1.2rem;
  }
  section {
    margin-top: var(--gap-5);
  }
  .notes {
    display: grid;
    gap: var(--gap-3);
    max-width: 46rem;
  }
  @media (max-width: 900px) {
    .split {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
