<script lang="ts">
  // The rules behind what stands here: a page of the handbook, over the page.
  import { say } from '../say';
  import { titleOf, type Subject } from '../handbook';
  import Notice from './Notice.svelte';

  interface Props {
    subject: Subject;
  }
  let { subject }: Props = $props();
  let open = $state(false);
  const title = $derived(titleOf(subject) ?? '');
</script>

<button
  class="no-print"
  type="button"
  title={say('why-rules', { title })}
  aria-label={say('why-about', { title })}
  aria-haspopup="dialog"
  onclick={() => (open = true)}>{say('why-why')}</button
>
{#if open}
  {#await import('./HandbookDialog.svelte') then { default: HandbookDialog }}
    <HandbookDialog {subject} {title} bind:open />
  {:catch}
    <Notice tone="care" title={say('handbook-not-loaded')}>{say('handbook-not-loaded-remedy')}</Notice>
  {/await}
{/if}

<style>
  button {
    min-width: var(--target);
    min-height: var(--target);
    padding: 0 var(--gap-2);
    border: 0;
    background: none;
    color: var(--owl);
    font: inherit;
    font-weight: 620;
    text-decoration: underline dotted;
    text-underline-offset: 0.25em;
    white-space: nowrap;
    cursor: pointer;
  }
</style>
