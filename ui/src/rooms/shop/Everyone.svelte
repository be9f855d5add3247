<script lang="ts">
  // Who works here, and where they are signed in.
  import People from './People.svelte';
  import SignIns from './SignIns.svelte';

  interface Props {
    owner: boolean;
  }
  let { owner }: Props = $props();
</script>

{#if owner}<People />{/if}
<SignIns />
