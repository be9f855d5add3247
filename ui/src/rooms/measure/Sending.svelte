<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  import Button from '../../lib/parts/Button.svelte';
  import Progress from '../../lib/parts/Progress.svelte';
  import type { FileOnItsWay } from './upload.svelte';

  interface Props {
    way: FileOnItsWay;
    low?: boolean;
  }
  let { way, low = false }: Props = $props();
</script>

<div class:low>
  <Progress label={way.label} share={way.share < 1 ? way.share : null} />
  <Button onclick={() => way.stop()}>{say('sending-stop')}</Button>
</div>

<style>
  div {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: var(--gap-4);
    align-items: end;
    min-height: 11rem;
    align-content: center;
    padding: var(--gap-5);
    border: 2px solid var(--ink);
    border-radius: var(--round);
  }
  .low {
    min-height: 4.5rem;
    padding: var(--gap-3);
  }
</style>
