<script lang="ts">
  // A press that cannot be taken back: the first asks, the second does it. Two at once are one.
  import Button from './Button.svelte';

  interface Props {
    words: string;
    /** What the button says once it has asked. */
    sure: string;
    keep: string;
    busy?: boolean;
    onsure: () => void;
  }
  let { words, sure, keep, busy = false, onsure }: Props = $props();
  const APART_MS = 600;
  let askedAt = $state(0);

  function press() {
    if (!askedAt) askedAt = performance.now();
    else if (performance.now() - askedAt > APART_MS) {
      askedAt = 0;
      onsure();
    }
  }
</script>

<Button kind={askedAt ? 'main' : 'plain'} {busy} onclick={press}>{askedAt ? sure : words}</Button>
{#if askedAt}<Button onclick={() => (askedAt = 0)}>{keep}</Button>{/if}
