<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import { onMount } from 'svelte';
  import { client, Problem, take, type FitItem, type Product, type Schemas } from '../../lib/api';
  import { once } from '../../lib/once';
  import { parseNumber } from '../../lib/format';
  import { Suggestions } from '../../lib/suggestions.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { INTERFACES, TARGETS } from '../../lib/words';

  interface Props {
    jobId: string;
    onitems: (items: FitItem[]) => void;
  }
  let { jobId, onitems }: Props = $props();

  const UNITS = [
    { value: 'g', label: 'g' },
    { value: 'mL', label: 'mL' },
    { value: 'mm', label: say('fit-item-form-mm-thick') },
    { value: 'pieces', label: say('pieces') },
  ];
  let form = $state({
    target: 'cpu_die',
    kind: 'paste_stiff',
    lot_id: '',
    product: '',
    lot: '',
    amount: '',
    amount_unit: 'g',
  });
  let products = $state.raw<Product[]>([]);
  const lots = $derived(
    products
      .filter((p) => p.kind === form.kind)
      .flatMap((p) => p.lots.filter((l) => !l.expired && l.remaining > 0).map((l) => ({ p, l }))),
  );
  const chosen = $derived(lots.find(({ l }) => l.id === form.lot_id) ?? null);
  const unit = $derived(
    chosen ? (['piece', 'sheet'].includes(chosen.p.unit) ? 'pieces' : chosen.p.unit) : form.amount_unit,
  );

  // Without the shelf an item is still noted by hand.
  onMount(async () => {
    try {
      products = (await take(client.GET('/api/shelf'))).products;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
    }
  });
  let errors = $state<Record<string, string>>({});
  const suggestions = new Suggestions();

  const add = once(async () => {
    errors = {};
    const amount = parseNumber(form.amount);
    if (Number.isNaN(amount)) {
      errors.amount = say('fit-item-form-this-no-number-leave');
      return;
    }
    if (chosen && amount === null) {
      errors.amount = say('fit-item-form-what-comes-from-shelf');
      return;
    }
    try {
      const body = {
        ...form,
        lot_id: chosen?.l.id ?? null,
        amount,
        amount_unit: amount === null ? '' : unit,
      } as Schemas['FitItemIn'];
      const kept = await take(
        client.POST('/api/jobs/{job_id}/fit/items', { params: { path: { job_id: jobId } }, body }),
      );
      onitems(kept.items);
      form = { ...form, amount: '' };
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = error.fields;
      if (!Object.keys(errors).length) errors.product = `${error.body.detail} ${error.body.remedy}`;
    }
  });
</script>

<form
  onsubmit={(e) => {
    e.preventDefault();
    void add();
  }}
>
  <Pick
    label={say('fit-where')}
    name="target"
    bind:value={form.target}
    options={Object.entries(TARGETS).map(([value, label]) => ({ value, label }))}
    error={errors.target}
  />
  <Pick
    label={say('effect-table-what')}
    name="kind"
    bind:value={form.kind}
    options={Object.entries(INTERFACES).map(([value, label]) => ({ value, label }))}
    error={errors.kind}
  />
  <Pick
    label={say('fit-item-form-from-shelf')}
    name="lot_id"
    bind:value={form.lot_id}
    options={[
      { value: '', label: lots.length ? say('fit-item-form-no-not-booked') : say('fit-item-form-nothing-this-kind') },
      ...lots.map(({ p, l }) => ({ value: l.id, label: say('fit-item-form-lot', { name: p.name, code: l.code }) })),
    ]}
    error={errors.lot_id}
  />
  {#if !chosen}
    <TextField
      label={say('fit-product')}
      name="product"
      bind:value={form.product}
      error={errors.product}
      suggestions={suggestions.of('product')}
      onfocus={() => void suggestions.ask('product')}
    />
    <TextField
      label={say('fit-lot')}
      name="lot"
      bind:value={form.lot}
      error={errors.lot}
      suggestions={suggestions.of('lot')}
      onfocus={() => void suggestions.ask('lot')}
    />
  {/if}
  <TextField
    label={say('fit-amount')}
    name="amount"
    numeric
    unit={chosen ? unit : ''}
    bind:value={form.amount}
    error={errors.amount}
  />
  {#if !chosen}
    <Pick label="in" name="amount_unit" bind:value={form.amount_unit} options={UNITS} error={errors.amount_unit} />
  {/if}
  <div class="add"><Button type="submit">{say('fit-item-form-add-to-list')}</Button></div>
</form>

<style>
  form {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: var(--gap-3) var(--gap-4);
    margin-top: var(--gap-4);
    padding: var(--gap-4);
    border: var(--line) solid var(--rule);
    border-radius: var(--round);
    background: var(--well);
  }
  .add {
    grid-column: 1 / -1;
  }
</style>
