<script lang="ts">
  import { say } from '$words/page-close.ftl';
  // Close: the count, the order to tighten, the first power-on, what is still open, and what is kept for the model.
  import { client, take, type Job } from '../../lib/api';
  import { press } from '../../lib/press';
  import type { BenchJob } from '../../lib/bench/bench.svelte';
  import { fixed, parseNumber } from '../../lib/format';
  import ScrewMap from '../../lib/maps/ScrewMap.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { go } from '../../lib/router.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import BeginList from '../../lib/bench/BeginList.svelte';
  import CountAndClose from '../../lib/bench/CountAndClose.svelte';
  import PowerCheck from '../../lib/bench/PowerCheck.svelte';
  import Ledger from '../../lib/bench/Ledger.svelte';
  import StageFoot from '../../lib/bench/StageFoot.svelte';
  import StageSteps from '../../lib/bench/StageSteps.svelte';
  import BenchStory from './BenchStory.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

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
  let overError = $state('');
  let powerBox: HTMLElement | undefined = $state();
  let saved = $state('');
  let count: CountAndClose | undefined = $state();
  const powerOpen = $derived(bench?.steps.some((s) => s.shows === 'power' && !s.outcome) ?? false);

  function noteOver() {
    const count = parseNumber(over);
    overError = count !== null && Number.isInteger(count) && count >= 0 ? '' : say('close-page-how-many');
    if (overError) return;
    at.do('leftover', { count, words: overWords.trim() });
    over = '';
    overWords = '';
  }

  const keep = press(async () => {
    const model = await take(client.PUT('/api/jobs/{job_id}/model', { params: { path: { job_id: job.id } } }));
    saved = model.id;
    toast(
      say('close-page-kept-for-places-own', {
        model: model.model,
        count: model.places.length,
        count_2: model.steps.length,
      }),
    );
  });
</script>

<Titled why="bench"><h2>{say('close-page-close-count-in-equals')}</h2></Titled>
{#if bench && !bench.begun}
  <BeginList {at} jobId={job.id} foot />
{:else if bench}
  <div class="split">
    <div>
      {#if bench.places.length}
        <ScrewMap
          kind={job.kind}
          places={bench.places}
          outline={bench.outline || null}
          order={cooler?.tighten ?? []}
          onplace={(p) => p.kind !== 'pad' && at.do(p.is_out ? 'place_in' : 'place_out', { place: p.id })}
          label={say('close-page-map-with-order-to')}
        />
        <p class="quiet below">
          {#if cooler}{say('close-page-order-for', {
              words: cooler.words,
              by_number: !!cooler.by_number,
              join: bench.passes.map((p) => p.words).join('. '),
            })}{/if}
        </p>
      {:else}
        <p class="quiet">{say('close-page-nothing-on-map-so')}</p>
      {/if}
      <form
        class="over"
        onsubmit={(e) => {
          e.preventDefault();
          noteOver();
        }}
      >
        <TextField
          label={say('close-page-left-over-in-tray')}
          name="leftover"
          numeric
          bind:value={over}
          error={overError}
        />
        <TextField
          label={say('close-page-where-they-come-from')}
          name="leftover-words"
          bind:value={overWords}
          hint={say('close-page-empty-while-not-known')}
        />
        <Button type="submit">{say('close-page-note')}</Button>
      </form>
    </div>
    <Ledger {bench} chosen={null} onchoose={() => undefined} />
  </div>
  <section class="gate">
    <CountAndClose bind:this={count} {at} {bench} onstep={() => go(`/jobs/${job.id}/bench`)} onclosed={onnext} />
  </section>
  {#if powerOpen}
    <section bind:this={powerBox}>
      <h3>{say('close-page-first-power-on-before')}</h3>
      <PowerCheck {at} />
    </section>
  {/if}
  <StageSteps {at} stage="close" onpower={() => powerBox?.scrollIntoView({ block: 'center' })} />
  <StageFoot {at} stage="close" onclose={() => count?.close()} />
  <BenchStory {bench} />
  <section class="keep">
    <h3>{say('close-page-keep-for-next', { model: job.model })}</h3>
    <p class="quiet">
      {say('close-page-map-outline-own-steps', {
        hands_min: bench.hands_min === null ? null : fixed(bench.hands_min, 0),
        waited_min: fixed(bench.waited_min ?? 0, 0),
      })}
    </p>
    <div class="row lay-row">
      <Button onclick={() => void keep()}>{say('close-page-save-to-model')}</Button>
      {#if saved || bench.model_id}<Button href="/models/{saved || bench.model_id}"
          >{say('close-page-open-model')}</Button
        >{/if}
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
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 11rem), 1fr));
    gap: var(--gap-2) var(--gap-3);
    align-items: start;
    margin-top: var(--gap-4);
  }
  .row {
    margin-top: var(--gap-2);
  }
  @media (max-width: 1150px) {
    .split {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
