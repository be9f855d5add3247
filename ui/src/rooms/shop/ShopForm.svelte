<script lang="ts">
  import { say } from '$words/page-shop.ftl';
  import { onMount } from 'svelte';
  import { client, Problem, take, type Schemas } from '../../lib/api';
  import { parseNumber } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { session } from '../../lib/session.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { checkHabits, habitsForm, type HabitsForm } from './habits';
  import Habits from './Habits.svelte';
  import { fromField, TOLERANCES, toField, type ToleranceName } from './tolerances';

  interface Props {
    page: 'instruments' | 'pricing';
  }
  let { page }: Props = $props();

  let shop = $state<Schemas['ShopOut'] | null>(null);
  let form = $state<Record<string, string>>({});
  let habits = $state<HabitsForm | null>(null);
  let errors = $state<Record<string, string>>({});
  let trouble = $state('');
  let busy = $state(false);
  const owner = $derived(session.present?.person?.role === 'owner');

  function show(found: Schemas['ShopOut']) {
    shop = found;
    habits = habitsForm(found);
    form = {
      reference_room_c: String(found.reference_room_c),
      ...Object.fromEntries(TOLERANCES.map((t) => [t.name, toField(t, found.tolerances[t.name])])),
    };
  }

  onMount(async () => {
    try {
      show(await take(client.GET('/api/shop')));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = `${error.body.detail} ${error.body.remedy}`;
    }
  });

  async function save() {
    errors = {};
    const room = parseNumber(form.reference_room_c ?? '');
    if (room === null || Number.isNaN(room)) errors.reference_room_c = say('shop-type-temperature-in-c');
    const tolerances = {} as Record<ToleranceName, number>;
    for (const t of TOLERANCES) {
      const value = fromField(t, form[t.name] ?? '');
      if (value === null) errors[t.name] = say('shop-type-number');
      else tolerances[t.name] = value;
    }
    const ways = habits && checkHabits(habits);
    if (ways?.errors) errors = { ...errors, ...ways.errors };
    if (Object.keys(errors).length || room === null || !ways?.body) return;
    busy = true;
    try {
      show(
        await take(
          client.PUT('/api/shop', {
            body: { version: shop?.version ?? 0, reference_room_c: room, tolerances, habits: ways.body },
          }),
        ),
      );
      toast(say('shop-saved-verdicts-open-jobs'));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = error.fields;
      if (!Object.keys(errors).length) toast(`${error.body.detail} ${error.body.remedy}`, { tone: 'wrong' });
    } finally {
      busy = false;
    }
  }

  function usual() {
    if (shop) for (const t of TOLERANCES) form[t.name] = toField(t, shop.usual[t.name]);
  }
</script>

{#if trouble}
  <Notice tone="care">{trouble}</Notice>
{:else if shop}
  {#if page === 'instruments'}
    <h2>{say('shop-how-sure-your-instruments')}</h2>
    <p class="lead">
      {say('shop-every-figure-carries-its')}
    </p>
  {/if}
  {#if !owner}<div class="gap">
      <Notice title={say('shop-only-owner-may-change')}>{say('shop-you-can-look-at')}</Notice>
    </div>{/if}
  <form
    onsubmit={(e) => {
      e.preventDefault();
      void save();
    }}
  >
    {#if page === 'instruments'}
      <TextField
        label={say('shop-reference-room')}
        name="reference_room_c"
        numeric
        unit="°C"
        bind:value={() => form.reference_room_c ?? '', (v) => (form.reference_room_c = v)}
        error={errors.reference_room_c}
        hint={say('shop-watts-device-can-hold')}
      />
      {#if shop.own_scatter}
        {@const own = shop.own_scatter}
        <div class="own lay-head">
          <p>
            {say('shop-own-scatter', {
              runs: own.runs,
              logs: own.logs,
              half_width: own.half_width_k,
              shown: own.shown_k,
              usual: own.shown_usual_k,
            })}
          </p>
          {#if owner}<Button onclick={() => (form.run_to_run_k = own.half_width_k.toFixed(1))}
              >{say('shop-own-scatter-take', { half_width: own.half_width_k })}</Button
            >{/if}
        </div>
      {/if}
      {#each TOLERANCES as t (t.name)}
        <TextField
          label={t.label}
          name={t.name}
          numeric
          unit={t.unit}
          bind:value={() => form[t.name] ?? '', (v) => (form[t.name] = v)}
          error={errors[t.name]}
          hint={say('shop-usual', { hint: t.hint, t: toField(t, shop.usual[t.name]), unit: t.unit })}
        />
      {/each}
    {:else if habits}<Habits {shop} bind:form={habits} {errors} />{/if}
    {#if owner}
      <footer>
        <Button kind="main" type="submit" {busy}>{say('shop-save')}</Button>
        {#if page === 'instruments'}<Button onclick={usual}>{say('shop-fill-in-usual-tolerances')}</Button>{/if}
      </footer>
    {/if}
  </form>
{/if}

<style>
  .own {
    grid-column: 1 / -1;
    gap: var(--gap-3) var(--gap-4);
  }
  .own p {
    max-width: 40rem;
    margin: 0;
  }
  h2 {
    margin-top: var(--gap-4);
  }
  .lead {
    max-width: 46rem;
    margin: var(--gap-2) 0 var(--gap-5);
  }
  .gap {
    margin-bottom: var(--gap-4);
  }
  form {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 18rem), 1fr));
    gap: var(--gap-4) var(--gap-6);
    align-items: start;
  }
  footer {
    grid-column: 1 / -1;
    display: flex;
    gap: var(--gap-3);
    margin-top: var(--gap-3);
  }
</style>
