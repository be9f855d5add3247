<script lang="ts">
  import { say } from '../job/words';
  import TextField from '../../lib/parts/TextField.svelte';
  import IntakeSection from './IntakeSection.svelte';
  import type { IntakeForm } from './intake-form';

  interface Props {
    form: IntakeForm;
    errors: Record<string, string>;
  }
  const SENSORS = [
    { role: 'gpu_hotspot', label: say('intake-limit-hotspot') },
    { role: 'memory_temperature', label: say('intake-limit-memory') },
    { role: 'regulator_temperature', label: say('intake-limit-regulators') },
    { role: 'drive_temperature', label: say('intake-limit-drive') },
    { role: 'skin_temperature', label: say('intake-limit-surface') },
  ];
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
    label={say('intake-temperature')}
    name="limit_c"
    numeric
    unit="°C"
    bind:value={form.limit_c}
    error={errors.limit_c}
  />
  {#each SENSORS as sensor (sensor.role)}
    <TextField
      label={sensor.label}
      name={sensor.role}
      numeric
      unit="°C"
      bind:value={
        () => form.sensor_limits[sensor.role] ?? '',
        (typed) => (form.sensor_limits = { ...form.sensor_limits, [sensor.role]: typed })
      }
      error={errors[sensor.role]}
    />
  {/each}
</IntakeSection>
