<script lang="ts">
  import { say } from '$words/page-record.ftl';
  import { client, take } from '../../lib/api';
  import { resource } from '../../lib/asking.svelte';
  import { day } from '../../lib/format';
  import Owl from '../../lib/glyphs/Owl.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import PageOne from './PageOne.svelte';
  import PageTwo from './PageTwo.svelte';

  interface Props {
    id: string;
    /** Which version; the latest unless one is asked for. */
    version?: string;
  }
  let { id, version }: Props = $props();
  const kept = resource(
    () => ({ path: { job_id: id }, query: version ? { version: Number(version) } : {} }),
    (params) => take(client.GET('/api/jobs/{job_id}/record', { params })),
  );
  const record = $derived(kept.value);
</script>

<Trouble of={kept} />
{#if record}
  {@const job = record.job}
  {@const query = version ? `?version=${version}` : ''}
  <div class="bar no-print lay-row">
    <Button href="/jobs/{job.id}/handover">{say('record-room-back-to-job')}</Button>
    <Button href="/api/jobs/{job.id}/record.pdf{query}" download>{say('record-room-as-pdf')}</Button>
    <Button href="/api/jobs/{job.id}/record.zip{query}" download>{say('record-room-data-file')}</Button>
    <Button href="/api/jobs/{job.id}/dates.ics" download>{say('record-room-dates')}</Button>
    <Button href="/check">{say('record-room-check')}</Button>
    <Button onclick={() => print()}>{say('record-room-print')}</Button>
  </div>
  {#if !record.version}
    <p class="stand quiet">{say('record-room-draft')}</p>
  {:else if record.versions.length > 1}
    {@const latest = record.versions[0]?.number ?? 1}
    <div class="stand no-print">
      <Notice
        tone={record.version.number === latest ? 'note' : 'care'}
        title={say('record-room-version', { number: record.version.number, of: latest })}
      >
        {record.version.why}
        {#if record.version.number !== latest}<a href="/record/{job.id}">{say('record-room-latest')}</a>{/if}
      </Notice>
    </div>
  {/if}
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
    <PageOne {record} photo={(which) => `/api/photos/${record?.[`${which}_photo`]}`} />
    {#if record.verdict || record.bench.length || record.attempts.length}<PageTwo {record} />{/if}
  </article>
{:else if !kept.trouble}
  <p class="quiet" role="status">{say('record-room-opening-record')}</p>
{/if}

<style>
  .bar {
    margin-bottom: var(--gap-4);
  }
  .stand {
    margin: 0 0 var(--gap-4);
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
  @media (max-width: 640px) {
    article {
      padding: var(--gap-4) var(--gap-3);
    }
    header {
      flex-direction: column-reverse;
    }
  }
  @media print {
    article {
      border: 0;
      padding: 0;
    }
  }
</style>
