<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  // What the load itself said of the run.
  import TextField from '../../lib/parts/TextField.svelte';
  import type { ConditionsText } from './conditions-form';

  interface Props {
    form: ConditionsText;
    errors: Record<string, string>;
  }
  let { form = $bindable(), errors }: Props = $props();
</script>

<h3>{say('conditions-form-what-scored')}</h3>
<div class="grid">
  <TextField
    label={say('conditions-form-score')}
    name="result_score"
    numeric
    unit="points"
    bind:value={form.result_score}
    error={errors.result_score}
  />
  <TextField
    label={say('conditions-form-took')}
    name="result_duration_s"
    numeric
    unit="m:ss"
    bind:value={form.result_duration_s}
    error={errors.result_duration_s}
  />
  <TextField
    label={say('conditions-form-frame-rate')}
    name="result_frame_rate"
    numeric
    unit="1/s"
    bind:value={form.result_frame_rate}
    error={errors.result_frame_rate}
  />
</div>

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 11rem), 1fr));
    gap: var(--gap-3) var(--gap-4);
  }
</style>
