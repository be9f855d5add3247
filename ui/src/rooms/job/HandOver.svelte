<script lang="ts">
  // What the owner gets: the price, the next look and a word; then the record stands.
  import { say } from '$words/page-handover.ftl';
  import { untrack } from 'svelte';
  import { resource } from '../../lib/asking.svelte';
  import { client, take, type Job, type Verdict } from '../../lib/api';
  import { day } from '../../lib/format';
  import Skeleton from '../../lib/parts/Skeleton.svelte';
  import Titled from '../../lib/parts/Titled.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import Headline from '../../lib/verdict/Headline.svelte';
  import HandOverForm from './HandOverForm.svelte';

  interface Props {
    job: Job;
    verdict: Verdict | null;
    onchange: () => Promise<void>;
  }
  let { job, verdict, onchange }: Props = $props();
  const asked = resource(
    () => job.id,
    (job_id) => take(client.GET('/api/jobs/{job_id}/record', { params: { path: { job_id } } })),
  );
  // The form comes once it is known what is proposed: a proposal that came late would mix with what is being typed.
  let there = $state(false);
  $effect(() => {
    if (asked.value ?? asked.trouble) untrack(() => (there = true));
  });
</script>

{#if verdict}<Headline {verdict} />{/if}
<Titled why="life">
  <p class="lead quiet">
    {job.handed_over_at
      ? say('hand-over-handed-over-on', { handed_over_at: day(job.handed_over_at) })
      : say('hand-over-what-owner-gets-proof')}
  </p>
</Titled>
<Trouble of={asked} />
{#if there}<HandOverForm {job} {onchange} bind:record={asked.value} />{:else}<Skeleton />{/if}

<style>
  .lead {
    margin: var(--gap-1) 0 var(--gap-5);
  }
</style>
