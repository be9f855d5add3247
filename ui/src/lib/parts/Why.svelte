<script lang="ts">
  // The rules behind what stands here: a page of the handbook, over the page.
  import { say } from '../say';
  import { titleOf, type Subject } from '../handbook';
  import Dialog from './Dialog.svelte';
  import HandbookText from './HandbookText.svelte';

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
  <Dialog {title} bind:open>
    <HandbookText {subject} />
    <p><a href="/handbook/{subject}" onclick={() => (open = false)}>{say('why-all-rules')}</a></p>
  </Dialog>
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
