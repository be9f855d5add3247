<!-- eslint-disable @typescript-eslint/no-explicit-any -- whatever a part is given: an interface is no Record of unknown -->
<script lang="ts" generics="P extends Record<string, any>">
  // A part of the page whose script comes when it is needed. One that does not come says so, and can be asked for again.
  import type { Component } from 'svelte';
  import { say } from '../say';
  import Button from './Button.svelte';
  import Notice from './Notice.svelte';
  import Skeleton from './Skeleton.svelte';

  interface Props {
    load: () => Promise<{ default: Component<P> }>;
    given: P;
  }
  let { load, given }: Props = $props();
  // A derived value holds still while only what is given changes: the part stays mounted and follows.
  const part = $derived(load);

  function retry(broken: unknown, again: () => void) {
    // For whoever looks into the browser's console after it broke twice.
    console.error(broken);
    again();
  }
</script>

{#await part()}
  <Skeleton />
{:then { default: Part }}
  <svelte:boundary>
    <Part {...given} />
    {#snippet failed(error, again)}
      <Notice tone="halt" title={say('app-page-broke')}
        >{say('app-page-broke-words')}
        {#snippet actions()}<Button onclick={() => retry(error, again)}>{say('app-try-again')}</Button
          >{/snippet}</Notice
      >
    {/snippet}
  </svelte:boundary>
{:catch}
  <Notice tone="care" title={say('app-page-did-not-come')}
    >{say('app-page-did-not-come-words')}
    {#snippet actions()}<Button onclick={() => location.reload()}>{say('app-try-again')}</Button>{/snippet}</Notice
  >
{/await}
