<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import type { Suggestions } from '../../lib/suggestions.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import { languageOptions } from '../../lib/languages';
  import DateField from '../../lib/parts/DateField.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import IntakeSection from './IntakeSection.svelte';
  import { known, type IntakeForm } from './intake-form';

  interface Props {
    form: IntakeForm;
    errors: Record<string, string>;
    suggestions: Suggestions;
  }
  let { form = $bindable(), errors, suggestions }: Props = $props();
  const languages = languageOptions();
</script>

<IntakeSection title={say('intake-life-its-life')}>
  <TextField
    label={say('intake-life-age')}
    name="age_months"
    numeric
    unit="months"
    bind:value={form.age_months}
    error={errors.age_months}
  />
  <TextField
    label={say('intake-life-since-last-service')}
    name="months_since_service"
    numeric
    unit="months"
    bind:value={form.months_since_service}
    error={errors.months_since_service}
  />
  {#if languages.length > 1}
    <Pick label={say('intake-language')} name="language" options={languages} bind:value={form.language} />
  {/if}
  <Choice
    legend={say('intake-life-surroundings')}
    name="surroundings"
    wide
    bind:value={form.surroundings}
    options={[
      { value: 'unknown', label: say('conditions-form-not-known') },
      { value: 'normal', label: say('intake-life-clean') },
      { value: 'dusty', label: say('intake-life-dusty') },
      { value: 'pets', label: say('intake-life-pets') },
      { value: 'smoke', label: say('intake-life-smoke') },
    ]}
  />
  <Choice
    legend={say('intake-life-used-on')}
    name="place"
    wide
    bind:value={form.place}
    options={[
      { value: 'unknown', label: say('conditions-form-not-known') },
      { value: 'desk', label: say('intake-life-desk') },
      { value: 'stand', label: say('intake-life-stand') },
      { value: 'dock', label: say('intake-life-dock') },
      { value: 'lap', label: say('intake-life-lap') },
      { value: 'hand', label: say('intake-life-hand') },
    ]}
  />
  <Choice
    legend={say('intake-life-fan')}
    name="fan"
    wide
    bind:value={form.fan}
    options={[
      { value: 'unknown', label: say('conditions-form-not-known') },
      { value: 'yes', label: say('intake-life-has-one') },
      { value: 'no', label: say('intake-life-has-none') },
    ]}
  />
  <TextField
    label={say('intake-life-where-lives')}
    name="lives"
    bind:value={form.lives}
    error={errors.lives}
    hint={say('intake-life-lid-closed-shelf-carpet')}
  />
  <TextField
    label={say('intake-life-interface-from-factory')}
    name="factory_interface"
    bind:value={form.factory_interface}
    error={errors.factory_interface}
    suggestions={suggestions.of('factory_interface')}
    onfocus={() => void suggestions.ask('factory_interface')}
  />
  <Choice
    legend={say('intake-lidded')}
    name="lidded"
    bind:value={form.lidded}
    options={known(say('intake-lidded-yes'), say('intake-lidded-no'))}
  />
  <DateField
    label={say('intake-done-on')}
    name="done_on"
    bind:value={form.done_on}
    error={errors.done_on}
    hint={say('intake-done-on-hint')}
  />
</IntakeSection>
