<script lang="ts">
  // For someone who knows nothing of it: what was wrong, what it did, what it does, what to do, what it costs.
  import { say } from '$words/page-record.ftl';
  import type { CustomerRecord } from '../../lib/api';
  import { day, money } from '../../lib/format';
  import PhotoPair from './PhotoPair.svelte';
  import RecordChart from './RecordChart.svelte';

  interface Props {
    record: CustomerRecord;
    /** Where a photo of it is got. */
    photo: (which: 'before' | 'after' | 'earlier_before' | 'earlier_after') => string;
  }
  let { record, photo }: Props = $props();
  const job = $derived(record.job);
</script>

<h1>{record.lead}</h1>
{#if record.version?.anew}<p class="quiet">{record.version.anew}</p>{/if}
{#if job.symptom}<p class="symptom quiet">{say('record-room-came-in-with', { symptom: job.symptom })}</p>{/if}
{#if record.plain}
  <dl class="plain lay-stack">
    <div class="before">
      <dt>{say('record-room-before')}</dt>
      <dd>{record.plain.before}</dd>
    </div>
    <div class="after">
      <dt>{say('record-room-now')}</dt>
      <dd>{record.plain.now}</dd>
    </div>
    <div>
      <dt>{say('record-room-means')}</dt>
      <dd>{record.plain.means.join(' ')}</dd>
    </div>
  </dl>
{/if}
{#if record.before_photo && record.after_photo}
  <div class="photos">
    {#if record.earlier_before_photo && record.earlier_after_photo}
      <PhotoPair before={photo('earlier_before')} after={photo('earlier_after')} />
    {/if}
    <PhotoPair before={photo('before')} after={photo('after')} />
  </div>
{/if}
{#if record.chart}<RecordChart chart={record.chart} />{/if}
<div class="two">
  <section>
    <h2>{say('record-room-what-was-done')}</h2>
    {#each record.done as line, at (at)}<p>{line}</p>{:else}<p class="quiet">
        {say('record-room-nothing-noted-yet')}
      </p>{/each}
  </section>
  <section>
    <h2>{say('record-room-what-to-do')}</h2>
    {#each record.after_care as line, at (at)}<p>{line}</p>{/each}
  </section>
</div>
<dl class="facts">
  {#if job.price_cents !== null || !job.handed_over_at}
    <div>
      <dt>{say('record-room-price')}</dt>
      <dd>{money(job.price_cents, record.currency)}</dd>
    </div>
  {/if}
  {#if record.warranty_until}
    <div>
      <dt>{say('record-room-warranty')}</dt>
      <dd>{say('record-room-until', { day: day(record.warranty_until) })}</dd>
    </div>
  {/if}
  <div>
    <dt>{say('record-room-next-service')}</dt>
    <dd>
      {day(job.next_service_on)}
      {#if job.next_service_on === record.proposed_service_on}<small>{record.proposed_service_reason}</small>{/if}
    </dd>
  </div>
</dl>
{#if job.handover_note}<p>{job.handover_note}</p>{/if}

<style>
  h1 {
    margin-bottom: var(--gap-2);
  }
  h2 {
    margin: var(--gap-5) 0 var(--gap-2);
    font-size: var(--size-2);
  }
  .symptom {
    font-size: var(--size-2);
  }
  .plain {
    margin: var(--gap-4) 0 var(--gap-5);
  }
  .plain div {
    display: grid;
    grid-template-columns: 9rem minmax(0, 1fr);
    gap: var(--gap-4);
    align-items: baseline;
  }
  .plain dt {
    font-weight: 700;
  }
  .plain .before dt {
    color: var(--before);
  }
  .plain .after dt {
    color: var(--after);
  }
  dd {
    margin: 0;
  }
  .plain dd {
    color: var(--ink);
    font-size: var(--size-3);
    line-height: 1.35;
  }
  .photos {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 20rem), 1fr));
    gap: 0 var(--gap-5);
    margin-bottom: var(--gap-4);
  }
  .two {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 0 var(--gap-6);
  }
  .facts {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
    gap: var(--gap-4) var(--gap-5);
    margin: var(--gap-5) 0 var(--gap-3);
    padding: var(--gap-3) 0;
    border-top: 1px solid var(--rule);
    border-bottom: 1px solid var(--rule);
  }
  .facts dt {
    color: var(--soft);
    font-size: var(--size-1);
  }
  .facts dd {
    font-size: var(--size-2);
    font-weight: 700;
  }
  .facts small {
    display: block;
    color: var(--soft);
    font-weight: 400;
  }
  @media (max-width: 640px) {
    .plain div {
      grid-template-columns: minmax(0, 1fr);
      gap: 0;
    }
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  @media print {
    section {
      break-inside: avoid;
    }
  }
</style>
