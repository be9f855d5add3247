<script lang="ts">
  import { say } from '$words/page-devices.ftl';
  // Devices, the one seen last on top; above them those that may be one and that only a person can tell.
  import { action, resource } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { day, plural } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { session } from '../../lib/session.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { KINDS } from '../../lib/words';

  const STEP = 25;
  let find = $state('');
  let offset = $state(0);
  const owner = $derived(session.present?.person?.role === 'owner');

  // The list follows what is typed, once the hand rests.
  const listed = resource(
    () => ({ limit: STEP, offset, find }),
    (query) => take(client.GET('/api/devices', { params: { query } })),
    150,
  );
  const page = $derived(listed.value);

  const undo = action(async (change_id: string) => {
    await take(client.POST('/api/devices/changes/{change_id}/undo', { params: { path: { change_id } } }));
    toast(say('devices-taken-back'));
    await listed.load();
  });
  const same = action(async (keep: Schemas['DeviceRowOut'], other: Schemas['DeviceRowOut']) => {
    const params = { path: { device_id: keep.id } };
    const whole = await take(client.POST('/api/devices/{device_id}/merge', { params, body: { other: other.id } }));
    const change = whole.changes[0];
    toast(say('devices-put-together', { model: whole.model, visits: plural(whole.visits.length, 'visit') }), {
      ...(change && { undo: () => void undo.run(change.id) }),
    });
    await listed.load();
  });
</script>

<header class="lay-head">
  <div>
    <h1>{say('devices-devices')}</h1>
    <p class="quiet">{say('devices-each-with-its-visits')}</p>
  </div>
  <div class="find">
    <TextField label={say('devices-find')} name="find" bind:value={find} hint={say('devices-find-hint')} />
  </div>
</header>
<Trouble of={[listed, same, undo]} />
{#if page && owner && page.may_be_one.length && !find && offset === 0}
  <section class="apart">
    <h2>{say('devices-not-told-apart')}</h2>
    <p class="quiet">{say('devices-not-told-apart-words')}</p>
    <ul>
      {#each page.may_be_one as group (group.devices.map((d) => d.id).join())}
        {@const [keep, other] = group.devices}
        <li>
          <span>
            <strong>{keep?.model}</strong>, {keep?.customer}:
            {#each group.devices as d, i (d.id)}{i ? ', ' : ''}<a href="/devices/{d.id}"
                >{say('devices-visit-on', { day: day(d.last_on) })}</a
              >{/each}
          </span>
          {#if keep && other}<Button onclick={() => void same.run(keep, other)}>{say('devices-same-device')}</Button
            >{/if}
        </li>
      {/each}
    </ul>
  </section>
{/if}
{#if page?.devices.length}
  {#snippet model(d: (typeof page.devices)[number])}<a href="/devices/{d.id}">{d.model}</a>
    <small>{KINDS[d.kind]}</small>{/snippet}
  <DataTable
    weight="strong"
    rows={page.devices}
    key={(d) => d.id}
    columns={[
      { head: say('devices-device'), name: true, cell: model },
      { head: say('devices-customer'), text: (d) => d.customer },
      { head: say('devices-serial-tag'), text: (d) => [d.serial, d.tag].filter(Boolean).join(', ') || '–' },
      { head: say('devices-visits'), is: 'number', text: (d) => d.visits },
      { head: say('devices-last-visit'), is: 'number', text: (d) => day(d.last_on) },
    ]}
  />
  {#if page.total > STEP}
    <div class="pages">
      <Button disabled={offset === 0} onclick={() => (offset = Math.max(0, offset - STEP))}
        >{say('devices-earlier')}</Button
      >
      <span class="quiet"
        >{say('devices-range', {
          from: offset + 1,
          to: Math.min(page.total, offset + STEP),
          total: page.total,
        })}</span
      >
      <Button disabled={offset + STEP >= page.total} onclick={() => (offset += STEP)}>{say('devices-later')}</Button>
    </div>
  {/if}
{:else if page}
  <p class="quiet">{find ? say('devices-none-found', { find }) : say('devices-none-yet')}</p>
{/if}

<style>
  header {
    align-items: end;
    gap: var(--gap-4);
    margin-bottom: var(--gap-5);
  }
  .find {
    width: min(22rem, 100%);
  }
  .apart {
    margin-bottom: var(--gap-6);
    padding: var(--gap-4);
    border: var(--line) dashed var(--edge);
    border-radius: var(--round);
  }
  .apart h2 {
    margin: 0 0 var(--gap-1);
    font-size: var(--size-2);
  }
  .apart li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-3);
    padding: var(--gap-2) 0;
    border-top: 1px solid var(--rule);
  }
  small {
    color: var(--soft);
    font-weight: 400;
  }
  .pages {
    display: flex;
    align-items: center;
    justify-content: space-between;
    margin-top: var(--gap-4);
  }
</style>
