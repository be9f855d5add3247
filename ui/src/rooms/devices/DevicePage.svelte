<script lang="ts">
  import { say } from '$words/page-devices.ftl';
  // One device: its resistance over the visits, what was fitted when, what it lost since, and what to do.
  import { action, resource } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { day, fixed, NOT_KNOWN } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Titled from '../../lib/parts/Titled.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { go } from '../../lib/router.svelte';
  import { session } from '../../lib/session.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { ADVICE, INTERFACES, KINDS, TARGETS, VERDICTS } from '../../lib/words';
  import VisitChart from './VisitChart.svelte';

  interface Props {
    id: string;
  }
  let { id }: Props = $props();
  type Figure = Schemas['FigureOut'] | null;
  const device = resource(
    () => id,
    (device_id) => take(client.GET('/api/devices/{device_id}', { params: { path: { device_id } } })),
  );
  const owner = $derived(session.present?.person?.role === 'owner');
  const measured = $derived((device.value?.visits.filter((v) => v.before || v.after).length ?? 0) > 1);

  const undo = action(async (change_id: string) => {
    await take(client.POST('/api/devices/changes/{change_id}/undo', { params: { path: { change_id } } }));
    toast(say('devices-taken-back'));
    await device.load();
  });
  const another = action(async (visit: Schemas['VisitOut']) => {
    const params = { path: { device_id: id } };
    const alone = await take(client.POST('/api/devices/{device_id}/split', { params, body: { job: visit.job_id } }));
    const change = alone.changes[0];
    toast(say('devices-taken-apart', { day: day(visit.on) }), change ? { undo: () => void undo.run(change.id) } : {});
    await device.load();
  });

  const figure = (f: Figure) =>
    f ? `${fixed(f.resistance_k_per_w, 2)} ± ${fixed(f.u95_k_per_w, 2)}` : say('devices-not-measured');
  type Visit = Schemas['VisitOut'];
</script>

{#snippet hot(f: Schemas['FigureOut'] | null)}
  {#each f?.hot ?? [] as words (words)}<span class="hot">{words}</span>{/each}
{/snippet}
<Trouble of={[device, undo, another]}>
  {#snippet actions()}<Button onclick={() => void device.load()}>{say('devices-try-again')}</Button><Button
      href="/devices">{say('devices-all')}</Button
    >{/snippet}
</Trouble>
{#if device.value}
  {@const d = device.value}
  <header class="lay-head">
    <div>
      <h1>{d.model}</h1>
      <p class="quiet">
        {say('devices-by', { kind: KINDS[d.kind], maker: d.maker || say('maker-not-known'), customer: d.customer })}
        {#if d.serial}· {say('devices-serial', { serial: d.serial })}{/if}
        {#if d.tag}· {say('devices-tag', { tag: d.tag })}{/if}
      </p>
    </div>
    <Button kind="main" onclick={() => go(`/jobs/new?device=${d.id}`)}>{say('devices-take-in')}</Button>
  </header>
  <section class="advice {d.advice}">
    <Titled why="runs"><h2>{say('devices-advice')}: {ADVICE[d.advice]}</h2></Titled>
    <ul>
      {#each d.reasons as reason, at (at)}<li>{reason}</li>{/each}
    </ul>
    {#if d.drift}
      <p class="quiet">
        {say('devices-drift')}:
        {#if d.drift.shown && d.drift.u95_k_per_w_month !== null}
          {say('devices-drift-is', {
            slope: fixed(d.drift.slope_k_per_w_month, 3),
            u95: fixed(d.drift.u95_k_per_w_month, 3),
          })}
        {:else}{d.drift.reason || say('devices-drift-not-shown')}{/if}
        {#if d.limit_k_per_w !== null}· {say('devices-limit', { limit: fixed(d.limit_k_per_w, 2) })}{/if}
      </p>
    {/if}
  </section>
  {#if measured}<VisitChart device={d} />{/if}
  {#snippet visit(v: Visit)}
    <a href="/jobs/{v.job_id}">{day(v.on)}</a> <small>{say('devices-job', { number: v.number })}</small>
  {/snippet}
  {#snippet before(v: Visit)}{figure(v.before)}{@render hot(v.before)}{/snippet}
  {#snippet after(v: Visit)}{figure(v.after)}{@render hot(v.after)}{/snippet}
  {#snippet fitted(v: Visit)}
    {#each v.fitted as item, at (at)}
      <span class="item">{TARGETS[item.target]}: {item.product || INTERFACES[item.kind]}</span>
    {:else}<span class="quiet">{say('devices-nothing-fitted')}</span>{/each}
  {/snippet}
  {#snippet elsewhere(v: Visit)}
    <Button kind="bare" onclick={() => void another.run(v)}>{say('devices-another-device')}</Button>
  {/snippet}
  <DataTable
    weight="strong"
    rows={d.visits}
    key={(v) => v.job_id}
    columns={[
      { head: say('devices-visit'), name: true, cell: visit },
      { head: say('devices-came-in'), unit: say('devices-k-per-w'), is: 'number before', cell: before },
      { head: say('devices-fitted'), is: 'fitted', cell: fitted },
      { head: say('devices-went-out'), unit: say('devices-k-per-w'), is: 'number after', cell: after },
      { head: say('devices-verdict'), is: 'fitted', text: (v) => (v.verdict ? VERDICTS[v.verdict] : NOT_KNOWN) },
      owner && d.visits.length > 1 && { head: '', is: 'number', cell: elsewhere },
    ]}
  />
  {#if owner && d.changes.length}
    <ul class="changes">
      {#each d.changes as change (change.id)}
        <li>
          <span class="quiet"
            >{day(change.at)}:
            {change.here
              ? say('devices-change-merged', { visits: change.visits })
              : say('devices-change-split', { visits: change.visits })}</span
          >
          <Button onclick={() => void undo.run(change.id)}>{say('devices-undo')}</Button>
        </li>
      {/each}
    </ul>
  {/if}
{:else if !device.trouble}
  <p class="quiet" role="status">{say('devices-opening')}</p>
{/if}

<style>
  header {
    margin-bottom: var(--gap-4);
  }
  .advice {
    margin-bottom: var(--gap-4);
    padding: var(--gap-3) var(--gap-4);
    border: var(--line) solid var(--edge);
    border-left-width: 8px;
    border-radius: var(--round);
  }
  .advice.redo {
    border-color: var(--before);
    background: var(--before-tint);
  }
  .advice.watch {
    border-color: var(--care);
    background: var(--care-tint);
  }
  .advice.leave {
    border-color: var(--after);
    background: var(--after-tint);
  }
  h2 {
    margin: 0;
    font-size: var(--size-3);
  }
  small {
    color: var(--soft);
    font-weight: 400;
  }
  /* Text after a column of numbers keeps its distance. */
  :global(td.fitted, th.fitted) {
    padding-left: var(--gap-5);
  }
  .item,
  .hot {
    display: block;
  }
  .hot {
    color: var(--care);
    font-size: var(--size-1);
  }
  .changes li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-3);
    margin-top: var(--gap-3);
  }
</style>
