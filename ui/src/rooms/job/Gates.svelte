<script lang="ts">
  import { client, Problem, take, type Job } from '../../lib/api';
  import { day } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { say } from '../../lib/toasts.svelte';

  interface Props {
    job: Job;
    gates?: Job['gates'];
    onchange: () => Promise<void>;
  }
  let { job, gates = job.gates, onchange }: Props = $props();
  let words = $state<Record<string, string>>({});
  let errors = $state<Record<string, string>>({});

  async function acknowledge(rule: string) {
    try {
      await take(
        client.POST('/api/jobs/{job_id}/acknowledgements', {
          params: { path: { job_id: job.id } },
          body: { rule, words: words[rule] ?? '' },
        }),
      );
      errors = {};
      say('Noted with your name and the time.');
      await onchange();
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = { [rule]: `${error.body.detail} ${error.body.remedy}` };
    }
  }
</script>

<div class="gates">
  {#each gates as gate (gate.rule)}
    {@const open = gate.severity === 'acknowledge' && !gate.acknowledged_by}
    <Notice
      tone={gate.severity === 'stop' ? 'halt' : open ? 'care' : 'note'}
      title={gate.severity === 'stop' ? `Stopped for safety. ${gate.reason}` : gate.reason}
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
            label="What was agreed, in words"
            name="words-{gate.rule}"
            bind:value={() => words[gate.rule] ?? '', (v) => (words[gate.rule] = v)}
            error={errors[gate.rule]}
          />
          <Button type="submit">Acknowledge</Button>
        </form>
      {/if}
    </Notice>
  {/each}
</div>

<style>
  .gates {
    display: grid;
    gap: var(--gap-3);
  }
  form {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: var(--gap-3);
    align-items: end;
    margin-top: var(--gap-2);
  }
</style>
