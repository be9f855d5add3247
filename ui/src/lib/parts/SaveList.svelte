<script lang="ts">
  // The jobs of this list, with their runs, stock moves and predictions, as a file that other programs read.
  import { Problem } from '../api';
  import Button from './Button.svelte';
  import Notice from './Notice.svelte';
  import { patientGet } from '../patient';
  import { say } from '$words/page-data.ftl';

  interface Props {
    /** What the list asks for, as the server takes it. */
    query: Record<string, string>;
  }
  let { query }: Props = $props();
  let writing = $state('');
  let trouble = $state.raw<Problem | null>(null);

  async function save(ending: string) {
    writing = ending;
    trouble = null;
    try {
      // As long as it takes: a hundred thousand jobs are written for more than a minute.
      const answer = await patientGet(`/api/jobs/out.${ending}?${new URLSearchParams({ ...query, all: 'true' })}`);
      const address = URL.createObjectURL(await answer.blob());
      const name = /filename=([\w.-]+)/.exec(answer.headers.get('Content-Disposition') ?? '')?.[1] ?? `jobs.${ending}`;
      Object.assign(document.createElement('a'), { href: address, download: name }).click();
      setTimeout(() => URL.revokeObjectURL(address), 60_000);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = error;
    } finally {
      writing = '';
    }
  }
</script>

<p class="quiet">{say('jobs-save-what')}</p>
<div class="row lay-row">
  <Button busy={writing === 'xlsx'} disabled={!!writing} onclick={() => void save('xlsx')}
    >{say('jobs-save-workbook')}</Button
  >
  <Button busy={writing === 'zip'} disabled={!!writing} onclick={() => void save('zip')}
    >{say('jobs-save-folder')}</Button
  >
</div>
<p role="status" class="quiet">{writing ? say('jobs-save-writing') : ''}</p>
{#if trouble}<Notice tone="care" title={trouble.body.detail}>{trouble.body.remedy}</Notice>{/if}

<style>
  p {
    max-width: 44rem;
  }
  .row {
    margin: var(--gap-3) 0;
  }
</style>
