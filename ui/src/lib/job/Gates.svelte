<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import { client, Problem, take, type Job } from '../api';
  import { once } from '../once';
  import { day } from '../format';
  import Button from '../parts/Button.svelte';
  import Notice from '../parts/Notice.svelte';
  import TextField from '../parts/TextField.svelte';
  import { toast } from '../toasts.svelte';

  interface Props {
    job: Job;
    gates?: Job['gates'];
    onchange: () => Promise<void>;
  }
  let { job, gates = job.gates, onchange }: Props = $props();
  let words = $state<Record<string, string>>({});
  let errors = $state<Record<string, string>>({});

  const acknowledge = once(async (rule: string) => {
    try {
      await take(
        client.POST('/api/jobs/{job_id}/acknowledgements', {
          params: { path: { job_id: job.id } },
          body: { rule, words: words[rule] ?? '' },
        }),
      );
      errors = {};
      toast(say('gates-noted-with-your-name'));
      await onchange();
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = { [rule]: error.words };
    }
  });
</script>

<div class="lay-stack">
  {#each gates as gate (gate.rule)}
    {@const open = gate.severity === 'acknowledge' && !gate.acknowledged_by}
    <Notice
      tone={gate.severity === 'stop' ? 'halt' : open ? 'care' : 'note'}
      title={gate.severity === 'stop' ? say('gates-stopped-for-safety', { reason: gate.reason }) : gate.reason}
    >
      <p>{gate.remedy}</p>
      {#if gate.acknowledged_by}
        <p class="quiet">“{gate.words}”: {gate.acknowledged_by}, {day(gate.acknowledged_at)}</p>
      {:else if open}
        <form
          onsubmit={(e) => {
            e.preventDefault();
            void acknowledge(gate.rule);
          }}
        >
          <TextField
            label={say('gates-what-was-agreed-in')}
            name="words-{gate.rule}"
            bind:value={() => words[gate.rule] ?? '', (v) => (words[gate.rule] = v)}
            error={errors[gate.rule]}
          />
          <Button type="submit">{say('gates-acknowledge')}</Button>
        </form>
      {/if}
    </Notice>
  {/each}
</div>

<style>
  form {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: var(--gap-3);
    align-items: end;
    margin-top: var(--gap-2);
  }
</style>
