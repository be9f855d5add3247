<script lang="ts">
  import { say } from '$words/page-intake.ftl';
  // Devices of this customer that have been here: is it one of them?
  import { client, take, type Schemas } from '../../lib/api';
  import { day, plural } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import type { IntakeForm } from './intake-form';

  interface Props {
    form: IntakeForm;
    onchoose: (device: Schemas['DeviceOut']) => void;
    onforget: () => void;
  }
  let { form, onchoose, onforget }: Props = $props();
  let known = $state.raw<Schemas['DeviceRowOut'][]>([]);
  const customer = $derived(form.customer_name.trim());
  const serial = $derived(form.serial.trim());
  const shown = $derived(known.filter((d) => d.id !== form.device_id).slice(0, 4));
  const chosen = $derived(form.device_id ? (known.find((d) => d.id === form.device_id) ?? null) : null);

  // Who brings it, or what stands on it, tells which there are; once the hand rests.
  $effect(() => {
    const [name, number] = [customer, serial];
    if (!name && !number) {
      known = [];
      return;
    }
    const wait = setTimeout(() => void look(name, number), 250);
    return () => clearTimeout(wait);
  });

  async function look(name: string, number: string) {
    const asked = await Promise.all(
      [name, number]
        .filter(Boolean)
        .map((find) => take(client.GET('/api/devices', { params: { query: { find, limit: 20 } } }))),
    ).catch(() => []);
    if (name !== customer || number !== serial) return;
    const fits = (d: Schemas['DeviceRowOut']) =>
      d.customer.toLowerCase() === name.toLowerCase() ||
      (number !== '' && d.serial.toLowerCase() === number.toLowerCase());
    known = [...new Map(asked.flatMap((p) => p.devices.filter(fits)).map((d) => [d.id, d])).values()];
  }

  const choose = async (id: string) =>
    onchoose(await take(client.GET('/api/devices/{device_id}', { params: { path: { device_id: id } } })));
  const words = (d: Schemas['DeviceRowOut']) =>
    say('same-device-row', {
      model: d.model,
      serial: d.serial || null,
      visits: plural(d.visits, 'visit'),
      last_on: day(d.last_on),
    });
</script>

{#if form.device_id}
  <div class="same chosen">
    <span>{say('same-device-chosen')}{chosen ? `: ${words(chosen)}` : ''}</span>
    <Button onclick={onforget}>{say('same-device-another')}</Button>
  </div>
{:else if shown.length}
  <div class="same">
    <strong>{say('same-device-has-been-here')}</strong>
    {#each shown as d (d.id)}
      <div class="row">
        <span>{words(d)}</span>
        <Button onclick={() => void choose(d.id)}>{say('same-device-this-one')}</Button>
      </div>
    {/each}
  </div>
{/if}

<style>
  .same {
    grid-column: 1 / -1;
    padding: var(--gap-3) var(--gap-4);
    border: var(--line) dashed var(--edge);
    border-radius: var(--round);
  }
  .chosen,
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-3);
  }
  .row {
    padding-top: var(--gap-2);
  }
</style>
