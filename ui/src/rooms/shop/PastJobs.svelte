<script lang="ts">
  // Past jobs from a list: brought, looked at row by row, taken in as a whole, taken back as a whole.
  import { onMount } from 'svelte';
  import { client, Problem, raw, take, type Schemas } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import FileDrop from '../../lib/parts/FileDrop.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import { PATIENT } from '../../lib/patient';
  import { toast } from '../../lib/toasts.svelte';
  import PastColumns from './PastColumns.svelte';
  import PastLists from './PastLists.svelte';
  import PastRows from './PastRows.svelte';
  import { say } from '$words/page-data.ftl';

  type List = Schemas['PastListOut'];
  type Saying = (list: List) => Partial<Omit<Schemas['PastTellIn'], 'version'>>;
  const STEP = 50;
  const ASK_EVERY_MS = 700;
  let lists = $state.raw<Schemas['PastImportOut'][] | null>(null);
  let list = $state.raw<List | null>(null);
  let trouble = $state.raw<Problem | null>(null);
  let busy = $state(false);
  let soFar = $state('');
  let shown = $state<'' | 'new' | 'twice' | 'known' | 'faulty'>('');
  const path = $derived({ import_id: list?.id ?? '' });

  /** One thing after the other, each on what the one before has left; what is refused is told where one looks. */
  let waiting = 0;
  let last: Promise<void> = Promise.resolve();
  function doing(work: () => Promise<void>): Promise<void> {
    waiting += 1;
    busy = true;
    // What broke before holds nothing up.
    const free = last.catch(() => undefined);
    last = free.then(async () => {
      trouble = null;
      try {
        await work();
      } catch (error) {
        if (!(error instanceof Problem)) throw error;
        trouble = error;
      } finally {
        waiting -= 1;
        busy = waiting > 0;
      }
    });
    return last;
  }
  const refresh = async () => {
    lists = (await take(client.GET('/api/past-jobs'))).lists;
  };
  onMount(() => void doing(refresh));

  const bring = (file: File) =>
    doing(async () => {
      const params = { query: { name: file.name } };
      list = await take(client.POST('/api/past-jobs', { params, ...raw(file, 'application/octet-stream') }));
      shown = '';
    });
  const look = (id: string) =>
    doing(async () => {
      const params = { path: { import_id: id }, query: { limit: STEP } };
      list = await take(client.GET('/api/past-jobs/{import_id}', { params }));
      shown = '';
    });
  const tell = (saying: Saying) =>
    doing(async () => {
      if (!list) return;
      const { version, sheet, kind } = list;
      const roles = list.columns.map((column) => column.role as Schemas['PastRole'] | null);
      // What the days say of themselves is found anew: it may be another column's next time.
      const order = list.day_order_said ? (list.day_order as Schemas['DayOrder']) : 'unknown';
      const body = { version, roles, sheet, day_order: order, kind: kind as Schemas['DeviceKind'], ...saying(list) };
      list = await take(client.PUT('/api/past-jobs/{import_id}', { params: { path }, body }));
      shown = '';
    });
  const show = (state: typeof shown, offset = 0) =>
    doing(async () => {
      const query = { state, offset, limit: STEP };
      const more = await take(client.GET('/api/past-jobs/{import_id}', { params: { path, query } }));
      list = offset && list ? { ...more, rows: [...list.rows, ...more.rows] } : more;
      shown = state;
    });
  /** How far it is; what does not come is asked for again. */
  async function ask() {
    const { data } = await client
      .GET('/api/past-jobs/{import_id}/progress', { params: { path } })
      .catch(() => ({ data: undefined }));
    if (busy && data?.total) soFar = say('past-so-far', { done: data.done, total: data.total });
  }
  const takeIn = () =>
    doing(async () => {
      if (!list) return;
      const body = { version: list.version };
      const asking = setInterval(() => void ask(), ASK_EVERY_MS);
      const taken = await take(
        client.POST('/api/past-jobs/{import_id}/take-in', { params: { path }, body, headers: PATIENT }),
      ).finally(() => {
        clearInterval(asking);
        soFar = '';
      });
      toast(say('past-taken', { count: taken.counts?.new ?? 0 }));
      list = null;
      await refresh();
    });
  const aside = () =>
    doing(async () => {
      await client.DELETE('/api/past-jobs/{import_id}', { params: { path } });
      list = null;
      toast(say('past-put-aside'));
      await refresh();
    });
  const takeBack = (row: Schemas['PastImportOut']) =>
    doing(async () => {
      const params = { path: { import_id: row.id } };
      const body = { version: row.version };
      const found = await take(client.POST('/api/past-jobs/{import_id}/take-back', { params, body, headers: PATIENT }));
      toast(found.stay.length ? say('past-stay', { numbers: found.stay.join(', ') }) : say('past-gone'));
      await refresh();
    });
</script>

<h2>{say('past-title')}</h2>
<p class="quiet lead">{say('past-lead')}</p>
{#if !list}
  <FileDrop
    label={say('past-drop')}
    hint={say('past-drop-hint')}
    accept=".csv,.tsv,.txt,.xlsx"
    onfile={(f) => void bring(f)}
  />
{/if}
<p role="status" class="quiet stand">{busy ? (list ? soFar || say('past-working') : say('past-reading')) : ''}</p>
{#if trouble}<Notice tone="care" title={trouble.body.detail}>{trouble.body.remedy}</Notice>{/if}
{#if list}
  <p class="name">{list.file_name}</p>
  {#each list.notices as notice, at (at)}<p class="quiet">{notice}</p>{/each}
  <PastColumns {list} {busy} ontell={(saying) => void tell(saying)} />
  <div class="row lay-row">
    <Button kind="main" {busy} disabled={!list.counts?.new} onclick={() => void takeIn()}
      >{say('past-take', { count: list.counts?.new ?? 0 })}</Button
    >
    <Button disabled={busy} onclick={() => void aside()}>{say('past-aside')}</Button>
  </div>
  <PastRows {list} {shown} onshow={(state, offset) => void show(state, offset)} />
{:else if lists}
  <PastLists {lists} {busy} onlook={(id) => void look(id)} onback={(row) => void takeBack(row)} />
{/if}

<style>
  .lead {
    max-width: 44rem;
    margin: var(--gap-2) 0 var(--gap-4);
  }
  /* Nothing jumps from under a finger while it works. */
  .stand {
    min-height: 1.6em;
  }
  .name {
    font-weight: 700;
    overflow-wrap: anywhere;
  }
  .row {
    margin-top: var(--gap-5);
  }
  @media print {
    .row {
      display: none;
    }
  }
</style>
