<script lang="ts">
  // What this intake trips, settled while the customer stands there: nothing of it comes up as a surprise later.
  import { say } from '$words/page-job.ftl';
  import { client, take } from '../../lib/api';
  import { resource } from '../../lib/asking.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import type { IntakeForm } from './intake-form';

  interface Props {
    form: IntakeForm;
    /** What was agreed, by rule. */
    words: Record<string, string>;
    /** Rules that were acknowledged before. */
    settled: string[];
  }
  let { form, words = $bindable(), settled }: Props = $props();
  const asked = $derived({
    kind: form.kind,
    backup_done: form.backup_done,
    warranty: form.warranty,
    seal: form.seal,
    battery_swollen: form.battery_swollen,
    liquid_damage: form.liquid_damage,
  });
  // Without the server the gates come with the saved job, as they always do.
  const found = resource(
    () => asked,
    (query) => take(client.GET('/api/intake/gates', { params: { query } })),
  );
  const gates = $derived(found.value?.gates ?? []);
  // A question that was not answered yet trips nothing here: it is still to be asked.
  const shown = $derived(
    gates.filter((g) => !settled.includes(g.rule) && !(g.rule === 'backup' && form.backup_done === 'unknown')),
  );
</script>

{#each shown as gate (gate.rule)}
  <div class="gate">
    <Notice
      tone={gate.severity === 'stop' ? 'halt' : gate.severity === 'acknowledge' ? 'care' : 'note'}
      title={gate.severity === 'stop' ? say('gates-stopped-for-safety', { reason: gate.reason }) : gate.reason}
    >
      <p>{gate.remedy}</p>
      {#if gate.severity === 'acknowledge'}
        <TextField
          label={say('gates-what-was-agreed-in')}
          name="agreed-{gate.rule}"
          bind:value={() => words[gate.rule] ?? '', (v) => (words = { ...words, [gate.rule]: v })}
        />
      {/if}
    </Notice>
  </div>
{/each}

<style>
  .gate {
    grid-column: 1 / -1;
  }
  p {
    margin-bottom: var(--gap-2);
  }
</style>
