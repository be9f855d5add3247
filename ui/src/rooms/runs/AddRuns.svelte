<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // Several logs in one go: a run each, conditions from another, and what the file name tells as a guess.
  import { checkSize, client, Problem, take, uploadLog, type Schemas } from '../../lib/api';
  import { once } from '../../lib/once';
  import FileDrop from '../../lib/parts/FileDrop.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { guessFrom } from './guess';
  import { nameOf, stateWords } from '../../lib/run-names';

  interface Props {
    jobId: string;
    found: Schemas['AllRunsOut'];
    onadded: () => void;
  }
  let { jobId, found, onadded }: Props = $props();
  let like = $state('');
  let stateId = $state('');
  let reading = $state('');
  let guessed = $state.raw<{ name: string; told: string }[]>([]);
  let refused = $state.raw<{ name: string; why: string }[]>([]);

  const model = $derived(found.runs.some((r) => r.key === like) ? like : (found.runs.at(-1)?.key ?? ''));
  const within = $derived(found.states.some((s) => s.id === stateId) ? stateId : (found.states.at(-1)?.id ?? ''));

  async function add(file: File) {
    const guess = guessFrom(file.name);
    const tooLarge = checkSize(file, '');
    if (tooLarge) throw tooLarge;
    const rest = { firmware: '', load_recipe: '', power_profile: '' };
    const body = { ...guess, ...rest, state_id: within || null, like: model || null };
    const next = await take(client.POST('/api/jobs/{job_id}/all-runs', { params: { path: { job_id: jobId } }, body }));
    const key = next.runs.at(-1)?.key ?? '';
    try {
      const told = [guess.fan_setting, guess.placement, guess.tuning].filter(Boolean).join(' · ');
      await uploadLog(jobId, key, file, { progress: () => undefined }).done;
      if (told) guessed = [...guessed, { name: guess.name, told }];
    } catch (error) {
      // A run without its log is of no use: nothing half-stored.
      const run_id = next.runs.at(-1)?.id ?? '';
      await take(
        client.DELETE('/api/jobs/{job_id}/all-runs/{run_id}', { params: { path: { job_id: jobId, run_id } } }),
      );
      throw error;
    }
  }

  const addAll = once(async (files: File[]) => {
    refused = [];
    guessed = [];
    let added = 0;
    for (const file of files) {
      reading = file.name;
      try {
        await add(file);
        added += 1;
      } catch (error) {
        if (!(error instanceof Problem)) throw error;
        refused = [...refused, { name: file.name, why: error.words }];
      }
    }
    reading = '';
    if (added) toast(say('run-list-added', { n: added }));
    onadded();
  });
</script>

<section>
  <h2>{say('run-list-add')}</h2>
  <p class="quiet">{say('run-list-add-words')}</p>
  <div class="fields lay-stack">
    <Pick
      label={say('run-list-like')}
      name="like"
      bind:value={() => model, (next) => (like = next)}
      options={found.runs.map((r) => ({ value: r.key, label: nameOf(r) }))}
    />
    <Pick
      label={say('run-list-in-state')}
      name="state"
      bind:value={() => within, (next) => (stateId = next)}
      options={found.states.map((s) => ({ value: s.id, label: stateWords(s) }))}
    />
  </div>
  {#if reading}
    <p role="status">{say('run-list-reading', { name: reading })}</p>
  {:else}
    <FileDrop
      label={say('run-list-add-files')}
      hint={say('run-list-add-hint')}
      low
      folder={say('run-list-add-folder')}
      accept=".csv,.txt,.tsv,.log,.xlsx,.jsonl,.ndjson,.json,.parquet,text/csv,text/plain"
      onfiles={(files) => void addAll(files)}
    />
  {/if}
  {#if guessed.length}
    <Notice title={say('run-list-guess')}>
      {#each guessed as one (one.name)}<span class="guess">{one.name}: {one.told}</span>{/each}
    </Notice>
  {/if}
  {#each refused as one (one.name)}
    <Notice tone="care">{say('run-list-refused', { name: one.name, why: one.why })}</Notice>
  {/each}
</section>

<style>
  h2 {
    margin: 0;
    font-size: var(--size-3);
  }
  .guess {
    display: block;
  }
  .fields {
    margin: var(--gap-3) 0;
  }
</style>
