<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // Before the list: what it is made from, and the one button that begins it.
  import type { Problem } from '../api';
  import type { BenchJob } from './bench.svelte';
  import { offer } from '../keys.svelte';
  import Button from '../parts/Button.svelte';
  import FootBar from '../parts/FootBar.svelte';
  import Notice from '../parts/Notice.svelte';
  import { plural } from '../format';
  import { go } from '../router.svelte';

  interface Props {
    at: BenchJob;
    jobId: string;
    /** The button stands in the bar at the foot of a page. */
    foot?: boolean;
  }
  let { at, jobId, foot = false }: Props = $props();
  let busy = $state(false);
  const places = $derived(at.bench?.model_places ?? 0);
  const chosen = $derived(at.bench?.chosen ?? null);
  let trouble = $state.raw<Problem | null>(null);
  const reason = $derived(trouble?.body.reason);

  export async function begin(withModel: boolean): Promise<void> {
    busy = true;
    trouble = await at.begin(withModel);
    if (!trouble) go(`/jobs/${jobId}/bench`);
    busy = false;
  }

  $effect(() => offer([{ key: 'Enter', words: say('begin-list-begin-step-list'), run: () => void begin(true) }]));
</script>

{#snippet actions()}
  {#if places}<Button {busy} onclick={() => void begin(false)}>{say('begin-list-begin-without-map')}</Button>{/if}
  {#if !chosen}<Button href="/jobs/{jobId}/plan">{say('begin-list-to-plan')}</Button>{/if}
  <Button kind="main" key="Enter" {busy} onclick={() => void begin(true)}
    >{places ? say('begin-list-begin-with-map') : say('begin-list-begin-list')}</Button
  >
{/snippet}
<section class="lay-stack">
  <h2>{say('begin-list-begin-step-list')}</h2>
  <p>
    {say('begin-list-made-from-plan-no', { words: chosen?.words })}
  </p>
  <p class="quiet">
    {places
      ? say('begin-list-map-this-model-kept', { places: plural(places, 'place') })
      : say('begin-list-this-model-has-no')}
  </p>
  {#if trouble}
    <Notice tone="care" title={trouble.body.detail}>
      {trouble.body.remedy}
      {#snippet actions()}
        {#if reason === 'gate_open' || reason === 'undecided' || reason === 'left_alone'}
          <Button href="/jobs/{jobId}/{trouble?.body.stage || 'plan'}">{say('begin-list-settle-there')}</Button>
        {/if}
      {/snippet}
    </Notice>
  {/if}
  {#if !foot}<div class="lay-row">{@render actions()}</div>{/if}
</section>
{#if foot}
  <FootBar
    missing={chosen ? [] : [{ text: say('begin-list-decision'), href: `/jobs/${jobId}/plan` }]}
    note={chosen?.words ?? ''}
  >
    {@render actions()}
  </FootBar>
{/if}

<style>
  section {
    max-width: 44rem;
  }
</style>
