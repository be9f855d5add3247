<script lang="ts">
  import { say } from '../say';
  import { dismiss, toasts } from '../toasts.svelte';
  import Button from './Button.svelte';
</script>

<div class="toasts no-print" role="status" aria-live="polite">
  {#each toasts.list as toast (toast.id)}
    <div class="toast {toast.tone}">
      <span>{toast.text}</span>
      {#if toast.undo}
        <Button
          onclick={() => {
            dismiss(toast.id);
            void toast.undo?.();
          }}>{say('toasts-undo')}</Button
        >
      {/if}
      {#if toast.act}
        <Button
          onclick={() => {
            dismiss(toast.id);
            toast.act?.run();
          }}>{toast.act.words}</Button
        >
      {/if}
      <Button kind="bare" label={say('toasts-dismiss')} onclick={() => dismiss(toast.id)}>✕</Button>
    </div>
  {/each}
</div>

<style>
  .toasts {
    position: fixed;
    inset: auto auto calc(var(--gap-4) + var(--foot, 0px)) 50%;
    transform: translateX(-50%);
    display: flex;
    flex-direction: column;
    gap: var(--gap-2);
    width: max-content;
    max-width: calc(100vw - 2rem);
    z-index: 10;
  }
  .toast {
    display: flex;
    align-items: center;
    gap: var(--gap-3);
    padding: var(--gap-1) var(--gap-2) var(--gap-1) var(--gap-4);
    border: 2px solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    box-shadow: 5px 5px 0 var(--owl-tint);
  }
  .wrong {
    border-color: var(--halt);
  }
</style>
