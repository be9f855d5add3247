<script lang="ts">
  // What must be settled before anyone opens the device.
  import { say } from '$words/page-job.ftl';
  import Choice from '../../lib/parts/Choice.svelte';
  import Tick from '../../lib/parts/Tick.svelte';
  import { known, type IntakeForm } from './intake-form';
  import IntakeGates from './IntakeGates.svelte';
  import IntakeSection from './IntakeSection.svelte';

  interface Props {
    form: IntakeForm;
    /** What was agreed, by rule. */
    agreed: Record<string, string>;
    /** Rules that were acknowledged before. */
    settled: string[];
  }
  let { form = $bindable(), agreed = $bindable(), settled }: Props = $props();
</script>

<IntakeSection title={say('intake-before-anyone-opens')} why="order-of-work">
  <Choice
    legend={say('intake-backup-done')}
    name="backup_done"
    bind:value={form.backup_done}
    options={known(say('intake-yes'), say('intake-no'))}
  />
  <Choice
    legend={say('intake-warranty')}
    name="warranty"
    bind:value={form.warranty}
    options={[
      { value: 'unknown', label: say('conditions-form-not-known') },
      { value: 'running', label: say('intake-running') },
      { value: 'over', label: say('intake-over') },
    ]}
  />
  <Choice
    legend={say('intake-tamper-seal')}
    name="seal"
    bind:value={form.seal}
    options={[
      { value: 'unknown', label: say('conditions-form-not-known') },
      { value: 'intact', label: say('intake-intact') },
      { value: 'broken', label: say('intake-broken') },
      { value: 'none', label: say('intake-none') },
    ]}
  />
  <div class="ticks lay-row">
    <Tick label={say('intake-battery-swollen')} tone="halt" bind:checked={form.battery_swollen} />
    <Tick label={say('intake-traces-liquid')} bind:checked={form.liquid_damage} />
  </div>
  <IntakeGates {form} bind:words={agreed} {settled} />
</IntakeSection>

<style>
  .ticks {
    gap: var(--gap-2);
    align-items: end;
  }
</style>
