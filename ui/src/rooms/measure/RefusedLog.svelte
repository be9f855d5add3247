<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  import type { Problem } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import { ROLES } from '../../lib/words';

  interface Props {
    problem: Problem;
    file: File;
    jobId: string;
    onretry: (options: { roles?: Record<string, string | null>; again?: boolean }) => void;
    accept: string;
    onfile: (file: File) => void;
    ondrop: () => void;
  }
  let { problem, file, jobId, onretry, accept, onfile, ondrop }: Props = $props();
  let chooser: HTMLInputElement | undefined = $state();
  const nameable = $derived(problem.body.reason === 'no_temperature' && problem.body.headers.length > 0);
  let header = $state('');
  let role = $state('cpu_temperature');
  const temperatures = ['cpu_temperature', 'gpu_temperature', 'gpu_hotspot'];
</script>

<Notice tone="care" title={problem.body.detail}>
  <p>{problem.body.remedy}</p>
  {#if nameable}
    <div class="name">
      <Pick
        label={say('refused-log-this-column')}
        name="header"
        bind:value={header}
        options={[
          { value: '', label: say('refused-log-choose-column') },
          ...problem.body.headers.map((h) => ({ value: h, label: h })),
        ]}
      />
      <Pick
        label={say('refused-log-holds')}
        name="role"
        bind:value={role}
        options={temperatures.map((r) => ({ value: r, label: (ROLES[r] ?? r).toLowerCase() }))}
      />
    </div>
  {/if}
  {#snippet actions()}
    {#if nameable}
      <Button kind="main" disabled={!header} onclick={() => onretry({ roles: { [header]: role } })}
        >{say('refused-log-read-again-like-this')}</Button
      >
    {:else if problem.body.reason === 'same_file_elsewhere'}
      <Button onclick={() => onretry({ again: true })}>{say('refused-log-use-here-as-well')}</Button>
    {:else if problem.body.reason === 'no_repeat'}
      <Button href="/jobs/{jobId}/runs">{say('refused-log-to-all-runs')}</Button>
    {:else if ['offline', 'stopped', 'broken_off', 'busy'].includes(problem.body.reason)}
      <Button kind="main" onclick={() => onretry({})}>{say('refused-log-send-again', { name: file.name })}</Button>
    {/if}
    {#if problem.body.reason === 'same_file_other_run'}
      <Button href="/jobs/{jobId}/runs">{say('refused-log-to-all-runs')}</Button>
    {/if}
    <Button onclick={() => chooser?.click()}>{say('refused-log-choose-another-file')}</Button>
    <Button kind="bare" onclick={ondrop}>{say('refused-log-leave-it')}</Button>
  {/snippet}
</Notice>
<input
  bind:this={chooser}
  class="off-screen"
  type="file"
  {accept}
  tabindex="-1"
  aria-label={say('refused-log-choose-another-file')}
  onchange={(e) => {
    const chosen = e.currentTarget.files?.[0];
    e.currentTarget.value = '';
    if (chosen) onfile(chosen);
  }}
/>

<style>
  .name {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: var(--gap-3);
    margin-top: var(--gap-2);
  }
</style>
