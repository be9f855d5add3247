<script lang="ts">
  import { say } from '$words/page-fit.ftl';
  import '$words/page-job.ftl';
  import { resource } from '../../lib/asking.svelte';
  import { client, take, type FitItem } from '../../lib/api';
  import { answers, type FieldList } from '../../lib/fields';
  import FilledForm from '../../lib/parts/FilledForm.svelte';
  import { SentForm } from '../../lib/sent-form.svelte';
  import { KIND_NAMES, TARGET_NAMES } from '../../lib/words';

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
  ] as const;
  const WHAT = [
    { key: 'target', kind: 'pick', label: say('fit-where'), options: answers('target', TARGET_NAMES) },
    { key: 'kind', kind: 'pick', label: say('effect-table-what'), options: answers('kind', KIND_NAMES) },
  ] as const satisfies FieldList;
  const LOT = {
    key: 'lot_id',
    kind: 'pick',
    label: say('fit-item-form-from-shelf'),
    options: [{ value: '', label: '' }],
  } as const;
  const AMOUNT = { key: 'amount', kind: 'number', label: say('fit-amount') } as const;
  const BY_HAND = [
    { key: 'product', label: say('fit-product'), suggest: 'product' },
    { key: 'lot', label: say('fit-lot'), suggest: 'lot' },
    AMOUNT,
    { key: 'amount_unit', kind: 'pick', label: say('fit-item-form-in'), options: UNITS },
  ] as const satisfies FieldList;
  const ITEM = [...WHAT, LOT, ...BY_HAND] as const;

  // Without the shelf an item is still noted by hand.
  const shelf = resource(
    () => ({}),
    () => take(client.GET('/api/shelf')),
  );
  // What is chosen decides which lots are offered, and those whether the rest is typed.
  const lots = $derived.by(() =>
    (shelf.value?.products ?? [])
      .filter((p) => p.kind === adding.fields.kind)
      .flatMap((p) => p.lots.filter((l) => !l.expired && l.remaining > 0).map((l) => ({ p, l }))),
  );
  const chosen = $derived.by(() => lots.find(({ l }) => l.id === adding.fields.lot_id) ?? null);
  const unit = $derived(chosen && (['piece', 'sheet'].includes(chosen.p.unit) ? 'pieces' : (chosen.p.unit as 'g')));
  const fromShelf = $derived({
    ...LOT,
    options: [
      { value: '', label: lots.length ? say('fit-item-form-no-not-booked') : say('fit-item-form-nothing-this-kind') },
      ...lots.map(({ p, l }) => ({ value: l.id, label: say('fit-item-form-lot', { name: p.name, code: l.code }) })),
    ],
  });

  const adding: SentForm<typeof ITEM> = new SentForm(
    ITEM,
    async ({ amount, ...rest }) => {
      const amount_unit = amount === null ? ('' as const) : (unit ?? rest.amount_unit);
      const body = { ...rest, lot_id: chosen?.l.id ?? null, amount, amount_unit };
      const params = { path: { job_id: jobId } };
      onitems((await take(client.POST('/api/jobs/{job_id}/fit/items', { params, body }))).items);
      adding.fields.amount = '';
    },
    {
      shown: () => [
        ...WHAT,
        fromShelf,
        ...(unit ? [{ ...AMOUNT, unit, needed: say('fit-item-form-what-comes-from-shelf') }] : BY_HAND),
      ],
    },
  );
</script>

<div class="add"><FilledForm form={adding} action={say('fit-item-form-add-to-list')} /></div>

<style>
  .add {
    --field: 14rem;

    margin-top: var(--gap-4);
    padding: var(--gap-4);
    border: var(--line) solid var(--rule);
    border-radius: var(--round);
    background: var(--well);
  }
</style>
