<script lang="ts">
  import { say } from './words';
  import { onMount } from 'svelte';
  import { client, Problem, take, type CustomerRecord } from '../../lib/api';
  import HeatLadder from '../../lib/charts/HeatLadder.svelte';
  import LateTrace from '../../lib/charts/LateTrace.svelte';
  import { day, money } from '../../lib/format';
  import Owl from '../../lib/glyphs/Owl.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import { AMOUNT_IS, CLEANED, INTERFACES, TARGETS } from '../../lib/words';
  import { bothReadings, sharedChannels } from '../verdict/both-runs';
  import ConditionTable from '../verdict/ConditionTable.svelte';
  import EffectTable from '../verdict/EffectTable.svelte';
  import Headline from '../verdict/Headline.svelte';
  import SideBySide from '../attempts/SideBySide.svelte';
  import PhotoPair from './PhotoPair.svelte';

  interface Props {
    id: string;
  }
  let { id }: Props = $props();
  let record = $state<CustomerRecord | null>(null);
  let trouble = $state('');

  onMount(async () => {
    try {
      record = await take(client.GET('/api/jobs/{job_id}/record', { params: { path: { job_id: id } } }));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = `${error.body.detail} ${error.body.remedy}`;
    }
  });
</script>

{#if trouble}
  <Notice tone="care">{trouble}</Notice>
{:else if record}
  {@const job = record.job}
  <div class="bar no-print">
    <Button href="/jobs/{job.id}/handover">{say('record-room-back-to-job')}</Button>
    <Button href="/api/jobs/{job.id}/record.pdf" download>{say('record-room-as-pdf')}</Button>
    <Button onclick={() => print()}>{say('record-room-print')}</Button>
  </div>
  <article>
    <header>
      <div>
        <p class="shop">{record.shop_name}</p>
        <p class="quiet">
          {say('record-room-record', {
            number: job.number,
            maker: job.maker,
            model: job.model,
            customer_name: job.customer_name,
            updated_at: day(job.handed_over_at ?? job.updated_at),
          })}
        </p>
      </div>
      <Owl
        before={job.glance_before}
        after={job.glance_after}
        verdict={job.verdict}
        stopped={job.stage === 'stopped'}
        size={160}
      />
    </header>
    {#if record.verdict}
      <Headline verdict={record.verdict} level="h1" />
    {:else}
      <h1>{say('record-room-not-measured-on-both')}</h1>
    {/if}
    {#if job.symptom}<p class="quiet">{say('record-room-came-in-with', { symptom: job.symptom })}</p>{/if}
    {#if record.verdict}
      {#each record.verdict.reasons as reason (reason)}<p class="quiet">{reason}</p>{/each}
      {#if record.verdict.exhaust}<p class="quiet">{record.verdict.exhaust}</p>{/if}
      <div class="pictures">
        <HeatLadder
          before={record.verdict.before_ladder}
          after={record.verdict.after_ladder}
          culprit={record.verdict.culprit}
        />
        <LateTrace
          jobId={job.id}
          readings={bothReadings(record.verdict)}
          channels={sharedChannels(record.verdict)}
          pickable={false}
          height={340}
        />
      </div>
      <h2>{say('record-room-what-was-measured')}</h2>
      <EffectTable effects={record.verdict.effects} />
      <p class="quiet small">{say('record-room-u-expanded-uncertainty-k')}</p>
    {/if}
    {#if record.before_photo && record.after_photo}
      <h2>{say('record-room-before-and-after')}</h2>
      <PhotoPair before={record.before_photo} after={record.after_photo} />
    {/if}
    {#if record.attempts.length}
      <h2>{say('record-room-attempts')}</h2>
      <SideBySide rows={record.attempts} />
    {/if}
    <div class="two">
      <section>
        <h2>{say('record-room-what-was-done')}</h2>
        {#if job.cleaned.length}<p>
            {say('record-room-cleaned', { join: job.cleaned.map((c) => (CLEANED[c] ?? c).toLowerCase()).join(', ') })}
          </p>{/if}
        {#each record.items as item (item.id)}
          <p>
            {TARGETS[item.target]}: {(INTERFACES[item.kind] ?? item.kind).toLowerCase()}{item.product
              ? `, ${item.product}`
              : ''}{item.lot ? say('record-room-lot', { lot: item.lot }) : ''}{item.amount === null
              ? ''
              : `, ${item.amount} ${item.amount_unit}${AMOUNT_IS[item.amount_is] ?? ''}`}.
          </p>
        {/each}
        {#if job.fit_note}<p>{job.fit_note}</p>{/if}
        {#each record.bench as line (line)}<p>{line}</p>{/each}
        {#each job.gates.filter((g) => g.acknowledged_by) as gate (gate.rule)}
          <p class="quiet">
            {say('record-room-agreed', {
              reason: gate.reason,
              words: gate.words,
              acknowledged_by: gate.acknowledged_by,
              acknowledged_at: day(gate.acknowledged_at),
            })}
          </p>
        {/each}
        {#if !job.cleaned.length && !record.items.length}<p class="quiet">
            {say('record-room-nothing-noted-yet')}
          </p>{/if}
      </section>
      <section>
        <h2>{say('record-room-price-and-next-service')}</h2>
        <p>{say('record-room-price')} <strong>{money(job.price_cents, record.currency)}</strong></p>
        <p>{say('record-room-next-service')} <strong>{day(job.next_service_on)}</strong></p>
        {#if job.handover_note}<p>{job.handover_note}</p>{/if}
      </section>
    </div>
    {#if record.verdict}
      <h2>{say('record-room-how-was-measured')}</h2>
      <ConditionTable conditions={record.verdict.conditions.filter((c) => c.before !== null || c.after !== null)} />
    {/if}
  </article>
{:else}
  <p class="quiet" role="status">{say('record-room-opening-record')}</p>
{/if}

<style>
  .bar {
    display: flex;
    gap: var(--gap-3);
    margin-bottom: var(--gap-4);
  }
  article {
    padding: var(--gap-6);
    border: 2px solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    /* What is drawn hollow shows the sheet it lies on. */
    --paper: var(--sheet);
  }
  header {
    display: flex;
    align-items: start;
    justify-content: space-between;
    gap: var(--gap-5);
    margin-bottom: var(--gap-4);
    border-bottom: 2px solid var(--ink);
    padding-bottom: var(--gap-4);
  }
  .shop {
    font-family: var(--font-head);
    font-size: var(--size-3);
    font-weight: 700;
  }
  .pictures {
    display: grid;
    grid-template-columns: 17.5rem minmax(0, 1fr);
    gap: var(--gap-6);
    align-items: start;
    margin: var(--gap-5) 0;
  }
  h2 {
    margin: var(--gap-5) 0 var(--gap-2);
    font-size: var(--size-2);
  }
  .small {
    margin-top: var(--gap-1);
    font-size: var(--size-0);
  }
  .two {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: var(--gap-6);
  }
  @media (max-width: 900px) {
    .pictures {
      grid-template-columns: 1fr;
    }
  }
  @media print {
    article {
      border: 0;
      padding: 0;
    }
    .pictures {
      grid-template-columns: 14rem minmax(0, 1fr);
    }
    section {
      break-inside: avoid;
    }
  }
</style>
