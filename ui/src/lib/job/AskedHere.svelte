<script lang="ts">
  // Questions that fold, asked where they are needed; their line says whether they are still open.
  import { untrack } from 'svelte';
  import { say } from '$words/page-job.ftl';
  import type { Job } from '../api';
  import Late from '../parts/Late.svelte';
  import Working from '../parts/Working.svelte';
  import { stillToAsk } from './still-open';

  interface Props {
    job: Job;
    about: 'limits' | 'factory' | 'warranty';
    title: string;
    onchange: () => Promise<void>;
    /** Unfolded while it is open. */
    eager?: boolean;
  }
  let { job, about, title, onchange, eager = false }: Props = $props();
  const fields = () => import('./JobFields.svelte');
  const still = $derived(stillToAsk(job).some((item) => item.about === about));
  let open = $state(untrack(() => eager && still));
</script>

<Working summary={title} stand={still ? say('intake-open') : ''} bind:open>
  {#if open}<Late load={fields} given={{ job, about, onchange }} />{/if}
</Working>
