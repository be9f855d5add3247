<script lang="ts">
  import { say } from '$words/page-open.ftl';
  // Open: the map, the ledger beside it, the orders, and the steps of this stage.
  import type { Job } from '../../lib/api';
  import type { BenchJob } from '../../lib/bench/bench.svelte';
  import ScrewMap from '../../lib/maps/ScrewMap.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import BeginList from '../../lib/bench/BeginList.svelte';
  import AskedHere from '../../lib/job/AskedHere.svelte';
  import Gates from '../../lib/job/Gates.svelte';
  import Ledger from '../../lib/bench/Ledger.svelte';
  import StageFoot from '../../lib/bench/StageFoot.svelte';
  import StageSteps from '../../lib/bench/StageSteps.svelte';
  import { blankPlace, placeData, type PlaceDraft, type PlaceKind } from './place';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    at: BenchJob;
    job: Job;
    onchange: () => Promise<void>;
  }
  let { at, job, onchange }: Props = $props();
  const bench = $derived(at.bench);
  const places = $derived(bench?.places ?? []);
  let draft = $state<PlaceDraft>(blankPlace());
  let placing = $state<PlaceKind | null>(null);
  let chosen = $state<string | null>(null);
  let order = $state('');
  const one = $derived(places.find((p) => p.id === chosen) ?? null);
  const walk = $derived.by(() => {
    const [holds, way] = order.split(':');
    const found = bench?.orders.find((o) => o.holds === holds);
    return found ? (way === 'tighten' ? found.tighten : found.loosen) : [];
  });
  let photoField: HTMLInputElement | undefined = $state();

  function put(x: number, y: number) {
    if (!placing) {
      chosen = null;
      return;
    }
    const id = `p-${crypto.randomUUID().slice(0, 8)}`;
    at.do('place_added', { place: placeData({ ...draft, kind: placing }, id, x, y) });
    chosen = id;
    if (draft.number) draft.number = String(Number(draft.number) + 1);
  }

  async function outline(event: Event) {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (file) await at.addPhoto(file, 'map', '');
  }
</script>

<Titled why="bench"><h2>{say('open-page-open-every-screw-and')}</h2></Titled>
{#if bench && !bench.begun}
  {@const gates = job.gates.filter((gate) => gate.rule === 'warranty_and_seal')}
  {#if gates.length}<Gates {job} {gates} {onchange} />{/if}
  <AskedHere {job} about="warranty" title={say('open-page-warranty')} {onchange} eager />
  <BeginList {at} jobId={job.id} foot />
{:else if bench}
  <div class="tools lay-row">
    <Choice
      bare
      legend={say('open-page-map')}
      name="placing"
      options={[
        { value: '', label: say('open-page-count') },
        { value: 'screw', label: say('open-page-put-screws') },
        { value: 'plug', label: say('open-page-put-plugs') },
        { value: 'pad', label: say('open-page-put-pads') },
      ]}
      bind:value={() => placing ?? '', (v) => (placing = v || null)}
    />
    {#if bench.orders.length && !placing}
      <label class="order">
        <span>{say('open-page-order')}</span>
        <select bind:value={order}>
          <option value="">{say('open-page-none-shown')}</option>
          {#each bench.orders as o (o.holds)}
            <option value="{o.holds}:loosen">{say('open-page-loosen', { words: o.words })}</option>
            <option value="{o.holds}:tighten">{say('open-page-tighten', { words: o.words })}</option>
          {/each}
        </select>
      </label>
    {/if}
    <Button onclick={() => photoField?.click()}
      >{bench.outline ? say('open-page-another-photo') : say('open-page-photo-as-map')}</Button
    >
    {#if bench.outline}<Button onclick={() => at.do('outline', {})}>{say('open-page-plain-outline')}</Button>{/if}
    <Button href="/jobs/{job.id}/tray">{say('open-page-tray-labels')}</Button>
  </div>
  {#if placing}
    {#await import('./PlaceForm.svelte') then { default: PlaceForm }}<PlaceForm bind:draft kind={placing} />{/await}
  {/if}
  <div class="split">
    <div>
      <ScrewMap
        kind={job.kind}
        {places}
        outline={bench.outline || null}
        order={walk}
        {chosen}
        onplace={(p) => (chosen = p.id)}
        onground={put}
        label={say('open-page-map-with-places', { count: places.length })}
      />
      {#if walk.length}
        <p class="quiet below">
          {order.endsWith('tighten')
            ? bench.passes.map((p) => p.words).join('. ')
            : bench.orders.find((o) => order.startsWith(o.holds))?.by_number
              ? say('open-page-loosen-in-reverse-printed')
              : say('open-page-no-numbers-printed-back')}
        </p>
      {:else if !places.length}
        <p class="quiet below">
          {say('open-page-nothing-mapped-yet-choose')}
        </p>
      {/if}
      {#if one}
        <div class="one lay-row" role="group" aria-label={say('open-page-chosen-place')}>
          <strong>{one.words || say('open-page-new-place')}</strong>
          {#if one.kind !== 'pad'}<span class="quiet"
              >{one.is_out
                ? `${say('place-out')}${one.was_out ? say('open-page-since-step', { was_out: one.was_out }) : ''}`
                : say('place-in')}</span
            >
            <Button onclick={() => at.do(one.is_out ? 'place_in' : 'place_out', { place: one.id })}
              >{one.is_out ? say('open-page-in') : say('open-page-out')}</Button
            >{/if}
          <Button
            disabled={one.is_out}
            onclick={() => {
              at.do('place_removed', { place: one.id });
              chosen = null;
            }}>{say('open-page-wipe-off')}</Button
          >
          <Button kind="bare" label={say('open-page-let-go')} onclick={() => (chosen = null)}>✕</Button>
        </div>
      {/if}
    </div>
    <Ledger {bench} onchoose={(id) => (chosen = id)} {chosen} />
  </div>
  <StageSteps {at} stage="open" />
  <StageFoot {at} stage="open" />
{/if}
<input
  bind:this={photoField}
  class="off-screen"
  type="file"
  accept="image/jpeg,image/png,image/webp"
  tabindex="-1"
  aria-label={say('open-page-photo-as-map-2')}
  onchange={outline}
/>

<style>
  h2 {
    margin-bottom: var(--gap-4);
  }
  .tools {
    align-items: center;
    gap: var(--gap-2) var(--gap-3);
    margin-bottom: var(--gap-3);
  }
  .order {
    display: inline-flex;
    align-items: center;
    gap: var(--gap-2);
  }
  select {
    min-height: var(--target);
    padding: 0 var(--gap-2);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }
  .split {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 15.5rem;
    gap: var(--gap-4);
    align-items: start;
  }
  .below {
    margin-top: var(--gap-2);
  }
  .one {
    align-items: center;
    margin-top: var(--gap-2);
    padding: var(--gap-2) var(--gap-3);
    border: var(--line) solid var(--owl);
    border-radius: var(--round);
    background: var(--owl-tint);
  }
  @media (max-width: 1150px) {
    .split {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
