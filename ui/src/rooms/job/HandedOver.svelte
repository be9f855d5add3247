<script lang="ts">
  // A job that was handed over is closed: what its record says stands, and what is put right is a version of its own.
  import { say } from '$words/page-handover.ftl';
  import type { Snippet } from 'svelte';
  import type { CustomerRecord, Job } from '../../lib/api';
  import { day, money } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Late from '../../lib/parts/Late.svelte';
  import RecordFiles from './RecordFiles.svelte';

  interface Props {
    job: Job;
    record: CustomerRecord;
    /** The fields of the next version. */
    fields: Snippet;
    busy: boolean;
    save: () => Promise<boolean>;
  }
  let { job, record = $bindable(), fields, busy, save }: Props = $props();
  const closed = () => import('./Closed.svelte');
  const told = () => import('../../lib/job/PastTold.svelte');
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
  <form class="lay-form" onsubmit={keep}>
    {@render fields()}
    <div class="lay-row lay-wide">
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
      <div class="lay-wide">
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
    --field: 14rem;

    max-width: 46rem;
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
  .note {
    font-size: var(--size-2);
    font-weight: 400;
  }
</style>
