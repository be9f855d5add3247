<script lang="ts">
  // Close: the count, the order to tighten, the first power-on, what is still open, and what is kept for the model.
  import { client, Problem, take, type Job } from '../../lib/api';
  import type { BenchJob } from '../../lib/bench/bench.svelte';
  import { fixed } from '../../lib/format';
  import ScrewMap from '../../lib/maps/ScrewMap.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { go } from '../../lib/router.svelte';
  import { say } from '../../lib/toasts.svelte';
  import BeginList from '../bench-mode/BeginList.svelte';
  import CountAndClose from '../bench-mode/CountAndClose.svelte';
  import PowerCheck from '../bench-mode/PowerCheck.svelte';
  import Ledger from '../open/Ledger.svelte';
  import StageSteps from '../open/StageSteps.svelte';
  import BenchStory from './BenchStory.svelte';

  interface Props {
    at: BenchJob;
    job: Job;
    onnext: () => void;
  }
  let { at, job, onnext }: Props = $props();
  const bench = $derived(at.bench);
  const cooler = $derived(bench?.orders.find((o) => o.holds === 'cooler') ?? bench?.orders[0] ?? null);
  let over = $state('');
  let overWords = $state('');
  let powerBox: HTMLElement | undefined = $state();
  let saved = $state('');
  const powerOpen = $derived(bench?.steps.some((s) => s.shows === 'power' && !s.outcome) ?? false);

  function noteOver() {
    const count = Math.round(Number(over));
    if (Number.isNaN(count) || over.trim() === '') return;
    at.do('leftover', { count, words: overWords.trim() });
    over = '';
    overWords = '';
  }

  async function keep() {
    try {
      const model = await take(client.PUT('/api/jobs/{job_id}/model', { params: { path: { job_id: job.id } } }));
      saved = model.id;
      say(`Kept for ${model.model}: ${model.places.length} places, ${model.steps.length} own steps.`);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      say(`${error.body.detail} ${error.body.remedy}`, { tone: 'wrong' });
    }
  }
</script>

<h2>Close: count in equals count out</h2>
{#if bench && !bench.begun}
  <BeginList {at} jobId={job.id} />
{:else if bench}
  <div class="split">
    <div>
      {#if bench.places.length}
        <ScrewMap
          kind={job.kind}
          places={bench.places}
          outline={bench.outline || null}
          order={cooler?.tighten ?? []}
          onplace={(p) => at.do(p.is_out ? 'place_in' : 'place_out', { place: p.id })}
          label="Map with the order to tighten"
        />
        <p class="quiet below">
          {#if cooler}Order for the {cooler.words}, {cooler.by_number
              ? 'by the printed numbers'
              : 'a diagonal from the positions'}.
            {bench.passes.map((p) => p.words).join('. ')}.{/if}
        </p>
      {:else}
        <p class="quiet">Nothing is on the map, so nothing can be counted. Screws are mapped in Open.</p>
      {/if}
    </div>
    <div>
      <Ledger {bench} chosen={null} onchoose={() => undefined} />
      <form
        class="over"
        onsubmit={(e) => {
          e.preventDefault();
          noteOver();
        }}
      >
        <TextField label="Left over in the tray" name="leftover" numeric bind:value={over} />
        <TextField
          label="Where they come from"
          name="leftover-words"
          bind:value={overWords}
          hint="empty while not known"
        />
        <Button type="submit">Note it</Button>
      </form>
    </div>
  </div>
  <section class="gate">
    <CountAndClose {at} {bench} onstep={() => go(`/jobs/${job.id}/bench`)} onclosed={onnext} />
  </section>
  {#if powerOpen}
    <section bind:this={powerBox}>
      <h3>First power-on, before the last screws</h3>
      <PowerCheck {at} />
    </section>
  {/if}
  <StageSteps {at} stage="close" onpower={() => powerBox?.scrollIntoView({ block: 'center' })} />
  <BenchStory {bench} />
  <section class="keep">
    <h3>Keep for the next {job.model}</h3>
    <p class="quiet">
      Map, outline, own steps, dies and gaps. {bench.hands_min === null
        ? ''
        : `Hands so far ${fixed(bench.hands_min, 0)} min, waiting ${fixed(bench.waited_min, 0)} min.`}
    </p>
    <div class="row">
      <Button onclick={() => void keep()}>Save to the model</Button>
      {#if saved || bench.model_id}<Button href="/models/{saved || bench.model_id}">Open the model</Button>{/if}
    </div>
  </section>
{/if}

<style>
  h2 {
    margin-bottom: var(--gap-4);
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
  section {
    margin-top: var(--gap-5);
  }
  h3 {
    margin-bottom: var(--gap-2);
  }
  .gate {
    padding: var(--gap-4) var(--gap-5);
    border: 2px solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
  }
  .over {
    display: grid;
    gap: var(--gap-2);
    margin-top: var(--gap-3);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-3);
    margin-top: var(--gap-2);
  }
  @media (max-width: 1150px) {
    .split {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
