<script lang="ts">
  import { say } from '$words/page-verdict.ftl';
  import type { Job, Verdict } from '../../lib/api';
  import { offer } from '../../lib/keys.svelte';
  import LateTrace from '../../lib/charts/LateTrace.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import { go } from '../../lib/router.svelte';
  import FootBar from '../../lib/parts/FootBar.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { bothReadings, sharedChannels } from './both-runs';
  import ConditionTable from '../../lib/verdict/ConditionTable.svelte';
  import EffectTable from '../../lib/verdict/EffectTable.svelte';
  import Headline from '../../lib/verdict/Headline.svelte';
  import RestsOn from './RestsOn.svelte';
  import SensorTable from '../../lib/verdict/SensorTable.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    job: Job;
    verdict: Verdict;
    onnext: () => void;
  }
  let { job, verdict, onnext }: Props = $props();
  const readings = $derived(bothReadings(verdict));
  const channels = $derived(sharedChannels(verdict));
  const why = () => go(`/jobs/${job.id}/attempts`);
  // After a service that failed the way on is to find out why.
  const next = $derived(
    job.failed
      ? { words: say('verdict-page-find-out-why'), run: why }
      : { words: say('verdict-page-go-on-to-hand'), run: onnext },
  );
  $effect(() => offer([{ key: 'Enter', words: next.words, run: next.run }]));
</script>

<Titled why="temperature"><Headline {verdict} /></Titled>
<ul class="reasons">
  {#each verdict.reasons as reason, at (at)}<li>{reason}</li>{/each}
</ul>
{#each verdict.notes as note, at (at)}
  <div class="gap"><Notice tone="care">{note}</Notice></div>
{/each}
{#if verdict.exhaust}
  <div class="gap">
    <Notice tone={verdict.exhaust_explained === false ? 'care' : 'note'} title={say('verdict-page-exhaust-got-hotter')}
      >{verdict.exhaust}</Notice
    >
  </div>
{/if}
<LateTrace jobId={job.id} {readings} {channels} height={300} />
<SensorTable sensors={verdict.sensors} />
<div class="gap"><EffectTable effects={verdict.effects} /></div>
<p class="quiet small">{say('verdict-page-u-expanded-uncertainty-k')}</p>
<Working>
  <dl>
    {#each verdict.effects as e (e.quantity)}
      <dt>{e.words}</dt>
      <dd>{e.working}</dd>
    {/each}
  </dl>
  <p class="quiet small">
    {say('verdict-page-uncertainty-after-jcgm-sensor')}
  </p>
</Working>
<Working summary={say('rests-on', { open: verdict.assumes.length })} open={verdict.assumes.length > 0}
  ><RestsOn assumptions={verdict.rests_on} /></Working
>
<Working summary={say('verdict-page-conditions-side-by-side')}
  ><ConditionTable conditions={verdict.conditions} /></Working
>
<FootBar><Button kind="main" key="Enter" onclick={next.run}>{next.words}</Button></FootBar>

<style>
  .reasons {
    margin: var(--gap-2) 0 var(--gap-4);
    color: var(--soft);
    max-width: 46rem;
  }
  .gap {
    margin: var(--gap-4) 0;
  }
  .small {
    font-size: var(--size-0);
  }
  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: var(--gap-1) var(--gap-4);
    margin: 0 0 var(--gap-3);
  }
  dt {
    font-weight: 620;
  }
  dd {
    margin: 0;
  }
</style>
