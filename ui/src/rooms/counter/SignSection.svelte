<script lang="ts">
  // Words that are signed, and the pad for it; once signed, they stand as they were.
  import { say } from '$words/page-counter.ftl';
  import type { Schemas } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import SignaturePad from './SignaturePad.svelte';
  import Signed from './Signed.svelte';

  interface Props {
    title: string;
    signed: Schemas['SignedOut'] | null;
    words: string[];
    /** Why it cannot be signed yet. */
    later?: string;
    name: string;
    busy: boolean;
    errors: Record<string, string>;
    onsign: (name: string, strokes: number[][][]) => void;
  }
  let { title, signed, words, later = '', name, busy, errors, onsign }: Props = $props();
  let signing = $state(false);
</script>

<section>
  <h2>{title}</h2>
  {#if signed}
    <Signed {signed} />
  {:else if later}
    <p class="quiet">{later}</p>
  {:else}
    {#each words as line, i (i)}<p>{line}</p>{/each}
    <div class="press">
      {#if signing}
        <SignaturePad {name} {busy} {errors} {onsign} />
      {:else}
        <Button kind="main" onclick={() => (signing = true)}>{say('counter-sign')}</Button>
      {/if}
    </div>
  {/if}
</section>

<style>
  section {
    margin-top: var(--gap-5);
    padding-top: var(--gap-4);
    border-top: var(--line) solid var(--rule);
  }
  h2 {
    margin-bottom: var(--gap-3);
  }
  p {
    max-width: 44rem;
    margin-bottom: var(--gap-1);
  }
  .press {
    margin-top: var(--gap-3);
  }
</style>
