<script lang="ts">
  // Whether what was typed is with the server.
  import { say } from '../say';
  import type { Stand } from '../autosave.svelte';

  interface Props {
    stand: Stand;
  }
  let { stand }: Props = $props();
  const WORDS: Record<Stand, string> = {
    saved: say('autosave-saved'),
    typing: say('autosave-typing'),
    saving: say('autosave-saving'),
    refused: say('autosave-refused'),
  };
</script>

<span class:refused={stand === 'refused'} role="status">{WORDS[stand]}</span>

<style>
  span {
    color: var(--soft);
  }
  .refused {
    color: var(--care);
    font-weight: 620;
  }
</style>
