<script lang="ts">
  import { say } from '../say';
  import type { Snippet } from 'svelte';
  import Button from './Button.svelte';

  interface Props {
    title: string;
    open: boolean;
    children: Snippet;
  }
  let { title, open = $bindable(), children }: Props = $props();
  const uid = $props.id();
  let element: HTMLDialogElement | undefined = $state();

  // The dialog element keeps its own state; this is the one place that moves it.
  $effect(() => {
    if (!element) return;
    if (open && !element.open) element.showModal();
    if (!open && element.open) element.close();
  });
</script>

<dialog bind:this={element} aria-labelledby="{uid}-title" onclose={() => (open = false)}>
  {#if open}
    <header>
      <h2 id="{uid}-title">{title}</h2>
      <Button kind="bare" label={say('dialog-close')} onclick={() => (open = false)}>✕</Button>
    </header>
    {@render children()}
  {/if}
</dialog>

<style>
  dialog {
    width: min(40rem, calc(100vw - 2rem));
    max-height: calc(100vh - 4rem);
    padding: var(--gap-5);
    border: 2px solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    color: var(--ink);
    box-shadow: 8px 8px 0 var(--owl-tint);
  }
  dialog::backdrop {
    background: rgb(0 0 0 / 45%);
  }
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    margin-bottom: var(--gap-4);
  }
</style>
