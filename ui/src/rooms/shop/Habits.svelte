<script lang="ts">
  import { say } from '$words/page-shop.ftl';
  import type { Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import { languageOptions } from '../../lib/languages';
  import { zoneHere } from '../../lib/zone';
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
  <h2>{say('habits-price-and-ways-shop')}</h2>
  <div class="grid">
    <TextField
      label={say('habits-rate-hour-without-tax-2')}
      name="hourly_rate"
      numeric
      unit={shop.currency}
      bind:value={form.hourly_rate}
      error={errors.hourly_rate}
    />
    <TextField
      label={say('habits-tax')}
      name="tax_percent"
      numeric
      unit="%"
      bind:value={form.tax_percent}
      error={errors.tax_percent}
      hint={say('habits-when-prices-carry-none')}
    />
    <Pick
      label={say('habits-paste-goes-on-as')}
      name="application_school"
      options={SCHOOLS}
      bind:value={form.application_school}
      hint={say('habits-schools-differ-plan-says')}
    />
    <Pick
      label={say('habits-next-look')}
      name="life_school"
      options={LIFE_SCHOOLS}
      bind:value={form.life_school}
      hint={say('habits-paste-to-months-phase')}
    />
    <Pick
      label={say('habits-screws-without-numbers')}
      name="tighten_percent"
      options={TIGHTENING}
      bind:value={form.tighten_percent}
      hint={say('habits-first-round-coolers-screws')}
    />
    <TextField
      label={say('habits-usual-load')}
      name="usual_load"
      bind:value={form.usual_load}
      hint={say('habits-usual-hint')}
    />
    <TextField label={say('habits-usual-fan')} name="usual_fan" bind:value={form.usual_fan} />
    <TextField
      label={say('habits-work-warranty')}
      name="work_warranty"
      numeric
      unit="months"
      bind:value={form.work_warranty_months}
      error={errors.work_warranty}
      hint={say('habits-work-warranty-hint')}
    />
    <Pick
      label={say('habits-language')}
      name="language"
      options={languageOptions()}
      bind:value={form.language}
      hint={say('habits-language-hint')}
    />
    <TextField
      label={say('habits-customer-address')}
      name="customer_address"
      bind:value={form.customer_address}
      error={errors.customer_address}
      hint={say('habits-customer-address-hint')}
    />
    <TextField
      label={say('habits-zone')}
      name="zone"
      suggestions={Intl.supportedValuesOf('timeZone')}
      bind:value={form.zone}
      error={errors.zone}
      hint={form.zone === zoneHere() ? say('habits-zone-hint') : say('habits-zone-here', { zone: zoneHere() })}
    />
    <TextField
      label={say('habits-link-months')}
      name="link_months"
      numeric
      unit="months"
      bind:value={form.link_months}
      error={errors.link_months}
    />
  </div>
  <Working summary={say('habits-minutes-hands-task-by')}>
    <div class="grid tasks">
      {#each shop.tasks as task (task.name)}
        <div>
          <TextField
            label={task.words[0]?.toUpperCase() + task.words.slice(1)}
            name="hands-{task.name}"
            numeric
            unit="min"
            bind:value={() => form.hands_min[task.name] ?? '', (v) => (form.hands_min[task.name] = v)}
            error={errors[task.name]}
            hint={say('habits-usual-min-min-waiting', {
              hands_min: fixed(task.hands_min, 0),
              wait_min: !!task.wait_min,
              wait_min_2: fixed(task.wait_min, 0),
            })}
          />
          {#if task.learnt_min !== null && fixed(task.learnt_min, 0) !== (form.hands_min[task.name] || fixed(task.hands_min, 0))}
            {@const minutes = fixed(task.learnt_min, 0)}
            <Button kind="bare" onclick={() => (form.hands_min[task.name] = minutes)}
              >{say('habits-take-minutes', { minutes, jobs: task.learnt_jobs })}</Button
            >
          {/if}
        </div>
      {/each}
    </div>
  </Working>
  <h3>{say('habits-how-right-were-your')}</h3>
  {#if shop.predicted.jobs}
    <p>
      {say('habits-measured-jobs-ended-inside', {
        inside: shop.predicted.inside,
        jobs: shop.predicted.jobs,
        share: percent(shop.predicted.share),
        low: percent(shop.predicted.low),
        high: percent(shop.predicted.high),
      })}
    </p>
  {:else}
    <p class="quiet">{say('habits-no-planned-job-was')}</p>
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
