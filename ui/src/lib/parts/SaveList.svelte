<script lang="ts">
  // The jobs of this list, with their runs, stock moves and predictions, as a file that other programs read.
  import { action } from '../asking.svelte';
  import Button from './Button.svelte';
  import Trouble from './Trouble.svelte';
  import { patientGet } from '../patient';
  import { say } from '$words/page-data.ftl';

  interface Props {
    /** What the list asks for, as the server takes it. */
    query: Record<string, string>;
  }
  let { query }: Props = $props();
  let writing = $state('');
  const save = action(async (ending: string) => {
    writing = ending;
    // As long as it takes: a hundred thousand jobs are written for more than a minute.
    const answer = await patientGet(`/api/jobs/out.${ending}?${new URLSearchParams({ ...query, all: 'true' })}`);
    const address = URL.createObjectURL(await answer.blob());
    const name = /filename=([\w.-]+)/.exec(answer.headers.get('Content-Disposition') ?? '')?.[1] ?? `jobs.${ending}`;
    Object.assign(document.createElement('a'), { href: address, download: name }).click();
    setTimeout(() => URL.revokeObjectURL(address), 60_000);
  });
</script>

<p class="quiet">{say('jobs-save-what')}</p>
<div class="row lay-row">
  <Button busy={save.busy && writing === 'xlsx'} disabled={save.busy} onclick={() => void save.run('xlsx')}
    >{say('jobs-save-workbook')}</Button
  >
  <Button busy={save.busy && writing === 'zip'} disabled={save.busy} onclick={() => void save.run('zip')}
    >{say('jobs-save-folder')}</Button
  >
</div>
<p role="status" class="quiet">{save.busy ? say('jobs-save-writing') : ''}</p>
<Trouble of={save} />

<style>
  p {
    max-width: 44rem;
  }
  .row {
    margin: var(--gap-3) 0;
  }
</style>
