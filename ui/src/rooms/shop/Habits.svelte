<script lang="ts">
  import type { Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { LIFE_SCHOOLS, SCHOOLS, TIGHTENING, type HabitsForm } from './habits';

  interface Props {
    shop: Schemas['ShopOut'];
    form: HabitsForm;
    errors: Record<string, string>;
  }
  let { shop, form = $bindable(), errors }: Props = $props();
  const percent = (share: number | null) => (share === null ? '' : fixed(100 * share, 0));
</script>

<section>
  <h2>Price and ways of the shop</h2>
  <div class="grid">
    <TextField
      label="Rate of an hour, without tax"
      name="hourly_rate"
      numeric
      unit={shop.currency}
      bind:value={form.hourly_rate}
      error={errors.hourly_rate}
    />
    <TextField
      label="Tax"
      name="tax_percent"
      numeric
      unit="%"
      bind:value={form.tax_percent}
      error={errors.tax_percent}
      hint="0 when prices carry none"
    />
    <Pick
      label="Paste goes on as"
      name="application_school"
      options={SCHOOLS}
      bind:value={form.application_school}
      hint="Schools differ; the plan says which was used and why"
    />
    <Pick
      label="Next look"
      name="life_school"
      options={LIFE_SCHOOLS}
      bind:value={form.life_school}
      hint="Paste 12 to 36 months, phase change 3 to 5 years, by school"
    />
    <Pick
      label="Screws without numbers"
      name="tighten_percent"
      options={TIGHTENING}
      bind:value={form.tighten_percent}
      hint="First round of the cooler’s screws; both schools are taught"
    />
  </div>
  <Working summary="Minutes of hands, task by task">
    <div class="grid tasks">
      {#each shop.tasks as task (task.name)}
        <TextField
          label={task.words[0]?.toUpperCase() + task.words.slice(1)}
          name="hands-{task.name}"
          numeric
          unit="min"
          bind:value={() => form.hands_min[task.name] ?? '', (v) => (form.hands_min[task.name] = v)}
          error={errors[task.name]}
          hint="usual {fixed(task.hands_min, 0)} min{task.wait_min
            ? `, and ${fixed(task.wait_min, 0)} min of waiting`
            : ''}{task.learnt_min === null
            ? ''
            : `; the bench shows ${fixed(task.learnt_min, 0)} min over ${task.learnt_jobs} jobs`}"
        />
      {/each}
    </div>
  </Working>
  <h3>How right were your predictions?</h3>
  {#if shop.predicted.jobs}
    <p>
      {shop.predicted.inside} of {shop.predicted.jobs} measured jobs ended inside their interval of 80 %: {percent(
        shop.predicted.share,
      )} %, and by chance it could be {percent(shop.predicted.low)} to {percent(shop.predicted.high)} %.
    </p>
  {:else}
    <p class="quiet">No planned job was measured After yet. Each one that is counts here.</p>
  {/if}
</section>

<style>
  section {
    grid-column: 1 / -1;
    margin-top: var(--gap-4);
    padding-top: var(--gap-4);
    border-top: 2px solid var(--ink);
  }
  h2,
  h3 {
    margin-bottom: var(--gap-3);
  }
  h3 {
    margin-top: var(--gap-4);
  }
  .grid {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 24rem));
    gap: var(--gap-4) var(--gap-6);
    align-items: start;
  }
  .tasks {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
  @media (max-width: 760px) {
    .grid {
      grid-template-columns: 1fr;
    }
  }
</style>
