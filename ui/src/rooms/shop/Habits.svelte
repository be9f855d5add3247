<script lang="ts">
  import { say } from '$words/page-shop.ftl';
  import { untrack } from 'svelte';
  import type { Schemas } from '../../lib/api';
  import type { FieldList } from '../../lib/fields';
  import { fixed } from '../../lib/format';
  import { languageOptions } from '../../lib/languages';
  import Button from '../../lib/parts/Button.svelte';
  import Fields from '../../lib/parts/Fields.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { SentForm } from '../../lib/sent-form.svelte';
  import { zoneHere } from '../../lib/zone';

  interface Props {
    shop: Schemas['ShopOut'];
    owner: boolean;
    save: (given: Partial<Schemas['ShopIn']>) => Promise<void>;
  }
  let { shop, owner, save }: Props = $props();
  const percent = (share: number | null) => (share === null ? '' : fixed(100 * share, 0));
  const needed = say('shop-type-number');
  const unit = 'months';

  const SCHOOLS = [
    { value: '', label: say('habits-die-and-paste-decide') },
    { value: 'bead', label: say('habits-bead') },
    { value: 'line', label: say('habits-line') },
    { value: 'cross', label: say('habits-cross') },
    { value: 'film', label: say('habits-spread-film') },
  ];
  const LIFE_SCHOOLS = [
    { value: 'careful', label: say('habits-careful-sooner') },
    { value: 'usual', label: say('habits-usual') },
    { value: 'long', label: say('habits-long') },
  ];
  const TIGHTENING = [
    { value: '50', label: say('habits-half-turns-then-fully') },
    { value: '70', label: say('habits-turns-then-fully') },
  ];
  const HABITS = [
    {
      key: 'hourly_rate_cents',
      kind: 'price',
      label: say('habits-rate-hour-without-tax-2'),
      unit: untrack(() => shop.currency),
      needed,
    },
    {
      key: 'tax_percent',
      kind: 'number',
      label: say('habits-tax'),
      unit: '%',
      hint: say('habits-when-prices-carry-none'),
      needed,
    },
    {
      key: 'application_school',
      kind: 'pick',
      label: say('habits-paste-goes-on-as'),
      options: SCHOOLS,
      hint: say('habits-schools-differ-plan-says'),
    },
    {
      key: 'life_school',
      kind: 'pick',
      label: say('habits-next-look'),
      options: LIFE_SCHOOLS,
      hint: say('habits-paste-to-months-phase'),
    },
    {
      key: 'tighten_percent',
      kind: 'pick',
      label: say('habits-screws-without-numbers'),
      options: TIGHTENING,
      hint: say('habits-first-round-coolers-screws'),
    },
    { key: 'usual_load', label: say('habits-usual-load'), hint: say('habits-usual-hint') },
    { key: 'usual_fan', label: say('habits-usual-fan') },
    {
      key: 'work_warranty_months',
      kind: 'whole',
      label: say('habits-work-warranty'),
      unit,
      hint: say('habits-work-warranty-hint'),
    },
    {
      key: 'language',
      kind: 'pick',
      label: say('habits-language'),
      options: languageOptions(),
      hint: say('habits-language-hint'),
    },
    { key: 'customer_address', label: say('habits-customer-address'), hint: say('habits-customer-address-hint') },
    { key: 'zone', label: say('habits-zone'), offered: Intl.supportedValuesOf('timeZone') },
    { key: 'link_months', kind: 'whole', label: say('habits-link-months'), unit, needed },
  ] as const satisfies FieldList;
  // Minutes of hands, a task each.
  const TASKS = untrack(() =>
    shop.tasks.map((task) => ({
      key: task.name,
      kind: 'number' as const,
      label: task.words.slice(0, 1).toUpperCase() + task.words.slice(1),
      unit: 'min',
      hint: say('habits-usual-min-min-waiting', {
        hands_min: fixed(task.hands_min, 0),
        wait_min: !!task.wait_min,
        wait_min_2: fixed(task.wait_min, 0),
      }),
      needed,
    })),
  );
  const start = untrack(() => Object.fromEntries(shop.tasks.map((t) => [t.name, t.hands_min])));
  const hands = new SentForm(TASKS, async () => undefined, {
    like: { ...start, ...untrack(() => shop.habits.hands_min) },
  });
  const form: SentForm<typeof HABITS> = new SentForm(
    HABITS,
    ({ application_school, tighten_percent, ...rest }) =>
      save({
        habits: {
          ...rest,
          application_school: application_school || null,
          tighten_percent: Number(tighten_percent),
          hands_min: hands.read() ?? {},
        },
      }),
    {
      like: untrack(() => shop.habits),
      shown: () =>
        HABITS.map((field) => {
          if (field.key !== 'zone') return field;
          const here = form.fields.zone === zoneHere();
          return { ...field, hint: here ? say('habits-zone-hint') : say('habits-zone-here', { zone: zoneHere() }) };
        }),
    },
  );
</script>

<form
  onsubmit={(e) => {
    e.preventDefault();
    if (hands.read()) void form.send();
  }}
>
  <h2>{say('habits-price-and-ways-shop')}</h2>
  <div class="lay-form"><Fields list={form.shown} bind:form={form.fields} errors={form.errors} /></div>
  <Working summary={say('habits-minutes-hands-task-by')}>
    <div class="lay-form">
      {#each TASKS as task, i (task.key)}
        {@const { learnt_min, learnt_jobs } = shop.tasks[i] ?? { learnt_min: null, learnt_jobs: 0 }}
        <div>
          <Fields list={[task]} bind:form={hands.fields} errors={{ ...hands.errors, ...form.errors }} />
          {#if learnt_min !== null && fixed(learnt_min, 0) !== hands.fields[task.key]}
            {@const minutes = fixed(learnt_min, 0)}
            <Button kind="bare" onclick={() => (hands.fields[task.key] = minutes)}
              >{say('habits-take-minutes', { minutes, jobs: learnt_jobs })}</Button
            >
          {/if}
        </div>
      {/each}
    </div>
  </Working>
  <Trouble of={form} />
  {#if owner}<Button kind="main" type="submit" busy={form.busy}>{say('shop-save')}</Button>{/if}
</form>
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

<style>
  form {
    --field: 20rem;
  }
  form > :global(details) {
    --field: 13rem;

    margin: var(--gap-4) 0;
  }
  h2,
  h3 {
    margin: var(--gap-4) 0 var(--gap-3);
  }
</style>
