<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import TextField from '../../lib/parts/TextField.svelte';
  import IntakeSection from './IntakeSection.svelte';
  import { limitField, LIMITED, type IntakeForm } from './intake-form';

  interface Props {
    form: IntakeForm;
    errors: Record<string, string>;
  }
  const LABELS: Record<(typeof LIMITED)[number], string> = {
    gpu_hotspot: say('intake-limit-hotspot'),
    memory_temperature: say('intake-limit-memory'),
    regulator_temperature: say('intake-limit-regulators'),
    drive_temperature: say('intake-limit-drive'),
    skin_temperature: say('intake-limit-surface'),
  };
  let { form = $bindable(), errors }: Props = $props();
</script>

<IntakeSection title={say('intake-limits-if-known')} columns={3}>
  <TextField
    label={say('intake-processor-power')}
    name="power_limit_cpu_w"
    numeric
    unit="W"
    bind:value={form.power_limit_cpu_w}
    error={errors.power_limit_cpu_w}
  />
  <TextField
    label={say('intake-graphics-power')}
    name="power_limit_gpu_w"
    numeric
    unit="W"
    bind:value={form.power_limit_gpu_w}
    error={errors.power_limit_gpu_w}
  />
  <TextField
    label={say('intake-shared-power')}
    name="power_limit_both_w"
    numeric
    unit="W"
    bind:value={form.power_limit_both_w}
    error={errors.power_limit_both_w}
  />
  <TextField
    label={say('intake-temperature')}
    name="limit_c"
    numeric
    unit="°C"
    bind:value={form.limit_c}
    error={errors.limit_c}
  />
  {#each LIMITED as role (role)}
    <TextField
      label={LABELS[role]}
      name={limitField(role)}
      numeric
      unit="°C"
      bind:value={form[limitField(role)]}
      error={errors[limitField(role)] ?? errors[role]}
    />
  {/each}
</IntakeSection>
