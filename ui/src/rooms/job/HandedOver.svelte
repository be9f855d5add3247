<script lang="ts">
  // A job that was handed over is closed: what its record says stands, and what is put right is a version of its own.
  import { say } from '$words/page-job.ftl';
  import type { CustomerRecord, Job } from '../../lib/api';
  import { day, money } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import DateField from '../../lib/parts/DateField.svelte';
  import Late from '../../lib/parts/Late.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import RecordFiles from './RecordFiles.svelte';

  interface Props {
    job: Job;
    record: CustomerRecord;
    form: { price: string; next: string; note: string };
    why: string;
    errors: Record<string, string>;
    busy: boolean;
    save: () => Promise<boolean>;
  }
  let { job, record = $bindable(), form = $bindable(), why = $bindable(), errors, busy, save }: Props = $props();
  const closed = () => import('./Closed.svelte');
  const told = () => import('../data/PastTold.svelte');
  // What comes from a list was not handed over here: there is no record that the shop could stand for.
  const past = $derived(job.from_list && !record.versions.length);
  let correcting = $state(false);
  const latest = $derived(record.versions[0]?.number ?? 1);

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    if (await save()) correcting = false;
  }
</script>

{#if correcting}
  <form onsubmit={keep}>
    <TextField
      label={say('hand-over-why', { number: latest })}
      name="why"
      wide
      needed
      focusFirst
      bind:value={why}
      error={errors.why}
      hint={say('hand-over-why-hint', { number: latest })}
    />
    <TextField
      label={say('hand-over-price')}
      name="price"
      numeric
      unit={record.currency}
      bind:value={form.price}
      error={errors.price_cents}
    />
    <DateField
      label={say('hand-over-next-service')}
      name="next_service_on"
      bind:value={form.next}
      error={errors.next_service_on}
    />
    <TextField
      label={say('hand-over-word-to-owner')}
      name="handover_note"
      wide
      lines={3}
      bind:value={form.note}
      error={errors.handover_note}
    />
    <div class="row lay-row">
      <Button kind="main" type="submit" {busy}>{say('hand-over-keep-version', { number: latest + 1 })}</Button>
      <Button onclick={() => (correcting = false)}>{say('hand-over-cancel')}</Button>
    </div>
  </form>
{:else}
  <dl>
    <div>
      <dt>{say('hand-over-price')}</dt>
      <dd>{money(job.price_cents, record.currency)}</dd>
    </div>
    <div>
      <dt>{say('hand-over-next-service')}</dt>
      <dd>{day(job.next_service_on)}</dd>
    </div>
    {#if job.handover_note}
      <div class="wide">
        <dt>{say('hand-over-word-to-owner')}</dt>
        <dd class="note">{job.handover_note}</dd>
      </div>
    {/if}
  </dl>
  {#if !past}<Button onclick={() => (correcting = true)}>{say('hand-over-put-right')}</Button>{/if}
{/if}
{#if past}
  <Late load={told} given={{ jobId: job.id }} />
{:else}
  <RecordFiles {job} />
  <Late load={closed} given={{ job, versions: record.versions }} />
{/if}

<style>
  form {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 14rem), 1fr));
    gap: var(--gap-4);
    max-width: 46rem;
  }
  .row {
    grid-column: 1 / -1;
  }
  dl {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
    gap: var(--gap-4) var(--gap-5);
    max-width: 46rem;
    margin: 0 0 var(--gap-4);
  }
  dt {
    color: var(--soft);
    font-size: var(--size-1);
  }
  dd {
    margin: 0;
    font-size: var(--size-3);
    font-weight: 700;
  }
  .wide {
    grid-column: 1 / -1;
  }
  .note {
    font-size: var(--size-2);
    font-weight: 400;
  }
</style>
