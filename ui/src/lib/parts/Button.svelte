<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Address } from '../../pages';

  interface Props {
    children: Snippet;
    kind?: 'main' | 'plain' | 'bare';
    type?: 'button' | 'submit';
    href?: Address | `/api/${string}`;
    key?: string;
    busy?: boolean;
    disabled?: boolean;
    download?: boolean;
    label?: string;
    /** Whether what it opens is open. */
    expanded?: boolean;
    /** The form that it sends, where it stands outside of it. */
    form?: string;
    /** It may be pressed again at once: what counts up, or goes step by step. */
    repeats?: boolean;
    onclick?: (event: MouseEvent) => void;
  }
  let {
    children,
    kind = 'plain',
    type = 'button',
    href,
    key,
    busy = false,
    disabled = false,
    download,
    label,
    expanded,
    form,
    repeats = false,
    onclick,
  }: Props = $props();

  // The second half of a double press is no press of its own.
  function pressed(event: MouseEvent) {
    if (event.detail > 1 && !repeats) return event.preventDefault();
    onclick?.(event);
  }
</script>

{#if href && !disabled}
  <a class="button {kind}" {href} {onclick} aria-label={label} download={download || undefined}>
    {@render children()}{#if key}<kbd aria-hidden="true">{key}</kbd>{/if}
  </a>
{:else}
  <button
    class="button {kind}"
    {type}
    onclick={pressed}
    aria-label={label}
    aria-expanded={expanded}
    {form}
    disabled={disabled || busy}
    aria-busy={busy || undefined}
  >
    {@render children()}{#if key}<kbd aria-hidden="true">{key}</kbd>{/if}
  </button>
{/if}

<style>
  .button {
    display: inline-flex;
    align-items: center;
    justify-content: center;
    gap: var(--gap-2);
    min-height: var(--target);
    padding: 0 var(--gap-4);
    border: var(--line) solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    color: var(--ink);
    font-weight: 620;
    text-decoration: none;
    cursor: pointer;
    white-space: nowrap;
  }
  .button:hover:not(:disabled) {
    background: var(--owl-tint);
  }
  .button:active:not(:disabled) {
    transform: translateY(1px);
  }
  .main {
    border-color: var(--owl);
    background: var(--owl);
    color: var(--on-owl);
  }
  .main:hover:not(:disabled) {
    background: color-mix(in srgb, var(--owl) 86%, var(--ink));
  }
  .bare {
    border-color: transparent;
    background: none;
    padding: 0 var(--gap-2);
    min-width: var(--target);
  }
  .button:disabled {
    border-color: var(--edge);
    background: var(--well);
    color: var(--soft);
    cursor: default;
  }
  kbd {
    font-size: var(--size-0);
    line-height: 1.5;
  }
  /* A hand that has no keyboard is not told of keys. */
  @media (max-width: 640px) {
    kbd {
      display: none;
    }
  }
</style>
