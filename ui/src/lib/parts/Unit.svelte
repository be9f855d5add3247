<script lang="ts">
  // A unit: its sign for the eye, its words for who listens.
  import { spoken } from '../units';

  interface Props {
    of: string;
  }
  let { of }: Props = $props();
  const words = $derived(spoken(of));
</script>

{#if words === of}{of}{:else}<span aria-hidden="true">{of}</span><span class="off-screen">{` ${words}`}</span>{/if}
