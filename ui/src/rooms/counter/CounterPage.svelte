<script lang="ts">
  // At the counter: what came along and how it looked, what is agreed and signed, what is offered, and the way back.
  import { say } from '$words/page-counter.ftl';
  import { resource } from '../../lib/asking.svelte';
  import { client, take } from '../../lib/api';
  import JobHead from '../../lib/job/JobHead.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Skeleton from '../../lib/parts/Skeleton.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import CounterSheet from './CounterSheet.svelte';

  interface Props {
    id: string;
  }
  let { id }: Props = $props();
  const found = resource(
    () => ({ path: { job_id: id } }),
    async (params) => {
      const [job, sheet] = await Promise.all([
        take(client.GET('/api/jobs/{job_id}', { params })),
        take(client.GET('/api/jobs/{job_id}/counter', { params })),
      ]);
      return { job, sheet };
    },
  );
</script>

<Trouble of={found}>
  {#snippet actions()}<Button onclick={() => void found.load()}>{say('counter-load-again')}</Button>{/snippet}
</Trouble>
{#if found.value}
  {@const { job, sheet } = found.value}
  <JobHead {job} />
  <CounterSheet {job} bind:sheet={() => sheet, (next) => (found.value = { job, sheet: next })} reload={found.load} />
{:else if !found.trouble}
  <Skeleton />
{/if}
