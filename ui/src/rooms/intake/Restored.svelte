<script lang="ts">
  // Typing that was not saved and is here again.
  import { say } from '$words/page-job.ftl';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';

  interface Props {
    ondrop: () => void;
  }
  let { ondrop }: Props = $props();
</script>

<div>
  <Notice title={say('intake-unsaved-typing-was-brought')}>
    {#snippet actions()}<Button onclick={ondrop}>{say('intake-drop')}</Button>{/snippet}
  </Notice>
</div>

<style>
  div {
    margin-bottom: var(--gap-4);
  }
</style>
