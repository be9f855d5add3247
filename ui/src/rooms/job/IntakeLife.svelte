<script lang="ts">
  import type { Suggestions } from '../../lib/suggestions.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import IntakeSection from './IntakeSection.svelte';
  import type { IntakeForm } from './intake-form';

  interface Props {
    form: IntakeForm;
    errors: Record<string, string>;
    suggestions: Suggestions;
  }
  let { form = $bindable(), errors, suggestions }: Props = $props();
</script>

<IntakeSection title="Its life">
  <TextField
    label="Age"
    name="age_months"
    numeric
    unit="months"
    bind:value={form.age_months}
    error={errors.age_months}
  />
  <TextField
    label="Since the last service"
    name="months_since_service"
    numeric
    unit="months"
    bind:value={form.months_since_service}
    error={errors.months_since_service}
  />
  <Choice
    legend="Surroundings"
    name="surroundings"
    wide
    bind:value={form.surroundings}
    options={[
      { value: 'unknown', label: 'Not known' },
      { value: 'normal', label: 'Clean' },
      { value: 'dusty', label: 'Dusty' },
      { value: 'pets', label: 'Pets' },
      { value: 'smoke', label: 'Smoke' },
    ]}
  />
  <Choice
    legend="Used on"
    name="place"
    wide
    bind:value={form.place}
    options={[
      { value: 'unknown', label: 'Not known' },
      { value: 'desk', label: 'Desk' },
      { value: 'stand', label: 'Stand' },
      { value: 'dock', label: 'Dock' },
      { value: 'lap', label: 'Lap' },
      { value: 'hand', label: 'Hand' },
    ]}
  />
  <Choice
    legend="Fan"
    name="fan"
    wide
    bind:value={form.fan}
    options={[
      { value: 'unknown', label: 'Not known' },
      { value: 'yes', label: 'Has one' },
      { value: 'no', label: 'Has none' },
    ]}
  />
  <TextField
    label="Where it lives"
    name="lives"
    bind:value={form.lives}
    error={errors.lives}
    hint="Lid closed, shelf, carpet, in a bag"
  />
  <TextField
    label="Interface from the factory"
    name="factory_interface"
    bind:value={form.factory_interface}
    error={errors.factory_interface}
    suggestions={suggestions.of('factory_interface')}
    onfocus={() => void suggestions.ask('factory_interface')}
  />
</IntakeSection>
