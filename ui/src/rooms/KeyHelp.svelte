<script lang="ts">
  import { say } from '../lib/say';
  import Dialog from '../lib/parts/Dialog.svelte';
  import { keys } from '../lib/keys.svelte';

  interface Props {
    open: boolean;
  }
  let { open = $bindable() }: Props = $props();
  const WORDS: Record<string, string> = { Enter: say('key-help-enter-or-space') };
</script>

<Dialog title={say('key-help-keys-on-this-page')} bind:open>
  <dl>
    {#each keys.offered as action (action.key + action.words)}
      <dt><kbd>{WORDS[action.key] ?? action.key}</kbd></dt>
      <dd>{action.words}</dd>
    {/each}
    <dt><kbd>{say('key-help-tab')}</kbd></dt>
    <dd>{say('key-help-move-from-field-to')}</dd>
  </dl>
</Dialog>

<style>
  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: var(--gap-2) var(--gap-4);
    margin: 0;
  }
  dd {
    margin: 0;
  }
</style>
